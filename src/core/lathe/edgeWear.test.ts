import { planned, runOf, step } from '../testing';
import { lifeOf } from '../plan/cost/edgeLife';
import { edgeWear, learnedEdges } from './edgeWear';
import type { LatheEvent } from './events';
import { eventOf } from './testing';

const plan = planned(runOf({ outside: [step(10, 20), step(16, 10)] }, { quantity: 40 }));
const operations = plan.setups.flatMap((setup) => setup.operations);
const rough = operations.find(({ kind }) => kind === 'rough-turn') ?? operations[0];
if (!rough) throw new Error('something is cut');
const { edge, id: tool } = rough.tool;
const share = rough.cutting.value / (lifeOf(plan.run, rough) ?? Infinity);

const done = (piece: number): LatheEvent => eventOf({ kind: 'done' }, { piece, operation: rough.key });
const made = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => done(from + index));
const ended = (what: 'changed' | 'ground' | 'broken') => eventOf({ kind: 'edge', tool, what });

test('lives are what was cut by what an edge lasts there, of every edge; worn are those that were changed or ground', () => {
  const events = [...made(1, 10), ended('changed'), ...made(11, 16), ended('broken'), ...made(17, 20)];
  // Twenty pieces, whatever became of the edges; one of them was worn.
  expect(edgeWear(plan, events)[edge]?.lives).toBeCloseTo(20 * share, 12);
  expect(edgeWear(plan, events)[edge]?.worn).toBe(1);
});

test('work by hand wears no edge, and an operation that the plan has not says nothing', () => {
  const load = eventOf({ kind: 'done' }, { piece: 1, operation: 'load:1' });
  expect(edgeWear(plan, [load, eventOf({ kind: 'edge', tool: 'another', what: 'changed' })])).toEqual({});
});

test('runs together: three lives by two worn edges are one and a half each; without a worn edge nothing is learned', () => {
  expect(
    learnedEdges([
      { hss: { lives: 2, worn: 1 } },
      { hss: { lives: 1, worn: 1 }, carbide: { lives: 3, worn: 0 } },
      undefined,
    ]),
  ).toEqual([{ kind: 'hss', factor: 1.5, worn: 2 }]);
  expect(learnedEdges([])).toEqual([]);
});

test('a simulated shop whose edges last 1.4 of what is planned is found out, with edges that are not over', () => {
  // Lives spread evenly from 0.9 to 1.9 of the plan, by a rule of their own; each run ends somewhere in an edge.
  const said = Array.from({ length: 60 }, (_, run) => {
    const lives = [0, 1, 2].map((index) => 0.9 + (((run * 3 + index) * 37) % 100) / 100);
    const begun = 0.7 * (((run * 53) % 100) / 100);
    return { hss: { lives: lives.reduce((sum, life) => sum + life, begun), worn: lives.length } };
  });
  const [hss] = learnedEdges(said);
  // What is begun and not over, 0.35 of a life to three, is all that it is too long by.
  expect(hss?.factor).toBeGreaterThan(1.4);
  expect(hss?.factor).toBeLessThan(1.4 + 0.35 / 3 + 0.02);
});
