import { readEvents } from './eventsFile';

const event = {
  id: '0b9b1b0e-51a5-4f0c-9a54-0d1f7c1d7d01',
  device: 'lathe A',
  seq: 1,
  at: '2026-11-30T08:00:00.000Z',
  revision: 3,
  piece: 2,
  operation: 'turn-finish:part.outside[0]',
};
const problemsOf = (value: unknown) => {
  const read = readEvents(value);
  return read.ok ? [] : read.problems.map(({ path, message }) => `${path} ${message}`);
};

test('events of every kind read as they were sent', () => {
  const events = [
    { ...event, kind: 'done' },
    { ...event, id: event.id.replace('d01', 'd02'), kind: 'measured', what: '⌀12', readings: [12.01], size: 12.01 },
    { ...event, id: event.id.replace('d01', 'd03'), kind: 'scrap', reason: 'size' },
    { ...event, id: event.id.replace('d01', 'd04'), kind: 'struck', event: event.id },
    { ...event, id: event.id.replace('d01', 'd05'), kind: 'bar', item: 7, finished: 5, left: 12.5, shop: 4 },
  ];
  expect(readEvents({ events })).toEqual({ ok: true, value: { events } });
});

test.each([
  ['an unknown kind', { ...event, kind: 'moved' }, /events\[0\]\.kind/],
  [
    'a size without readings',
    { ...event, kind: 'measured', what: '⌀12', readings: [], size: 12 },
    /events\[0\]\.readings/,
  ],
  ['a reason that is none', { ...event, kind: 'scrap', reason: 'bad luck' }, /events\[0\]\.reason/],
  ['a name that is no uuid', { ...event, id: '7', kind: 'done' }, /events\[0\]\.id/],
  ['less than nothing left of a bar', { ...event, kind: 'bar', finished: 5, left: -1 }, /events\[0\]\.left/],
  ['a time that is none', { ...event, at: 'yesterday', kind: 'done' }, /events\[0\]\.at/],
])('%s is refused where it is', (_, wrong, where) => {
  expect(problemsOf({ events: [wrong] }).join('; ')).toMatch(where);
});

test('one that comes twice in a batch is refused, and so are too many', () => {
  const done = { ...event, kind: 'done' };
  expect(problemsOf({ events: [done, done] })).toHaveLength(1);
  expect(problemsOf({ events: [] })).toHaveLength(1);
});
