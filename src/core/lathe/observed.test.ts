import type { Happening } from './events';
import { readyMinutes } from './observed';
import { eventOf } from './testing';

const at = (clock: string, happening: Happening, device = 'tablet') =>
  eventOf(happening, { device, at: `2026-11-30T${clock}:00Z` });
const ready: Happening = { kind: 'ready', step: 'collet', done: true };

test('making ready is from its first tick to the first piece, without a pause; the pieces are not of it', () => {
  // 7:00 to 7:10, a pause from 7:12 to 7:30, begun at 7:35: 10 + 2 + 5 minutes. What is done after is no making ready.
  const events = [
    at('07:00', ready),
    at('07:10', ready),
    at('07:12', { kind: 'paused' }),
    at('07:30', { kind: 'went-on' }),
    at('07:35', { kind: 'begun' }),
    at('07:50', { kind: 'done' }),
    at('08:30', { kind: 'begun' }),
  ];
  expect(readyMinutes(events)).toBe(17);
});

test('each device goes by its own clock, and a clock that jumped back takes nothing off', () => {
  const events = [
    at('07:00', ready),
    at('12:00', ready, 'phone'),
    at('07:05', { kind: 'begun' }),
    at('11:00', ready, 'phone'),
  ];
  expect(readyMinutes(events)).toBe(5);
});
