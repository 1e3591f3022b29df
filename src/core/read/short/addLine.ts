import { isSize } from '../../model/part/size';
import type { Problem } from '../../model/result';
import { readThread, BOLT_CLASSES } from '../../model/part/thread';
import { MM_PER_INCH, type UnitSystem } from '../../model/units/length';
import { kindOfEntry } from '../entryKinds';
import { readFields } from '../fields';
import { cylinderWord, holeWords, lineWords, readLine, stepEntry, type Entry, type Word } from '../lines';
import type { PartFile } from '../runFile';
import { lastStep, numberOf, type Before } from './before';
import { PLACED } from './places';
import { tokensOf, type Token } from './tokens';

/** What is wrong with a line, and the word of it that is. */
export interface LineProblem extends Problem {
  token?: Token;
}

/** A line that was understood: the part with it, and what it says in words. */
export interface Added {
  part: PartFile;
  words: string;
}

type Outcome<Value> = { ok: true; value: Value } | { ok: false; problems: [LineProblem, ...LineProblem[]] };

const wrong = (message: string, token?: Token): { ok: false; problems: [LineProblem] } => ({
  ok: false,
  problems: [{ path: 'line', message, ...(token ? { token } : {}) }],
});

/** Entries of a line by the list of the part that they go into. */
interface Entries {
  word: Word;
  entry: Entry;
  /** What comes with it: a radius in the corner of a step, the step of a thread. */
  also?: { into: 'outside' | 'details'; entry: Entry };
}

/** A designation of a thread by itself: `M10`, `M10x1`, `1/4-20`. */
const isThread = (text: string): boolean => /^m\d/i.test(text) || /^\d+(\/\d+)?-\d+$/.test(text);

/** The word that a line begins with, from as much of it as is only its own. */
function wordOf(token: Token, isHole: boolean): Word | { why: string } {
  const name = token.text.toLowerCase();
  const all = isHole ? holeWords : lineWords;
  const exact = all.find(({ word }) => word === name);
  if (exact) return exact;
  const known = all.filter(
    (one, index) => one.word.startsWith(name) && all.findIndex(({ word }) => word === one.word) === index,
  );
  // What the lathe makes goes before what is done elsewhere.
  const made = known.filter(({ into }) => into !== 'elsewhere' && into !== 'lengths');
  const begun = made.length > 0 ? made : known;
  if (begun.length === 1 && begun[0]) return begun[0];
  return {
    why:
      begun.length > 1
        ? `“${token.text}” may be ${begun.map(({ word }) => word).join(' or ')}: write a letter more`
        : `“${token.text}” is not a word for a step, a detail or a hole; there are ${[...new Set(lineWords.map(({ word }) => word))].join(', ')}`,
  };
}

/** Edges and surface of a step: what may stand behind its figures. */
function edgeOf(token: Token, entry: Entry, edges: { free: 'front' | 'back'; count: number }): string | undefined {
  const [, letter = '', size = ''] = /^([cfb])([\d.].*)$/i.exec(token.text) ?? [];
  if (letter !== '') {
    const other = edges.free === 'front' ? 'back' : 'front';
    const side = { c: edges.count === 0 ? edges.free : other, f: 'front', b: 'back' }[letter.toLowerCase()] ?? 'front';
    if (letter.toLowerCase() === 'c') edges.count += 1;
    if (entry[side] !== undefined) return `“${token.text}”: that edge has its chamfer`;
    entry[side] = size;
    return undefined;
  }
  const roughness = /^ra([\d.].*)$/i.exec(token.text)?.[1] ?? /^n\d{1,2}$/i.exec(token.text)?.[0];
  if (roughness !== undefined) entry['ra'] = roughness;
  else if (/^(!|critical)$/i.test(token.text)) entry['critical'] = true;
  else return `“${token.text}” is not known here; behind a step’s figures go c1, f1, b1, r0.4, ra1.6, N7, ! and name`;
  return undefined;
}

/** What a line says of a step. */
function stepOf(word: Word, tokens: readonly Token[], part: PartFile, units: UnitSystem): Outcome<Entries> {
  const entry: Entry = word.key ? { [word.key]: word.word } : {};
  const waiting = [...word.fields];
  const naming = tokens.findIndex(({ text }) => text.toLowerCase() === 'name');
  const figures = naming < 0 ? tokens : tokens.slice(0, naming);
  if (naming >= 0)
    entry['name'] = tokens
      .slice(naming + 1)
      .map(({ text }) => text)
      .join(' ');
  const diameterOf = (one: Entry) => numberOf(one['diameter'] ?? one['across'] ?? one['from'], units) ?? 0;
  const former = lastStep(part, units)?.diameter ?? 0;
  const edges = { free: 'front' as 'front' | 'back', count: 0 };
  let corner: Token | undefined;
  for (const token of figures) {
    if (/^[⌀Øø∅]?[.\d]|^about /i.test(token.text)) {
      const field = waiting.shift();
      if (!field) return wrong(`“${token.text}” is one figure too many`, token);
      entry[field.key] = token.text;
      continue;
    }
    edges.free = former > diameterOf(entry) ? 'back' : 'front';
    if (/^r[\d.]/i.test(token.text)) corner = token;
    else {
      const why = edgeOf(token, entry, edges);
      if (why) return wrong(why, token);
    }
  }
  const radius = corner && radiusIn(corner, entry, part, units);
  return {
    ok: true,
    value: { word, entry: stepEntry(entry), ...(radius ? { also: { into: 'details', entry: radius } } : {}) },
  };
}

