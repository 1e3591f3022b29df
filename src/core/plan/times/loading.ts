import { sum, type Figure } from '../../model/figure';
import { isOnBar, isOpByOp } from '../../model/plan/setup';
import { sectionOf } from '../../model/shop/section';
import type { StoppedSetup } from '../stops/planStops';
import { isMounted, lettered } from './mounts';

/** How often a piece goes in and out: once, or for each tool of those that it is done with one after the other. */
function chuckings({ setup, cuts }: StoppedSetup): number {
  if (!isOpByOp(setup)) return 1;
  const mounted = cuts.filter(isMounted);
  return Math.max(1, mounted.filter(({ tool }, index) => tool.id !== mounted[index - 1]?.tool.id).length);
}

/** A blank off the saw: the bar to its stop, and its section at what the material lets it cut (trade: Time). */
function sawMinutes({ stock, run }: StoppedSetup['setup']): number {
  if (stock.way !== 'sawn-blanks') return 0;
  const { handMinutes, cutting, material } = run.shop;
  return handMinutes.sawBlank + sectionOf(stock) / (cutting.sawArea * material.speed.hss);
}

/** Getting a piece in and out; what is drawn out of its holding goes in once and comes out once, but tool by tool. */
export function loadingOf(stopped: StoppedSetup): Figure {
  const { setup } = stopped;
  const byPiece = !isOpByOp(setup);
  const hand = setup.run.shop.handMinutes;
  const times = chuckings(stopped);
  const each = times > 1 ? `, ${times} ×` : '';
  const rest = { name: `rest up to the work${each}`, minutes: setup.rest ? times * hand.rest : 0 };
  return sum(
    'getting the piece in and out',
    'min',
    lettered(
      isOnBar(setup)
        ? [{ name: 'pull the bar to its stop', minutes: hand.pullBar }, rest]
        : [
            { name: 'saw the blank', minutes: setup.number === 1 ? sawMinutes(setup) : 0 },
            setup.drawnOut && byPiece
              ? { name: 'draw it out to its stop', minutes: hand.pullBar }
              : { name: `load ${setup.holding.words}${each}`, minutes: times * setup.holding.load },
            rest,
            { name: `unload and wipe${each}`, minutes: setup.goesOn && byPiece ? 0 : times * hand.unload },
          ],
    ),
  );
}
