import { SIGN_WORDS } from '../lathe/signs';
import type { LatheEvent } from '../lathe/events';
import { formatLength, type UnitSystem } from '../model/units/length';

/** A bar that came on, and the one that went. */
function sayBar({ item, finished, left }: LatheEvent & { kind: 'bar' }, long: (mm: number) => string): string {
  const went = finished === undefined ? [] : [`bar ${finished} finished${left ? `, ${long(left)} left` : ''}`];
  const came = item === undefined ? (finished === undefined ? ['a new bar'] : []) : [`bar ${item} of the rack`];
  return [...went, ...came].join('; ');
}

/** What happened, in words: of a run whose steps are known by their names. */
export function sayEvent(event: LatheEvent, units: UnitSystem, nameOf: (operation: string) => string): string {
  const long = (mm: number) => `${formatLength(mm, units, true)} ${units}`;
  const at = event.operation === undefined ? '' : nameOf(event.operation);
  switch (event.kind) {
    case 'ready':
      return event.done ? `made ready: ${event.step}` : `not ready after all: ${event.step}`;
    case 'begun':
      return `begun, ${at}`;
    case 'done':
      return `done: ${at}`;
    case 'measured':
      return `${event.what}: ${long(event.size)}${event.readings.length > 1 ? `, of ${event.readings.length} readings` : ''}${event.gauge ? `, ${event.gauge}` : ''}`;
    case 'corrected':
      return `${event.place} moved by ${long(event.by)}${event.what ? ` for ${event.what}` : ''}`;
    case 'paused':
      return `stopped${event.note ? `: ${event.note}` : ''}`;
    case 'went-on':
      return 'went on';
    case 'scrap':
      return `scrap, ${event.reason}${event.note ? `: ${event.note}` : ''}`;
    case 'edge':
      return event.what === 'broken' ? `${event.tool} broke` : `edge of ${event.tool} ${event.what}`;
    case 'bar':
      return sayBar(event, long);
    case 'sign':
      return `${at}: ${SIGN_WORDS[event.sign]}`;
    case 'tried':
      return `${at}, ${SIGN_WORDS[event.sign]}: ${event.cause} ${event.helped ? 'helped' : 'did not help'}`;
    case 'changed':
      return `${at}: ${event.what} ${event.to}`;
    case 'note':
      return event.text;
    case 'struck':
      return 'something was struck out';
  }
}
