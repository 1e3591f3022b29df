import { planFile } from './plan/plan';
import { startValues } from './model/shop/startValues';
import { problemsOf, runOf, step } from './testing';

/** Where and what of every problem. */
const told = (file: unknown) => problemsOf(file).map(({ path, message }) => ({ path, message }));

const shoulder = [step(10, 12), step(16, 8)];

describe('what cannot be is refused with where, what and what would do', () => {
  test.each([
    [
      'a chamfer as high as its shoulder',
      runOf({ outside: shoulder, details: [{ kind: 'chamfer', at: 12, size: 3 }] }),
      'part.details[0].size',
      'as high as the shoulder',
    ],
    [
      'a chamfer larger than the radius',
      runOf({ details: [{ kind: 'chamfer', at: 0, size: 5 }] }),
      'part.details[0].size',
      'larger than the radius',
    ],
    [
      'a chamfer where no step ends',
      runOf({ outside: shoulder, details: [{ kind: 'chamfer', at: 5, size: 0.5 }] }),
      'part.details[0].at',
      'edges are at 0 mm, 12 mm, 20 mm',
    ],
    [
      'a chamfer where the diameter stays',
      runOf({ outside: [step(10, 5), step(10, 5)], details: [{ kind: 'chamfer', at: 5, size: 0.5 }] }),
      'part.details[0].at',
      'no edge',
    ],
    [
      'a chamfer that faces the other way',
      runOf({ outside: shoulder, details: [{ kind: 'chamfer', at: 12, size: 0.5, side: 'back' }] }),
      'part.details[0].side',
      'faces the front',
    ],
    [
      'two chamfers on one corner',
      runOf({
        details: [
          { kind: 'chamfer', at: 0, size: 0.5 },
          { kind: 'chamfer', at: 0, size: 1 },
        ],
      }),
      'part.details[1]',
      'has a chamfer already',
    ],
    [
      'chamfers longer than their step',
      runOf({ outside: [step(10, 2), step(20, 10)], details: [{ kind: 'chamfer', at: 0, size: 2.5 }] }),
      'part.details[0].size',
      'as long as their step',
    ],
    [
      'a hole wider than the part',
      runOf({ outside: shoulder, bores: [{ from: 'front', shape: 'drill', diameter: 10, depth: 'through' }] }),
      'part.bores[0].diameter',
      'leaves no wall',
    ],
    [
      'a hole deeper than the part',
      runOf({ bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 25 }] }),
      'part.bores[0].depth',
      'write “through”',
    ],
    [
      'a hole whose point comes through',
      runOf({ bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 19 }] }),
      'part.bores[0].depth',
      'would come through',
    ],
    [
      'a hole that another swallows',
      runOf({
        bores: [
          { from: 'front', shape: 'drill', diameter: 4, depth: 8 },
          { from: 'front', shape: 'drill', diameter: 6, depth: 8 },
        ],
      }),
      'part.bores[0].depth',
      'nothing is left of this hole',
    ],
    [
      'a drill that is not there',
      runOf({ bores: [{ from: 'front', shape: 'drill', diameter: { size: 4.55, limits: [-0.01, 0.01] }, depth: 8 }] }),
      'part.bores[0].diameter',
      'the nearest is ⌀4.5',
    ],
    [
      'a drill that is too short',
      runOf({ outside: [step(10, 60)], bores: [{ from: 'front', shape: 'drill', diameter: 2, depth: 55 }] }),
      'part.bores[0].depth',
      'flute of drill ⌀2',
    ],
    ['a part larger than its stock', runOf({}, { stock: { size: 8 } }), 'stock.size', 'will not clean up'],
    [
      'stock with too little on it',
      runOf({ outside: [step('9.95 -0.02/0', 20)] }, { stock: { size: 10 } }),
      'stock.size',
      '10.15 mm is the smallest that does',
    ],
    [
      'a part longer than the machine',
      runOf({ outside: [step('40', '300 -0.2/0'), step('50', '300 -0.2/0')] }),
      'part.outside',
      'longer than centre lathe A takes',
    ],
    [
      'a part that does not swing',
      runOf({ outside: [step('190 -0.2/0', 20)] }, { stock: 'choose' }),
      'part.outside',
      'no bar in the list will do',
    ],
    [
      'a bar too short for one piece',
      runOf({}, { way: 'from-bar', stock: { size: 12, barLength: 40 } }),
      'stock.barLength',
      'gives no piece',
    ],
    [
      'a bar that does not pass the spindle',
      runOf({ outside: [step(38, 20)] }, { way: 'from-bar', stock: { size: 40 } }),
      'way',
      'does not pass the spindle bore',
    ],
    [
      'a blade nobody has',
      runOf({}, { way: 'from-bar', allowances: { bladeWidth: 6 } }),
      'allowances.bladeWidth',
      'no blade of about that width',
    ],
    [
      'nothing to hold by',
      runOf({ outside: [step(6, 1.5), step(20, 1.5)] }, { way: 'from-bar' }),
      'part.outside',
      'long enough to hold the part by',
    ],
    [
      'a slender part beyond a rest',
      runOf(
        { outside: [step(5.5, 120)], bores: [{ from: 'front', shape: 'drill', diameter: 2, depth: 5 }] },
        { way: 'from-bar', allowances: { jawClearance: 5 } },
      ),
      'allowances.jawClearance',
      'a fixed or a follow rest',
    ],
    ['no steps', runOf({ outside: [] }), 'part.outside', 'give the first step'],
    ['a missing diameter', runOf({ outside: [step('', 20)] }), 'part.outside[0].diameter', 'is missing'],
    ['a material nobody has', runOf({ material: 'cheese' }), 'part.material', 'brass-cw614n'],
    ['half a piece', runOf({}, { quantity: 2.5 }), 'quantity', 'whole number'],
    ['no quantity', runOf({}, { quantity: '' }), 'quantity', 'how many pieces'],
    ['a machine nobody has', runOf({}, { machine: 'mill-b' }), 'machine', 'centre-lathe-a'],
    [
      'an allowance below nothing',
      runOf({}, { allowances: { backFacing: -1 } }),
      'allowances.backFacing',
      'less than nothing',
    ],
    ['a day that is none', runOf({}, { due: '4.12.26' }), 'due', 'write it as 2026-12-04'],
    ['a part without number', runOf({ number: ' ' }), 'part.number', 'is missing'],
  ])('%s', (_, file, path, words) => {
    expect(told(file)).toContainEqual({ path, message: expect.stringContaining(words) });
  });

  test.each([
    ['text', 'hello', '', 'curly brackets'],
    ['another format', { ...runOf({}), format: 'shingle-run/9' }, 'format', 'must be shingle-run/1'],
    ['an unknown key', { ...runOf({}), colour: 'red' }, 'colour', 'is not known here'],
    [
      'a step of no known shape',
      runOf({ outside: [{ ...step(10, 5), shape: 'egg' as 'cylinder' }] }),
      'part.outside[0].shape',
      '“egg” is not known here; it can be cylinder, cone, sphere, hex, square',
    ],
    [
      'a field that the shape does not have',
      runOf({ outside: [{ ...step(10, 5), from: 4 } as never] }),
      'part.outside[0].from',
      'is not known here',
    ],
    ['a quantity that is a list', { ...runOf({}), quantity: [1] }, 'quantity', 'must be'],
    ['a file without a part', { format: 'shingle-run/1', quantity: 1 }, 'part', 'is missing'],
  ])('%s is no run file', (_, file, path, words) => {
    expect(told(file)).toContainEqual({ path, message: expect.stringContaining(words) });
  });

  test('an entry of an unknown kind says that alone', () => {
    const egg = { shape: 'egg', long: 20, wide: 26 };
    const file = { ...runOf({}), part: { ...runOf({}).part, outside: [egg, egg] } };
    expect(problemsOf(file).map(({ path }) => path)).toEqual(['part.outside[0].shape', 'part.outside[1].shape']);
  });

  test('what stands in the way of both ways is told once, the rest with its way', () => {
    const drill = {
      from: 'front' as const,
      shape: 'drill' as const,
      diameter: { size: 4.55, limits: [-0.01, 0.01] as [number, number] },
      depth: 8,
    };
    const both = problemsOf(runOf({ outside: [step(10, 30), step(16, 20)], bores: [drill] }));
    expect(both).toEqual([{ path: 'part.bores[0].diameter', message: expect.stringMatching(/^no drill of ⌀4.55/) }]);
    expect(
      problemsOf(runOf({ outside: [step(38, 6)] }, { allowances: { spigot: 'none' } })).map(
        ({ message }) => message.split(':')[0],
      ),
    ).toEqual(['from the bar', 'from sawn blanks']);
  });

  test('every problem is told at once, not the first alone', () => {
    const paths = problemsOf(runOf({ number: '', material: '', outside: [step('x', '')] }, { quantity: 0 })).map(
      ({ path }) => path,
    );
    expect(paths).toEqual([
      'part.number',
      'part.material',
      'part.outside[0].diameter',
      'part.outside[0].length',
      'quantity',
    ]);
  });

  test('no blade, no drill, no turning tool: no plan', () => {
    const without = (kind: string) => ({
      ...startValues,
      tools: startValues.tools.filter(({ does }) => !does.includes(kind)),
    });
    const hollow = runOf({
      outside: [step('9 h9', 20)],
      bores: [{ from: 'front', shape: 'drill', diameter: 4, depth: 8 }],
    });
    for (const [kind, words] of [
      ['turn-rough', 'turn rough'],
      ['drill', 'no drill'],
      ['centre', 'centre'],
    ] as const) {
      const plan = planFile(hollow, without(kind));
      expect(plan).toMatchObject({ ok: false });
      if (!plan.ok) expect(plan.problems.map(({ message }) => message).join()).toContain(words);
    }
  });
});
