import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const ROOT = join(__dirname, '..');

/** What the table of words says is not said. */
const notSaid = readFileSync(join(ROOT, 'docs/words.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| word'))
  .flatMap((line) => (line.split('|')[3] ?? '').split(';'))
  .map((words) => words.trim())
  .filter(Boolean);

const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) return filesIn(path);
    return /\.tsx?$/.test(name) && !/\.(test|corpus|expected)\.tsx?$/.test(name) ? [path] : [];
  });

/** Everything in a file that may be shown: its texts, not its comments. */
function textsOf(path: string): string[] {
  const source = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX);
  const texts: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isStringLiteralLike(node) || ts.isJsxText(node) || ts.isTemplateHead(node)) texts.push(node.text);
    else if (ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) texts.push(node.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return texts;
}

test('the table of words says what is not said', () => {
  expect(notSaid.length).toBeGreaterThan(8);
});

test('one word a thing: nothing that is shown says it otherwise', () => {
  const found = filesIn(join(ROOT, 'src')).flatMap((path) =>
    textsOf(path).flatMap((text) =>
      notSaid
        .filter((words) => text.includes(words))
        .map((words) => `${path.slice(ROOT.length + 1)}: “${words}” in “${text.trim().slice(0, 80)}”`),
    ),
  );
  expect(found).toEqual([]);
});
