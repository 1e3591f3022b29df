/** The wording of the product, gathered from its sources. */
const { readdirSync, readFileSync, statSync } = require('node:fs');
const { join } = require('node:path');
const { namesIn, sourceOf, wordingsIn } = require('./wordings.cjs');

const root = join(__dirname, '../..');

/** What no page shows: tests, their tools, and the command line, which is in English. */
const ELSEWHERE =
  /\.(test|corpus|expected|notYet)\.tsx?$|\.d\.ts$|\/(testing|makeable)\.ts$|^src\/cli\/|\/migrations\//;

const filesIn = (path) =>
  readdirSync(join(root, path)).flatMap((name) => {
    const inner = `${path}/${name}`;
    if (statSync(join(root, inner)).isDirectory()) return filesIn(inner);
    return /\.tsx?$/.test(name) && !ELSEWHERE.test(inner) ? [inner] : [];
  });

/** The sources that pages and server are built from, as paths from the root. */
const shownFiles = () => filesIn('src');

/**
 * Every wording of the sources, each once, in the order of files and places. What is also a name in the code is a wording
 * only where it is shown right where it stands: said otherwise elsewhere, it would not be found again.
 */
function wordings() {
  const sources = shownFiles().map((file) => sourceOf(readFileSync(join(root, file), 'utf8'), file));
  const names = new Set(sources.flatMap((source) => [...namesIn(source)]));
  const found = sources.flatMap((source) => wordingsIn(source));
  const passed = new Set(found.filter(({ text, shown }) => !shown && names.has(text)).map(({ text }) => text));
  return [...new Set(found.map(({ text }) => text))].filter((text) => !passed.has(text));
}

module.exports = { shownFiles, wordings };
