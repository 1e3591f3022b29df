import fc from 'fast-check';
import type { RunFile } from '../../read/runFile';
import type { Setup } from '../../model/plan/setup';
import { startValues } from '../../model/shop/startValues';
import type { Shop } from '../../model/shop/shop';
import type { Tool } from '../../model/shop/tool';
import { planned, runOf, step } from '../../testing';
import { speedFor } from './speedFor';

const toolOf = (id: string): Tool => {
  const candidate = startValues.tools.find((tool) => tool.id === id || tool.does.includes(id));
  if (!candidate) throw new Error(`no tool for ${id}`);
  return candidate;
};
const CARBIDE = { ...toolOf('turn-finish'), edge: 'carbide' as const };
const HSS = { ...toolOf('part-off'), edge: 'hss' as const };

function setupOf(more: Partial<RunFile> = {}, shop: Shop = startValues, outside = [step(20, 20), step(30, 12)]): Setup {
  const setup = planned(runOf({ material: 'mild-steel', outside }, { way: 'from-bar', ...more }), shop).setups[0]
    ?.setup;
  if (!setup) throw new Error('it has a set-up');
  return setup;
}
const put = (figure: ReturnType<typeof speedFor>) =>
  Object.fromEntries(figure.terms.map((term) => [term.symbol, term.value]));

describe('the speed of an operation', () => {
  test('by hand: mild steel, carbide, ⌀30: 1000 · 140 / (π · 30) = 1485, the machine has 1120', () => {
    const speed = speedFor({ kind: 'turn-finish', tool: CARBIDE }, 30, setupOf(), true);
    expect(speed.value).toBe(1120);
    expect(speed.note).toContain('The formula gives 1485; the machine');
    expect(put(speed)).toMatchObject({ v: 140, k: 1, d: 30 });
  });

  test.each([
    // 1000 · 30 · 0.5 / (π · 30) = 159; 100.
    ['part-off', 0.5, 100],
    ['groove', 0.5, 100],
    // 1000 · 30 · 0.3 / (π · 30) = 95; 65.
    ['form', 0.3, 65],
    ['knurl', 0.3, 65],
  ])('%s in HSS runs at %s of it: %s rev/min on ⌀30', (kind, factor, value) => {
    const speed = speedFor({ kind, tool: HSS }, 30, setupOf(), false);
    expect(put(speed)['k']).toBe(factor);
    expect(speed.value).toBe(value);
  });

  test('some kinds have a limit of their own, whatever the formula gives', () => {
    const speed = speedFor(
      { kind: 'countersink', tool: { ...toolOf('countersink'), edge: 'hss' } },
      6,
      setupOf(),
      false,
    );
    expect(put(speed)['m']).toBe(250);
    expect(speed.value).toBe(250);
    expect(speed.note).toContain('never run faster than 250');
  });

  test('standing out far, where it turns: 0.7 of it, and not under a centre', () => {
    const slender = setupOf({}, startValues, [step(9.5, 28)]);
    expect(slender.supported).toBe(false);
    expect(slender.stickOut.value).toBeGreaterThan(3 * slender.holding.diameter);
    const operation = { kind: 'turn-finish', tool: { ...CARBIDE, edge: 'hss' as const } };
    const [far, drilled] = [speedFor(operation, 9.5, slender, true), speedFor(operation, 9.5, slender, false)];
    expect(put(far)['o']).toBe(0.7);
    expect(put(drilled)['o']).toBeUndefined();
    // 1000 · 30 · 0.7 / (π · 9.5) = 703, else 1005.
    expect([far.value, drilled.value]).toEqual([560, 800]);
    expect(put(speedFor(operation, 9.5, { ...slender, supported: true }, true))['o']).toBeUndefined();
  });

  test('a sawn face knocks, and so does a bar with flats until it is round', () => {
    const sawn = setupOf({ way: 'sawn-blanks' });
    expect(put(speedFor({ kind: 'face', tool: CARBIDE }, 30, sawn, true))['i']).toBe(0.7);
    expect(put(speedFor({ kind: 'turn-rough', tool: CARBIDE }, 30, sawn, true))['i']).toBeUndefined();
    const hex = setupOf({ stock: { form: 'hex', size: 27, barLength: 3000 } }, startValues, [
      step(16, 20),
      step(22, 12),
    ]);
    expect(put(speedFor({ kind: 'turn-rough', tool: CARBIDE }, 30, hex, true))['i']).toBe(0.7);
    expect(put(speedFor({ kind: 'turn-finish', tool: CARBIDE }, 22, hex, true))['i']).toBeUndefined();
  });

  test('what holds the work is never run faster than it may be', () => {
    const four = setupOf({ overrules: [{ setup: 1, holding: { kind: '4-jaw' } }] });
    const speed = speedFor({ kind: 'turn-finish', tool: CARBIDE }, 20, four, true);
    // 2228 by the formula; 1200 in four jaws, so 1120 of the list.
    expect(put(speed)['h']).toBe(1200);
    expect(speed.value).toBe(1120);
    expect(speed.formula).toMatch(/^snap\(min\(.*, h, w\)\)$/);
  });

  test('slower than the machine goes is told', () => {
    const speed = speedFor({ kind: 'form', tool: HSS }, 90, setupOf(), false);
    expect(speed.value).toBe(65);
    expect(speed.note).toContain('below the slowest the machine has');
  });
});

describe('a house with fixed speeds', () => {
  const fixed = setupOf({ rules: { speed: 'fixed' } });

  test('runs all cutting at one, and by hand at the other, whatever the diameter', () => {
    for (const diameter of [5, 20, 60])
      expect(speedFor({ kind: 'turn-finish', tool: CARBIDE }, diameter, fixed, true).value).toBe(560);
    expect(speedFor({ kind: 'deburr', tool: { ...HSS, mount: 'hand' } }, 20, fixed, false).value).toBe(250);
  });

  test('but never beyond what the kind of operation or the holding may take', () => {
    const thread = speedFor({ kind: 'thread', tool: CARBIDE }, 20, fixed, true);
    expect(thread.value).toBe(160);
    const cutting = { ...startValues.cutting, holdingSpeed: { '3-jaw': 300 } };
    const slow = setupOf({ rules: { speed: 'fixed' } }, { ...startValues, cutting }, [step(20, 20), step(34, 12)]);
    expect(slow.holding.kind).toBe('3-jaw');
    expect(speedFor({ kind: 'turn-finish', tool: CARBIDE }, 20, slow, true).value).toBe(250);
  });
});

test('a larger diameter is never turned faster, a harder edge never slower', () => {
  const setup = setupOf();
  const diameter = fc.double({ min: 2, max: 100, noNaN: true });
  fc.assert(
    fc.property(diameter, fc.double({ min: 1, max: 3, noNaN: true }), (figure, times) => {
      const at = (on: number, edge: 'hss' | 'carbide') =>
        speedFor({ kind: 'turn-finish', tool: { ...CARBIDE, edge } }, on, setup, true).value;
      expect(at(figure * times, 'carbide')).toBeLessThanOrEqual(at(figure, 'carbide'));
      expect(at(figure, 'carbide')).toBeGreaterThanOrEqual(at(figure, 'hss'));
    }),
  );
});
