import type { StopDemand } from '../../../model/plan/operation';
import type { Machine } from '../../../model/shop/machine';
import type { HandMinutes } from '../../../model/shop/minutes';

/**
 * A means by which a place repeats (trade: Stops). A new one is one new file in `plan/stops/devices`, listed in its
 * index: pins, minutes, words, drawing and the plan file follow from it.
 */
export interface StopDevice {
  means: string;
  /** The slide that it stops. */
  axis: Exclude<StopDemand['means'], 'none'>;
  /** How many of them a machine has, numbered from one where they are counted; without it there are as many as are wanted. */
  places?(machine: Machine): number;
  /** Set when the machine is set up, and there for every piece. */
  staysSet: boolean;
  /** In words, and in short where its neighbours are near. */
  words(place: number | undefined): string;
  short(place: number | undefined): string;
  /** What each use of it takes; some cost only when the stop stood at another place before, some at every piece whatever is made of it. */
  use?(hand: HandMinutes): { name: string; minutes: number; onlyWhenMoved?: true; everyPiece?: true };
}
