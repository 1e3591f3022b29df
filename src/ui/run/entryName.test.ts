import { entryName } from './entryName';

test.each([
  ['part.outside[1].diameter', 'Step 2 diameter'],
  ['part.outside[0].chamfers.front', 'Step 1 chamfer front'],
  ['part.outside', 'Outside'],
  ['part.bores[2].depth', 'Hole 3 depth'],
  ['part.material', 'Material'],
  ['part.number', 'Part number'],
  ['part.generalTolerance', 'General tolerance'],
  ['stock.size', 'Stock size'],
  ['quantity', 'Quantity'],
  ['due', 'Promised for'],
])('%s is “%s”', (path, name) => {
  expect(entryName(path)).toBe(name);
});
