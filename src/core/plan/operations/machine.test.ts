import type { RunFile } from '../../read/runFile';
import { planFile } from '../plan';
import type { Machine, Shop, Tool } from '../../model/shop/shop';
import { startValues } from '../../model/shop/startValues';
import { operationsOf, planned, plannedAsUsual, runOf, step } from '../../testing';

const lathe = startValues.machines[0] as Machine;
const { handMinutes } = startValues;

/** A run on the demo's lathe with something else about it. */
const on = (file: RunFile, more: Partial<Machine>): RunFile => ({ ...file, machine: { ...lathe, ...more } });

describe('a cone gets its angle', () => {
  const cone = (from: number, to: number, length: number) =>
    runOf({ outside: [step(12, 10), { shape: 'cone', from, to, length }, step(24, 12)] }, { way: 'from-bar' });
  const made = (file: RunFile) => operationsOf(file).find(({ makes = [] }) => makes.includes('part.outside[1]'));

  test('12 to 20 over 4 is 45°, three steps of the post: plunged with a straight edge, the compound stays', () => {
    const file = cone(12, 20, 4);
    const found = made(file);
    expect(found).toMatchObject({ kind: 'form', tool: { id: 'straight-edge-10' }, passes: [{ depth: 4 }] });
    expect(found?.passes[0]?.note).toContain('45°');
    expect(found?.compound).toBeUndefined();
    expect(found?.reasons.find(({ rule }) => rule === 'ANGLE')?.because).toContain('by the post’s step of 45°: exact');
    const setting = (runFile: RunFile) => planned(runFile).setups[0]?.setting.terms.map(({ name }) => name);
    expect(setting(file)).not.toContain('compound to its angle, and proved');
    expect(setting(on(file, { post: { kind: 'quick-change', places: 12 } }))).toContain(
      'compound to its angle, and proved',
    );
  });

  test('14 to 20 over 6 is 26.57°: the step of 30° is 3.43° off, 2 · 6 · (tan 30° − 0.5) = 0.93 at the end: too far', () => {
    const found = made(cone(14, 20, 6));
    expect(found).toMatchObject({ kind: 'taper', compound: expect.closeTo(26.565, 3) });
    const because = found?.reasons.find(({ rule }) => rule === 'ANGLE')?.because;
    // And 2 · 6 · (tan 26.815° − 0.5) = 0.065 by the compound.
    expect(because).toContain('within ±0.25°: ±0.07 mm on the far diameter');
    expect(because).toContain('3.43° off, 0.93 mm there, too far');
  });

  test('12 to 28 over 8 is 45° and 11.3 along the flank: longer than the edge of 10', () => {
    const outside: RunFile['part']['outside'] = [
      step(12, 10),
      { shape: 'cone', from: 12, to: 28, length: 8 },
      step(30, 12),
    ];
    const found = made(runOf({ outside }, { way: 'from-bar' }));
    expect(found).toMatchObject({ kind: 'taper', compound: expect.closeTo(45, 6) });
    expect(found?.reasons.find(({ rule }) => rule === 'ANGLE')?.because).toContain('would have to be longer');
  });

  test('a protractor that counts from square to the axis reads the rest to 90°', () => {
    const note = (protractor: 'axis' | 'square') => made(on(cone(14, 20, 6), { protractor }))?.passes[0]?.note;
    expect(note('axis')).not.toContain('on its protractor');
    expect(note('square')).toContain('63.43° on its protractor');
  });
});

describe('the post', () => {
  const file = runOf({ outside: [step('10 h7', 14), step(16, 10)] }, { way: 'from-bar' });
  const changes = (runFile: RunFile) =>
    operationsOf(runFile).flatMap(({ hand }) =>
      hand.terms.flatMap(({ name, value }) => (/in the post|place of another/.test(name) ? [value] : [])),
    );

  test('a turret changes in 0.05, and not in 0.15', () => {
    expect(new Set(changes(on(file, { post: { kind: 'turret', places: 12 } })))).toEqual(
      new Set([handMinutes.changeTurret]),
    );
    expect(new Set(changes(file))).toEqual(new Set([handMinutes.changePost]));
  });

  test('what has no place is put in the place of another, each piece', () => {
    const swaps = changes(on(file, { post: { kind: 'turret', places: 2 } })).filter(
      (minutes) => minutes === handMinutes.swapTool,
    );
    const tools = (number: number) =>
      new Set(
        operationsOf(file)
          .filter(({ tool, end }) => tool.mount === 'post' && end === (number === 1 ? 'front' : 'back'))
          .map(({ tool }) => tool.id),
      ).size;
    expect(swaps).toHaveLength(Math.max(0, tools(1) - 2) + Math.max(0, tools(2) - 2));
    expect(swaps.length).toBeGreaterThan(0);
  });
});