/** The fillet in the corner of a step that is being typed. */
function radiusIn({ text }: Token, step: Entry, part: PartFile, units: UnitSystem): Entry | undefined {
  const before = lastStep({ outside: [...part.outside, step as unknown as PartFile['outside'][number]] }, units);
  return before && { kind: 'radius', ...PLACED['radius']?.place(before, () => undefined), size: text.slice(1) };
}

/** What a line says of a detail, a hole, a length or work elsewhere. */
function entryOf(
  word: Word,
  tokens: readonly Token[],
  before: Before | undefined,
  units: UnitSystem,
): Outcome<Entries> {
  const entry: Entry = word.key ? { [word.key]: word.word } : {};
  const placed = word.into === 'details' ? PLACED[word.word] : undefined;
  const isShort = placed !== undefined && tokens.length <= placed.upTo;
  let keys = isShort ? [...placed.order] : word.fields.map(({ key }) => key);
  if (word.into === 'bores') {
    const isSaid = /^(front|back)$/i.test(tokens[0]?.text ?? '');
    entry['from'] = isSaid ? (tokens[0]?.text ?? '').toLowerCase() : 'front';
    tokens = isSaid ? tokens.slice(1) : tokens;
    keys = keys.filter((key) => key !== 'from');
  }
  // A pattern may be left out, and is a word where it is not.
  if (isShort && keys[0] === 'pattern' && /^\d|^\./.test(tokens[0]?.text ?? '')) keys = keys.slice(1);
  for (const token of tokens) {
    const key = keys.shift();
    if (key === undefined) return wrong(`“${token.text}” is one figure too many`, token);
    entry[key] = token.text;
  }
  if (isShort) {
    if (!before)
      return wrong(`there is no step before it whose place is known: say where it is, as in ${exampleOf(word)}`);
    const said = placed.place(before, (key) => numberOf(entry[key], units));
    for (const [key, value] of Object.entries(said)) entry[key] ??= value;
  }
  if (word.into === 'bores' && word.fields.some(({ key }) => key === 'depth') && word.word !== 'cone')
    entry['depth'] ??= 'through';
  return { ok: true, value: { word, entry } };
}

/** A line of a kind in the long order, for who does not know its figures. */
export const exampleOf = ({ word, fields }: Pick<Word, 'word' | 'fields'>): string =>
  `${word} ${fields
    .filter((field) => field.needed)
    .map(({ key }) => key)
    .join(' ')}`;

/** A thread alone: on the step before where that has its size, else on a step of its own. */
function threadOf(word: Word, tokens: readonly Token[], part: PartFile, units: UnitSystem): Outcome<Entries> {
  const [designation, length] = tokens;
  const thread = readThread(designation?.text ?? '', 'line', BOLT_CLASSES);
  if (!thread.ok) return wrong(thread.problems[0]?.message ?? 'is not a thread', designation);
  const major = Number((thread.value.diameter / (units === 'in' ? MM_PER_INCH : 1)).toFixed(6));
  const before = lastStep(part, units);
  const isOn = before && before.diameter <= major + 0.05 && before.diameter > major - 0.5 * thread.value.pitch;
  if (isOn || length === undefined) return entryOf(word, tokens, before, units);
  const step: Entry = { shape: 'cylinder', diameter: major, length: length.text };
  const on = lastStep({ outside: [...part.outside, step as unknown as PartFile['outside'][number]] }, units);
  const entry = entryOf(word, tokens, on, units);
  return entry.ok ? { ok: true, value: { ...entry.value, also: { into: 'outside', entry: step } } } : entry;
}

/** Where in a line a value stands. */
const tokenOf = (tokens: readonly Token[], value: unknown): Token | undefined =>
  tokens.find(({ text }) => text === value || text.slice(1) === value || text.slice(2) === value);

/** What the figures of an entry are not, each in its own word. */
function checked(entries: Entries, tokens: readonly Token[], units: UnitSystem): LineProblem[] {
  const { word, entry, also } = entries;
  const context = { units, general: 'medium' as const };
  const all = [
    { fields: word.fields, entry },
    ...(also?.into === 'outside' ? [{ fields: cylinderWord.fields, entry: also.entry }] : []),
  ];
  const found = all.flatMap(({ fields, entry: one }) => {
    const read = readFields(fields, one, 'line', context);
    return read.ok ? [] : read.problems;
  });
  return found.map((problem): LineProblem => {
    const key = problem.path.slice('line.'.length);
    const label = word.fields.find((field) => field.key === key)?.label.toLowerCase() ?? key;
    const token = tokenOf(tokens, entry[key]);
    return {
      ...problem,
      message: problem.missing ? `${label} is missing` : problem.message,
      ...(token ? { token } : {}),
    };
  });
}

