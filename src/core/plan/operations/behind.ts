import { minutesOfCuts } from '../cutting/estimate';
import type { Feature } from '../../model/part/feature';
import { cylinder, type Segment } from '../../model/workpiece/profile';
import type { Tool } from '../../model/shop/shop';
import type { Setup } from '../../model/plan/setup';
import { bladeFor, bottomOf, depthOf, isSquare, plunges } from './squareGroove';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** How far a tool reaches back from its edge at a height over the bottom that it turns, mm: its nose, and the slope behind it. */
function reachesBack({ nose = 0, slope = 0 }: Tool, height: number): number {
  const [c, s] = [Math.cos(radians(slope)), Math.sin(radians(slope))];
  return nose * (1 + s) + Math.max(0, height - nose * (1 - c)) * (c / s);
}

/** A recess that is turned behind what stands before it: with what, and the room that a blade makes at both of its ends. z, mm. */
export interface Behind {
  tool: Tool;
  blade: Tool;
  rooms: Segment[];
  /** The metal between them. */
  from: number;
  to: number;
}

/** Whether rooms at both ends and turning between them are quicker than one plunge beside the other. */
function isQuicker({ z0, z1 }: Feature, { tool, blade, from, to }: Behind, depth: number, setup: Setup): boolean {
  const { allowances, cutting, material, handMinutes } = setup.run.shop;
  const width = blade.width ?? 0;
  const on = 2 * setup.outerRadius;
  const plunging = minutesOfCuts({ kind: 'groove', tool: blade }, on, setup);
  const turning = minutesOfCuts({ kind: 'turn-behind', tool }, on, setup);
  const cutsOver = (length: number) => plunges(0, length, width, cutting.plungeStep).length;
  const byBlade = (length: number) =>
    plunging(cutsOver(length), depth + allowances.approach) + (cutsOver(length) > 1 ? plunging(1, length - width) : 0);
  const passes = Math.ceil(Math.max(0, depth - allowances.finishPerSide) / material.deepestCut) + 1;
  const turned = turning(passes, to - from + width / 2) + handMinutes.changePost + handMinutes.speedChange;
  return byBlade(from - z0) + byBlade(z1 - to) + turned < byBlade(z1 - z0);
}

/** How a square groove or recess is turned, where that is quicker than plunging it all (trade: Cutting). */
export function behindOf(feature: Feature, setup: Setup): Behind | undefined {
  const { tools, allowances } = setup.run.shop;
  const blade = isSquare(feature) ? bladeFor(feature, setup) : undefined;
  const tool = tools.find(({ does, slope }) => does.includes('turn-behind') && slope !== undefined);
  if (!blade || !tool) return undefined;
  const depth = depthOf(feature, setup);
  // What is not finished yet stands so much higher.
  const room = reachesBack(tool, depth + allowances.finishPerSide) + allowances.centreClear;
  const from = feature.z0 + Math.max(room, blade.width ?? 0);
  const to = feature.z1 - (blade.width ?? 0);
  const radius = bottomOf(feature).aim / 2;
  const rooms = [cylinder(feature.z0, from, radius), cylinder(to, feature.z1, radius)];
  const behind = { tool, blade, rooms, from, to };
  return to > from && isQuicker(feature, behind, depth, setup) ? behind : undefined;
}
