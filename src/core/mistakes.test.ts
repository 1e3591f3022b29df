import type { DetailFile, PartFile, RunFile } from './read/runFile';
import { planFile } from './plan/plan';
import type { Searching } from './plan/search';
import { usual } from './plan/skeleton';
import type { Overrule } from './model/overrule';
import { startValues } from './model/shop/startValues';
import type { Shop } from './model/shop/shop';
import { doubtsOf, only, operationsOf, planned, problemsOf, runOf, step } from './testing';

/** The mistakes that a planner should catch before they happen (trade: Mistakes), each provoked. */

const fromBar = { way: 'from-bar' as const };
const pin = (part: Partial<PartFile> = {}, more: Partial<RunFile> = {}): RunFile =>
  runOf(
    {
      outside: [step('12 h8', 14, { chamfers: { front: 0.5 } }), step(20, 16)],
      bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 10 }],
      ...part,
    },
    { ...fromBar, ...more },
  );
const inShop = (file: RunFile, change: (shop: Shop) => Shop, searching?: Searching) =>
  planFile(file, change(startValues), 'all', searching);
const waits = (file: RunFile, overrule: Overrule, searching?: Searching) => {
  const plannedOverrule = planned({ ...file, overrules: [overrule] }, startValues, searching).overrules[0];
  return plannedOverrule?.state === 'waits' ? plannedOverrule.breaks.map(({ rule }) => rule) : [];
};

describe('order', () => {
  test('a centre forgotten until after the finish', () => {
    const shaft = runOf({ material: 'mild-steel', outside: [step('12 h8', 70), step(16, 20)] }, fromBar);
    const at = { only: [usual('from-bar')] };
    expect(waits(shaft, { first: 'turn-finish:part.outside[0]', then: 'centre:1' }, at)).toContain('CENTRE-SUPPORT');
  });

  test('part-off before a hole, and before a chamfer', () => {
    expect(waits(pin(), { first: 'part-off', then: 'drill:part.bores[0]' })).toContain('HOLES-BEFORE-PART');
    expect(waits(pin(), { first: 'part-off', then: 'chamfer:part.outside[0].chamfers.front' })).toContain(
      'EDGE-BEFORE-LOSS',
    );
  });

  test('a speed left in from the operation before: told where it has to come down far', () => {
    const told = operationsOf(pin()).filter(({ cautions }) =>
      cautions.some(({ text }) => text.startsWith('Down from')),
    );
    expect(told.length).toBeGreaterThan(0);
    for (const { speed, cautions } of told) {
      const [, before = '0'] = /Down from (\d+)/.exec(cautions.map(({ text }) => text).join()) ?? [];
      expect(Number(before)).toBeGreaterThanOrEqual(4 * speed.value);
    }
  });

  test('a form tool at turning speed, where the house has one speed for all', () => {
    const grooved = pin(
      { details: [{ kind: 'radius', at: 30, size: 2, form: 'corner' }], material: 'stainless-304' },
      { rules: { speed: 'fixed' } },
    );
    expect(only(grooved, 'form').warnings.join()).toMatch(/m\/min, and this kind of cut wants \d+ in/);
  });

  test('a length whose datum is not there yet: the end for a centre is before it', () => {
    const shaft = runOf(
      { material: 'mild-steel', outside: [step('12 h8', 70), step(16, 20)] },
      { way: 'sawn-blanks', allowances: { centreEnd: 6, spigot: 'choose' } },
    );
    expect(
      only(shaft, 'turn-finish')
        .cautions.map(({ text }) => text)
        .join(),
    ).toContain('6 mm behind the end');
  });
});

describe('lengths and depths', () => {
  test('the blade’s width on the wrong side: both edges have their own setting, and say which', () => {
    const { settings } = only(pin(), 'part-off').stop;
    const width = planned(pin()).stock.blade?.width ?? 0;
    expect(settings.map(({ edge }) => edge)).toEqual(['left', 'right']);
    expect((settings[0]?.setting.value ?? 0) - (settings[1]?.setting.value ?? 0)).toBeCloseTo(width, 9);
  });

  test('a drill’s point not allowed for: the tip stops deeper than the hole, or comes out and is refused', () => {
    const drill = only(pin(), 'drill');
    expect(drill.to - (drill.fullDepth ?? 0)).toBeCloseTo(0.3004 * 5, 3);
    const deep = pin({ bores: [{ from: 'front', shape: 'drill', diameter: 10, depth: 29 }] });
    expect(problemsOf(deep)[0]?.message).toContain('its point would come through');
  });

  test('stock too short by the kerf: each piece takes its blade', () => {
    const { stock } = planned(pin());
    // 30 long, 0.3 to face at both ends, and the blade.
    expect(stock.each.value).toBeCloseTo(30 + 0.6 + (stock.blade?.width ?? 0), 9);
  });

  test('a bar end that is no good length: cut off first, and said', () => {
    expect(planned(pin()).stock.firstEnd).toBe(0.5);
    expect(
      planned(pin())
        .setups[0]?.setup.cautions.map(({ text }) => text)
        .join(),
    ).toContain('is no length');
  });

  test('radius taken for diameter: a read-out of radii is told, and its figures are half', () => {
    const plan = inShop(pin(), (shop) => ({
      ...shop,
      machines: shop.machines.map((machine) => ({ ...machine, readOut: 'radius' as const })),
    }));
    const cautions = plan.ok ? plan.value.setups[0]?.setup.cautions : [];
    expect(cautions?.map(({ text }) => text).join()).toContain('shows radius');
  });
});

