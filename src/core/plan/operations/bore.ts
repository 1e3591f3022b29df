import type { Limit } from '../../model/plan/passLoad';
import { barLoad, bendsAMillimetre, deepestOfBar } from '../cutting/bar';
import { dividePasses, type Division } from '../cutting/divide';
import { term } from '../../model/figure';
import type { Feature } from '../../model/part/feature';
import { standardTolerance } from '../../model/part/tolerance';
import { cylinder, radiusAt } from '../../model/workpiece/profile';
import { good, refuse } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say, sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import { goesThrough } from '../reach/reached';
import type { Setup } from '../../model/plan/setup';
import { stopSetting } from './tools';
import { barsFor, stoutest } from './boringBars';
import { fullDepthOf } from './fullDepth';
import { depthChecks } from './depthChecks';
import { drilledFor, goesOnAs, reachedOf, widthFound, type HoleNeed } from './holeNeed';
import { openedFirst } from './openedFirst';
import { alongBore } from './edgePaths';
import { flatBottom, roomAcross } from './flatBottom';
import { coreBeyond, endsAsDrilled, isCoreLeft } from './threadCore';
import { CLOSE } from '../../model/tolerances';

const KINDS = ['bore', 'counterbore'];

/** Kinds that something else makes in a hole which is bored for it. */
const CORES = ['inner-thread'];

const round = (mm: number): number => Number((mm + CLOSE).toFixed(2));

/** How deep the bar goes: a through bore past the blade or the far end, as a drill does; the core of a thread as far as that wants. */
const depthOf = (feature: Feature, setup: Setup): number => {
  const through = goesThrough(feature, setup.part);
  return fullDepthOf(
    { through, depth: feature.z1 + coreBeyond(feature, setup), beyond: coreBeyond(feature, setup) },
    setup,
  ).value;
};

/** How wide a drill may be that ends a core which nobody sees, where one that a bar goes in after is no wider, mm. */
function asDrilled(feature: Feature, atLeast: number, setup: Setup): number | undefined {
  const drill = endsAsDrilled(feature, setup);
  return drill !== undefined && drill >= atLeast ? drill : undefined;
}

/** The hole that a boring bar finds: wide enough for the bar, narrow enough to leave a cut (BORE-CLEARANCE). */
function needOf(feature: Feature, setup: Setup): HoleNeed | undefined {
  const bars = barsFor(depthOf(feature, setup), setup);
  if (bars.length === 0) return undefined;
  const { allowances, cutting } = setup.run.shop;
  const most = (feature.size?.aim ?? 0) - 2 * cutting.finishBore;
  const beyond = coreBeyond(feature, setup);
  const need = {
    feature: feature.path,
    purpose: 'for the boring bar',
    atLeast: Math.min(...bars.map(({ least = 0 }) => least)),
    atMost: most,
    aim: most,
    depth: feature.z1 + beyond,
    ...(beyond > 0 ? { beyond } : {}),
  };
  if (goesThrough(feature, setup.part)) {
    const through = { ...need, through: true };
    return openedFirst(through, bars, setup) ?? through;
  }
  const drilled = asDrilled(feature, need.atLeast, setup);
  if (drilled !== undefined) {
    const core = { ...need, through: false, atMost: Math.min(most, drilled), aim: Math.min(most, drilled) };
    return openedFirst(core, bars, setup) ?? core;
  }
  // A flat bottom shows no drill point, and an edge goes to its middle; where no drill makes room for that, the proof tells.
  const blind = { ...need, through: false, tipAtMost: need.depth - allowances.tipShort };
  const toMiddle = {
    ...blind,
    atLeast: Math.max(need.atLeast, 2 * Math.min(...bars.map((bar) => roomAcross(bar, goesOnAs(feature, setup))))),
  };
  const found = widthFound(toMiddle, setup) === undefined ? blind : toMiddle;
  return openedFirst(found, bars, setup) ?? found;
}

