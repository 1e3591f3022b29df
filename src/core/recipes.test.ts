import type { OperationKind } from './model/plan/operation';
import type { HoldingKind } from './plan/holding/means/holding';
import type { Rule } from './plan/order/rules/rule';
import type { StopDevice } from './plan/stops/devices/device';
import { featureKind } from './read/featureKind';

/**
 * The recipes of docs/extending.md, done: each test writes the one file (an entry) and lists it in the one index, and
 * everything else must follow without learning of it.
 */

/** The modules that a recipe is looked at through, loaded with an index that has one entry more. */
async function withIndex(path: string, index: () => object) {
  jest.resetModules();
  jest.doMock(path, index);
  return {
    ...(await import('./testing')),
    ...(await import('./formats/planFile')),
    ...(await import('./formats/planFileSchema')),
    ...(await import('./read/problems')),
    ...(await import('./read/lines')),
    ...(await import('./present/operation')),
  };
}

type World = Awaited<ReturnType<typeof withIndex>>;

/** A plan file that its published schema takes. */
function written({ planFileOf, checkShape, planFileSchema }: World, plan: Parameters<World['planFileOf']>[0]) {
  const file = planFileOf(plan);
  expect(checkShape(planFileSchema, JSON.parse(JSON.stringify(file)))).toMatchObject({ ok: true });
  return file;
}

afterEach(() =>
  [
    './plan/stops/devices',
    './plan/order/rules',
    './plan/operations',
    './plan/holding/means',
    './read/details',
    './model/shop/houseRules',
  ].forEach((path) => jest.dontMock(path)),
);

test('a stop device: the choice, pins, minutes, words and plan file take it up', async () => {
  // Quicker than any other, and as close as a station: everything that the carriage comes to goes by it.
  const scribedLine = {
    means: 'scribed-line',
    axis: 'carriage',
    numbered: true,
    staysSet: true,
    shape: 'round',
    words: (place) => `scribed line ${place}`,
    short: (place) => `line ${place}`,
    byItself: () => ({
      use: { name: 'look for the line', minutes: 0.007, per: 'operation' },
      ready: { name: 'line scribed', minutes: 0.25 },
      spread: 0.01,
    }),
  } as const satisfies StopDevice;
  const world = await withIndex('./plan/stops/devices', () => {
    const { stopDevices, deviceOf } = jest.requireActual('./plan/stops/devices');
    return {
      stopDevices: [...stopDevices, scribedLine],
      deviceOf: (means: string) => (means === scribedLine.means ? scribedLine : deviceOf(means)),
    };
  });
  const plan = world.planned(world.example('sensor-spacer'));
  const setup = plan.setups[0] as (typeof plan.setups)[number];
  const chamfer = setup.operations.find(({ kind }) => kind === 'chamfer') as (typeof setup.operations)[number];
  expect(world.operationView(setup, chamfer).stop?.words).toMatch(/^scribed line \d$/);
  expect(chamfer.hand.terms).toContainEqual(expect.objectContaining({ name: 'look for the line', value: 0.007 }));
  // Each is scribed when the machine is set.
  expect(setup.setting.terms.map(({ name }) => name)).toContainEqual(expect.stringMatching(/^\d × line scribed$/));
  const stops = written(world, plan).setups.flatMap(({ operations }) => operations.map(({ stop }) => stop));
  expect(stops).toContainEqual(expect.objectContaining({ means: 'scribed-line', 'scribed-line': 1 }));
});

test('a rule of the order: what it asks for comes first, and its reason is told', async () => {
  const because = 'The hole shows whether the bar is sound before time goes into its outside.';
  const holeSoon: Rule = {
    id: 'HOLE-SOON',
    strength: 'H',
    first: ['drill'],
    then: ['turn-rough'],
    before: () => because,
  };
  const world = await withIndex('./plan/order/rules', () => ({
    rules: [holeSoon, ...jest.requireActual('./plan/order/rules').rules],
  }));
  const plan = world.planned(world.example('sensor-spacer'));
  const kinds = plan.setups[0]?.operations.map(({ kind }) => kind) ?? [];
  expect(kinds.indexOf('drill')).toBeLessThan(kinds.indexOf('turn-rough'));
  expect(plan.setups[0]?.operations.flatMap(({ reasons }) => reasons)).toContainEqual({ rule: 'HOLE-SOON', because });
  written(world, plan);
});

