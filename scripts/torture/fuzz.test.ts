import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fuzzKinds } from './kinds';
import { randomOf } from './random';

const folder = join(__dirname, '../../examples');
const examples = readdirSync(folder)
  .filter((name) => name.endsWith('.json'))
  .map((name) => JSON.parse(readFileSync(join(folder, name), 'utf8')) as object);

/** How many of each in the short run; shop files are large. */
const COUNTS: Record<string, number> = { 'run files': 150, 'shop files': 40 };

// The package that reads drawings says on the console what it passes over.
beforeAll(() => {
  for (const word of ['log', 'error'] as const) jest.spyOn(console, word).mockImplementation(() => undefined);
});

describe.each(fuzzKinds(examples))('$name', ({ name, make, judge }) => {
  test('go through or are refused in words: nothing throws, nothing is bent, every figure is one', () => {
    const went = { through: 0, refused: 0 };
    const count = COUNTS[name] ?? 200;
    for (let seed = 1; seed <= count; seed += 1) {
      const input = make(randomOf(seed), seed);
      try {
        went[judge(input as never)] += 1;
      } catch (error) {
        throw new Error(`${name}, seed ${seed}: ${(error as Error).stack}\n${JSON.stringify(input).slice(0, 2000)}`);
      }
    }
    // Both ends are tried: half of the run files at least are other parts that can be made.
    expect(went.through).toBeGreaterThanOrEqual(name === 'run files' ? count / 2 : count / 10);
    expect(went.refused).toBeGreaterThan(0);
  });
});
