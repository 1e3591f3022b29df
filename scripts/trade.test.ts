import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '..');
const sections = [...readFileSync(join(ROOT, 'docs/trade.md'), 'utf8').matchAll(/^## (.+)$/gm)].map(([, name]) => name);

/** Every source file below a folder. */
const filesIn = (folder: string): string[] =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name))
    .map((name) => join(folder, name));

/** `(trade: Stock, Cutting)` and `(trade: Order, HOLE-CHAIN)`: names of sections, and of rules, up to what is said of it. */
function citedIn(file: string): { file: string; name: string }[] {
  return [...readFileSync(join(ROOT, file), 'utf8').matchAll(/\(trade:\s+(?:\*\s+)?([^):;]*)/g)].flatMap(
    ([, names = '']) =>
      names
        .replace(/\n\s*(\*|\/\/)\s*/g, ' ')
        .split(',')
        .map((name) => ({ file, name: name.trim() })),
  );
}

test('every source that the code cites is a section of docs/trade.md, or a rule', () => {
  const cited = filesIn('src').flatMap(citedIn);
  expect(cited.length).toBeGreaterThan(100);
  expect(cited.filter(({ name }) => !sections.includes(name) && !/^[A-Z-]+$/.test(name))).toEqual([]);
});
