import { readdirSync, readFileSync } from 'node:fs';
import { startValues } from '@/core/model/shop/startValues';
import { JUNK, otherGeometry, spoiled } from './fuzzed';
import { randomOf } from './random';

/** Bodies of requests, as text: files and actions, most of them spoiled, and some that are no JSON. */
const count = Number(process.argv[2] ?? 100);
const materials = startValues.materials.map(({ id }) => id);
const examples = readdirSync('examples')
  .filter((name) => name.endsWith('.json'))
  .map((name) => JSON.parse(readFileSync(`examples/${name}`, 'utf8')) as Record<string, unknown>);

const bodies = Array.from({ length: count }, (_, seed) => {
  const random = randomOf(50_000 + seed);
  const file = otherGeometry(random.one(examples), random, materials);
  const body = random.one<unknown>([
    file,
    { file },
    { base: random.whole(0, 5), file },
    { base: 1, shop: startValues },
    { shop: { ...startValues, timeAllowance: random.between(0, 0.5) } },
    { material: random.one(materials), size: 12, length: 1000, count: 1 },
    { do: random.one(['reserve', 'release', 'use']), run: random.whole(1, 30), length: 10, left: '5', place: '' },
    { name: 'x', passcode: 'short' },
    random.one(JUNK),
  ]);
  const text = JSON.stringify(random.often(0.7) ? spoiled(body, random) : body) ?? '';
  return random.often(0.08) ? text.slice(0, random.whole(0, text.length)) : text;
});
process.stdout.write(JSON.stringify(bodies));
