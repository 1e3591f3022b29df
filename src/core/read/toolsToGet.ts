import type { Feature } from '../model/part/feature';
import type { Part } from '../model/part/part';
import { drill, reamer } from '../model/shop/toolSets';
import { leftToReam, makesWithReamer } from '../model/shop/reaming';
import type { CuttingValues, Tool } from '../model/shop/shop';
import { goesIntoFace } from '../model/shop/tool';
import { dies, narrowThreadTools, tapDrills, taps } from './threadToolsToGet';
import { BAR_OUT, barFor, BEYOND, LEAST, sizesOf, withinReach } from './toolsInReach';
import { CLOSE } from '../model/tolerances';

/** A blade is ground to reach so many of its widths (trade: Stock). */
const REACHES = 8;

/** Beside what it holds a ground blade stands so far out of the way, mm (ours). */
const HOLDER = 3;

const round = (mm: number): number => Number(mm.toFixed(3));

/** A long drill or reamer goes so many of its diameters in at most; deeper is a gun drill's work (ours). */
const DEEPEST = 25;

/** The point of a drill is less than so much of its diameter long. */
const POINT = 0.5;

/** A tool of the list with a flute for a hole so deep, by steps of 5; undefined where nobody sells one. */
function longer(tool: Tool, deep: number): Tool | undefined {
  const { diameter = 0 } = tool;
  if (deep > DEEPEST * diameter) return undefined;
  const flute = 5 * Math.ceil(deep / 5);
  return { ...tool, id: `${tool.id}-${flute}`, name: `long ${tool.name}, flute ${flute}`, flute };
}

/** A tool that is wanted: of which sizes, the nearest to which, and how deep it goes in. */
interface Wanted {
  kind: 'drill' | 'ream';
  from: number;
  upTo: number;
  aim: number;
  deep: number;
}

/** Drills and reamers for holes that those of their size in the list are too short for; a reamer wants its drill as long. */
function longTools({ holes, features, length }: Part, tools: readonly Tool[], cutting: CuttingValues): Tool[] {
  const deepOf = (size: number, through: boolean, depth: number) =>
    through ? length + BEYOND + POINT * size : depth + POINT * size;
  const wanted = [
    ...holes.map(({ diameter: { nominal, lower, upper }, through, depth }): Wanted => ({
      kind: 'drill',
      from: nominal + lower,
      upTo: nominal + upper,
      aim: nominal + (lower + upper) / 2,
      deep: deepOf(nominal, through, depth),
    })),
    ...features.flatMap(({ kind, size, z0, z1 }): Wanted[] => {
      if (kind !== 'ream' || !size || !makesWithReamer(size)) return [];
      const { nominal } = size;
      const deep = deepOf(nominal, z0 < CLOSE && z1 > length - CLOSE, z1 - z0);
      const { least, most } = leftToReam(nominal, cutting);
      return [
        { kind: 'drill', from: nominal - most, upTo: nominal - least, aim: nominal - least, deep },
        { kind: 'ream', from: nominal, upTo: nominal, aim: nominal, deep },
      ];
    }),
  ];
  return wanted.flatMap(({ kind, from, upTo, aim, deep }) => {
    const off = ({ diameter = 0 }: Tool) => Math.abs(diameter - aim);
    const fitting = tools.filter(
      ({ does, diameter = 0 }) => does.includes(kind) && diameter >= from - CLOSE && diameter <= upTo + CLOSE,
    );
    const [first] = fitting.toSorted((a, b) => off(a) - off(b));
    if (!first || fitting.some(({ flute = 0 }) => flute >= deep)) return [];
    return longer(first, deep) ?? [];
  });
}

/**
 * The bar that is got where none of the list goes so deep: the stoutest of those that go in; of the stoutest of all a stouter one
 * that goes into the widest hole that is drilled for it.
 */
