import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/machine';
import { standsAt } from '../plan/stops/planStops';
import { planned, runOf, step } from '../testing';
import { familyStops, type FamilyStops } from './familyStops';

const [{ indicator, feelers, ...bare }] = startValues.machines as [Machine];
void [indicator, feelers];

/** Four screws, spacers of 10 and 20, a read-out, and nothing else that stops a carriage. */
const lathe: Machine = { ...bare, spacers: [10, 20] };

/** A stud ⌀12 on ⌀20 × 8, its shoulder at a length, from the bar and from the front. */
const stud = (length: number, machine: Machine = lathe, quantity = 10) =>
  runOf(
    { number: `T-${length}`, outside: [step(12, length), step(20, 8)] },
    // Each stands out as far as the longest wants it, so that no wrong screw of the set lets a tool meet the jaws.
    { quantity, overrules: [{ setup: 1, stickOut: 53.6 }], way: 'from-bar', firstEnd: 'front', machine },
  );

function familyIn(files: ReturnType<typeof stud>[]): FamilyStops {
  const found = familyStops(files.map((file) => planned(file)));
  if ('message' in found) throw new Error(found.message);
  return found;
}

/** Screws of the first set-up that serve a family: how deep each stands, rising. */
const screwsOf = ({ setups }: FamilyStops): number[] =>
  [
    ...new Set(
      (setups[0]?.pins ?? []).flatMap((pins = []) => pins.filter(({ means }) => means === 'station').map(standsAt)),
    ),
  ].sort((a, b) => a - b);

describe('one set of stops for a family of lengths', () => {
  // The face at nought; roughed to 17.9, 27.9, 37.9; shoulders at 18, 28, 38; parted at 28.3, 38.3, 48.3. Four screws: the face, and
  // the deepest of each three, the others of it over a spacer of 10 or 20 (0.10, where the read-out takes 0.20).
  const three = [stud(18), stud(28), stud(38)];

  test('three lengths are served by one screw, with a spacer each', () => {
    const family = familyIn(three);
    const shoulders = family.setups[0]?.pins.map((pins, run) =>
      pins?.find(({ setting }) => setting === [18, 28, 38][run]),
    );
    expect(shoulders?.map((pin) => pin?.means)).toEqual(['station', 'station', 'station']);
    expect(shoulders?.map((pin) => pin?.spacers ?? [])).toEqual([[20], [10], []]);
    expect(screwsOf(family).map((at) => Number(at.toFixed(3)))).toEqual([0, 37.9, 38, 48.3]);
  });

  // Ten of each: apart 3 · (4 screws + 10 · 4 · 0.05) = 18; together 4 + 30 · 0.05 + 3 · (10 · 0.05 + 20 · 0.10) = 13; and the
  // one screw of the other side, set once instead of three times: 7 less. Forty of each: 36 + 3 against 4 + 6 + 3 · (2 + 8) + 1 = 41.
  test('for few pieces one set for all is less than setting each; for many the spacers take more than that saves', () => {
    const few = familyIn(three);
    expect(few.gap).toBe(0);
    expect(few.apart - few.together).toBeCloseTo(7, 1);
    const many = familyIn([18, 28, 38].map((length) => stud(length, lathe, 40)));
    expect(many.together).toBeGreaterThan(many.apart);
  });

  // As far as each by itself: the shortest stands 33.6 out, and a screw at 38 would let its tools into the jaws.
  test('a set that would let a tool of the shortest meet the jaws is not taken', () => {
    const apart = [18, 28, 38].map((length) => ({ ...stud(length), overrules: [] }));
    const family = familyIn(apart);
    const usesScrews = family.setups[0]?.pins[0]?.some(({ means }) => means === 'station');
    expect(usesScrews === true && Math.max(...screwsOf(family)) > 33.6).toBe(false);
  });

  // With screws enough and forty of each, a screw (1.0) is less than a spacer at each (40 · 0.05): none is laid in; what they share, the face, is one screw.
  test('with many screws a station each; the face is one for all', () => {
    const roomy = { ...lathe, stations: 12 };
    const family = familyIn([18, 28, 38].map((length) => stud(length, roomy, 40)));
    expect(family.setups[0]?.pins.flatMap((pins = []) => pins.flatMap(({ spacers }) => spacers ?? []))).toEqual([]);
    const faces = family.setups[0]?.pins.map((pins) => pins?.find(({ setting }) => Math.abs(setting) < 0.01)?.place);
    expect(new Set(faces).size).toBe(1);
  });

  // Face, roughed and finished shoulder, parted: four figures each, the face the same for both, so seven are stored; at 0.12 a use each
  // against 0.20 to read it, with ten pieces 0.8 less 0.2 to store it.
  test('a figure that two of them come to is stored once', () => {
    const stores: Machine = { ...lathe, stations: 0, presets: 7 };
    const family = familyIn([stud(18, stores), stud(28, stores)]);
    const pins = family.setups[0]?.pins.map((own = []) => own) ?? [];
    expect(pins.flat().map(({ means }) => means)).toEqual(Array<string>(8).fill('preset'));
    expect(new Set(pins.flat().map(({ place }) => place)).size).toBe(7);
    expect(pins.map((own) => own[0]?.place)).toEqual([1, 1]);
    expect(family.setups[0]?.readied).toEqual(
      Array.from({ length: 7 }, () => ({ name: 'preset stored', minutes: startValues.stops.presetReady })),
    );
  });

  test('what makes a run stop so is followed by its own plan, and nothing is asked where it does so already', () => {
    const family = familyIn(three);
    three.forEach((file, run) => {
      const plan = planned({ ...file, overrules: [...(file.overrules ?? []), ...(family.overrules[run] ?? [])] });
      for (const pin of family.setups[0]?.pins[run] ?? []) {
        const own = plan.setups[0]?.pins.find(({ operations }) => operations.includes(pin.operations[0] ?? ''));
        expect([own?.means, own?.spacers ?? []]).toEqual([pin.means, pin.spacers ?? []]);
      }
      expect(plan.setups.flatMap(({ overruled }) => overruled.map(({ state }) => state))).not.toContain('cannot');
    });
  });

  test('one alone, or one on another lathe, is no family', () => {
    const [one, two] = [planned(stud(18)), planned(stud(28, { ...lathe, id: 'other' }))];
    expect(familyStops([one])).toMatchObject({ message: 'wants two runs at least' });
    expect(familyStops([one, two])).toMatchObject({ message: expect.stringContaining('another machine') });
  });
});