describe('what touches what', () => {
  test('a tool that stands ahead of its cut would meet the jaws', () => {
    const thread: DetailFile = { kind: 'thread', at: 14, length: 10, designation: 'M20x1.5', runOut: 6 };
    const late = inShop(
      pin({ details: [thread] }, { way: 'from-bar', allowances: { jawClearance: 5 } }),
      (shop) => ({
        ...shop,
        tools: shop.tools.map((tool) => (tool.does.includes('thread') ? { ...tool, ahead: 20 } : tool)),
      }),
      { only: [usual('from-bar')] },
    );
    expect(!late.ok && late.problems[0]?.message).toMatch(/tool to the jaws is [\d.]+ mm short; more stick-out/);
    expect(planned(pin({ details: [thread] })).doubts).toEqual([]);
  });

  test('a blade whose holder would meet the flange beside it: one that reaches further is taken, else none', () => {
    // ⌀10 beside a flange of ⌀34: (34 − 10) / 2 = 12 to clear, and the blade of 1.5 reaches 9, that of 2 reaches 13.
    const grooved = (width: number): RunFile =>
      pin({ outside: [step(12, 14), step(34, 16)], details: [{ kind: 'groove', at: 14 - width, width, bottom: 10 }] });
    expect(only(grooved(2), 'groove').tool.id).toBe('blade-2');
    expect(
      only(grooved(2), 'groove').clearances.find(({ what }) => what.startsWith('holder to the work')),
    ).toMatchObject({ distance: expect.closeTo(5 + 13 - 17, 9) });
    expect(doubtsOf(grooved(1.5))).toEqual(['NO-OPERATION part.details[0]']);
    // Further from the flange than its holder is wide beside the cut, the short one does it.
    const free = pin({
      outside: [step(12, 14), step(34, 16)],
      details: [{ kind: 'groove', at: 4, width: 1.5, bottom: 10 }],
    });
    expect(only(free, 'groove').tool.id).toBe('blade-1.5');
  });

  test('the compound set over, and the chuck behind the jaws', () => {
    // From the bar ⌀34 in jaws: 16.7° along the axis is nearly all of what stands ahead.
    const coned = pin({
      outside: [step(12, 8), { shape: 'cone', from: 12, to: 24, length: 20 }, step(34, 12)],
      bores: [],
    });
    const cone = only(coned, 'taper');
    const { holding } = planned(coned).setups[0]?.setup ?? {};
    const half = Math.atan(6 / 20);
    const clearance = cone.clearances.find(({ what }) => what === 'compound to the chuck');
    expect(clearance?.distance).toBeCloseTo((holding?.from ?? 0) + 25 - (28 + 15 * Math.cos(half)), 9);
    const long = inShop(coned, (shop) => ({
      ...shop,
      machines: shop.machines.map((machine) => ({ ...machine, compoundAhead: 80 })),
    }));
    expect(!long.ok && long.problems[0]?.message).toContain('compound to the chuck');
  });

  test('a boring bar that stands ahead of its edge, and the bottom of its hole', () => {
    const bored = pin({ bores: [{ from: 'front', shape: 'bore', diameter: 10, depth: 10, bottom: 'flat' }] });
    const ahead = inShop(bored, (shop) => ({
      ...shop,
      tools: shop.tools.map((tool) => (tool.does.includes('bore') ? { ...tool, ahead: 6 } : tool)),
    }));
    expect(!ahead.ok && ahead.problems[0]?.message).toContain('end of the bar to the bottom');
  });

  test('a holder over a slim collet nose is clear of it, in a chuck it is not', () => {
    const late = (over: number) =>
      inShop(
        pin({ outside: [step(12, 14), step(16, 16)] }, { way: 'from-bar', allowances: { jawClearance: 5 } }),
        (shop) => ({
          ...shop,
          tools: shop.tools.map((tool) => (tool.does.includes('part-off') ? { ...tool, holder: 9 } : tool)),
          machines: shop.machines.map((machine) => ({ ...machine, collets: { ...machine.collets, over } })),
        }),
      );
    // The blade reaches to the middle: its holder stands at least as far out as its reach.
    expect(late(16).ok).toBe(true);
    const near = late(60);
    expect(!near.ok && near.problems[0]?.message).toContain('holder to the jaws is 4 mm short');
  });

  test('a long drill and the tailstock on a short bed', () => {
    const short = inShop(pin(), (shop) => ({
      ...shop,
      machines: shop.machines.map((machine) => ({ ...machine, betweenCentres: 230 })),
    }));
    expect(!short.ok && short.problems[0]?.message).toContain('room for the tailstock');
    // 500 − 90 − stick-out − flute − 80 is what there is on the usual one.
    const drill = only(pin(), 'drill');
    const stickOut = planned(pin()).setups[0]?.setup.stickOut.value ?? 0;
    expect(drill.clearances[0]?.distance).toBeCloseTo(500 - 90 - stickOut - (drill.tool.flute ?? 0) - 80, 9);
  });

  test('a boring bar that rubs its back: the hole it finds is as wide as it needs', () => {
    const bored = pin({ bores: [{ from: 'front', shape: 'bore', diameter: 10, depth: 10, bottom: 'flat' }] });
    const { clearances, tool } = only(bored, 'bore');
    const hole = only(bored, 'drill').diameter ?? 0;
    expect(clearances).toMatchObject([{ what: 'back of the bar to the wall' }]);
    expect(clearances[0]?.distance).toBeCloseTo(hole - (tool.diameter ?? 0), 9);
    expect(clearances[0]?.distance).toBeGreaterThanOrEqual((tool.least ?? 0) - (tool.diameter ?? 0));
  });

  test('a drill right through meets what stands behind: said at the drill', () => {
    const through = pin(
      { bores: [{ from: 'front', shape: 'drill', diameter: 5, depth: 'through' }] },
      { way: 'sawn-blanks' },
    );
    expect(
      only(through, 'drill')
        .cautions.map(({ text }) => text)
        .join(),
    ).toContain('comes out behind');
  });

  test('a slender part that wants a rest: refused without room for it, or without one; else it is there', () => {
    const slender = (jawClearance: number, more: Partial<RunFile['part']> = {}) =>
      runOf(
        { material: 'mild-steel', outside: [step('8 h8', 120), step(12, 20)], ...more },
        { ...fromBar, allowances: { jawClearance } },
      );
    // With a hole in its end it cannot be centred and drawn out.
    const hollow = { bores: [{ from: 'front' as const, shape: 'drill' as const, diameter: 3, depth: 6 }] };
    expect(problemsOf(slender(5, hollow))[0]).toMatchObject({
      path: 'allowances.jawClearance',
      message: expect.stringContaining('is 20 mm wide, and between the jaws and the end of the cut there are 5 mm'),
    });
    const none = inShop(slender(20, hollow), (shop) => ({
      ...shop,
      machines: shop.machines.map((machine) => ({ ...machine, rests: [] })),
    }));
    expect(!none.ok && none.problems[0]?.message).toContain('has none for that diameter');
    // Left open, the room that the rest wants is left.
    const roomy = { only: [{ ...usual('from-bar'), clearance: 20 }] };
    const open = planned({ ...slender(20), allowances: {} }, startValues, roomy);
    expect(open.setups[0]?.setup.rest).toMatchObject({ kind: 'follow' });
    const [first] = planned(slender(20), startValues, { only: [usual('from-bar')] }).setups;
    expect(first?.setup).toMatchObject({ supported: true, rest: { kind: 'follow' } });
    expect(first?.setup.reasons.map(({ rule }) => rule)).toEqual(['HOLDING', 'CENTRE-SUPPORT', 'REST']);
    expect(first?.loading.terms.map(({ name }) => name)).toContain('rest up to the work');
  });

  test('a slender part is never finished with a heavy cut', () => {
    const shaft = runOf({ material: 'mild-steel', outside: [step('12 h8', 70), step(16, 20)] }, fromBar);
    for (const { passes } of operationsOf(shaft).filter(({ kind }) => kind === 'turn-finish'))
      for (const { depth } of passes) expect(depth).toBeLessThanOrEqual(0.25 + 1e-9);
  });
});

