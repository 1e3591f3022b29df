import { answerDays, rushPlaces, tryOrder } from './answer';
import { daysBetween, standing, standsAt, stretchesOf, weekdayOf, workTimeOf, type DaysFile } from './days';
import { toSchedule } from './fromRuns';
import { workedBy } from './hours';
import { segmentsOf } from './segments';
import { asked, days, MONDAY, run } from './testing';

test('hours are read as they are written, and what overlaps or ends before it begins is none', () => {
  expect(stretchesOf('07:00-12:00 12:30-15:30')).toEqual([
    { from: 420, to: 720 },
    { from: 750, to: 930 },
  ]);
  expect(stretchesOf('')).toEqual([]);
  for (const wrong of ['7-12', '12:00-07:00', '07:00-12:00 11:00-15:00', '20:00-25:00'])
    expect(stretchesOf(wrong)).toBeUndefined();
});

test('days are counted as days, over a month and a leap day', () => {
  expect([weekdayOf(MONDAY), daysBetween(MONDAY, '2026-12-04'), daysBetween('2028-02-28', '2028-03-01')]).toEqual([
    0, 4, 2,
  ]);
});

test('a lathe is worked at when somebody stands there: not at the weekend, not away, not in service, not when closed', () => {
  const [turner] = days().people;
  const away = {
    ...days(),
    people: [{ ...(turner as never as DaysFile['people'][number]), away: [{ from: '2026-12-01', to: '2026-12-01' }] }],
  };
  const time = workTimeOf(
    'A',
    {
      ...away,
      closed: [{ from: '2026-12-02', to: '2026-12-02' }],
      service: [{ lathe: 'A', from: '2026-12-03', to: '2026-12-03' }],
    },
    MONDAY,
  );
  // Monday and Friday of the first week: 8 hours each; the next is Monday again.
  expect(time.stretches.slice(0, 5).map(({ from }) => Math.floor(from / 1440))).toEqual([0, 0, 4, 4, 7]);
  expect(workedBy(time, 7 * 1440)).toBe(960);
});

test('somebody who goes to another lathe after the break works at each in turn', () => {
  const [turner] = days().people;
  const two = {
    ...days(),
    people: [{ ...(turner as never as DaysFile['people'][number]), stands: Array(7).fill('A;B') }],
  };
  const [a, b] = ['A', 'B'].map((lathe) => workTimeOf(lathe, two, MONDAY).stretches[0]);
  expect([a, b]).toEqual([
    { from: 420, to: 720 },
    { from: 750, to: 930 },
  ]);
  expect([standsAt('A', 1), standsAt('A;B', 1), standsAt(';B', 0), standing('A', 'A'), standing('', 'B')]).toEqual([
    'A',
    'B',
    '',
    'A',
    ';B',
  ]);
});

test('a run that is begun stays on its lathe, is ready, and only what is left of it counts', () => {
  // One minute of four is done of all ten.
  const { jobs, begun } = toSchedule([run(1, 400, { done: { load: 10 } })], days(), ['A', 'B'], MONDAY);
  expect(jobs[0]?.on).toEqual({ A: { ready: 0, work: 300 } });
  expect(begun.get(1)).toBe('A');
});

test('a run that is begun stays on its lathe also where that can no longer make it, and where its steps are others by now', () => {
  const lathes = (run(1, 400).lathes ?? []).map((on) => (on.lathe === 'A' ? { lathe: 'A', problem: 'too thick' } : on));
  const stuck = toSchedule([run(1, 400, { lathes, done: { load: 1 } })], days(), ['A', 'B'], MONDAY);
  expect([stuck.begun.get(1), stuck.jobs[0]?.on]).toEqual(['A', {}]);
  const other = toSchedule([run(1, 400, { done: { 'gone-by-now': 3 } })], days(), ['A', 'B'], MONDAY);
  expect([other.begun.get(1), other.jobs[0]?.on]).toEqual(['A', { A: { ready: 0, work: 400 } }]);
});

test('by how much a run may be off is what is known of it on that lathe', () => {
  const learned = { setup: { down: 0.1, up: 0.1 }, pieces: { down: 0.02, up: 0.02 } };
  const lathes = (run(1, 100).lathes ?? []).map((on) => (on.lathe === 'B' ? { ...on, off: learned } : on));
  const { off } = toSchedule([run(1, 100, { lathes })], days(), ['A', 'B'], MONDAY);
  expect([off(1, 'A').pieces.up, off(1, 'B')]).toEqual([0.3, learned]);
});

test('a promise is for the end of its day; what is decided of a run holds', () => {
  const { jobs } = toSchedule(
    [run(1, 100, { due: '2026-12-01' }), run(2, 100)],
    days({
      runs: [{ run: 1, weight: 3, release: '2026-12-01', lathe: 'B', after: [2, 99], outsideDays: 2 }],
    }),
    ['A', 'B'],
    MONDAY,
  );
  expect(jobs[0]).toMatchObject({ due: 2 * 1440, weight: 3, release: 1440, lead: 2 * 1440, after: [2] });
  expect(Object.keys(jobs[0]?.on ?? {})).toEqual(['B']);
});

