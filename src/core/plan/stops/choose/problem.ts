/** A way to bring a slide to a place: what it costs over the batch, minutes, and its full spread, mm. */
export interface Serve {
  minutes: number;
  spread: number;
  /** The length is measured and cut to: whatever else stands in its chain, it comes out as the gauge reads. */
  measured?: true;
}

/** One of a kind that there are only so many of: places that ask for the same one share it, made ready once. */
export interface Counted {
  kind: string;
  /** Which of them: the same for all places that share it. */
  one: number;
  /** Minutes, once, beside those of its uses. */
  ready: number;
}

/** A means of its own for one place. */
export interface OwnServe extends Serve {
  counted?: Counted;
}

/** A place to come to. */
export interface Place {
  /** mm, towards what holds the work. */
  setting: number;
  own: readonly OwnServe[];
  /** The deepest that a hard stop may let its tool go, mm; beyond it meets what holds the work. */
  deepest: number;
  /** Deeper than this its tool spoils the piece, mm, and what that weighs over the batch, minutes. */
  spoilsFrom: number;
  spoilMinutes: number;
}

/** Something that is made ready once and then serves places: a station with its spacers, an indicator. */
export interface Facility {
  kind: string;
  /** mm; of a hard stop how deep it lets a tool go. */
  setting: number;
  hard: boolean;
  /** Minutes, once. */
  ready: number;
  /** By place; undefined where it does not serve that. */
  serves: readonly (Serve | undefined)[];
}

/** The stops of one set-up: places, what may serve them, and how many there are of each kind. */
export interface StopProblem {
  places: readonly Place[];
  facilities: readonly Facility[];
  /** How many of each kind of facility, and of each kind that is counted among a place's own means. */
  limits: Readonly<Record<string, number>>;
}

/** By what a place is served: a facility by its index, or one of its own means. */
export type Served = { facility: number } | { own: number };

export interface Allocation {
  /** Facilities that are made ready, by index. */
  open: number[];
  served: Served[];
  /** Over the batch, with what risks weigh. */
  minutes: number;
}

/** The means by which a place is served. */
export function serveOf(
  { places, facilities }: StopProblem,
  { served }: Pick<Allocation, 'served'>,
  place: number,
): Serve {
  const by = served[place] as Served;
  const serve = 'own' in by ? places[place]?.own[by.own] : facilities[by.facility]?.serves[place];
  if (!serve) throw new Error(`place ${place} is served by nothing`);
  return serve;
}

/** What a wrong stop of those that are open would cost at a place that is served by one, minutes over the batch. */
export const spoils = ({ spoilsFrom, spoilMinutes }: Place, deepestOpen: number): number =>
  deepestOpen > spoilsFrom + 1e-6 ? spoilMinutes : 0;

/** Whether a hard stop may serve a place while others let its tool go so deep. */
export const isSafe = ({ deepest }: Place, deepestOpen: number): boolean => deepestOpen <= deepest + 1e-6;
