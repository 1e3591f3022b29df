import { readDeviceLine } from './deviceLine';

const read = (line: string) => {
  const reading = readDeviceLine({ device: 'caliper', line });
  return reading.ok ? (reading.value.size ?? reading.value.axes) : reading.problems[0]?.message;
};

test.each([
  ['12.34', 12.34],
  ['+12,340 mm', 12.34],
  ['  9.98', 9.98],
  ['0.5 in', 12.7],
  ['0.5"', 12.7],
  ['X14.300 Z-18.250', { X: 14.3, Z: -18.25 }],
  ['X0.5 Z-1 in', { X: 12.7, Z: -25.4 }],
])('%s is %o', (line, value) => {
  expect(read(line)).toEqual(value);
});

test.each(['', 'ERR', '12.3.4', '12 cm', 'X Z'])('“%s” is no reading, and says what is one', (line) => {
  const said = read(line);
  expect(said).toMatch(line === '' ? /./ : /is no reading: 12\.34/);
});
