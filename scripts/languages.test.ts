import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, type Plugin } from 'esbuild';
import { wordings } from './lib/gathered.cjs';
import { languageNames, misfits, readLanguage } from './lib/languages.cjs';
import { namesIn, saidIn, sourceOf, wordingsIn } from './lib/wordings.cjs';

const ROOT = join(__dirname, '..');

const SOURCE = `
type End = 'front end' | 'back end';
const WORDS: Record<End, string> = { 'front end': 'at the front', 'back end': 'behind' };
const path = \`M\${x} \${y} L1 2\`;
const Row = styled.div\`
  display: grid;
\`;
export const Held = ({ by, count }: Props) => (
  <p className="wide row" title="What holds it">
    Held by {by},{' '}
    <b>firmly</b> {end === 'front end' ? WORDS[end] : 'anywhere else'} {\`\${count} \${count === 1 ? 'piece' : 'pieces'}\`}
  </p>
);`;

const texts = wordings();

test('what people read is found, and what the program reads is not', () => {
  const source = sourceOf(SOURCE, 'Held.tsx');
  expect(wordingsIn(source).map(({ text }) => text)).toEqual([
    'at the front',
    'behind',
    'What holds it',
    'Held by',
    'firmly',
    'anywhere else',
    'piece',
    'pieces',
  ]);
  expect([...namesIn(source)].sort()).toEqual(['back end', 'front end']);
});

test('a source is said in a language, and what that lacks stays as it is', () => {
  const said = saidIn(
    { 'What holds it': 'Was es "hält"', 'Held by': 'Gehalten von', pieces: 'Stück' },
    SOURCE,
    'Held.tsx',
  );
  expect(said).toContain('title={"Was es \\"hält\\""}');
  expect(said).toContain('{"Gehalten von"} {by}');
  expect(said).toContain('count === 1 ? \'piece\' : "Stück"');
  expect(said).toContain('<b>firmly</b>');
});

test('values stand where the language wants them, with what is said inside them', () => {
  const source = "const words = `held by ${n === 1 ? 'one jaw' : many} of ${holder}`;";
  expect(wordingsIn(sourceOf(source, 'a.ts')).map(({ text }) => text)).toEqual(['held by {1} of {2}', 'one jaw']);
  expect(saidIn({ 'held by {1} of {2}': '{2}: `{1}` hält', 'one jaw': 'eine Backe' }, source, 'a.ts')).toBe(
    'const words = `${holder}: \\`${n === 1 ? "eine Backe" : many}\\` hält`;',
  );
});

test('the wording is as new as the sources (npm run languages), and every language has its values', () => {
  expect(Object.keys(readLanguage('en'))).toEqual(texts);
  for (const name of languageNames()) expect([name, misfits(readLanguage(name))]).toEqual([name, []]);
});

test('a wording that lacks a value of the English, or has another, is told', () => {
  expect(misfits({ 'held by {1}': 'gehalten von {1}', 'of {1}': 'von', bar: '' })).toEqual([
    '“von” must have the values of “of {1}”: {1}',
  ]);
});

/** The planner as it is built in a language. */
async function plannerIn(language: Record<string, string>) {
  const said: Plugin = {
    name: 'said',
    setup: ({ onLoad }) =>
      onLoad({ filter: /\/src\/core\/.*\.ts$/ }, ({ path }) => ({
        contents: saidIn(language, readFileSync(path, 'utf8'), path),
        loader: 'ts',
      })),
  };
  const { outputFiles } = await build({
    stdin: {
      contents: `export { planFile } from '@/core/plan/plan'; export { startValues } from '@/core/model/shop/startValues';`,
      resolveDir: ROOT,
    },
    alias: { '@': join(ROOT, 'src') },
    bundle: true,
    write: false,
    format: 'cjs',
    platform: 'node',
    plugins: [said],
  });
  const module = { exports: {} as typeof import('../src/core/plan/plan') & { startValues: never } };
  new Function('module', 'exports', 'require', outputFiles[0]!.text)(module, module.exports, require);
  return (file: unknown) => module.exports.planFile(file, module.exports.startValues);
}

/** Everything in a plan but its words. */
const figuresOf = (plan: unknown): string =>
  JSON.stringify(plan, (_, value: unknown) => (typeof value === 'string' ? undefined : value));

test('no figure hangs on a word: a plan in a made-up language is the same plan', async () => {
  const madeUp = Object.fromEntries(texts.map((text) => [text, text.replace(/[aeiou](?![^{]*\})/g, 'ö')]));
  const [english, other] = await Promise.all([plannerIn({}), plannerIn(madeUp)]);
  for (const name of ['gland-body', 'parts/04-disc.usual']) {
    const file: unknown = JSON.parse(readFileSync(join(ROOT, 'examples', `${name}.json`), 'utf8'));
    const [here, there] = [english(file), other(file)];
    if (!here.ok || !there.ok) throw new Error(`${name}: ${JSON.stringify([here, there]).slice(0, 300)}`);
    expect(JSON.stringify(there.value)).toContain('ö');
    expect([name, figuresOf(there.value)]).toEqual([name, figuresOf(here.value)]);
  }
}, 60_000);
