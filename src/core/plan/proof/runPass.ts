import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Feature } from '../../model/part/feature';
import type { Run } from '../../model/run';
import type { FixedBody } from './bodies/fixed';
import type { ToolShape } from './bodies/shapes';
import type { Fault, FaultCode } from './faults';
import { depthBetween, lengthLost, meetsBeyond, meetsWithin, move, nearer, TOUCH, type Meeting } from './move';
import type { Running } from './running';
import type { Section } from './section/section';
import { toolNamed, viewOf } from './standing';
import type { WrittenOperation, WrittenPass, WrittenSetup } from './written';

/** A pass as it is run: in which set-up, of which operation, with what. */
export interface Doing {
  run: Run;
  setup: WrittenSetup;
  operation: WrittenOperation;
  shape: ToolShape;
  /** What stands still while it is done. */
  still: readonly FixedBody[];
}

const nearestKey = ({ number }: WrittenOperation, name: string): string => `${number} ${name}`;

/** What is farther away is not measured, mm. */
const NEARBY = 15;

/** A depth agrees with what the plan says within this, mm. */
const DEPTH_WITHIN = 0.01;
/** At a shoulder an edge finds what the nose before it left: so much of a way is not looked at for its depth, mm. */
const CORNER = 1;

/** The path of a pass in the view of its set-up. */
export function pathSeen({ path = [] }: WrittenPass, setup: WrittenSetup, length: number): EdgePlace[] {
  if (setup.end === 'front') return [...path];
  const view = viewOf(setup, length);
  const other = { left: 'right', right: 'left' } as const;
  return path.map(({ round, ...place }) => ({
    ...place,
    z: view(place.z),
    ...(round ? { round: { ...round, z: view(round.z), way: other[round.way] } } : {}),
  }));
}

/** How deep the first way of a pass cut, where a plan says how deep that is: an edge along the work, or a blade into it. */
function depthFound(
  [from, to]: [EdgePlace, EdgePlace],
  before: Section,
  after: Section,
  pass: WrittenPass,
  index: number,
  { operation, run, shape }: Doing,
): number | undefined {
  const tool = toolNamed(operation, run);
  // What goes down between two walls of a face is read off the finished piece.
  if (!tool || tool.mount !== 'post' || shape.spares || tool.does.includes('face-groove')) return undefined;
  // In its middle third a blade is clear of what a nose left in the corners.
  const { width = 0 } = tool;
  if (tool.reach !== undefined) return depthBetween(from.z + width / 3, from.z + (2 * width) / 3, before, after);
  if (tool.nose === undefined || tool.does.includes('form')) return undefined;
  if (Math.abs(to.r - from.r) > Math.abs(to.z - from.z)) return lengthLost(before, after);
  // Of a step that is hardly longer than that, all lies in its corner or in what the nose left before it.
  const step = run.part.steps.find(({ path }) => path === operation.feature);
  if (step && step.zTo - step.zFrom < CORNER + 2 * tool.nose) return undefined;
  // The first cut of a cone grows along it, and is deepest where the nose may stop short of a corner: what is missing there
  // is the nose's. The next ones are as deep everywhere.
  const end = to.z - Math.sign(to.z - from.z) * CORNER;
  const found = depthBetween(Math.min(from.z, end), Math.max(from.z, end), before, after);
  const slope = Math.abs((to.r - from.r) / (to.z - from.z));
  const short = pass.depth - found;
  return index === 0 && short > 0 && short <= slope * (CORNER + 2 * tool.nose) ? pass.depth : found;
}

/** What the edge of a helix meets beside its thread: farther out, or inside of where the last turns of one in a bore run out. */
function meetsBeside({ thread, bore }: Feature, shape: ToolShape, metal: Section, [from, to]: [EdgePlace, EdgePlace]) {
  const root = (thread?.diameter ?? 0) / 2;
  const core = bore?.[0]?.r0;
  const beyond = meetsBeyond(root + TOUCH, shape, metal, from, to);
  return beyond ?? (core === undefined ? undefined : meetsWithin(2 * core - root - TOUCH, shape, metal, from, to));
}

/** What a move meets that it must not: work at rapid, work behind the edge, metal beside a thread. */
function meetingsOf(met: Meeting | undefined, from: EdgePlace, to: EdgePlace, metal: Section, doing: Doing) {
  const { run, operation, shape } = doing;
  const feature = run.part.features.find(({ path }) => path === operation.feature);
  const beside = feature?.thread && to.by === 'thread' ? meetsBeside(feature, shape, metal, [from, to]) : undefined;
  const found: { code: FaultCode; what: string; meeting: Meeting }[] = [];
  if (met && to.by === 'rapid')
    found.push({ code: 'rapid-meets-work', what: 'the tool at rapid and the work', meeting: met });
  else if (met) found.push({ code: 'body-meets-work', what: 'the tool behind its edge and the work', meeting: met });
  if (beside)
    found.push({
      code: 'thread-meets-more',
      what: 'the threading edge and what stands beside the thread',
      meeting: beside,
    });
  return found;
}

/**
 * Runs one pass: every move of it, against the work and against what stands still.
 * @param last where the pass before ended
 * @returns where this one ends
 */
export function runPass(
  pass: WrittenPass,
  index: number,
  running: Running,
  doing: Doing,
  last: EdgePlace | undefined,
): EdgePlace | undefined {
  const { run, setup, operation, shape, still } = doing;
  const toPart = viewOf(setup, run.part.length);
  const tell = (code: FaultCode, what: string, more: Partial<Fault>) =>
    running.faults.push({ code, setup: setup.number, operation: operation.number, pass: index + 1, what, ...more });
  let at = last;
  let depth: number | undefined;
  let isFirst = true;
  for (const [step, place] of pathSeen(pass, setup, run.part.length).entries()) {
    const from = at ?? place;
    // To where a pass begins the tool is brought at rapid.
    const to: EdgePlace = step === 0 && place.by !== 'hand' ? { ...place, by: 'rapid' } : place;
    const before = running.metal;
    const known = running.faults.length;
    const { left, met } = move(shape, before, from, to);
    for (const { code, what, meeting } of meetingsOf(met, from, to, running.metal, doing))
      tell(code, what, { z: toPart(meeting.z), diameter: 2 * meeting.r, amount: meeting.by });
    const nearest = (name: string) => running.nearest.get(nearestKey(operation, name))?.distance ?? NEARBY;
    for (const { body, distance } of nearer(shape, still, [from, to], nearest)) {
      // Several pieces of one thing have its name.
      if (distance < nearest(body.name))
        running.nearest.set(nearestKey(operation, body.name), {
          operation: operation.number,
          what: body.name,
          distance: Math.max(0, distance),
        });
      if (distance < -TOUCH)
        tell(body.code, `the tool and the ${body.name}`, { z: toPart(to.z), diameter: 2 * to.r, amount: -distance });
    }
    if (to.by === undefined && isFirst && left !== running.metal) {
      isFirst = false;
      depth = depthFound([from, to], running.metal, left, pass, index, doing);
    }
    running.metal = left;
    running.watch?.({
      setup: setup.number,
      operation: operation.number,
      pass: index,
      from,
      to,
      shape,
      still,
      before,
      after: left,
      faults: running.faults.slice(known),
    });
    at = place;
  }
  // A blade beside its last plunge finds nothing in its middle.
  if (depth !== undefined && depth > TOUCH && Math.abs(depth - pass.depth) > DEPTH_WITHIN)
    tell('depth-differs', 'the depth', {
      is: depth,
      asked: pass.depth,
      amount: Math.abs(depth - pass.depth),
    });
  return at;
}
