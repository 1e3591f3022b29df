import { csvFormatRows } from 'd3-dsv';
import type { Ordered } from '../lathe/events';

const HEAD = ['order', 'at', 'device', 'seq', 'revision', 'piece', 'operation', 'kind', 'value', 'more'];

/** What of an event is not in a column of its own. */
const OWN = new Set(['id', 'order', 'at', 'device', 'seq', 'revision', 'piece', 'operation', 'kind', 'size']);

/** What happened in a run, a row each (docs/run-file.md): sizes in mm at 20 °C, times as the device had them. */
export const logCsv = (events: readonly Ordered[]): string =>
  csvFormatRows([
    HEAD,
    ...events.map((event) => [
      event.order === undefined ? '' : String(event.order),
      event.at,
      event.device,
      String(event.seq),
      String(event.revision),
      event.piece === undefined ? '' : String(event.piece),
      event.operation ?? '',
      event.kind,
      event.kind === 'measured' ? String(event.size) : event.kind === 'corrected' ? String(event.by) : '',
      Object.entries(event)
        .filter(([key]) => !OWN.has(key))
        .map(([key, value]) => `${key}: ${Array.isArray(value) ? value.join(' ') : String(value)}`)
        .join('; '),
    ]),
  ]);