test('a house that threads away from the chuck, on a spindle that is not to run back: towards it, and told', () => {
  const file = runOf(
    {
      outside: [step(16, 20), step(22, 10)],
      details: [
        { kind: 'thread', at: 0, length: 16, designation: 'M16x1.5' },
        { kind: 'groove', at: 16, width: 4, bottom: 13 },
      ],
    },
    { way: 'from-bar', rules: { threading: 'away' } },
  );
  const thread = (runFile: RunFile) => operationsOf(runFile).find(({ kind }) => kind === 'thread');
  expect(thread(file)?.does?.join()).toContain('spindle reversed');
  const cannot = thread(on(file, { runsBack: false }));
  expect(cannot?.does?.join()).not.toContain('spindle reversed');
  expect(cannot?.warnings.join()).toContain('not to run back');
});

describe('a left-hand tool', () => {
  const lefty = (id: string): Shop => ({
    ...startValues,
    tools: startValues.tools.map((tool) => (tool.id === id ? { ...tool, hand: 'left' as const } : tool)),
  });
  const finisher = startValues.tools.find(({ does }) => does.includes('turn-finish'));

  test('turns nothing towards the chuck: another is taken, and without one it is said', () => {
    const file = runOf({ outside: [step('12 h8', 14), step(20, 14)] }, { way: 'from-bar' });
    const shop = lefty(finisher?.id ?? '');
    const problems = planFile(file, shop);
    expect(problems).toMatchObject({
      ok: false,
      problems: [{ message: expect.stringContaining('nothing to turn finish') }],
    });
    const another = { ...finisher, id: 'right-hand' } as Tool;
    const tools = planned(file, { ...shop, tools: [...shop.tools, another] })
      .setups.flatMap(({ operations }) => operations)
      .flatMap(({ kind, tool }) => (kind === 'turn-finish' ? [tool.id] : []));
    expect(new Set(tools)).toEqual(new Set(['right-hand']));
  });

  test('threads away from the chuck the right way up', () => {
    const file = runOf(
      {
        outside: [step(20, 20), step(28, 10)],
        details: [
          { kind: 'thread', at: 0, length: 14, designation: 'M20x1.5' },
          { kind: 'groove', at: 14, width: 6, bottom: 17 },
        ],
      },
      { way: 'from-bar', rules: { threading: 'away' } },
    );
    const threader = startValues.tools.find(({ does }) => does.includes('thread'));
    const words = (shop: Shop) =>
      planned(file, shop).setups[0]?.operations.find(({ kind }) => kind === 'thread')?.does?.[0];
    expect(words(startValues)).toContain('tool inverted');
    expect(words(lefty(threader?.id ?? ''))).toContain('left-hand tool');
  });
});

test('infeed on the compound’s dial: 0.5638 along it for M5 is 28 of 0.02 (trade: Reference figures)', () => {
  const file = runOf(
    {
      outside: [step(5, 16), step(12, 10)],
      details: [
        { kind: 'thread', at: 0, length: 10, designation: 'M5' },
        { kind: 'groove', at: 10, width: 3, bottom: 3.8 },
      ],
    },
    { way: 'from-bar' },
  );
  const shop = { ...startValues, cutting: { ...startValues.cutting, dieUpTo: 0 } };
  const operation = plannedAsUsual(file, 'from-bar', shop).setups[0]?.operations.find(({ kind }) => kind === 'thread');
  const deepest = operation?.passes.filter(({ depth }) => depth > 0).at(-1);
  expect(deepest?.note).toBe('0.564 mm in along the compound, 0 + 28 on its dial');
});
