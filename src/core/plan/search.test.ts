import { WAYS } from '../model/way';
import { startValues } from '../model/shop/startValues';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';
import { example, runOf, step } from '../testing';
import { planFile } from './plan';
import { isSound } from './judged';
import { Search, type Searching } from './search';
import { keyOf, otherSkeletons, usual } from './skeleton';

/** @param searching to the first sound route, where a test does not say otherwise */
function searchOf(file: RunFile, searching: Searching = { until: 'sound' }): Search {
  const run = readRun(file, startValues);
  if (!run.ok) throw new Error(JSON.stringify(run.problems));
  const search = new Search(run.value);
  for (const steps = search.steps(WAYS, searching); !steps.next().done;);
  return search;
}
const routeOf = (file: RunFile) => {
  const best = searchOf(file).best();
  if (!best.ok) throw new Error(JSON.stringify(best.problems));
  return best.value;
};
const triedOf = (file: RunFile) => searchOf(file).tried.map(({ skeleton }) => keyOf(skeleton));

const planOf = (file: RunFile, searching?: Searching) => {
  const plan = planFile(file, startValues, 'all', searching);
  if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
  return plan.value;
};

/** A pin that is slender by the time it is finished, with a head that a bar brings. */
const slender = (more: Partial<RunFile> = {}) =>
  runOf({ material: 'stainless-303', outside: [step('8 h8', 80), step(14, 10)] }, { quantity: 10, ...more });

test('to the first sound route: where the usual ones are, no other one is tried', () => {
  expect(triedOf(example('pivot-pin'))).toEqual((['from-bar', 'sawn-blanks'] as const).map((way) => keyOf(usual(way))));
});

describe('slender work from blanks', () => {
  test('by hand: its end is faced and centred 2 mm out of the chuck, then it is drawn out and turned under the centre', () => {
    const { route } = routeOf(slender({ way: 'sawn-blanks' }));
    expect(route.skeleton).toMatchObject({ way: 'sawn-blanks', centred: true });
    const [centring, turning, back] = route.setups.map(({ setup }) => setup);
    expect([centring?.end, turning?.end, back?.end]).toEqual(['front', 'front', 'back']);
    // 1 of facing and 2 clear.
    expect(centring?.stickOut.value).toBe(3);
    expect(route.setups[0]?.operations.map(({ kind }) => kind)).toEqual(['face', 'centre']);
    expect(turning).toMatchObject({ facing: 0, supported: true, side: 1 });
    expect(route.setups[1]?.operations.some(({ kind }) => kind === 'face' || kind === 'centre')).toBe(false);
    // Under its centre it does not lean: it is gripped as short as a collet may be.
    const { from = 0, to = 0 } = turning?.holding ?? {};
    expect(to - from).toBeGreaterThanOrEqual(4);
  });

  test('the seat of its centre is at most 0.4 of the diameter it stands in: 3.15 of ⌀8, 1.6 of ⌀6 (2.4)', () => {
    const centreOf = (file: RunFile) => routeOf(file).route.setups[0]?.operations[1]?.tool.id;
    expect(centreOf(slender())).toBe('centre-3.15');
    const thinner = runOf({ material: 'stainless-303', outside: [step('6 h8', 60), step(14, 10)] }, { quantity: 10 });
    expect(centreOf(thinner)).toBe('centre-1.6');
  });

  test('the others are told with what they lost by, the sound ones first', () => {
    const search = searchOf(slender({ way: 'sawn-blanks' }));
    const best = search.best();
    if (!best.ok) throw new Error('it has a route');
    const { runnersUp, tried, best: bests } = search.answered(best.value);
    expect(tried).toBe(search.tried.length);
    expect(runnersUp.length).toBeGreaterThan(0);
    expect(runnersUp.length).toBeLessThanOrEqual(5);
    const [next] = runnersUp;
    expect(next).toMatchObject({ because: 'slower' });
    expect(next?.lostBy).toBeGreaterThan(0);
    expect(bests).toContainEqual(best.value.route.skeleton);
  });

  test('what would be quicker and its proof does not bear out says what it found', () => {
    const { runnersUp } = planOf(example('mast-stud')).route;
    const quicker = runnersUp.find(({ because }) => because === 'not-proved');
    expect(quicker).toMatchObject({ because: 'not-proved', fault: { code: 'slender' } });
  });

  test('routes that came to the same are told once', () => {
    const { route, times } = planOf(slender());
    const figures = route.runnersUp.map(({ batchMinutes, setups, held }) =>
      JSON.stringify([batchMinutes, setups, held?.words]),
    );
    expect(new Set(figures).size).toBe(figures.length);
    expect(route.runnersUp.every(({ batchMinutes }) => batchMinutes !== times.batch.value)).toBe(true);
  });

  test('equal work gives equal answers', () => {
    expect(triedOf(slender())).toEqual(triedOf(slender()));
    expect(routeOf(slender()).route.times.batch.value).toBe(routeOf(slender()).route.times.batch.value);
  });

  test('what the run says of its blanks is not varied: without a spigot 9 mm are left to hold 83 by, and it is refused', () => {
    const search = searchOf(slender({ way: 'sawn-blanks', allowances: { spigot: 'none', centreEnd: 'none' } }));
    expect(search.best().ok).toBe(false);
    expect(search.tried.some(({ skeleton }) => skeleton.spigot || skeleton.centred)).toBe(false);
  });
});

