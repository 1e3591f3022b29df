import type { PartFile } from '../read/runFile';
import { planned, runOf, step } from '../testing';
import { madeReady } from './toolMadeReady';

/** How the tool is made ready that does a kind of operation. */
function readyFor(kind: string, part: Partial<PartFile>): string[] {
  const { setups } = planned(runOf(part));
  const found = setups.find(({ operations }) => operations.some((operation) => operation.kind === kind));
  const tool = found?.operations.find((operation) => operation.kind === kind)?.tool.id;
  if (!found || tool === undefined) throw new Error(`no ${kind}`);
  return madeReady(found, tool);
}

test('a blade for a groove in a face stands out by its depth along the axis, and 1 to spare', () => {
  const details: PartFile['details'] = [{ kind: 'face-groove', face: 'front', inner: 30, outer: 40, depth: 4 }];
  expect(readyFor('face-groove', { outside: [step(50, 12)], details })).toEqual([
    'exactly on height',
    'square to the axis',
    'out 5.00',
  ]);
});

test('a bar stands out by the depth of its bore and the clearance to the work, 2; a turning tool is as it is', () => {
  const bores: PartFile['bores'] = [{ from: 'front', shape: 'bore', diameter: 22, depth: 12, bottom: 'flat' }];
  expect(readyFor('bore', { outside: [step(40, 30)], bores })).toContain('out 14.00');
  expect(readyFor('turn-finish', { outside: [step(12, 18), step(20, 8)] })).toEqual([]);
});