test('a kind of operation: numbered, timed, shown, in the plan file', async () => {
  const wipe: OperationKind = {
    kind: 'wipe',
    handFed: true,
    turnsAtOverhang: false,
    underCentre: false,
    byHand: 'stopped',
    demand: ({ number, run, holding }) => ({
      ok: true,
      value: [
        {
          key: `wipe:${number}`,
          kind: 'wipe',
          feature: 'seat',
          name: 'Wipe the seat',
          tool: run.shop.tools.find(({ does }) => does.includes('inspect')) as (typeof run.shop.tools)[number],
          from: holding.from,
          to: holding.from,
          removal: {},
          stop: { means: 'none', settings: [] },
          checks: [],
        },
      ],
    }),
    cut: () => ({ ok: true, value: { diameter: 0, passes: [], byHand: [{ name: 'wipe', minutes: 0.11 }] } }),
    cautions: [{ kind: 'danger', text: 'Wiped with the spindle stopped.' }],
  };
  const world = await withIndex('./plan/operations', () => {
    const { operationKinds, kindOf } = jest.requireActual('./plan/operations');
    return {
      operationKinds: [wipe, ...operationKinds],
      kindOf: (operation: { kind: string }) => (operation.kind === 'wipe' ? wipe : kindOf(operation)),
    };
  });
  const plan = world.planned(world.example('mast-collar'));
  const wiped = plan.setups[0]?.operations.find(({ kind }) => kind === 'wipe');
  expect(wiped?.number).toBeGreaterThan(0);
  expect(wiped?.hand.value).toBeCloseTo(0.11, 9);
  expect(wiped?.cautions.map(({ text }) => text)).toContain('Wiped with the spindle stopped.');
  const kinds = written(world, plan).setups[0]?.operations.map(({ kind }) => kind);
  expect(kinds).toContain('wipe');
  // The part-off stays last.
  expect(kinds?.at(-1)).toBe('part-off');
});

test('a means of holding: taken where it is best, with its words and its minutes', async () => {
  const seat: HoldingKind = {
    kind: 'spring-seat',
    words: 'in a spring seat',
    opens: true,
    marks: false,
    against: ({ inside }) => (inside ? 'it holds from outside' : undefined),
    figures: () => ({ from: 1, upTo: 100, length: 30, runOut: 0.002, load: 0.01, change: 0 }),
  };
  const world = await withIndex('./plan/holding/means', () => {
    const { holdingKinds, holdingOf } = jest.requireActual('./plan/holding/means');
    return {
      holdingKinds: [...holdingKinds, seat],
      holdingOf: (kind: string) => (kind === seat.kind ? seat : holdingOf(kind)),
    };
  });
  const plan = world.planned(world.example('sensor-spacer'));
  expect(plan.setups.at(-1)?.setup.holding).toMatchObject({
    kind: 'spring-seat',
    words: 'in a spring seat',
    load: 0.01,
  });
  expect(plan.setups.at(-1)?.loading.terms.map(({ name }) => name)).toContain('load in a spring seat');
  written(world, plan);
});

test('a feature: file, schema, lines and doubts take it up', async () => {
  const scribe = featureKind({
    kind: 'scribe',
    label: 'Scribed line',
    fields: [
      { key: 'at', label: 'At', takes: 'place', needed: true },
      { key: 'width', label: 'Width', takes: 'length', needed: true },
    ],
    read: ({ at, width }, path) => ({
      ok: true,
      value: {
        path,
        kind: 'scribe',
        name: 'scribed line',
        z0: at.nominal,
        z1: at.nominal + width,
        dimensions: [],
      },
    }),
  });
  const world = await withIndex('./read/details', () => ({
    detailKinds: [...jest.requireActual('./read/details').detailKinds, scribe],
  }));
  const file = world.runOf({
    outside: [world.step(10, 20)],
    details: [{ kind: 'scribe', at: 8, width: 0.5 } as never],
  });
  const plan = world.planned(file);
  expect(plan.run.part.features).toMatchObject([{ kind: 'scribe', z0: 8, z1: 8.5 }]);
  // No operation makes it yet: said, not left out.
  expect(plan.doubts).toContainEqual(expect.objectContaining({ rule: 'NO-OPERATION', path: 'part.details[0]' }));
  expect(world.readLines('scribe 8; 0.5\n10; 20')).toMatchObject({
    ok: true,
    value: { details: [{ kind: 'scribe' }] },
  });
  written(world, plan);
});

test('a house rule: asked, begun with, taken from a run file, and a school that there is not is refused', async () => {
  const question = {
    rule: 'oiling',
    start: 'by-hand',
    question: 'How does the oil come to the cut?',
    schools: [
      { value: 'by-hand', label: 'with a brush', because: 'Enough for short runs.' },
      { value: 'by-drip', label: 'from a drip', because: 'Both hands stay free.' },
    ],
  };
  const world = await withIndex('./model/shop/houseRules', () => {
    const { houseQuestions, startRules } = jest.requireActual('./model/shop/houseRules');
    return { houseQuestions: [...houseQuestions, question], startRules: { ...startRules, oiling: question.start } };
  });
  const file = world.example('mast-collar');
  const rulesOf = (rules: object) => world.planned({ ...file, rules } as typeof file).run.shop.houseRules;
  expect(rulesOf({})).toMatchObject({ oiling: 'by-hand' });
  expect(rulesOf({ oiling: 'by-drip' })).toMatchObject({ oiling: 'by-drip' });
  expect(world.problemsOf({ ...file, rules: { oiling: 'never' } })).toMatchObject([{ path: 'rules.oiling' }]);
});