describe('a flange that leaves nothing to hold', () => {
  // ⌀60 × 4 with a spigot ⌀13 × 20: no bar of ⌀60 goes through the spindle, and a blank would be held by 3 mm.
  const flange = (more: Partial<RunFile> = {}) =>
    runOf({ outside: [step('13 h8', 20), step(60, 4)] }, { quantity: 8, ...more });

  test('the blank is longer by a spigot, which is faced off last', () => {
    // The quickest of all: held by its rim it could be too, by light cuts.
    const best = searchOf(flange(), {}).best();
    if (!best.ok) throw new Error('it has a route');
    const { route } = best.value;
    expect(route.skeleton).toMatchObject({ way: 'sawn-blanks', spigot: true });
    expect(isSound(best.value)).toBe(true);
    expect(route.setups.at(-1)?.operations[0]?.name).toBe('Face the back, spigot off');
  });

  test('the run says none: held by its rim, or refused where that is too thin', () => {
    // 4 thick its rim is held by 2 in a step of soft jaws, the back first; 2.5 less 1 clear leaves 1.5.
    const none = { allowances: { spigot: 'none' as const } };
    expect(routeOf(flange(none)).route.setups[1]?.setup.holding).toMatchObject({ kind: 'soft-jaws', seated: true });
    const thinner = runOf({ outside: [step('13 h8', 20), step(60, 2.5)] }, { quantity: 8, ...none });
    expect(searchOf(thinner).best().ok).toBe(false);
  });
});

test('a thread blank 0.05 under its bar: the next bar is taken', () => {
  const stud = runOf({ outside: [step(9.9, 20), step(12, 20), step(11.9, 25)] }, { quantity: 20 });
  const { route } = routeOf(stud);
  expect(route.skeleton.dearer).toBeGreaterThan(0);
  expect(route.stock.size).toBeGreaterThan(12);
  expect(route.stock.reasons[0]?.because).toContain('no sound route was found');
});

test('beyond the list a round is to order: ⌀95 as drawn', () => {
  const { route } = routeOf(
    runOf({ material: 'aluminium-6082', outside: [step(30, 30), step(95, 25)] }, { quantity: 4 }),
  );
  expect(route.stock).toMatchObject({ size: 95, toOrder: true });
  expect(route.stock.reasons.map(({ rule }) => rule)).toContain('TO-ORDER');
});

describe('a thread at both ends of ⌀10', () => {
  const rod = (length: number) =>
    runOf(
      {
        outside: [step(10, length)],
        details: [0, length - 25].map((at) => ({ kind: 'thread' as const, at, length: 25, designation: 'M10' })),
      },
      { quantity: 10 },
    );
  const threadsIn = (file: RunFile) => {
    const { setups, skeleton, proof, route } = planOf(file, {});
    const threads = setups.map(({ operations }) =>
      operations.filter(({ kind }) => ['die', 'thread'].includes(kind)).map(({ kind }) => kind),
    );
    return { threads: threads.filter((kinds) => kinds.length > 0), skeleton, proof, route };
  };

  test('150 long its follow rest stands where the far thread would be cut: each is made from its own end, with a die', () => {
    const { threads, skeleton, proof } = threadsIn(rod(150));
    expect(proof.faults).toEqual([]);
    expect(threads).toEqual([['die'], ['die']]);
    expect(skeleton.later).toMatchObject([{ path: 'part.details[1]' }]);
  });

  test('100 long: both could be cut from the front, and the far one is quicker with a die from its own end', () => {
    const { threads, skeleton, route } = threadsIn(rod(100));
    expect(threads).toEqual([['die'], ['die']]);
    expect(skeleton.later).toHaveLength(1);
    const alike = route.runnersUp.find(
      ({ skeleton: { later, ...begins } }) => keyOf({ ...begins }) === keyOf({ ...skeleton, later: [] }) && !later,
    );
    expect(alike?.lostBy).toBeGreaterThan(0);
  });
});

test('a way that the run names is not left', () => {
  const run = readRun(slender({ way: 'from-bar' }), startValues);
  if (!run.ok) throw new Error('it reads');
  expect(triedOf(slender({ way: 'from-bar' })).filter((key) => key.startsWith('sawn'))).toEqual([
    keyOf(usual('sawn-blanks')),
  ]);
  // Of the bar itself: centred first, drawn out, its second side held otherwise or as the first, and each with the other end first.
  const bar = usual('from-bar');
  const others = [
    { ...bar, centred: true },
    { ...bar, drawnOut: true },
    { ...bar, hold: 1 },
    { ...bar, hold: 2 },
    { ...bar, hold: 3 },
    { ...bar, alike: true },
    { ...bar, hold: 3, alike: true },
  ];
  expect(otherSkeletons(run.value, 'from-bar', new Set())).toEqual([
    ...others,
    ...[bar, ...others].map((skeleton) => ({ ...skeleton, end: 'back' })),
  ]);
});

describe('searched on', () => {
  const pulley = () => runOf({ outside: [step(19, 20), step(26, 8)] }, { quantity: 20 });

  test('beyond the first sound route, to the end of the space: nothing is slower for it, and it is proven', () => {
    const usually = planOf(pulley(), { until: 'sound' });
    const whole = planOf(pulley());
    expect(usually.route.proven).toBe(false);
    expect(whole.route).toMatchObject({ proven: true });
    expect(whole.route.tried).toBeGreaterThan(usually.route.tried);
    expect(whole.times.batch.value).toBeLessThanOrEqual(usually.times.batch.value + 1e-9);
    expect(whole.proof.passed).toBe(true);
  });

  test('no longer than is asked for', () => {
    let left = 2;
    const some = planOf(pulley(), { goOn: () => (left -= 1) >= 0 });
    expect(some.route).toMatchObject({ proven: false, tried: 4 });
  });

  test('the same routes alone, where they were found before', () => {
    const found = planOf(pulley());
    const again = planOf(pulley(), { only: found.route.best });
    expect(again.route.tried).toBe(found.route.best.length);
    expect(again.times.batch.value).toBe(found.times.batch.value);
  });
});
