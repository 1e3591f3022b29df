import type { Thread } from '../part/feature';
import { readThread } from '../part/thread';
import type { Tool } from './shop';

const INCH = 25.4;

/** A twist drill of a size, mm, as it is sold. */
export const drill = (diameter: number, size = String(diameter)): Tool => ({
  id: `drill-${size.replace('/', '-')}`,
  name: `drill ⌀${size}`,
  does: ['drill'],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter,
  point: 118,
  // Flute of a jobber drill, about ten diameters and never under 25 (ours).
  flute: Math.round(Math.max(25, Math.min(180, 25 + 7 * diameter))),
});

const range = (from: number, upTo: number, by: number) =>
  Array.from({ length: Math.round((upTo - from) / by) + 1 }, (_, index) => Number((from + index * by).toFixed(4)));

/** A fraction of an inch in sixty-fourths, in its lowest terms: 24 is `3/8`. */
function sixtyFourths(n: number): string {
  const common = [32, 16, 8, 4, 2, 1].find((divisor) => n % divisor === 0) ?? 1;
  return `${n / common}/${64 / common}`;
}

/** Number drills 1 to 60, thousandths of an inch and tenths of them. */
const NUMBERS = [
  ...[2280, 2210, 2130, 2090, 2055, 2040, 2010, 1990, 1960, 1935, 1910, 1890, 1850, 1820, 1800, 1770, 1730, 1695, 1660],
  ...[1610, 1590, 1570, 1540, 1520, 1495, 1470, 1440, 1405, 1360, 1285, 1200, 1160, 1130, 1110, 1100, 1065, 1040, 1015],
  ...[995, 980, 960, 935, 890, 860, 820, 810, 785, 760, 730, 700, 670, 635, 595, 550, 520, 465, 430, 420, 410, 400],
];

/** Letter drills A to Z, thousandths of an inch. */
const LETTERS = [
  ...[234, 238, 242, 246, 250, 257, 261, 266, 272, 277, 281, 290, 295],
  ...[302, 316, 323, 332, 339, 348, 358, 368, 377, 386, 397, 404, 413],
];

/** A size in inches as mm, to a tenth of a micrometre. */
const inch = (size: number): number => Number((size * INCH).toFixed(4));

/** A reamer of a size, mm, as it is sold. */
export const reamer = (diameter: number, size = String(diameter)): Tool => ({
  id: `reamer-${size.replace('/', '-')}`,
  name: `reamer ⌀${size}`,
  does: ['ream'],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter,
  // About seven diameters, and never under 30 (ours).
  flute: Math.round(Math.max(30, 20 + 5 * diameter)),
});

const threadCutter = (kind: 'tap' | 'die', { designation, diameter, pitch, hand }: Thread): Tool => ({
  id: `${kind}-${designation.replace(/[/ ]/g, '-')}`,
  name: `${kind} ${designation}`,
  does: kind === 'tap' ? ['tap', 'hand-tap'] : [kind],
  edge: 'hss',
  mount: 'tailstock',
  offset: 0,
  diameter,
  pitch,
  ...(hand ? { hand } : {}),
});

/** A die for a thread, as it is sold. */
export const die = (thread: Thread): Tool => threadCutter('die', thread);

/** A tap for a thread, as it is sold. */
export const tap = (thread: Thread): Tool => threadCutter('tap', thread);

/** A pointed tool of 60° at the end of a bar; its point stands out by what its sides, `ahead`, are wide. mm */
export const insideThreadTool = ({
  diameter,
  least,
  deep,
  ahead,
}: Required<Pick<Tool, 'diameter' | 'least' | 'deep' | 'ahead'>>): Tool => ({
  id: `thread-60-inside-${diameter}-${deep}`,
  name: `inside threading tool 60°, bar ⌀${diameter}`,
  does: ['inner-thread'],
  edge: 'hss',
  mount: 'post',
  offset: 0,
  diameter,
  least,
  deep,
  point: 60,
  ahead,
});

const cutterFor = (kind: 'tap' | 'die', designation: string): Tool => {
  const thread = readThread(designation, '');
  if (!thread.ok) throw new Error(`${designation} is no thread`);
  return threadCutter(kind, thread.value);
};

/** Coarse threads, and the unified ones that are about as large (trade: Tables). */
const METRIC = ['M3', 'M4', 'M5', 'M6', 'M8', 'M10', 'M12', 'M16'];
const UNIFIED = ['4-40', '6-32', '8-32', '10-24', '10-32', '1/4-20', '1/4-28', '5/16-18', '3/8-16'];

/** Tools that are bought and kept together. */
export interface ToolSet {
  id: string;
  name: string;
  tools: readonly Tool[];
}

/** Sets of drills, reamers, taps and dies, for the page to add whole. */
export const toolSets: readonly ToolSet[] = [
  {
    id: 'drills-metric',
    name: 'drills, metric',
    tools: [...range(1, 10, 0.1), ...range(10.5, 13, 0.5), ...range(14, 25, 1)].map((size) => drill(size)),
  },
  {
    id: 'drills-reaming',
    name: 'drills for reamers over 10',
    tools: [11.8, 13.7, 15.7, 17.7, 19.7].map((size) => drill(size)),
  },
  {
    id: 'drills-fraction',
    name: 'drills, fractions of an inch',
    tools: range(4, 32, 1).map((n) => drill((n * INCH) / 64, `${sixtyFourths(n)}″`)),
  },
  {
    id: 'drills-number',
    name: 'drills, numbers 1 to 60',
    tools: NUMBERS.map((size, index) => drill(inch(size / 10_000), `no. ${index + 1}`)),
  },
  {
    id: 'drills-letter',
    name: 'drills, letters A to Z',
    tools: LETTERS.map((size, index) => drill(inch(size / 1000), `letter ${String.fromCharCode(65 + index)}`)),
  },
  {
    id: 'reamers-metric',
    name: 'reamers, metric',
    tools: [3, 4, 5, 6, 8, 10, 12, 14, 16, 18, 20].map((size) => reamer(size)),
  },
  {
    id: 'reamers-fraction',
    name: 'reamers, fractions of an inch',
    tools: range(8, 48, 4).map((n) => reamer((n * INCH) / 64, `${sixtyFourths(n)}″`)),
  },
  { id: 'taps-metric', name: 'taps, metric coarse', tools: METRIC.map((name) => cutterFor('tap', name)) },
  { id: 'taps-unified', name: 'taps, unified', tools: UNIFIED.map((name) => cutterFor('tap', name)) },
  {
    id: 'dies-metric',
    name: 'dies, metric coarse',
    tools: METRIC.filter((name) => name !== 'M16').map((name) => cutterFor('die', name)),
  },
  { id: 'dies-unified', name: 'dies, unified', tools: UNIFIED.map((name) => cutterFor('die', name)) },
];

/** The tools of a set by its id. */
export const setOf = (id: string): readonly Tool[] => toolSets.find((toolSet) => toolSet.id === id)?.tools ?? [];

/** A list of tools with what it lacks of a set; those that are there stay as the shop has them. */
export const withSet = (tools: readonly Tool[], id: string): Tool[] => [
  ...tools,
  ...setOf(id).filter((tool) => !tools.some((known) => known.id === tool.id)),
];
