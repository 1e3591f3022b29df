import type { ShopForRun } from '../../../model/shop/shop';

/** A finished surface that the second side could be held by. z of the first set-up's view, mm. */
export interface Surface {
  path: string;
  name: string;
  /** Its diameter, or what it is across its flats, in words. */
  on: string;
  diameter: number;
  /** Where a holding may begin and where it must end. */
  from: number;
  end: number;
  /** Of that, what grooves take: jaws reach across them. */
  gaps: number;
  /** Up to where the second side still works: the tool comes right up to the jaws. */
  close: boolean;
  /** In a bore. */
  inside: boolean;
  /** Held closely, or said to matter: nothing may mark it. */
  fit: boolean;
  /** What it carries; of a thread also its name. */
  thread: boolean;
  threadName?: string;
  knurl: boolean;
  /** How many flat sides, where it is not round. */
  flats?: number;
  /** The wall over a bore gives way. */
  thin: boolean;
  /** A face or a shoulder stands at its end in the chuck, on which a step of the jaws can bear. */
  seat?: boolean;
  /** It has its skin on still: not round, and to no size. */
  raw?: boolean;
}

/** What a means of holding takes and costs: sizes in mm, run-out in mm, minutes for a piece and once. */
export interface HoldingFigures {
  from: number;
  upTo: number;
  length: number;
  runOut: number;
  /** Diameter over all of it. */
  over?: number;
  load: number;
  change: number;
  /** It was made before and is kept. */
  kept?: { name: string; place?: string };
}

/**
 * A means of holding the work (trade: Holding). A new one is one new file in `holding/means`, listed in its index;
 * its figures are the shop's.
 */
export interface HoldingKind {
  kind: string;
  /** In a sentence: `in a collet`. */
  words: string;
  /** Opens to any of its sizes: between two of them nothing is changed. */
  opens?: true;
  /** Is given a step that the piece sits on. */
  steps?: true;
  /** It is made, or bored, for what it holds: what that is, for the kit. */
  madeFor?: string;
  /** Leaves marks where it grips bare. */
  marks: boolean;
  /** What it takes, beside the sizes: undefined when it is made for such a surface, else why not in words. */
  against(surface: Surface): string | undefined;
  figures(shop: ShopForRun): HoldingFigures | undefined;
  /** What to see to when a surface is held so. */
  mind?(surface: Surface): string;
}

/** Diameters that the same jaws or bush hold: as closely as they are bored, mm. */
export const SAME_SIZE = 0.05;

/** Figures of a means that the shop lists by its kind. */
export const listed =
  (kind: string) =>
  ({ holdings }: ShopForRun): HoldingFigures | undefined =>
    holdings.find((holding) => holding.kind === kind);

/** Why what is made to a size does not hold a bar with its skin on. */
export const TO_NO_SIZE = 'a rough bar is to no size';

/** What no jaw goes on bare. */
export function notBare({ inside, thread, knurl, thin }: Surface): string | undefined {
  if (inside) return 'it holds from outside';
  if (thread) return 'never a thread bare';
  if (knurl) return 'never a knurl bare';
  return thin ? 'the wall is too thin' : undefined;
}