/** Holes that boring bars need first. */
export const boreNeeds = (setup: Setup): HoleNeed[] =>
  drilledFor(setup, ...KINDS, ...CORES).flatMap((feature) =>
    isCoreLeft(feature, setup) ? [] : (needOf(feature, setup) ?? []),
  );

function barOf(feature: Feature, setup: Setup): Tool | undefined {
  const need = needOf(feature, setup);
  const found = need && widthFound(need, setup);
  if (found === undefined) return undefined;
  const bars = barsFor(depthOf(feature, setup), setup);
  if (goesThrough(feature, setup.part) || asDrilled(feature, need?.atLeast ?? 0, setup) !== undefined)
    return stoutest(bars, found);
  // To the middle of a flat bottom as the hole is, or once it is opened as far as its wall.
  const opened = (feature.size?.aim ?? 0) / 2 - setup.run.shop.cutting.finishBore;
  const [now, later] = [found / 2, opened].map((radius) =>
    bars.filter((bar) => roomAcross(bar, goesOnAs(feature, setup)) <= radius + CLOSE),
  );
  return stoutest(now ?? [], found) ?? stoutest(later ?? [], found) ?? stoutest(bars, found);
}

function operationOf(feature: Feature, kind: string, setup: Setup): Operation[] {
  const { units } = setup.run;
  const { path, size, thread } = feature;
  const tool = isCoreLeft(feature, setup) ? undefined : barOf(feature, setup);
  // Without a bar that goes in it stays undone, and is told (route/doubts).
  if (!tool || !size) return [];
  const to = depthOf(feature, setup);
  const through = goesThrough(feature, setup.part);
  return [
    {
      key: `${kind}:${path}`,
      kind,
      feature: path,
      makes: thread ? [] : [path],
      name: `${kind === 'bore' ? 'Bore' : 'Counterbore'} ${sayDiameter(thread ? round(size.aim) : size.nominal, units)}${size.fit ? ` ${size.fit}` : ''}${through ? ' through' : ''}${thread ? ` for ${thread.designation}` : ''}`,
      tool,
      from: 0,
      to,
      ...(through ? {} : { intoShoulder: true as const }),
      fullDepth: to,
      diameter: size.aim,
      removal: { bore: [cylinder(-1, to, size.aim / 2)] },
      stop: { means: 'carriage', settings: [{ edge: 'tip', setting: stopSetting(to, tool) }] },
      checks: [
        { what: `bore ${sayDiameter(thread ? round(size.aim) : size.nominal, units)}`, measures: 'inside', size },
        ...(thread ? [] : depthChecks(feature, setup)),
      ],
    },
  ];
}

/** What the bar gives way by in its last cut, when that is more than a third of the tolerance (trade: Cutting). */
function bends(operation: Operation, lastDepth: number, setup: Setup): string[] {
  const { units } = setup.run;
  const size = setup.part.features.find(({ path }) => path === operation.feature)?.size;
  if (!size) return [];
  const error = 2 * bendsAMillimetre(operation, setup) * lastDepth;
  if (error <= (size.upper - size.lower) / 3) return [];
  return [
    `The bar deflects by about ${say(Number(error.toFixed(3)), units)} on the diameter in the last cut, more than a third of what the drawing leaves: a stouter or shorter bar helps most, then spring passes.`,
  ];
}

/** That no cut of the bar is light enough. */
function bendsAnyway({ tool }: Operation, { run }: Setup): string[] {
  const { roughBend, finishBore } = run.shop.cutting;
  const most = say(Number((roughBend * finishBore).toFixed(3)), run.units);
  return [
    `Even the thinnest cut bends ${tool.name} by more than ${most}: a stouter or shorter one, or a larger hole before it.`,
  ];
}

/** What keeps a cut of the bar from being deeper. */
function limitOf(index: number, { rough, finish }: Division, byBar: boolean): Limit {
  if (index >= rough.length) return finish.length > 1 ? 'tolerance' : 'finish';
  if (rough.length === 1) return 'stock';
  return byBar ? 'bar' : 'material';
}

