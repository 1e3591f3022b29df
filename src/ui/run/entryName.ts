import { capital } from '@/core/model/words';
/** What a path means to someone who does not read paths. Numbers count from one, as in the tables. */
const PLACES: [RegExp, string][] = [
  [/^part\.outside\[(\d+)\]/, 'Step'],
  [/^part\.bores\[(\d+)\]/, 'Hole'],
  [/^part\.details\[(\d+)\]/, 'Detail'],
  [/^part\.lengths\[(\d+)\]/, 'Length'],
  [/^part\.elsewhere\[(\d+)\]/, 'Work elsewhere'],
  [/^overrules\[(\d+)\]/, 'Decision'],
  [/^part\.outside/, 'Outside'],
  [/^part\.number/, 'Part number'],
  [/^part\.(\w+)/, ''],
];

const WORDS: Record<string, string> = {
  'chamfers.front': 'chamfer front',
  'chamfers.back': 'chamfer back',
  roughness: 'Ra',
  generalTolerance: 'General tolerance',
  due: 'Promised for',
};

/** The name of an entry by its path: `part.outside[1].diameter` is “Step 2 diameter”. */
export function entryName(path: string): string {
  for (const [pattern, word] of PLACES) {
    const match = pattern.exec(path);
    if (!match) continue;
    const rest = path.slice(match[0].length).replace(/^\./, '');
    const last = rest && ` ${WORDS[rest] ?? rest}`;
    if (word === '') return capital(`${WORDS[match[1] ?? ''] ?? match[1]}${last}`);
    return `${word}${match[1] === undefined ? '' : ` ${Number(match[1]) + 1}`}${last}`;
  }
  const [first = '', ...rest] = path.split('.');
  return capital([WORDS[first] ?? first, ...rest].join(' '));
}
