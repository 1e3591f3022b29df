import { CLOSE } from '../tolerances';
import type { EdgeMaterial } from './material';

export interface Tool {
  id: string;
  /** With another edge in it: the tool of the list that it is. */
  listed?: string;
  name: string;
  /** Kinds of operation it is used for. */
  does: string[];
  edge: EdgeMaterial;
  /** Not in the shop: a run asks for it, and by which name it is got. */
  toGet?: true;
  gotAs?: string;
  /** Put aside: kept with what it did, and planned with no more. */
  archived?: boolean;
  mount: 'post' | 'tailstock' | 'hand';
  /** Turning tools: a left-hand one cuts away from the chuck, any other towards it. And the place in the post that is its own. */
  hand?: 'right' | 'left';
  place?: number;
  /** Along z from the tool that set the zero, mm. */
  offset: number;
  /** How far it stands towards the chuck beyond what it cuts, mm. */
  ahead?: number;
  /** Blades: how far their holder stands beside the cut, from where the reach ends, mm. */
  holder?: number;
  /** Blades for grooves in a face: the smallest and the largest outer wall that they clear as they go in, diameters, mm. */
  clearsFrom?: number;
  clearsUpTo?: number;
  /** Nose radius, mm. */
  nose?: number;
  /** The thinnest cut per side that the edge takes, mm. */
  thinnestCut?: number;
  /** Drills: diameter, point angle in degrees, length of flute, mm. */
  diameter?: number;
  point?: number;
  flute?: number;
  /** Tools that go into a bore: the narrowest that they clear, and how deep they go, mm; `diameter` is the bar's. */
  least?: number;
  deep?: number;
  /** The steepest flank that falls towards the chuck behind the edge, degrees from the axis. */
  slope?: number;
  /** Taps, dies and knurls: the pitch, mm; knurls: what they roll. */
  pitch?: number;
  pattern?: 'straight' | 'diamond';
  /** Knurls: so many wheels; two pinch the work between them, one pushes it, which is meant where none is said. */
  wheels?: number;
  /** Form tools for corners: the radius of their hollow edge, mm. */
  hollowEdge?: number;
  /** Blades: width, how far they reach in, and the edge that is touched on the face; straight edges: their length. */
  width?: number;
  reach?: number;
  touched?: 'left' | 'right';
}

/** The id under which a tool stands in the list. */
export const listedId = ({ id, listed }: Tool): string => listed ?? id;

/** Whether a blade goes into a groove in a face: so wide, so deep, its outer wall of a diameter that its curve clears, mm. */
export const goesIntoFace =
  ({ width, deep, outer }: { width: number; deep: number; outer: number }) =>
  ({ does, width: wide = Infinity, reach = 0, clearsFrom = Infinity, clearsUpTo = 0 }: Tool): boolean =>
    does.includes('face-groove') &&
    wide <= width + CLOSE &&
    reach >= deep - CLOSE &&
    clearsFrom <= outer + CLOSE &&
    clearsUpTo >= outer - CLOSE;

/** What a gauge measures, by the words of a shop file. */
export const MEASURED = ['outside', 'inside', 'length', 'thread', 'run-out'] as const;
export type Measured = (typeof MEASURED)[number];

/** A gauge: what it repeats to (mm either way) and what a reading takes. The coarsest one that serves is planned. */
export interface Gauge {
  name: string;
  repeats: number;
  minutes: number;
  measures: Measured[];
  /** What it reads from and up to, mm; open where it is left out. */
  from?: number;
  upTo?: number;
}