/** What an entry says, in words. */
function wordsOf({ word, entry, also }: Entries): string {
  const kind = word.into === 'lengths' ? undefined : kindOfEntry(word.into, entry as never);
  const said = word.fields.flatMap(({ key, label }) =>
    isSize(entry[key]) ? [`${label.toLowerCase()} ${String(entry[key])}`] : [],
  );
  const { front, back } = (entry['chamfers'] ?? {}) as { front?: string; back?: string };
  const beside = [
    ...(front === undefined ? [] : [`chamfer front ${front}`]),
    ...(back === undefined ? [] : [`chamfer back ${back}`]),
    ...(entry['roughness'] === undefined ? [] : [`Ra ${String(entry['roughness'])}`]),
    ...(entry['critical'] ? ['critical'] : []),
    ...(typeof entry['name'] === 'string' && !word.fields.some(({ key }) => key === 'name')
      ? [`named ${entry['name']}`]
      : []),
    ...(also?.into === 'details' ? [`radius ${String(also.entry['size'])} in its corner`] : []),
  ];
  const brings = word.word === 'ream' || word.word === 'tap' ? '; it brings its own drill' : '';
  const step = also?.into === 'outside' ? `, on a step of its own, ${String(also.entry['diameter'])}` : '';
  return `${kind?.label ?? 'Length'}: ${[...said, ...beside].join(', ')}${step}${brings}`;
}

function entriesOf(tokens: readonly Token[], part: PartFile, units: UnitSystem): Outcome<Entries> {
  const [first, second] = tokens;
  if (!first) return wrong('write what it is: 10 h9 16 c1 is a step, ream 6 H7 16 a hole');
  const thread = lineWords.find(({ word }) => word === 'thread');
  if (isThread(first.text) && thread) return threadOf(thread, tokens, part, units);
  if (!/^[a-z]/i.test(first.text) || first.text.startsWith('about ')) return stepOf(cylinderWord, tokens, part, units);
  // `back drill 6 8` as well as `drill back 6 8`.
  const isTurned = /^(front|back)$/i.test(first.text) && second !== undefined;
  const named = isTurned ? second : first;
  const isHole = isTurned || /^(front|back)$/i.test(second?.text ?? '');
  const word = wordOf(named, isHole);
  if ('why' in word) return wrong(word.why, named);
  const rest = isTurned ? [first, ...tokens.slice(2)] : tokens.slice(1);
  if (word.into === 'outside') return stepOf(word, rest, part, units);
  if (word.word === 'thread') return threadOf(word, rest, part, units);
  return entryOf(word, rest, lastStep(part, units), units);
}

/** A part with what was typed last on it. */
function withEntries(part: PartFile, { word: { into }, entry, also }: Entries): PartFile {
  const add = (before: PartFile, list: Word['into'], one: Entry): PartFile => ({
    ...before,
    [list]: [...(before[list] ?? []), one],
  });
  // The step of a thread comes before it, the radius of a step after.
  if (also?.into === 'outside') return add(add(part, 'outside', also.entry), into, entry);
  const added = add(part, into, entry);
  return also ? add(added, also.into, also.entry) : added;
}

/**
 * Adds a line to a part: in the long notation, or short, with spaces between the figures (docs/notation.md). What says no place lies on
 * the step that was typed last.
 * @returns the part with it and what was understood, or what is wrong and in which word
 */
export function addLine(part: PartFile, line: string, units: UnitSystem): Outcome<Added> {
  if (line.includes(';')) {
    const read = readLine(line.trim());
    if (typeof read === 'string') return wrong(read);
    const word = lineWords.find(
      ({ word: name, into }) => into === read.into && (name === read.entry['shape'] || name === read.entry['kind']),
    );
    const entries = { word: word ?? cylinderWord, entry: read.entry };
    return { ok: true, value: { part: withEntries(part, entries), words: wordsOf(entries) } };
  }
  const tokens = tokensOf(line);
  const [only] = tokens;
  if (tokens.length === 1 && only && /^\d+,\d+$/.test(only.text))
    return wrong(
      `“${only.text}” is ${only.text.replace(',', '.')} or ${only.text.replace(',', ' ')}? Write which`,
      only,
    );
  const entries = entriesOf(tokens, part, units);
  if (!entries.ok) return entries;
  const [problem, ...more] = checked(entries.value, tokens, units);
  if (problem) return { ok: false, problems: [problem, ...more] };
  return { ok: true, value: { part: withEntries(part, entries.value), words: wordsOf(entries.value) } };
}

/** Words that begin as the first one of a line does, each with what it takes. */
export function wordsFor(line: string): { word: string; example: string }[] {
  const begun = line.trimStart().toLowerCase();
  if (!/^[a-z][a-z-]*$/.test(begun)) return [];
  return lineWords
    .filter(({ word }, index) => word.startsWith(begun) && lineWords.findIndex((one) => one.word === word) === index)
    .map((word) => ({
      word: word.word,
      example: PLACED[word.word] ? `${word.word} ${PLACED[word.word]?.order.join(' ') ?? ''}` : exampleOf(word),
    }));
}