function barToGet(stoutest: Tool, { kind, size }: Feature, tools: readonly Tool[]): Tool {
  const { diameter = 0, least = 0 } = stoutest;
  const drilled = sizesOf(tools, 'drill').filter((drill) => drill < (size?.nominal ?? 0) - CLOSE);
  const stouter = Math.floor((Math.max(0, ...drilled) * diameter) / least + CLOSE);
  const isStoutest = diameter >= Math.max(...sizesOf(tools, 'bore')) - CLOSE;
  if (kind === 'conical-bore' || !isStoutest || stouter <= diameter)
    return { ...stoutest, name: `long ${stoutest.name}` };
  const hole = (stouter * least) / diameter;
  return { ...stoutest, id: `boring-bar-${stouter}`, name: `boring bar ⌀${stouter}`, diameter: stouter, least: hole };
}

/** Boring bars for bores that those of the list are too short for, by steps of 5 up to as far as one may stand out. */
function longBars(part: Part, tools: readonly Tool[]): Tool[] {
  return part.features.flatMap((feature) => {
    if (!['bore', 'counterbore', 'conical-bore'].includes(feature.kind)) return [];
    const { deep, stoutest, isReached } = barFor(feature, part, tools);
    if (!stoutest || isReached) return [];
    const bar = barToGet(stoutest, feature, tools);
    const most = BAR_OUT * (bar.diameter ?? 0);
    const bored = feature.z1 - feature.z0;
    if (deep > bored ? bored > most - CLOSE : bored > most + CLOSE) return [];
    const out = Math.min(5 * Math.ceil(deep / 5), most);
    return [{ ...bar, id: `${bar.id}-${out}`, name: `${bar.name}, ${out} deep`, deep: out }];
  });
}

/** Drills for holes of the drawing that none of the list makes; what is closer than a drill makes it is bored or reamed. */
function drills({ holes }: Part, tools: readonly Tool[]): Tool[] {
  const sizes = sizesOf(tools, 'drill');
  return holes.flatMap(({ diameter: { nominal, lower, upper, from } }) => {
    if (from !== 'general') return [];
    const listed = sizes.some((size) => size >= nominal + lower - CLOSE && size <= nominal + upper + CLOSE);
    return listed || !withinReach(sizes, nominal) ? [] : [drill(nominal, String(round(nominal)))];
  });
}

/** Reamers for holes of the drawing that none of the list makes. */
function reamers({ features }: Part, tools: readonly Tool[]): Tool[] {
  const sizes = sizesOf(tools, 'ream');
  return features.flatMap(({ kind, size }) => {
    if (kind !== 'ream' || !size || !makesWithReamer(size)) return [];
    const listed = sizes.some((diameter) => Math.abs(diameter - size.nominal) < CLOSE);
    return listed || !withinReach(sizes, size.nominal) ? [] : [reamer(size.nominal, String(round(size.nominal)))];
  });
}

/** Drills that leave a reamer enough and not too much, where none of the list does: to a tenth of a mm. */
function reamingDrills({ features }: Part, tools: readonly Tool[], cutting: CuttingValues): Tool[] {
  const sizes = sizesOf(tools, 'drill');
  return features.flatMap(({ kind, size }) => {
    if (kind !== 'ream' || !size || !makesWithReamer(size)) return [];
    const { least, most } = leftToReam(size.nominal, cutting);
    const [from, upTo] = [size.nominal - most, size.nominal - least];
    const diameter = Math.floor(10 * upTo + CLOSE) / 10;
    const isThere = sizes.some((hole) => hole >= from - CLOSE && hole <= upTo + CLOSE);
    return isThere || diameter < from || !withinReach(sizes, diameter) ? [] : [drill(diameter)];
  });
}

const widthOf = ({ z0, z1 }: Feature): number => z1 - z0;

/** Blades for grooves that are narrower than every blade of the list: ground, as wide as the groove. */
function blades({ features }: Part, tools: readonly Tool[]): Tool[] {
  const widths = tools.flatMap(({ does, width }) => (does.includes('groove') && width !== undefined ? [width] : []));
  if (widths.length === 0) return [];
  return features.flatMap((feature) => {
    const width = round(widthOf(feature));
    if (feature.kind !== 'groove' || width >= Math.min(...widths) - CLOSE) return [];
    const ground: Tool = {
      id: `blade-${width}`,
      name: `blade ground to ${width}`,
      does: ['groove'],
      edge: 'hss',
      mount: 'post',
      offset: 0,
      width,
      reach: REACHES * width,
      holder: HOLDER,
      touched: 'left',
    };
    return [ground];
  });
}

