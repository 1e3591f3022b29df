import { linesOf } from '../../read/lines';
import type { DetailFile, ElsewhereFile, HoleFile, LengthFile, PartFile, StepFile } from '../../read/runFile';
import { KIND_KEY, kindOfEntry, type EntryListName } from '../../read/entryKinds';
import type { Field } from '../../read/fields';
import { isSize, readPlace, saySize } from '../../model/part/size';
import { parseLength, type UnitSystem } from '../../model/units/length';
import { align } from './align';
import { byKeys, type ByKeys } from '../../read/byKeys';

/** A part as a revision keeps it: with the units that its figures are in. */
export interface WrittenPart {
  part: PartFile;
  units: UnitSystem;
}

/** One figure of the drawing that two revisions write differently; a side that has it not is left out. */
export interface DrawingChange {
  /** What it belongs to, in words: `Step 2 (head)`. */
  where: string;
  /** Which figure: `Length`; empty where the whole entry came or went. */
  what: string;
  before?: string;
  after?: string;
  /** Where the entry stands in each of the two. */
  path: { before?: string; after?: string };
}

/** Entries in step with one another: paths of the first by those of the second. */
export type PathMap = ReadonlyMap<string, string>;

type Entry = StepFile | DetailFile | HoleFile | ElsewhereFile;

const LISTS: { list: EntryListName; noun: string }[] = [
  { list: 'outside', noun: 'Step' },
  { list: 'details', noun: 'Detail' },
  { list: 'bores', noun: 'Hole' },
  { list: 'elsewhere', noun: 'Work elsewhere' },
];

/** What an entry may have beside the figures of its kind. */
const COMMON: readonly Field[] = [
  { key: 'front', label: 'Chamfer front', takes: 'length' },
  { key: 'back', label: 'Chamfer back', takes: 'length' },
  { key: 'roughness', label: 'Ra', takes: 'roughness' },
  { key: 'name', label: 'Name', takes: 'text' },
  { key: 'critical', label: 'Critical', takes: 'text' },
  { key: 'why', label: 'Why critical', takes: 'text' },
];

const nameOf = (entry: Entry): string | undefined => ('name' in entry ? entry.name : undefined);

const valueOf = (entry: Entry, key: string): unknown => {
  const { chamfers, ...rest } = byKeys(entry) as ByKeys & { chamfers?: ByKeys };
  return key === 'front' || key === 'back' ? chamfers?.[key] : rest[key];
};

/** A value as it is read: millimetres and limits, so that 20 and `20.0 mm` are the same; else its text. */
function meant({ takes }: Field, value: unknown, units: UnitSystem): string {
  if (value === undefined || value === '' || value === false) return '';
  if ((takes === 'size' || takes === 'place' || takes === 'depth') && isSize(value)) {
    const size = readPlace(value, { units, general: 'medium', path: '' });
    const places = (mm: number) => mm.toFixed(6);
    if (size.ok)
      return [
        ...[size.value.nominal, size.value.lower, size.value.upper].map(places),
        size.value.from,
        size.value.open ?? '',
      ].join(' ');
  }
  if (takes === 'length') {
    const length = parseLength(value as string | number, units);
    if (length.ok) return length.value.toFixed(6);
  }
  return String(value).trim();
}

