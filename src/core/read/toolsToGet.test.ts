import { runOf, step } from '../testing';
import { startValues } from '../model/shop/startValues';
import type { HoleFile } from './runFile';
import { readPart } from './readPart';
import { toolsToGet } from './toolsToGet';

function toGet(bores: HoleFile[], tools = startValues.tools) {
  const part = readPart(runOf({ outside: [step(60, 40)], bores }).part, 'mm');
  if (!part.ok) throw new Error(JSON.stringify(part.problems));
  return toolsToGet(part.value, tools).map(({ name }) => name);
}

const drilled = (diameter: number | string): HoleFile => ({ from: 'front', shape: 'drill', diameter, depth: 10 });

test('what the list has is not got', () => {
  expect(toGet([drilled(6), { from: 'front', shape: 'ream', diameter: '8 H7', depth: 10 }])).toEqual([]);
});

test('a drill that is not there, once for all its holes', () => {
  expect(toGet([drilled(15.7), { ...drilled(15.7), from: 'back' }])).toEqual(['drill ⌀15.7, to get']);
});

test('what is closer than a drill makes it, or far beyond the list, is not drilled', () => {
  expect(toGet([drilled('15.7 ±0.01')])).toEqual([]);
  // From half of 1 to a quarter over 25.4.
  expect(toGet([drilled(0.5)])).toEqual(['drill ⌀0.5, to get']);
  expect(toGet([drilled(0.4)])).toEqual([]);
  expect(toGet([drilled(40)])).toEqual([]);
});

test('a size in inches is got as it is', () => {
  const bore: HoleFile = { from: 'front', shape: 'ream', diameter: '3/8 in H7', depth: 10 };
  expect(toGet([bore])).toEqual(['reamer ⌀9.525, to get']);
});

test('a shop without tools of a kind is not made to get some', () => {
  const without = startValues.tools.filter(({ does }) => !does.includes('drill'));
  expect(toGet([drilled(15.7)], without)).toEqual([]);
});
