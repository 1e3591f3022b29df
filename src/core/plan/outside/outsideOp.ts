import { sayFigure } from '../../model/units/mark';
import { sum, term, type Figure } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import type { Run } from '../../model/run';
import type { Caution, Reason } from '../../model/words';

/** Work on another machine, or at another firm (trade: Shop arithmetic): its time, and what to set there. */
export interface OutsideOp {
  key: string;
  kind: 'outside-op';
  /** The set-up of the lathe after which it is done. */
  after: number;
  /** Path of the entry that asks for it. */
  feature: string;
  name: string;
  /** Minutes: set up once, and for each piece. */
  setup: Figure;
  piece: Figure;
  notes: string[];
  reasons: Reason[];
  cautions: Caution[];
  /** Why nothing is cut on the lathe after it, where that is so. */
  afterAllCutting?: string;
}

/**
 * A kind of work elsewhere. A new one is one new file in `plan/outside`, listed in its index in the order that they are
 * done. `made` are the paths of what the lathe, or the bar, leaves finished; `setups` what each set-up makes.
 */
export type OutsideKind = (run: Run, made: ReadonlySet<string>, setups: readonly Rolled[]) => OutsideOp[];

/** Where something is set about the axis, and out of square, in words for whoever sets it there. */
export const sayTurned = ({ turnedTo, cross }: Pick<Feature, 'turnedTo' | 'cross'>): string[] => [
  ...(turnedTo === undefined ? [] : [`At ${sayFigure(turnedTo)}° about the axis, from the first.`]),
  ...(cross?.tilt
    ? [`Set over by ${sayFigure(cross.tilt)}° out of square: an angle block or the vice, and spotted flat first.`]
    : []),
];

/** A piece loaded and taken out, among the minutes of work elsewhere. */
export const IN_AND_OUT = 'in and out';

export const setupMinutes = (name: string, what: string, minutes: number): Figure =>
  sum(name, 'min', [term('s', what, minutes, 'min', 'start value')]);

export const pieceMinutes = (name: string, items: readonly [what: string, minutes: number][]): Figure =>
  sum(
    name,
    'min',
    items.map(([what, minutes], index) => term(String.fromCharCode(97 + index), what, minutes, 'min', 'start value')),
  );

/** What goes for every machine that is not this lathe. */
export const elsewhereCaution = (machine: string): Caution => ({
  kind: 'danger',
  text: `The ${machine}’s manual and the shop’s rules come first: guards on, work clamped, everything stopped before measuring.`,
});

export const unmarked: Caution = {
  kind: 'mistake',
  text: 'Clamp where nothing is marked: soft jaws, and not on a thread, a knurl or a finished fit.',
};

/** A set-up, and what is rolled in it (paths). */
export interface Rolled {
  number: number;
  makes: readonly string[];
}
