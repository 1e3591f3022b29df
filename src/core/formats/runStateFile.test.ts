import { readStateChange } from './runStateFile';

test.each([
  [{ runs: [] }, 'runs'],
  [{ runs: [{ id: 1, state: 'lost' }] }, 'runs[0].state'],
  [{ runs: [{ id: -1, state: 'done' }] }, 'runs[0].id'],
  [
    {
      runs: [
        { id: 1, state: 'done' },
        { id: 1, state: 'open' },
      ],
    },
    'runs[1]',
  ],
  [{ runs: [{ id: 1, state: 'done' }], by: 'x'.repeat(61) }, 'by'],
  [{}, 'runs'],
])('%j is refused at %s', (value, path) => {
  const read = readStateChange(value);
  expect(read.ok ? [] : read.problems.map((problem) => problem.path)).toContain(path);
});

test('one with a device is taken', () => {
  expect(readStateChange({ runs: [{ id: 3, state: 'released' }], by: 'office' }).ok).toBe(true);
});