/** Bore a hole with a bar, roughing and finishing with the same tool; a blind one to a flat bottom. */
const boring = (kind: string): OperationKind => ({
  kind,
  handFed: false,
  towardsChuck: true,
  load: barLoad,
  turnsAtOverhang: false,
  underCentre: false,
  demand: (setup) =>
    good(
      reachedOf(setup, kind, ...(kind === 'bore' ? CORES : [])).flatMap((feature) => operationOf(feature, kind, setup)),
    ),
  cut(operation, work, setup) {
    const { run, part } = setup;
    const { allowances, cutting } = run.shop;
    const { from, to, diameter = 0, tool, feature } = operation;
    const bored = part.features.find(({ path }) => path === feature);
    const blind = bored !== undefined && !goesThrough(bored, part) && needOf(bored, setup)?.tipAtMost !== undefined;
    const there = radiusAt(work.bore, blind ? from + CLOSE : (from + (bored?.z1 ?? to)) / 2);
    const floor = blind ? flatBottom(operation, work.bore, there, setup) : undefined;
    const start = floor?.out ?? there;
    const perSide = diameter / 2 - start;
    const grade = standardTolerance(cutting.equalCutsFinerThan, bored?.size?.nominal ?? 0) ?? 0;
    const thinnest = tool.thinnestCut ?? 0;
    const byBar = deepestOfBar(operation, setup);
    const division = dividePasses(perSide, {
      deepest: Math.max(thinnest, Math.min(cutting.deepestBore, byBar)),
      thinnestRough: thinnest,
      thinnestFinish: thinnest,
      finish: cutting.finishBore,
      equalLastTwo: bored?.size !== undefined && bored.size.upper - bored.size.lower < grade - 1e-9,
    });
    if (!division || start <= 0)
      return refuse(
        `${feature}.diameter`,
        `the hole that is there (${sayDiameter(2 * start, run.units)}) leaves ${say(Number(perSide.toFixed(3)), run.units)} a side to bore, and ${tool.name} wants at least ${say(tool.thinnestCut ?? 0, run.units)}: drill it smaller`,
      );
    const depths = [...division.rough, ...division.finish];
    let radius = start;
    const walls = depths.map((depth, index) => {
      radius += depth;
      const last = index === depths.length - 1;
      return {
        depth,
        on: 2 * radius,
        diameter: 2 * radius,
        z: to,
        leaves: { bore: [cylinder(-1, to, radius)] },
        limitedBy: limitOf(index, division, byBar < cutting.deepestBore),
        path: alongBore(
          -allowances.approach,
          to,
          radius,
          last && blind ? { core: radiusAt(work.bore, to + CLOSE), middle: (tool.least ?? 0) / 2 } : undefined,
        ),
        way: [
          term('l', 'depth', to, 'mm', 'computed'),
          term('a', 'approach', allowances.approach, 'mm', 'start value'),
          ...(last && blind ? [term('r', 'bottom, faced inwards', radius, 'mm', 'computed')] : []),
        ],
        ...(last ? { note: 'out with the spindle stopped, or it draws a spiral' } : {}),
      };
    });
    return good({
      diameter,
      ...(division.finish.length > 1 ? { measuredBetween: true as const } : {}),
      passes: [...(floor?.passes ?? []), ...walls],
      warnings: [
        ...(byBar < thinnest && division.rough.length > 0 ? bendsAnyway(operation, setup) : []),
        ...bends(operation, depths.at(-1) ?? 0, setup),
      ],
    });
  },
  cautions: [
    { kind: 'danger', text: 'Swarf out of the bore with the spindle stopped; never a finger into it.' },
    {
      kind: 'mistake',
      text: 'See that the bar clears the far side and the bottom, and that nothing is behind the work for it to meet.',
    },
  ],
});

export const bore = boring('bore');
export const counterbore = boring('counterbore');
