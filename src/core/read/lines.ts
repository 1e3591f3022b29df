import { ENTRY_KINDS, KIND_KEY, type EntryListName } from './entryKinds';
import { LENGTH_FIELDS } from './lengths/drawnLengths';
import type { Field } from './fields';
import { isSize, sizeText } from '../model/part/size';
import { bad, good, type Problem, type Result } from '../model/result';
import type { DetailFile, ElsewhereFile, HoleFile, LengthFile, PartFile, StepFile } from './runFile';
import { byKeys } from './byKeys';

/**
 * A part as lines of text, a line an entry, to be typed, pasted in and copied out (docs/notation.md): a word that says
 * what it is, then its figures in the order of the page, or each after its own word, with semicolons between. A line
 * without a word is a cylinder.
 *
 *     14 h8; 9 +0.05; ra 1.6; name spigot; critical
 *     cone 20; 26; 5
 *     groove 7; 2; 12.5
 *     drill front; 6; through
 */

export type Entry = Record<string, unknown>;

/** A word that a line begins with. */
export interface Word {
  word: string;
  /** The key that says its kind, where there are several. */
  key?: 'shape' | 'kind';
  into: EntryListName | 'lengths';
  fields: readonly Field[];
}

/** What every step may have beside its shape. */
const STEP_FIELDS: readonly Field[] = [
  { key: 'front', label: 'Chamfer front', takes: 'length' },
  { key: 'back', label: 'Chamfer back', takes: 'length' },
  { key: 'ra', label: 'Ra', takes: 'roughness' },
  { key: 'name', label: 'Name', takes: 'text' },
  { key: 'why', label: 'Why critical', takes: 'text' },
];

/** A length between two faces, from whichever datum the drawing takes. */
const LENGTH: Word = { word: 'length', into: 'lengths', fields: LENGTH_FIELDS };

const wordsOf = (into: EntryListName): Word[] =>
  ENTRY_KINDS[into].map(({ name, fields }) => ({ word: name, key: KIND_KEY[into], into, fields }));

const [steps, details, bores, elsewhere] = [
  wordsOf('outside'),
  wordsOf('details'),
  wordsOf('bores'),
  wordsOf('elsewhere'),
];

/** Every word that a line may begin with; those of a hole apart, since some are also outside. */
export const holeWords: readonly Word[] = bores;
export const cylinderWord = steps[0] as Word;
export const lineWords: readonly Word[] = [...steps, ...details, ...bores, ...elsewhere, LENGTH];

/** What a line is: its first word says; where a word may be outside or in the bore, `front` or `back` makes it a bore. */
function wordOf(line: string): { word: Word; rest: string } | { unknown: string } {
  const match = /^([a-z]+(?:-[a-z]+)*)\b\s*(.*)$/i.exec(line);
  if (!match?.[1]) return { word: steps[0] as Word, rest: line };
  const name = match[1].toLowerCase();
  const rest = match[2] ?? '';
  const first = /^(from\s+)?(front|back)\b/i.test(rest) ? [...bores, LENGTH] : [];
  const word = [...first, ...lineWords].find((candidate) => candidate.word === name);
  return word ? { word, rest } : { unknown: match[1] };
}

/** One line of the long notation, with semicolons between its figures; or what is wrong with it, in words. */
export function readLine(line: string): { into: Word['into']; entry: Entry } | string {
  const found = wordOf(line);
  if ('unknown' in found)
    return `“${found.unknown}” is not a word for a step, a detail or a hole; there are ${lineWords.map(({ word }) => word).join(', ')}`;
  const { word, rest } = found;
  const isStep = word.into === 'outside';
  const known = [...word.fields, ...(isStep ? STEP_FIELDS : [])];
  const entry: Entry = word.key ? { [word.key]: word.word } : {};
  const waiting = [...word.fields];
  for (const part of rest.split(';').map((text) => text.trim())) {
    if (word.into !== 'details' && part.toLowerCase() === 'critical') {
      entry['critical'] = true;
      continue;
    }
    const named = known.find(({ key }) => new RegExp(`^${key}\\b`, 'i').test(part));
    const field = named ?? waiting[0];
    if (!field) return `“${part}” is one figure too many`;
    const value = named ? part.slice(field.key.length).trim() : part;
    const at = waiting.indexOf(field);
    if (at >= 0) waiting.splice(0, at + 1);
    if (value !== '') entry[field.key] = value;
  }
  if (!isStep) return { into: word.into, entry };
  return { into: word.into, entry: stepEntry(entry) };
}

