import { readdirSync, readFileSync } from 'node:fs';
import { fuzzKinds } from './kinds';
import { randomOf } from './random';

/** Many more of each than the unit tests have, timed: `COUNT` run files, as many of everything else in all. */
const COUNT = Number(process.argv[2] ?? 10_000);
const LONGEST_MS = 2000;

const examples = readdirSync('examples')
  .filter((name) => name.endsWith('.json'))
  .map((name) => JSON.parse(readFileSync(`examples/${name}`, 'utf8')) as object);

const kinds = fuzzKinds(examples);
// The package that reads drawings says on the console what it passes over.
const say = console.log;
console.log = () => undefined;
console.error = () => undefined;
const rows = kinds.map(({ name, make, judge }, index) => {
  const count = index === 0 ? COUNT : Math.round(COUNT / (kinds.length - 1));
  const row = { name, count, through: 0, refused: 0, broken: 0, slow: 0, longest: 0, first: '' };
  for (let seed = 1; seed <= count; seed += 1) {
    const input = make(randomOf(1000 + seed), seed);
    const from = performance.now();
    try {
      row[judge(input as never)] += 1;
    } catch (error) {
      row.broken += 1;
      row.first ||= `seed ${seed}: ${(error as Error).stack?.split('\n').slice(0, 4).join(' ')} ${JSON.stringify(input).slice(0, 600)}`;
    }
    const took = performance.now() - from;
    row.longest = Math.max(row.longest, took);
    if (took > LONGEST_MS) row.slow += 1;
  }
  return row;
});
say(JSON.stringify(rows));
