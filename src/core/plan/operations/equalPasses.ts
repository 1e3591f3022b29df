import { sayFigure } from '../../model/units/mark';
import { LIMITS, type Limit } from '../../model/plan/passLoad';
import { limitsOn } from '../cutting/limitsOn';
import { deepestAt, fewestMinutes, type QuickestCuts, type Roughing } from '../cutting/roughing';
import { notAbove } from '../cutting/speed';
import { speedFor } from '../cutting/speedFor';
import { isDroppedByHand, shoulderOf } from '../cutting/shoulder';
import type { Term } from '../../model/figure';
import type { Workpiece } from '../../model/workpiece/workpiece';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say } from '../../model/words';
import type { Cuts, Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';

/** What is to come off, on which diameter, and what the feed covers in a pass, mm. */
interface ToTake {
  depth: number;
  diameter: number;
  way: Term[];
  /** Whether the cut pushes across the work, and bends it; a facing cut pushes along. */
  pushesAcross: boolean;
}

/** So many passes as deep as each other, with what an operation's cuts say of them. */
interface EqualPasses extends Pick<Cuts, 'slower' | 'warnings'> {
  passes: number;
  depth: number;
  limitedBy: Limit;
}

/** As many passes as a depth that was decided takes. */
function asDecided(roughing: Roughing, depth: number): QuickestCuts {
  const passes = Math.ceil(roughing.perSide / depth - 1e-9);
  const [feed, speed] = [roughing.feeds.at(-1) ?? 0, roughing.speeds.at(-1) ?? 0];
  const minutes = passes * (roughing.way / (feed * speed) + roughing.handling);
  return { passes, feed, speed, minutes, limitedBy: passes === 1 ? 'stock' : 'decided' };
}

/** A depth that was decided and is beyond a limit; what is beyond motor or grip is told of every cut. */
function beyondOf(roughing: Roughing, { feed, speed }: QuickestCuts, depth: number, { units }: Run): string[] {
  const limits = { ...roughing.limits, power: Infinity, holding: Infinity };
  const { depth: most, limit } = deepestAt({ ...roughing, limits }, feed, speed);
  return depth > most + 1e-6
    ? [`So decided, and beyond a limit: ${LIMITS[limit]}; ${say(Number(most.toFixed(2)), units)} a side is within it.`]
    : [];
}

/** What keeps the cuts from the usual feed, speed or depth, and what they are instead. */
function heldBack({ passes, feed, speed, heldBackBy }: QuickestCuts, depth: number, slower: boolean, { units }: Run) {
  if (!heldBackBy) return [];
  const one = passes === 1;
  const at = slower ? `, at ${sayFigure(speed)} rev/min and ${sayFigure(feed)} mm/rev,` : '';
  return [
    `Held back: ${LIMITS[heldBackBy]}. ${passes} ${one ? 'pass' : 'passes'} of ${say(Number(depth.toFixed(2)), units)}${at} ${one ? 'is' : 'are'} the quickest within that.`,
  ];
}

/**
 * Divides what is to come off into equal passes: those that take the fewest minutes within all limits (trade: Cutting), or
 * as deep as was decided.
 * @returns a refusal where nothing that the edge takes is within the limits
 */
export function equalPasses(
  operation: Operation,
  { depth: whole, diameter, way, pushesAcross }: ToTake,
  work: Workpiece,
  setup: Setup,
): Result<EqualPasses> {
  const { run } = setup;
  const { material, machine, cutting, handMinutes } = run.shop;
  const { tool, asked = {} } = operation;
  const thinnest = tool.thinnestCut ?? 0;
  const speed = speedFor(operation, diameter, setup, true).value;
  const feed = notAbove(machine.feeds, cutting.feed[operation.kind] ?? 0);
  const roughing: Roughing = {
    perSide: whole,
    thinnest,
    diameter,
    way: way.reduce((total, { value }) => total + value, 0),
    handling: handMinutes.approach,
    speeds: asked.speed ? [asked.speed] : machine.speeds.filter((figure) => figure <= speed),
    feeds: asked.feed ? [asked.feed] : machine.feeds.filter((figure) => figure <= feed),
    material: material.force,
    approachAngle: cutting.approachAngle,
    limits: limitsOn(operation, diameter, work, setup, pushesAcross),
    ...(isDroppedByHand(operation, run) ? { shoulder: shoulderOf(run) } : {}),
  };
  // What was decided is done, and told where it is beyond a limit.
  const found: QuickestCuts | undefined = asked.depth ? asDecided(roughing, asked.depth) : fewestMinutes(roughing);
  if (!found)
    return refuse(
      'part.outside',
      `${operation.name}: no cut that ${tool.name} takes (${say(thinnest, run.units)} at least) is within what motor, holding and the work allow: hold it shorter or on a larger diameter, or support its end`,
    );
  const depth = whole / found.passes;
  const slower = found.feed < feed || found.speed < speed;
  const more = found.passes > Math.ceil(whole / material.deepestCut - 1e-9);
  const warnings = asked.depth
    ? beyondOf(roughing, found, depth, run)
    : slower || more
      ? heldBack(found, depth, slower, run)
      : [];
  return good({
    passes: found.passes,
    depth,
    limitedBy: found.limitedBy,
    ...(slower ? { slower: { feed: found.feed, speed: found.speed } } : {}),
    warnings,
  });
}