/** Blades for grooves in a face whose curve none of the list clears, or that are narrower or deeper: ground for that groove. */
function faceBlades({ features }: Part, tools: readonly Tool[]): Tool[] {
  return features.flatMap(({ inFace, z0, z1 }) => {
    if (!inFace) return [];
    const [width, outer] = [round((inFace.outer.aim - inFace.inner.aim) / 2), round(inFace.outer.nominal)];
    const deep = z1 - z0;
    if (tools.some(goesIntoFace({ width, deep, outer })) || deep > REACHES * width) return [];
    const ground: Tool = {
      id: `face-groove-${width}-${outer}`,
      name: `face groove tool ground to ${width} for ⌀${outer}`,
      does: ['face-groove'],
      edge: 'hss',
      mount: 'post',
      offset: 0,
      width,
      reach: Math.max(deep, width),
      clearsFrom: outer,
      clearsUpTo: outer,
    };
    return [ground];
  });
}

/** Bars for conical bores whose small end every bar of the list is too stout for, and no countersink has the angle of. */
function seatBars({ features }: Part, tools: readonly Tool[]): Tool[] {
  const bars = tools.filter(({ does }) => does.includes('bore'));
  const [thinnest] = bars.toSorted((a, b) => (a.diameter ?? 0) - (b.diameter ?? 0));
  return features.flatMap(({ kind, bore = [], z0, z1 }) => {
    const [cone] = bore;
    if (kind !== 'conical-bore' || !cone || !thinnest) return [];
    const included = (2 * Math.atan(Math.abs(cone.r1 - cone.r0) / (cone.z1 - cone.z0)) * 180) / Math.PI;
    const isSunk = tools.some(
      ({ does, point }) => does.includes('countersink') && Math.abs((point ?? 0) - included) < 0.01,
    );
    const small = round(2 * Math.min(cone.r0, cone.r1));
    const { diameter = 0, least = 0, deep = 0 } = thinnest;
    const share = small / least;
    // As far out for its size as the bars of the list.
    if (isSunk || share >= 1 || share < LEAST || z1 - z0 > deep * share) return [];
    const id = `boring-bar-for-${small}`;
    return [
      {
        ...thinnest,
        id,
        name: `boring bar for ⌀${small}`,
        diameter: round(diameter * share),
        least: small,
        deep: deep * share,
      },
    ];
  });
}

/** Each once, planned with as if it were there, and told as to get. */
export const asToGet = (wanted: readonly Tool[]): Tool[] =>
  wanted
    .filter(({ id }, index) => wanted.findIndex((other) => other.id === id) === index)
    .map((tool) => ({
      ...tool,
      id: `${tool.id}-to-get`,
      name: `${tool.name}, to get`,
      toGet: true as const,
      gotAs: tool.name,
    }));

/**
 * Tools that a drawing asks for and a shop has not: nothing is left out for want of one. Each is planned with as if it were
 * there, and told as to get or to make (trade: Small practices).
 */
export function toolsToGet(part: Part, tools: readonly Tool[], cutting: CuttingValues): Tool[] {
  const sized = [
    ...drills(part, tools),
    ...reamingDrills(part, tools, cutting),
    ...reamers(part, tools),
    ...taps(part, tools),
    ...tapDrills(part, tools, cutting),
    ...dies(part, tools, cutting),
    ...narrowThreadTools(part, tools, cutting),
    ...blades(part, tools),
    ...faceBlades(part, tools),
    ...seatBars(part, tools),
  ];
  const wanted = [...sized, ...longTools(part, [...tools, ...sized], cutting), ...longBars(part, tools)];
  return asToGet(wanted);
}
