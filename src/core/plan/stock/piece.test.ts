import type { PieceFile, RunFile } from '../../read/runFile';
import { startValues } from '../../model/shop/startValues';
import { planned, problemsOf, runOf, step } from '../../testing';

/** A journal of ⌀34 h9 × 40 before a head of ⌀48 × 16 that stays as it came; forged, 3 mm before its front face. */
const forged = (piece: Partial<PieceFile> = {}, more: Partial<RunFile> = {}): RunFile =>
  runOf(
    {
      material: 'mild-steel',
      outside: [step('34 h9', 40, { name: 'journal' }), step(48, 16, { name: 'head', keep: true })],
    },
    {
      quantity: 6,
      stock: {
        form: 'piece',
        ahead: 3,
        skin: true,
        grade: 'forged, unknown',
        outside: [step(42, 43), step(48, 16)],
        ...piece,
      },
      ...more,
    },
  );

test('only what differs from the drawing is made: in one holding, by the head, which stays', () => {
  const { setups, stock, proof, way } = planned(forged());
  expect(setups).toHaveLength(1);
  expect(setups[0]?.setup.holding).toMatchObject({ grip: 'stock', diameter: 48 });
  // The jaws stay behind the shoulder at 40.
  expect(setups[0]?.setup.holding.from).toBeGreaterThan(40);
  expect(stock).toMatchObject({ form: 'piece', way: 'as-it-arrives', asDrawn: ['part.outside[1]'] });
  expect(setups[0]?.operations.filter(({ feature }) => feature === 'part.outside[1]')).toEqual([]);
  expect([way, proof.passed]).toEqual(['as-it-arrives', true]);
});

test('an edge of a surface that stays is broken where that surface is, not where the piece is widest', () => {
  const file = runOf(
    { outside: [step(20, 12, { chamfers: { front: 0.5 } }), step(40, 14)] },
    { stock: { form: 'piece', ahead: 1, outside: [step(20, 13), step(40, 14)] } },
  );
  const { setups, proof } = planned(file);
  const chamfer = setups.flatMap(({ operations }) => operations).find(({ kind }) => kind === 'chamfer');
  expect(chamfer?.diameter).toBeCloseTo(20, 9);
  expect(proof.faults).toEqual([]);
});

test('at the nominal size of a fit that lies above it, it is not there already: it cannot be made', () => {
  // ⌀26 p6 is 26.022 to 26.035.
  const pressed = { part: [step('26 p6', 20), step(40, 10)], piece: [step(26, 21), step(40, 10)] };
  const file = runOf({ outside: pressed.part }, { stock: { form: 'piece', ahead: 1, outside: pressed.piece } });
  expect(problemsOf(file)[0]?.path).toBe('stock.outside');
});

test('it is cut from the size that it has there: ⌀42 down to the finish, not from the ⌀48 of its head', () => {
  const rough = planned(forged()).setups[0]?.operations.find(({ kind }) => kind === 'turn-rough');
  expect(rough?.passes[0]?.on).toBeCloseTo(42, 9);
  // 34 h9 lies between 33.938 and 34; its middle, and 0.25 a side for the finish.
  expect(rough?.passes.at(-1)?.diameter).toBeCloseTo(33.969 + 0.5, 3);
});

test('so many arrive: no spares, no bars to order', () => {
  const { stock } = planned(forged());
  expect([stock.toMake.value, stock.cost.order.value, stock.each.value]).toEqual([6, 0, 59]);
});

test('of unknown make and with its skin on: told once, at its first set-up', () => {
  const cautions = planned(forged()).setups.flatMap(({ setup }) => setup.cautions.map(({ text }) => text));
  expect(cautions.filter((text) => text.includes('Of unknown make'))).toHaveLength(1);
  expect(cautions.filter((text) => text.includes('interrupted until it is round'))).toHaveLength(1);
});

test('a hole through that is drilled already is not drilled again, though its mouth is bored wider', () => {
  const drilled = { from: 'front', shape: 'drill', diameter: 8, depth: 'through' } as const;
  const mouth = { from: 'front', shape: 'bore', diameter: 12, depth: 5, bottom: 'flat' } as const;
  const kinds = (bores: PieceFile['bores']) =>
    planned(
      runOf(
        { outside: [step(40, 26, { keep: true })], bores: [drilled, mouth] },
        { stock: { form: 'piece', ahead: 0, outside: [step(40, 26)], ...(bores ? { bores } : {}) } },
      ),
    ).setups.flatMap(({ operations }) => operations.map(({ kind }) => kind));
  expect(kinds([drilled])).not.toContain('drill');
  expect(kinds([drilled])).toContain('bore');
  expect(kinds(undefined)).toContain('drill');
});

test('2 mm more behind its head are faced off from the other side', () => {
  const { setups, proof } = planned(forged({ outside: [step(42, 43), step(48, 18)] }));
  expect(setups.map(({ setup }) => [setup.end, setup.facing])).toEqual([
    ['front', 3],
    ['back', 2],
  ]);
  expect(proof.faults).toEqual([]);
});

