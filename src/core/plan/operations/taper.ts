import { sayFigure, sayFixed } from '../../model/units/mark';
import type { Limit } from '../../model/plan/passLoad';
import { errorAtEnd, slideFor } from '../cutting/compound';
import { barLoad, deepestOfBar } from '../cutting/bar';
import { dividePasses } from '../cutting/divide';
import { cuttingForce } from '../cutting/force';
import { deepestWithin } from '../cutting/limits';
import { limitsOn } from '../cutting/limitsOn';
import { loadOf } from '../cutting/load';
import { cuttingSpeed, notAbove } from '../cutting/speed';
import { speedFor } from '../cutting/speedFor';
import { term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import type { Size } from '../../model/part/size';
import { good } from '../../model/result';
import { largestRadius, radiusAt, standsOver, type Segment } from '../../model/workpiece/profile';
import type { Workpiece } from '../../model/workpiece/workpiece';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import { isOnBar, type Setup } from '../../model/plan/setup';
import { stopSetting } from './tools';
import { boringBarSize } from '../../model/shop/boringBar';
import { barsFor, stoutest } from './boringBars';
import { countersinkFor } from './countersink';
import { edgeFor, flankOf, halfOf } from './edgeCone';
import { reachedOf, widthFound, type HoleNeed } from './holeNeed';
import { goesThrough } from '../reach/reached';
import type { EdgePlace } from '../../model/plan/edgeWay';
import { alongFlank, clearOf, notWithin, rapid, type FlankEnd } from './edgePaths';
import { CLOSE } from '../../model/tolerances';

const round = (value: number) => Number(value.toFixed(3));

/** A hole that the bar's tip can enter, so that its back does not touch (PILOT-CLEARS-BACK). */
function needOf(feature: Feature, setup: Setup): HoleNeed | undefined {
  const flank = flankOf(feature);
  const bars = barsFor(feature.z1, setup);
  if (!flank || bars.length === 0 || countersinkFor(feature, setup)) return undefined;
  const small = 2 * Math.min(flank.r0, flank.r1);
  return {
    feature: feature.path,
    purpose: 'for the conical bore',
    atLeast: Math.min(...bars.map(({ least = 0 }) => least)),
    atMost: small,
    aim: small,
    through: goesThrough(feature, setup.part),
    depth: feature.z1,
  };
}

/** Pilot holes that conical bores need first. */
export const taperNeeds = (setup: Setup): HoleNeed[] =>
  reachedOf(setup, 'conical-bore').flatMap((feature) => needOf(feature, setup) ?? []);

/** A tool for a cone on the outside: one whose back clears it, where it falls towards the chuck. */
const outsideTool = (flank: Segment, { run }: Setup): Tool | undefined =>
  run.shop.tools.find(
    ({ does, slope = 0 }) => does.includes('taper') && (flank.r1 >= flank.r0 || slope >= halfOf(flank) - 1e-6),
  );

function insideTool(feature: Feature, setup: Setup): Tool | undefined {
  const need = needOf(feature, setup);
  const found = need && widthFound(need, setup);
  return found === undefined ? undefined : stoutest(barsFor(feature.z1, setup), found);
}

/** Slides further than the compound goes are for the tailstock or another machine. */
const withinTravel = (flank: Segment, { run }: Setup): boolean =>
  Math.hypot(flank.z1 - flank.z0, flank.r1 - flank.r0) <= (run.shop.machine.compoundTravel ?? Infinity);

/** The end of a cone that is not measured when its cylinder is turned: the small one. */
const smallEnd = ({ dimensions }: Feature): Size | undefined =>
  dimensions
    .flatMap((dimension) => (dimension.kind === 'diameter' ? [dimension.size] : []))
    .sort((a, b) => a.nominal - b.nominal)[0];

function operationOf(feature: Feature, setup: Setup): Operation[] {
  const flank = flankOf(feature);
  if (!flank || !withinTravel(flank, setup) || edgeFor(feature, setup)) return [];
  const inside = feature.bore !== undefined;
  const tool = inside ? insideTool(feature, setup) : outsideTool(flank, setup);
  if (!tool) return [];
  const { units } = setup.run;
  const [small, large] = [flank.r0, flank.r1].map((r) => 2 * r).sort((a, b) => a - b) as [number, number];
  const end = smallEnd(feature);
  // Its flank goes on before the face, so that the mouth is clean.
  const cut = inside
    ? [{ ...flank, z0: flank.z0 - 1, r0: flank.r0 + (flank.r0 - flank.r1) / (flank.z1 - flank.z0) }]
    : [flank];
  return [
    {
      key: `taper:${feature.path}`,
      kind: 'taper',
      feature: feature.path,
      makes: [feature.path],
      name: `${inside ? 'Conical bore' : 'Cone'} ${sayDiameter(round(small), units)} to ${sayDiameter(round(large), units)}`,
      tool,
      from: feature.z0,
      to: feature.z1,
      diameter: large,
      compound: halfOf(flank),
      removal: inside ? { bore: cut } : { outside: cut },
      stop: { means: 'carriage', settings: [{ edge: 'tip', setting: stopSetting(feature.z1, tool) }] },
      checks:
        end && !inside
          ? [{ what: `small end ${sayDiameter(end.nominal, units)}`, measures: 'outside', size: end }]
          : [],
    },
  ];
}

/** The deepest cut on the outside at its usual feed and speed, on the large end, and which limit it is. */
function deepestOutside(operation: Operation, work: Workpiece, setup: Setup) {
  const { material, machine, cutting } = setup.run.shop;
  const { diameter = 0, asked = {}, kind } = operation;
  const on = Math.max(diameter, 2 * largestRadius(work.outside, operation.from, operation.to - 1e-6));
  const feed = asked.feed ?? notAbove(machine.feeds, cutting.feed[kind] ?? 0);
  const speed = asked.speed ?? speedFor(operation, on, setup, true).value;
  const force = cuttingForce({ ...material.force, feed, depth: 1, approachAngle: cutting.approachAngle });
  return deepestWithin(limitsOn(operation, on, work, setup), force, cuttingSpeed(speed, on));
}

/** What of a flank lies above the axis: side by side to another it has its slope, however far in it is. */
function aboveAxis(side: Segment): Segment[] {
  const { z0, z1, r0, r1 } = side;
  if (Math.max(r0, r1) <= 0) return [];
  const zero = z0 + ((z1 - z0) * r0) / (r0 - r1);
  if (r1 < 0) return [{ ...side, z1: zero, r1: 0 }];
  return r0 < 0 ? [{ ...side, z0: zero, r0: 0 }] : [side];
}

/** The deepest cut inside, by the shop, by what the bar gives way by, or by how far its edge stands out of it. */
function deepestInside(operation: Operation, setup: Setup): { depth: number; limit: Limit } {
  const usual = setup.run.shop.cutting.deepestBore;
  const byBar = Math.min(deepestOfBar(operation, setup), boringBarSize(operation.tool).proud);
  return byBar < usual ? { depth: byBar, limit: 'bar' } : { depth: usual, limit: 'material' };
}

/** What keeps a cut of a cone from being deeper: the last is what roughing left for it. */
function limitOf(index: number, rough: number, limit: Limit): Limit {
  if (index >= rough) return 'finish';
  return rough === 1 ? 'stock' : limit;
}

/**
 * How a flank of the outside ends, by what stands beside it. Beside something hardly lower than its small end it ends level: farther
 * out along its slope the edge would cut into that.
 * @param rises how far the flank rises away from that end, and along the axis how far it goes, mm
 * @param beside how far the metal there stands over that end, mm
 */
function endOf([rises, along]: readonly [number, number], beside: number, nose: number, approach: number): FlankEnd {
  if (beside > 2 * CLOSE) return 'wall';
  if (rises <= 0) return 'open';
  if (beside > -2 * CLOSE) return 'corner';
  const angle = Math.atan2(rises, along);
  if (-beside > (approach + nose) * Math.tan(angle)) return 'open';
  return -beside > nose * (1 - Math.cos(angle)) + CLOSE ? 'level' : 'corner';
}

/** How much farther than its end a cone to the parted face is cut, so that a nose leaves nothing in its corner with the bar: in the blade's way, mm. */
const intoBlade = ({ z1 }: Segment, nose: number, { part, stock, side }: Setup): number =>
  isOnBar({ stock, side }) && z1 > part.length - CLOSE ? Math.min(2 * nose, stock.blade?.width ?? 0) : 0;

/** A flank that goes on by so much along the axis, at its slope. */
const longer = (flank: Segment, by: number): Segment => ({
  ...flank,
  z1: flank.z1 + by,
  r1: flank.r1 + (by * (flank.r1 - flank.r0)) / (flank.z1 - flank.z0),
});

/**
 * Along the flank of a bore, and straight back: towards the mouth it is wider everywhere. So far in the nose of the bar has left the
 * flank; its back stays off the wall, since the nose stands out of the bar.
 */
function wayInside(first: EdgePlace, end: EdgePlace, clear: number, { nose = 0 }: Tool): EdgePlace[] {
  const last = notWithin(clear - nose, first, end);
  return [first, last, rapid(first.z, last.r), rapid(first.z, clear)];
}

/** Along the flank of an outside, and back clear of it. */
const wayOutside = (first: EdgePlace, last: EdgePlace, clear: number): EdgePlace[] => [
  { z: first.z, r: clear },
  first,
  last,
  { z: last.z, r: clear },
  rapid(first.z, clear),
];

/** Turn a cone, outside or inside, with the compound set over to half of its angle (trade: Cutting). */
export const taper: OperationKind = {
  kind: 'taper',
  handFed: true,
  turnsAtOverhang: true,
  underCentre: true,
  load: (operation, ...rest) => (operation.removal.bore ? barLoad : loadOf)(operation, ...rest),
  demand: (setup) => good(reachedOf(setup, 'cone', 'conical-bore').flatMap((feature) => operationOf(feature, setup))),
  cut(operation, work, setup) {
    const { run, part } = setup;
    const { allowances, cutting, machine } = run.shop;
    const { protractor } = machine;
    const { diameter = 0, compound = 0, tool, removal, from, to, feature } = operation;
    const flank = (removal.outside ?? removal.bore)?.[0];
    if (!flank) return good({ diameter, passes: [] });
    const inside = removal.bore !== undefined;
    // Outside what turning left over its large end goes as well.
    const perSide = inside ? Math.tan((compound * Math.PI) / 180) * (to - from) : standsOver(work.outside, flank);
    const thinnest = tool.thinnestCut ?? 0;
    const most = inside ? deepestInside(operation, setup) : deepestOutside(operation, work, setup);
    const division = dividePasses(perSide, {
      // Thinner than the edge cuts it is not divided; what that asks for is told.
      deepest: Math.max(thinnest, most.depth),
      thinnestRough: thinnest,
      thinnestFinish: 0,
      finish: inside ? cutting.finishBore : allowances.finishPerSide,
      equalLastTwo: false,
    });
    const depths = [...(division?.rough ?? []), ...(division?.finish ?? [])];
    const error = errorAtEnd(to - from, compound, cutting.compoundWithin);
    const limits = part.features
      .find(({ path }) => path === feature)
      ?.dimensions.flatMap((dimension) =>
        dimension.kind === 'diameter' && dimension.size.from !== 'general'
          ? [dimension.size.upper - dimension.size.lower]
          : [],
      );
    const closest = Math.min(...(limits ?? []));
    const clear = inside ? (tool.least ?? 0) / 2 : clearOf(work, from, to, allowances.approach);
    const { nose = 0 } = tool;
    const beyond = inside ? 0 : intoBlade(flank, nose, setup);
    let taken = 0;
    return good({
      diameter,
      passes: depths.map((depth, index) => {
        taken += depth;
        const off = (inside ? -1 : 1) * (perSide - taken);
        const side = longer({ ...flank, r0: flank.r0 + off, r1: flank.r1 + off }, beyond);
        const shifted = aboveAxis(side);
        const { approach } = allowances;
        const ends = (rises: number, beside: number) => endOf([rises, flank.z1 - flank.z0], beside, nose, approach);
        const [first, end] = alongFlank(
          side,
          { nose, inside, approach },
          inside
            ? 'open'
            : ends(
                flank.r1 - flank.r0,
                flank.z0 > CLOSE ? radiusAt(work.outside, flank.z0 - CLOSE) - flank.r0 : -Infinity,
              ),
          inside ? 'level' : ends(flank.r0 - flank.r1, radiusAt(work.outside, flank.z1 + beyond + CLOSE) - side.r1),
        );
        return {
          depth,
          z: to,
          path: inside ? wayInside(first, end, clear, tool) : wayOutside(first, end, clear),
          leaves: inside ? { bore: shifted } : { outside: shifted },
          limitedBy: limitOf(index, division?.rough.length ?? 0, most.limit),
          way: [
            term('s', 'slide, along the cone', slideFor(taken, compound), 'mm', 'computed'),
            term('a', 'approach', allowances.approach, 'mm', 'start value'),
          ],
          ...(index === 0
            ? {
                note: `compound at ${sayFixed(compound, 2)}° from the axis${protractor === 'square' ? `, ${sayFixed(90 - compound, 2)}° on its protractor` : ''}; its ±${sayFigure(cutting.compoundWithin)}° are ±${say(round(error), run.units)} at the far end`,
              }
            : {}),
        };
      }),
      warnings:
        error > closest / 2
          ? [
              `The compound is set to ±${sayFigure(cutting.compoundWithin)}°, which is ±${say(round(error), run.units)} on the diameter at the far end, and the drawing leaves ±${say(round(closest / 2), run.units)}: set it by angle blocks or an indicator along a master.`,
            ]
          : [],
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'The angle is from the axis, half of the included one: see which way the protractor counts; the tool on centre, or the cone is not straight.',
    },
  ],
};
