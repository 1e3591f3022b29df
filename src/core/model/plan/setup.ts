import { FACES } from '../part/faces';
import type { Stock } from './stock';
import type { Figure } from '../figure';
import type { Part } from '../part/part';
import type { Run } from '../run';
import type { Rest } from '../shop/shop';
import type { Caution, Reason } from '../words';
import type { TakenOverrule } from './taken';

/** What holds the work, and where. z of this set-up, mm. */
export interface WorkHolding {
  /** One of `holding/means`, and in a sentence. */
  kind: string;
  words: string;
  /** `stock`, or the path of the step or bore that is gripped; and in words: `⌀20`, `16 mm across flats`. */
  grip: string;
  on: string;
  diameter: number;
  /** Jaws from here towards the chuck. */
  from: number;
  to: number;
  /** It holds in the bore, over this length from the far face. */
  inside?: number;
  /** It sits on a step of what holds it, as wide as it is gripped. */
  seated?: boolean;
  /** How far from true it holds, mm. */
  runOut: number;
  /** Diameter over all of what holds, where it is known, mm. */
  over?: number;
  /** Minutes: a piece into it, and to make it ready. */
  load: number;
  change: number;
  /** It was made before and is kept: its name and place. */
  kept?: { name: string; place?: string };
}

/** A means that could hold the work as well, and on what. */
export interface OtherHolding {
  kind: string;
  grip: string;
  name: string;
}

/** A step to turn in a set-up, and how far towards the chuck its tool goes. */
export interface Turned {
  path: string;
  to: number;
  /** Whether the cut ends at a shoulder that is finished with it. */
  shoulder: boolean;
}

/**
 * One way of holding the work. It looks at its own end: z = 0 is the face it finishes, z grows towards the chuck, and
 * `part` is the part seen from that end. `toPart` in `route/frame.ts` gives the z of the drawing.
 */
export interface Setup {
  number: number;
  /** Whether it works the side that is worked first, or the other. */
  side: 1 | 2;
  end: 'front' | 'back';
  run: Run;
  stock: Stock;
  part: Part;
  holding: WorkHolding;
  stickOut: Figure;
  /** Metal before the finished face, mm. */
  facing: number;
  /** Of that, what stays for a centre until the turning is done. */
  centreEnd: number;
  /** It goes in a later set-up. */
  endStays?: true;
  /** Metal behind the finished length that this set-up leaves for the next, mm. */
  behind: number;
  turned: Turned[];
  /** Radius of the metal that turning starts from, mm. */
  outerRadius: number;
  /** Holes drilled here (paths). */
  drilled: string[];
  /** Features that are reached here (paths); what makes them is the affair of their kind of operation. */
  features: string[];
  /** Chamfers cut here (paths). */
  chamfered: string[];
  /** What the set-ups before it made (paths). */
  earlier: string[];
  partsOff: boolean;
  /** It is the same end as in the set-up before, drawn out of the same holding: nothing was taken out. */
  drawnOut?: true;
  /** And the next is that of this one. */
  goesOn?: true;
  /** Its part-off leaves the finished face: nothing comes after it. */
  finishes: boolean;
  /** Its face gets a centre that a later set-up turns on. */
  centres?: boolean;
  /** Held by a centre at its free end while it is turned. */
  supported: boolean;
  /** A rest that bears on it as well. */
  rest?: Rest;
  /** Overrules of how it is held. */
  taken: TakenOverrule[];
  /** What else could hold it: means and surface. */
  others: OtherHolding[];
  reasons: Reason[];
  cautions: Caution[];
}

/** Whether the work runs on centres at both ends, and needs none brought up. */
export const isBetweenCentres = ({ holding }: Pick<Setup, 'holding'>): boolean => holding.kind === 'between-centres';

/** Whether a fixed rest carries the free end, where no centre does: there it is faced and centred. */
export const isCarried = ({ rest, supported }: Pick<Setup, 'rest' | 'supported'>): boolean =>
  rest?.kind === 'fixed' && !supported;

/** Between which places a rest bears: beside the jaws, or just behind the face that is worked. z of the set-up, mm. */
export function restBears(setup: Pick<Setup, 'rest' | 'supported' | 'holding' | 'run'>): [number, number] | undefined {
  const { rest, holding, run } = setup;
  if (!rest) return undefined;
  const clear = run.shop.allowances.toolClearance;
  return isCarried(setup) ? [clear, clear + rest.width] : [holding.from - rest.width, holding.from];
}

/** Whether the work is still the bar: pulled to its stop, and nothing stands behind it. */
export const isOnBar = ({ stock, side }: Pick<Setup, 'stock' | 'side'>): boolean =>
  stock.blade !== undefined && side === 1;

/** Whether each operation of a set-up is done for all pieces before the next; pieces come off a bar one by one. */
export const isOpByOp = (setup: Pick<Setup, 'run' | 'stock' | 'side'>): boolean =>
  setup.run.shop.houseRules.batchOrder === 'op-by-op' && !isOnBar(setup);

/** The surfaces that a set-up makes: by their paths, its face by its name. */
export const surfacesOf = ({ turned, drilled, features, end }: Setup): string[] => [
  ...turned.map(({ path }) => path),
  ...drilled,
  ...features,
  FACES[end],
];
