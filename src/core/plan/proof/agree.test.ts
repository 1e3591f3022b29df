import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Plan } from '../plan';
import type { Segment } from '../../model/workpiece/segment';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { example, planned } from '../../testing';
import { checkFinished, type FinishedSetup } from './checkFinished';

const EXAMPLES = readdirSync(join(__dirname, '../../../../examples'))
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace('.json', ''));
const plans = new Map(EXAMPLES.map((name) => [name, planned(example(name))]));
const planOf = (name: string) => plans.get(name) as Plan;

/** The set-ups of a plan, its finished piece changed. z of the last set-up's view. */
function finishedAs({ setups }: Plan, change: (work: Workpiece, length: number) => Workpiece): FinishedSetup[] {
  const cuts = setups.map(({ setup, start, operations }) => ({ setup, start, cuts: operations }));
  const last = cuts.at(-1) as (typeof cuts)[number];
  const piece = last.cuts.at(-1) as (typeof last.cuts)[number];
  const changed = { ...piece, after: change(piece.after, last.setup.part.length) };
  return [...cuts.slice(0, -1), { ...last, cuts: [...last.cuts.slice(0, -1), changed] }];
}

const pathsOf = (setups: FinishedSetup[]): string[] => {
  const checked = checkFinished(setups);
  return checked.ok ? [] : checked.problems.map(({ path }) => path);
};

const turnedEnd = (profile: readonly Segment[], length: number): Segment[] =>
  profile
    .map(({ z0, z1, r0, r1, arc }) => ({
      z0: length - z1,
      z1: length - z0,
      r0: r1,
      r1: r0,
      ...(arc ? { arc: { ...arc, z: length - arc.z } } : {}),
    }))
    .reverse();

/** A straight piece with another diameter. */
const withDiameter = (work: Workpiece, at: number, diameter: number): Workpiece => ({
  ...work,
  outside: work.outside.map((piece) =>
    piece.z0 < at && at < piece.z1 && piece.r0 === piece.r1 ? { ...piece, r0: diameter / 2, r1: diameter / 2 } : piece,
  ),
});

/** A shoulder that stands elsewhere along z. */
const withShoulder = (work: Workpiece, at: number, by: number): Workpiece => ({
  ...work,
  outside: work.outside.map((piece) => ({
    ...piece,
    ...(Math.abs(piece.z0 - at) < 1e-6 ? { z0: at + by } : {}),
    ...(Math.abs(piece.z1 - at) < 1e-6 ? { z1: at + by } : {}),
  })),
});

test('every example leaves its drawing', () => {
  for (const name of EXAMPLES) expect([name, ...pathsOf(finishedAs(planOf(name), (work) => work))]).toEqual([name]);
});

describe('the sensor spacer: ⌀14 h8 × 9, ⌀26 × 13, bored through; last seen from its back', () => {
  const plan = planOf('sensor-spacer');
  const wrong = (change: Parameters<typeof finishedAs>[1]) => pathsOf(finishedAs(plan, change));
  // h8 of 14 is 0/−0.027; 26 is ±0.2 by the general tolerance; the flange is 13 long, so the spigot begins at 13 here.
  test('mirrored end for end, which leaves its volume what it is', () => {
    expect(
      wrong(({ outside, bore }, length) => ({ outside: turnedEnd(outside, length), bore: turnedEnd(bore, length) })),
    ).toContain('part.outside[0]');
  });
  test('its shoulder 0.05 towards either end', () => {
    for (const by of [-0.05, 0.05]) expect(wrong((work) => withShoulder(work, 13, by)).length).toBeGreaterThan(0);
  });
  test.each([
    ['14 at its limits', 18, [14, 13.973], [14.05, 13.923]],
    ['26 at its limits', 6, [26.2, 25.8], [26.25, 25.75]],
  ])('%s passes, beyond them by 0.05 it does not', (_, at, good, bad) => {
    for (const diameter of good) expect(wrong((work) => withDiameter(work, at, diameter))).toEqual([]);
    for (const diameter of bad) expect(wrong((work) => withDiameter(work, at, diameter)).length).toBeGreaterThan(0);
  });
});

test('mirrored, every example is found out but those that are the same from both ends', () => {
  const missed = EXAMPLES.filter(
    (name) =>
      pathsOf(
        finishedAs(planOf(name), ({ outside, bore }, length) => ({
          outside: turnedEnd(outside, length),
          bore: turnedEnd(bore, length),
        })),
      ).length === 0,
  );
  // A collar of one diameter, its edges the same at both ends, a hole through it.
  expect(missed).toEqual(['mast-collar']);
});

test('every step 0.05 beyond its limits, and every shoulder 0.05 off, is found out in every example', () => {
  const missed: string[] = [];
  let tried = 0;
  for (const name of EXAMPLES) {
    const plan = planOf(name);
    const { part } = plan.setups.at(-1)?.setup as Plan['setups'][number]['setup'];
    const last = plan.setups.at(-1)?.operations.at(-1)?.after as Workpiece;
    const look = (what: string, change: (work: Workpiece) => Workpiece) => {
      const changed = change(last);
      if (JSON.stringify(changed) === JSON.stringify(last)) return;
      tried += 1;
      if (pathsOf(finishedAs(plan, () => changed)).length === 0) missed.push(`${name}: ${what}`);
    };
    for (const { path, diameter, zFrom, zTo } of part.steps) {
      const at = (zFrom + zTo) / 2;
      look(`${path} too large`, (work) => withDiameter(work, at, diameter.nominal + diameter.upper + 0.05));
      look(`${path} too small`, (work) => withDiameter(work, at, diameter.nominal + diameter.lower - 0.05));
      if (zFrom === 0) continue;
      for (const by of [-0.05, 0.05]) look(`shoulder at ${zFrom} by ${by}`, (work) => withShoulder(work, zFrom, by));
    }
  }
  expect(tried).toBeGreaterThan(120);
  expect(missed).toEqual([]);
});
