import { startDays } from '../schedule/startDays';
import { readDays } from './daysFile';

const days = startDays(['centre-lathe-a']);
const problem = (value: unknown) => {
  const read = readDays(value);
  return read.ok ? '' : `${read.problems[0]?.path}: ${read.problems[0]?.message}`;
};

test('the days that a shop begins with are read as they are', () => {
  expect(readDays(days)).toEqual({ ok: true, value: days });
});

test('what was kept before a promise had a share and overtime its minutes has those that a shop begins with', () => {
  const { sureFrom, overtime, ...before } = days;
  expect([sureFrom, overtime]).toEqual([0.8, 120]);
  expect(readDays(before)).toEqual({ ok: true, value: days });
});

test('what is wrong is told with its place', () => {
  const [turner] = days.people;
  expect(problem({ ...days, people: [{ ...turner, hours: ['7-12', '', '', '', '', '', ''] }] })).toMatch(
    /people\[0\]\.hours\[0\]: must be hours in their order, as 07:00-12:00/,
  );
  expect(problem({ ...days, closed: [{ from: '2026-12-26', to: '2026-12-24' }] })).toMatch(
    /closed\[0\]: ends before it begins/,
  );
  expect(problem({ ...days, closed: [{ from: '2026-02-30', to: '2026-03-01' }] })).toMatch(/closed\[0\]\.from: .*day/);
  expect(problem({ ...days, runs: [{ run: 1 }, { run: 1 }] })).toMatch(/runs\[1\]/);
  expect(problem({ ...days, sureFrom: 80 })).toMatch(/^sureFrom/);
  expect(problem({ ...days, people: [turner, turner] })).toMatch(/people\[1\]/);
});

test('a run in two parts as it was written before there were more is read as one of several', () => {
  const readSplit = (split: object) => {
    const read = readDays({ ...startDays(['A']), runs: [{ run: 1, split }] });
    return read.ok ? read.value.runs[0]?.split : read.problems[0]?.message;
  };
  expect(readSplit({ at: 'pieces', first: 20, lathe: 'B' })).toEqual({ at: 'pieces', from: [20], lathes: ['B'] });
  expect(readSplit({ at: 'setup', second: 2 })).toEqual({ at: 'setup', from: [2] });
  expect(readSplit({ at: 'pieces', from: [20, 40], lathes: ['', 'B'] })).toEqual({
    at: 'pieces',
    from: [20, 40],
    lathes: ['', 'B'],
  });
  expect(readSplit({ at: 'pieces', from: [40, 20] })).toContain('rising');
  expect(readSplit({ at: 'setup', from: [1] })).toContain('rising');
});