/** A step as a file has it, from the words that lines have for its edges and its surface. */
export function stepEntry({ front, back, ra, ...step }: Entry): Entry {
  return {
    ...step,
    ...(ra === undefined ? {} : { roughness: ra }),
    ...(front === undefined && back === undefined
      ? {}
      : { chamfers: { ...(front === undefined ? {} : { front }), ...(back === undefined ? {} : { back }) } }),
  };
}

/** What lines say of a part. */
export interface Lines {
  outside: StepFile[];
  details: DetailFile[];
  bores: HoleFile[];
  lengths?: LengthFile[];
  elsewhere?: ElsewhereFile[];
}

/**
 * Reads lines. Empty lines, and those that begin with #, say nothing.
 * @returns the entries, or what is wrong with each line: path `line 3`
 */
export function readLines(text: string): Result<Lines> {
  const lines: Lines = { outside: [], details: [], bores: [] };
  const problems: Problem[] = [];
  text.split('\n').forEach((raw, index) => {
    const line = raw.trim();
    if (line === '' || line.startsWith('#')) return;
    const read = readLine(line);
    if (typeof read === 'string') problems.push({ path: `line ${index + 1}`, message: read });
    else if (read.into === 'elsewhere') (lines.elsewhere ??= []).push(read.entry as unknown as ElsewhereFile);
    else if (read.into === 'lengths') (lines.lengths ??= []).push(read.entry as unknown as LengthFile);
    else (lines[read.into] as unknown[]).push(read.entry);
  });
  return problems.length > 0 ? bad(...problems) : good(lines);
}

const textOf = (value: unknown): string => (isSize(value) ? sizeText(value).trim() : '');

/** One entry as a line: figures in order as long as none is missing, then each after its word. */
function lineOf(entry: Entry, word: Word | undefined): string {
  if (!word) return '';
  const parts: string[] = [];
  let inOrder = true;
  for (const { key } of word.fields) {
    const text = textOf(entry[key]);
    if (text === '') inOrder = false;
    else parts.push(inOrder ? text : `${key} ${text}`);
  }
  const { front, back } = (entry['chamfers'] ?? {}) as Record<string, unknown>;
  const step: [string, unknown][] =
    word.into === 'outside'
      ? [
          ['front', front],
          ['back', back],
          ['ra', entry['roughness']],
          ['name', entry['name']],
          ['why', entry['why']],
        ]
      : [];
  for (const [key, value] of step) if (textOf(value) !== '') parts.push(`${key} ${textOf(value)}`);
  if (entry['critical'] === true) parts.push('critical');
  const line = parts.join('; ');
  // A cylinder needs no word, unless its first figure could be taken for one.
  return word.word === 'cylinder' && !/^[a-z]/i.test(line) ? line : `${word.word} ${line}`.trim();
}

/** A part as lines: its steps, its details, its holes. Reading them gives the same entries. */
export function linesOf({
  outside,
  details: typed = [],
  bores: holes = [],
  lengths = [],
  elsewhere: others = [],
}: Pick<PartFile, 'outside' | 'details' | 'bores' | 'lengths' | 'elsewhere'>): string {
  return [
    ...outside.map((step) =>
      lineOf(
        byKeys(step),
        steps.find(({ word }) => word === step.shape),
      ),
    ),
    ...typed.map((detail) =>
      lineOf(
        byKeys(detail),
        details.find(({ word }) => word === detail.kind),
      ),
    ),
    ...holes.map((hole) =>
      lineOf(
        byKeys(hole),
        bores.find(({ word }) => word === hole.shape),
      ),
    ),
    ...others.map((entry) =>
      lineOf(
        byKeys(entry),
        elsewhere.find(({ word }) => word === entry.kind),
      ),
    ),
    ...lengths.map((drawn) => lineOf(byKeys(drawn), LENGTH)),
  ]
    .filter((line) => line !== '')
    .join('\n');
}