test('a run whose bars are on their way begins no sooner; one that is begun has them', () => {
  const release = (more: object, wish: object = {}) =>
    toSchedule([run(1, 100, more)], days({ runs: [{ run: 1, ...wish }] }), ['A', 'B'], MONDAY).jobs[0]?.release;
  expect(release({ barsIn: 5 })).toBe(5 * 1440);
  expect(release({ barsIn: 5 }, { release: '2026-12-08' })).toBe(8 * 1440);
  expect(release({ barsIn: 5, done: { load: 3 } })).toBe(0);
});

test('a run that wants what the shop has not begins when that is got, on a lathe that wants it; somebody may know better', () => {
  const lathes = (run(1, 100).lathes ?? []).map((on) => (on.lathe === 'A' ? { ...on, toGet: ['a reamer'] } : on));
  const from = (more: object, wish: object = {}) =>
    toSchedule([run(1, 100, { lathes, ...more })], days({ runs: [{ run: 1, ...wish }] }), ['A', 'B'], MONDAY).jobs[0]
      ?.on;
  expect([from({})?.['A']?.from, from({})?.['B']?.from]).toEqual([3 * 1440, undefined]);
  expect(from({}, { release: '2026-12-01' })?.['A']?.from).toBe(0);
  expect(from({ done: { load: 1 } })?.['A']?.from).toBeUndefined();
  // It is made on the other lathe meanwhile, unless it has to be on this one: on Thursday at seven.
  const placed = (wish: object) => answerDays(asked([run(1, 100, { lathes })], { runs: [{ run: 1, ...wish }] })).placed;
  expect(placed({})[0]).toMatchObject({ lathe: 'B', start: 420 });
  expect(placed({ lathe: 'A' })[0]).toMatchObject({ lathe: 'A', start: 3 * 1440 + 420 });
});

test('a run whose lathes are not planned yet is left out, one that none can make is told', () => {
  const none = run(3, 100, { lathes: [{ lathe: 'A', problem: 'too thick' }] });
  const answer = answerDays(asked([run(1, 100), run(2, 100, { lathes: undefined }), none]));
  expect(answer.placed.map(({ job }) => job)).toEqual([1]);
  expect(answer.nowhere).toEqual([3]);
});

test('an order that was taken stays; the best anew is another', () => {
  const two = [run(1, 300, { due: '2026-12-02' }), run(2, 300, { due: MONDAY })];
  const order = [{ lathe: 'A', runs: [1, 2] }];
  const taken = answerDays(asked(two, { order, people: days().people.slice(0, 1) }));
  expect(taken.order['A']).toEqual([1, 2]);
  const anew = answerDays(asked(two, { order, people: days().people.slice(0, 1) }), { anew: true });
  expect(anew.order['A']).toEqual([2, 1]);
  expect(anew.proven).toBe(true);
});

test('what is begun is gone on with before what is wanted sooner, and is then not proven', () => {
  const two = [run(1, 300, { done: { load: 1 }, due: '2027-02-01' }), run(2, 300, { due: MONDAY })];
  const one = { people: days().people.slice(0, 1) };
  const answer = answerDays(asked(two, one));
  expect(answer.order['A']).toEqual([1, 2]);
  // 292 ½ of 1 are left from 7 on, then 60 and 300 of 2: until Tuesday, late by the night and what is left.
  const late = answer.placed.find(({ job }) => job === 2)?.late ?? 0;
  expect([answer.worth.late, answer.proven]).toEqual([late, false]);
  expect(late).toBeGreaterThan(0);
});

test('what is tried is told as it would be; what cannot be is not', () => {
  const two = asked([run(1, 300), run(2, 300)]);
  expect(tryOrder(two, { A: [2, 1], B: [] })?.placed.map(({ job }) => job)).toEqual([2, 1]);
  expect(tryOrder(two, { Z: [2, 1] })).toBeUndefined();
});

test('a rush job is offered places in an order that stands', () => {
  const standing = asked([run(1, 300, { due: MONDAY }), run(2, 100)], { people: days().people.slice(0, 1) });
  const places = rushPlaces(standing, { A: [1] }, 2);
  expect(places.map(({ place }) => place).sort()).toEqual([0, 1]);
  expect(places.find(({ place }) => place === 0)?.harmed.map(({ job }) => job)).toEqual([1]);
});

test('a run is drawn set-up by set-up: 60 minutes of making ready and 320 of pieces as 40, 240, 20, 80', () => {
  const one = asked([run(1, 320)]);
  const { placed } = answerDays(one);
  const time = workTimeOf('A', one.days, MONDAY);
  const on = one.runs[0]?.lathes?.[0];
  if (!placed[0] || !on || 'problem' in on) throw new Error('it is placed');
  const segments = segmentsOf(placed[0], on, time, (from, to) => workedBy(time, to) - workedBy(time, from));
  expect(segments.map(({ kind, setup }) => `${kind} ${setup}`)).toEqual(['ready 1', 'pieces 1', 'ready 2', 'pieces 2']);
  // From 7: ready at 7.40; 240 minutes to 11.40; ready again at 12.00; 80 minutes from 12.30 on.
  expect(segments.map(({ to }) => to)).toEqual([460, 700, 720, 750 + 80]);
});