test('a hole that is there is opened, and what has its size already is left alone', () => {
  const { setups, proof } = planned(
    runOf(
      { outside: [step(30, 20)], bores: [{ from: 'front', shape: 'bore', diameter: '16 H7', depth: 'through' }] },
      {
        stock: {
          form: 'piece',
          ahead: 0,
          outside: [step(30, 20)],
          bores: [{ from: 'front', shape: 'drill', diameter: 12, depth: 'through' }],
        },
      },
    ),
  );
  const kinds = setups.flatMap(({ operations }) => operations.map(({ kind }) => kind));
  expect(kinds).toContain('bore');
  expect(kinds.filter((kind) => ['face', 'turn-rough', 'turn-finish', 'centre'].includes(kind))).toEqual([]);
  expect(proof.faults).toEqual([]);
});

test('a bored piece of unknown make is dialled: its wall is even only by what stays of it', () => {
  const bored = (grade?: string) =>
    planned(
      runOf(
        {
          outside: [step(30, 20), step(50, 12, { keep: true })],
          bores: [{ from: 'front', shape: 'drill', diameter: 10, depth: 'through' }],
        },
        {
          stock: { form: 'piece', ahead: 1, outside: [step(33, 21), step(50, 12)], ...(grade ? { grade } : {}) },
        },
      ),
    ).setups[0]?.setup.holding.kind;
  expect([bored(), bored('welded')]).toEqual(['3-jaw', '4-jaw']);
});

describe('our own pieces half made', () => {
  const thread = (at: number) => ({ kind: 'thread' as const, at, length: 15, designation: 'M10' });
  const knurl = { kind: 'knurl' as const, at: 2, length: 16, pattern: 'straight' as const, pitch: 0.8 };

  test('a stud with its front half done: held by that thread in a collet, the rest made from the back', () => {
    const { setups, stock, proof, doubts } = planned(
      runOf(
        {
          material: 'free-cutting-steel',
          outside: [step(10, 20), step(9, 20), step(10, 20)],
          details: [thread(0), thread(45)],
        },
        {
          quantity: 4,
          stock: { form: 'piece', ahead: 0, outside: [step(10, 20), step(12, 41)], details: [thread(0)] },
        },
      ),
    );
    expect(stock.asDrawn).toEqual(['part.outside[0]', 'part.details[0]']);
    expect(setups.map(({ setup }) => [setup.end, setup.holding.kind])).toEqual([['back', 'collet']]);
    // The thread that is there is not cut again, and the other is.
    const threads = setups.flatMap(({ operations }) => operations.filter(({ kind }) => /die|thread/.test(kind)));
    expect(threads.map(({ feature }) => feature)).toEqual(['part.details[1]']);
    expect([proof.faults, doubts.filter(({ rule }) => rule === 'NO-OPERATION')]).toEqual([[], []]);
  });

  test('over a knurl that is there only what spares it holds; another pitch is not there and is refused', () => {
    const knob = (pitch: number) =>
      runOf(
        { material: 'brass-cw614n', outside: [step(24, 20), step(16, 10)], details: [knurl] },
        {
          quantity: 4,
          stock: { form: 'piece', ahead: 0, outside: [step(24, 20), step(18, 11)], details: [{ ...knurl, pitch }] },
        },
      );
    const { setups, proof } = planned(knob(0.8), startValues, {});
    const [only] = setups;
    expect(setups).toHaveLength(1);
    expect(only?.setup.holding.kind).toBe('sleeve');
    expect(only?.operations.map(({ kind }) => kind)).not.toContain('knurl');
    expect(proof.faults).toEqual([]);
    expect(problemsOf(knob(1))).toContainEqual({
      path: 'stock.details',
      message: expect.stringContaining('is on a surface that stays, and the drawing has it not'),
    });
  });
});

test.each<[string, RunFile, string, string]>([
  ['too short at the back', forged({ ahead: 4 }), 'stock.outside', '1 mm are missing at the back'],
  ['too thin somewhere', forged({ outside: [step(33, 43), step(48, 16)] }), 'stock.outside', 'the drawing wants ⌀34'],
  // 0.4 a side, and the skin alone is 1.
  ['too little to clean up', forged({ outside: [step(34.8, 43), step(48, 16)] }), 'stock.outside', 'does not clean up'],
  ['a step that stays, of another size', forged({ outside: [step(42, 43), step(50, 16)] }), 'stock.outside', 'head'],
  [
    'a hole wider than the drawing',
    forged({ bores: [{ from: 'front', shape: 'drill', diameter: 8, depth: 'through' }] }),
    'stock.bores',
    'the hole of the piece is ⌀8',
  ],
  ['a line of it that cannot be read', forged({ outside: [step('?', 43)] }), 'stock.outside[0].diameter', '?'],
  ['less than nothing before its face', forged({ ahead: -1 }), 'stock.ahead', 'less than nothing'],
  ['a way for bars', forged({}, { way: 'from-bar' }), 'way', 'is no bar'],
  ['its way without it', runOf({}, { way: 'as-it-arrives' }), 'way', 'says of no piece'],
])('%s is refused', (_, file, path, words) => {
  expect(problemsOf(file)).toContainEqual(expect.objectContaining({ path, message: expect.stringContaining(words) }));
});