describe('holding and shapes', () => {
  test('grip marks: no jaw bare on a fit', () => {
    const fitted = runOf({ outside: [step('12 h8', 14), step('20 h8', 16)] }, fromBar);
    expect(['collet', 'soft-jaws', 'split-bush']).toContain(planned(fitted).setups[1]?.setup.holding.kind);
  });

  test('a thread that ends too fat for its nut', () => {
    const thread: DetailFile = { kind: 'thread', at: 0, length: 14, designation: 'M12x1' };
    expect(doubtsOf(pin({ outside: [step(12, 14), step(20, 16)], details: [thread] }))).toContain(
      'THREAD-RUN-OUT part.details[0]',
    );
  });

  test('a tool off centre leaves a nib: said at the first face, and nowhere again', () => {
    const said = operationsOf(pin()).filter(({ cautions }) =>
      cautions.some(({ text }) => text.includes('leaves a nib')),
    );
    expect(said.map(({ number }) => number)).toEqual([10]);
  });
});

test('every caution of a plan is told once, and every sheet says what comes first', () => {
  const texts = planned(pin()).setups.flatMap(({ operations }) =>
    operations.flatMap(({ cautions }) => cautions.map(({ text }) => text)),
  );
  const usual = texts.filter((text) => !text.startsWith('Down from'));
  expect(new Set(usual).size).toBe(usual.length);
});