/** A value as people read it; where the two sides count in different units, with its unit. */
function shown({ takes }: Field, value: unknown, units: UnitSystem, mixed: boolean): string | undefined {
  if (value === undefined || value === '' || value === false) return undefined;
  if (value === true) return 'yes';
  const text = isSize(value) ? saySize(value) : String(value);
  const isLong = ['size', 'place', 'length', 'depth'].includes(String(takes));
  return mixed && isLong && !/[a-z"″]/i.test(text) ? `${text} ${units}` : text;
}

const fieldsOf = (list: EntryListName, entry: Entry): Field[] => {
  const fields = kindOfEntry(list, entry)?.fields ?? [];
  // A drilled hole has its name among its own fields.
  return [...fields, ...COMMON.filter(({ key }) => !fields.some((field) => field.key === key))];
};

const kindIn = (list: EntryListName, entry: Entry) => byKeys(entry)[KIND_KEY[list]];

/** How unlike two entries are: another kind is as good as another entry; the same name is more than any figure. */
function unlike(list: EntryListName, a: Entry, b: Entry, units: { before: UnitSystem; after: UnitSystem }): number {
  if (kindIn(list, a) !== kindIn(list, b)) return 1.5;
  if (nameOf(a) && nameOf(a) === nameOf(b)) return 0;
  const fields = fieldsOf(list, a).filter(({ key }) => valueOf(a, key) !== undefined || valueOf(b, key) !== undefined);
  const changed = fields.filter(
    (field) => meant(field, valueOf(a, field.key), units.before) !== meant(field, valueOf(b, field.key), units.after),
  );
  return fields.length === 0 ? 0 : changed.length / fields.length;
}

const lineOf = (list: EntryListName, entry: Entry): string => linesOf({ outside: [], [list]: [entry] });

const titleOf = (noun: string, index: number, entry: Entry) =>
  `${noun} ${index + 1}${nameOf(entry) ? ` (${nameOf(entry)})` : ''}`;

const HEAD: { key: 'revision' | 'number' | 'name' | 'material' | 'generalTolerance'; what: string }[] = [
  { key: 'number', what: 'Number' },
  { key: 'revision', what: 'Revision' },
  { key: 'name', what: 'Name' },
  { key: 'material', what: 'Material' },
  { key: 'generalTolerance', what: 'General tolerance' },
];

const said = (key: 'before' | 'after', text: string | undefined) => (text === undefined ? {} : { [key]: text });

/**
 * What two revisions of a part write differently, entry by entry and figure by figure, in the order of the drawing. The
 * same length written otherwise (20, `20 mm`) is no change, and an entry put in between does not change those behind it.
 * @returns the changes, and which entry of the second is which of the first
 */
export function compareParts(before: WrittenPart, after: WrittenPart): { changes: DrawingChange[]; paths: PathMap } {
  const units = { before: before.units, after: after.units };
  const mixed = units.before !== units.after;
  const paths = new Map<string, string>();
  const head = HEAD.flatMap(({ key, what }): DrawingChange[] => {
    const [old, now] = [before.part[key], after.part[key]].map(
      (entry) => [entry ?? ''].flat().join(' or ').trim() || undefined,
    );
    return old === now ? [] : [{ where: 'Part', what, path: {}, ...said('before', old), ...said('after', now) }];
  });
  const entries = LISTS.flatMap(({ list, noun }) =>
    align<Entry>(before.part[list] ?? [], after.part[list] ?? [], (a, b) => unlike(list, a, b, units)).flatMap(
      ({ before: old, after: now, from, to }): DrawingChange[] => {
        const path = {
          ...(from === undefined ? {} : { before: `part.${list}[${from}]` }),
          ...(to === undefined ? {} : { after: `part.${list}[${to}]` }),
        };
        const where = now ? titleOf(noun, to ?? 0, now) : old ? titleOf(noun, from ?? 0, old) : noun;
        if (!old || !now)
          return [
            {
              where,
              what: '',
              path,
              ...said('before', old && lineOf(list, old)),
              ...said('after', now && lineOf(list, now)),
            },
          ];
        if (path.before && path.after) paths.set(path.after, path.before);
        return fieldsOf(list, now).flatMap((field): DrawingChange[] => {
          const [a, b] = [valueOf(old, field.key), valueOf(now, field.key)];
          if (meant(field, a, units.before) === meant(field, b, units.after)) return [];
          return [
            {
              where,
              what: field.label,
              path,
              ...said('before', shown(field, a, units.before, mixed)),
              ...said('after', shown(field, b, units.after, mixed)),
            },
          ];
        });
      },
    ),
  );
  return { changes: [...head, ...entries, ...lengthsBetween(before, after), ...tiesBetween(before, after)], paths };
}

/** Lengths between faces that came, went or changed. */
function lengthsBetween(before: WrittenPart, after: WrittenPart): DrawingChange[] {
  const size = { key: 'size', label: 'Length', takes: 'size' } as const;
  const ends = ({ from, to }: LengthFile) => `${from} to ${to}`;
  const mixed = before.units !== after.units;
  return align(before.part.lengths ?? [], after.part.lengths ?? [], (a, b) => (ends(a) === ends(b) ? 0 : 1.5)).flatMap(
    ({ before: old, after: now, to = 0, from = 0 }): DrawingChange[] => {
      const named = now ?? old;
      if (!named) return [];
      if (old && now && meant(size, old.size, before.units) === meant(size, now.size, after.units)) return [];
      return [
        {
          where: 'Length',
          what: ends(named),
          path: {
            ...(old ? { before: `part.lengths[${from}]` } : {}),
            ...(now ? { after: `part.lengths[${to}]` } : {}),
          },
          ...said('before', old && shown(size, old.size, before.units, mixed)),
          ...said('after', now && shown(size, now.size, after.units, mixed)),
        },
      ];
    },
  );
}

/** Run-out ties that came, went or changed. */
function tiesBetween(before: WrittenPart, after: WrittenPart): DrawingChange[] {
  const written = ({ part, units }: WrittenPart) =>
    (part.runout ?? []).map(({ of, to, limit }) => ({ pair: `${of} to ${to}`, limit: `${limit}`, units }));
  const [old, now] = [written(before), written(after)];
  const mm = (tie: { limit: string; units: UnitSystem } | undefined) => {
    const length = tie && parseLength(tie.limit, tie.units);
    return length?.ok ? length.value.toFixed(6) : tie?.limit;
  };
  return [...new Set([...old, ...now].map(({ pair }) => pair))].flatMap((pair): DrawingChange[] => {
    const [a, b] = [old.find((tie) => tie.pair === pair), now.find((tie) => tie.pair === pair)];
    if (mm(a) === mm(b)) return [];
    return [{ where: 'Run-out', what: pair, path: {}, ...said('before', a?.limit), ...said('after', b?.limit) }];
  });
}
