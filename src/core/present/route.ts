import type { UnitSystem } from '../model/units/length';
import { sayMinutes } from '../model/units/show';
import type { Risk } from '../plan/risks/risk';
import type { Compared } from '../plan/compared';
import type { Answered } from '../plan/search';
import { saySkeleton } from '../plan/skeleton';
import { sayFault } from './fault';

/** A route that was not taken, in words: what it is. */
export const sayRoute = ({ skeleton, held }: Compared): string =>
  skeleton.hold && held ? `${saySkeleton({ ...skeleton, hold: 1 })}: ${held.words}` : saySkeleton(skeleton);

/** And what it lost by. */
export function sayLost({ because, lostBy = 0, problem, fault, risks = [] }: Compared, units: UnitSystem): string {
  switch (because) {
    case 'slower':
      return lostBy < 0.05 ? 'as quick over the batch' : `slower by ${sayMinutes(lostBy)} over the batch`;
    case 'dearer':
      return `quicker by ${sayMinutes(-lostBy)} over the batch, and dearer with what its risks weigh`;
    case 'riskier':
      return `quicker by ${sayMinutes(-lostBy)} over the batch, and its risks weigh more: ${risks.map(({ because }) => because).join(' ')}`;
    case 'quicker':
      return `quicker by ${sayMinutes(-lostBy)} over the batch`;
    case 'undecided':
      return 'does not keep what was decided';
    case 'bare':
      return 'leaves out what is drawn';
    case 'not-proved':
      return fault ? `not proved: ${sayFault(fault, units)}` : 'not proved';
    case 'untrue':
      return 'not true enough for a run-out of the drawing';
    case 'refused':
      return `cannot be: ${problem?.message ?? 'it is refused'}`;
  }
}

/** A risk of the route that is taken, with what it was weighed at. */
export const sayRisk = ({ minutes, because }: Risk): string => `Weighed at ${sayMinutes(minutes)} a piece: ${because}`;

/** How far the search went, in a sentence. */
export function sayTried({ tried, setups, proven, gap = 0 }: Answered): string {
  const rest = proven
    ? '; there are no others in the space that is searched'
    : gap > 0
      ? `; one that was not could be better by ${Math.ceil(100 * gap)} % at most`
      : '';
  return `${tried} ${tried === 1 ? 'route' : 'routes'} tried, ${setups} set-ups planned through${rest}.`;
}
