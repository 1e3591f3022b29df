import type { Ordered } from '../lathe/events';
import { figure, type Cell } from './table';

const HEAD = ['order', 'at', 'device', 'seq', 'revision', 'piece', 'operation', 'kind', 'value', 'more'];

/** What of an event is not in a column of its own. */
const OWN = new Set(['id', 'order', 'at', 'device', 'seq', 'revision', 'piece', 'operation', 'kind', 'size']);

/** What happened in a run, a row each (docs/run-file.md): sizes in mm at 20 °C, times as the device had them. */
export const logTable = (events: readonly Ordered[]): Cell[][] => [
  HEAD,
  ...events.map((event) => [
    figure(event.order),
    event.at,
    event.device,
    figure(event.seq),
    figure(event.revision),
    figure(event.piece),
    event.operation ?? '',
    event.kind,
    figure(event.kind === 'measured' ? event.size : event.kind === 'corrected' ? event.by : undefined),
    Object.entries(event)
      .filter(([key]) => !OWN.has(key))
      .map(([key, value]) => `${key}: ${Array.isArray(value) ? value.join(' ') : String(value)}`)
      .join('; '),
  ]),
];
