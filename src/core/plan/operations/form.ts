import { sayFigure } from '../../model/units/mark';
import { bottom } from '../../model/workpiece/segment';
import { hollowTable, type NosePlace } from '../cutting/hollowTable';
import { stepTable } from '../cutting/stepTable';
import { term } from '../../model/figure';
import type { EdgePlace, ToolStands } from '../../model/plan/edgeWay';
import type { Feature } from '../../model/part/feature';
import { largestRadius, type Segment } from '../../model/workpiece/profile';
import type { Profile } from '../../model/workpiece/segment';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { say } from '../../model/words';
import type { Cuts, Operation, OperationKind, Pass } from '../../model/plan/operation';
import type { Run } from '../../model/run';
import type { Setup } from '../../model/plan/setup';
import { stopSetting } from './tools';
import { edgeFor } from './edgeCone';
import { alongBottom } from './groove';
import { plunges } from './squareGroove';
import { along, clearOf, lowEnd, plunge, plungeAlong } from './edgePaths';

const SAME = 0.005;

/** Round pieces of a feature's profile. */
const arcsOf = ({ outside = [] }: Feature): Segment[] => outside.filter(({ arc }) => arc !== undefined);

const isForm = (feature: Feature, setup: Setup): boolean =>
  (['groove', 'hollow', 'radius', 'sphere'].includes(feature.kind) && arcsOf(feature).length > 0) ||
  edgeFor(feature, setup) !== undefined;

const radiusOf = (feature: Feature): number => arcsOf(feature)[0]?.arc?.radius ?? 0;

/**
 * A tool of the form's own radius: a round nose for what is hollow, a hollow edge for a corner. Of a relief it must be no
 * wider than the relief. A short cone takes a straight edge that the post sets.
 */
function formTool(feature: Feature, setup: Setup): Tool | undefined {
  if (feature.kind === 'cone') return edgeFor(feature, setup)?.tool;
  const { run } = setup;
  const radius = radiusOf(feature);
  const hollow = arcsOf(feature)[0]?.arc?.hollow ?? false;
  if (feature.kind === 'sphere') return undefined;
  return run.shop.tools.find(
    ({ does, nose, hollowEdge }) =>
      does.includes('form') &&
      (hollow
        ? nose !== undefined &&
          Math.abs(nose - radius) < SAME &&
          (feature.kind !== 'groove' || 2 * nose <= feature.z1 - feature.z0 + 1e-6)
        : hollowEdge !== undefined && Math.abs(hollowEdge - radius) < SAME),
  );
}

/** A pointed tool, for a form that is turned by steps. A relief has no room for steps. */
const stepTool = (feature: Feature, { run }: Setup): Tool | undefined =>
  feature.kind === 'groove' ? undefined : run.shop.tools.find(({ does }) => does.includes('taper'));

function nameOf(feature: Feature, { run }: Setup): string {
  if (feature.kind === 'cone') return `Cone${feature.name.replace(/^cone/i, '')}, by its edge`;
  return `${{ groove: 'Relief', hollow: 'Form', radius: 'Round', sphere: 'Ball' }[feature.kind] ?? 'Form'} R${say(radiusOf(feature), run.units)}`;
}

/** Where the left edge of a tool stands when the form is made: a round nose is as wide as its own circle, not as the form. */
function endOf(feature: Feature, { nose, does }: Tool): number {
  const arc = feature.kind === 'hollow' && does.includes('form') ? arcsOf(feature)[0]?.arc : undefined;
  return arc && nose !== undefined ? arc.z + nose : feature.z1;
}

function operationOf(feature: Feature, tool: Tool, setup: Setup): Operation {
  const stands = standsOf(feature, setup);
  const turned = feature.kind === 'cone' ? edgeFor(feature, setup)?.way.at : undefined;
  return {
    key: `form:${feature.path}`,
    kind: 'form',
    ...(tool.does.includes('taper') ? { cutsAs: 'taper' } : {}),
    feature: feature.path,
    makes: [feature.path],
    name: nameOf(feature, setup),
    tool,
    from: feature.z0,
    to: feature.z1,
    ...(turned === undefined ? {} : { postAt: turned }),
    removal: { outside: feature.outside ?? [] },
    ...(stands ? { stands } : {}),
    stop: {
      means: 'carriage',
      settings: [{ edge: tool.touched === 'left' ? 'left' : 'tip', setting: stopSetting(endOf(feature, tool), tool) }],
    },
    checks:
      feature.kind === 'groove' && feature.size
        ? [{ what: feature.name, measures: 'outside', size: feature.size }]
        : [],
  };
}

/** Along a form by hand, its arcs round their middles. */
const alongForm = (profile: Profile): EdgePlace[] =>
  profile.flatMap(({ z0, z1, r0, r1, arc }): EdgePlace[] => [
    { z: z0, r: r0, by: 'hand' },
    { z: z1, r: r1, by: 'hand', ...(arc ? { round: { z: arc.z, r: arc.r, way: arc.hollow ? 'left' : 'right' } } : {}) },
  ]);

/** Straight in with a tool that has the form: its middle on the arc's, or its end on the low end of a flank. */
function straightPath(feature: Feature, { nose = 0, hollowEdge }: Tool, lowest: number, clear: number): EdgePlace[] {
  const [piece] = feature.outside ?? [];
  if (!piece) return [];
  const { arc } = arcsOf(feature)[0] ?? {};
  if (!arc) return plunge(lowEnd(piece).z, lowEnd(piece).r, clear);
  return hollowEdge === undefined ? plunge(arc.z + nose, lowest, clear) : plunge(arc.z, arc.r, clear);
}

/** How a form tool stands: a straight edge as the post sets it, a hollow one for the corner that it rounds. */
function standsOf(feature: Feature, setup: Setup): ToolStands | undefined {
  const [piece] = feature.outside ?? [];
  const set = edgeFor(feature, setup)?.way;
  if (!piece || (!set && feature.kind !== 'radius')) return undefined;
  return {
    ...(set ? { turned: set.at } : {}),
    ...(piece.r0 > piece.r1 ? { towardsChuck: true as const } : {}),
  };
}

/** One step of a form: where it may begin, its stretch, the radius that it leaves, where the form ends, and its arc. */
interface StepToTurn {
  from: number;
  z0: number;
  z1: number;
  r: number;
  to: number;
  arc: Segment['arc'];
}

/**
 * Along a step of a form. Its nose is round: where the form rises it begins behind the step before, where it falls no
 * nearer than the nose touches the arc.
 */
function stepWay({ from, z0, z1, r, to, arc }: StepToTurn, nose: number, clear: number): EdgePlace[] {
  const isFalling = arc !== undefined && !arc.hollow && z1 > arc.z;
  if (!isFalling) return along(from < z0 ? from : Math.min(z0 + 2 * nose, z1), z1, r, clear);
  const touches = arc.z + Math.sqrt(Math.max(0, (arc.radius + nose) ** 2 - (r - arc.r + nose) ** 2)) + nose;
  if (touches <= to) return along(touches, Math.max(touches, z1), r, clear);
  // Into the corner at its end no deeper than the nose goes.
  const deepest = arc.r + Math.sqrt(Math.max(0, (arc.radius + nose) ** 2 - (to - nose - arc.z) ** 2)) - nose;
  return along(to, to, Math.max(r, deepest), clear);
}

/** A form by steps of a pointed tool. */
function bySteps(
  { to, tool, outside }: Walk,
  diameter: number,
  clear: number,
  { shop: { allowances, cutting } }: Run,
): Pass[] {
  const steps = outside.flatMap((piece) =>
    stepTable(piece, cutting.formScallop).map((step) => ({ ...step, arc: piece.arc })),
  );
  return steps.map(({ z, diameter: target, z0, z1, arc }, index): Pass => ({
    depth: (diameter - target) / 2,
    path: stepWay(
      { from: index === 0 ? z0 - allowances.approach : z0, z0, z1, r: target / 2, to, arc },
      tool.nose ?? 0,
      clear,
    ),
    diameter: target,
    z,
    leaves: {},
    way: [],
  }));
}

/** A hollow in the middle of a diameter, place by place: straight in at each, since its walls stand on both sides. */
const intoHollow = (places: readonly NosePlace[], diameter: number, clear: number): Pass[] =>
  places.map(({ z, diameter: target }) => ({
    depth: (diameter - target) / 2,
    path: plunge(z, target / 2, clear),
    diameter: target,
    z,
    leaves: {},
    way: [],
  }));

/** What a form is walked by: its shape, its end, and the tool. */
interface Walk {
  to: number;
  tool: Tool;
  outside: Profile;
}

/** A form walked, and the file that blends its steps at the end. */
function walkedForm(kind: string | undefined, walk: Walk, diameter: number, clear: number, run: Run): Pass[] {
  const { to, tool, outside } = walk;
  const { formScallop } = run.shop.cutting;
  const [piece] = outside;
  const places = kind === 'hollow' && piece ? hollowTable(piece, tool.nose ?? 0, formScallop) : undefined;
  const steps = places ? intoHollow(places, diameter, clear) : bySteps(walk, diameter, clear, run);
  const note = `by steps; blend the corners of about ${say(formScallop, run.units)} with a file`;
  const file = { depth: 0, z: to, path: alongForm(outside), leaves: { outside }, way: [] };
  return [
    ...steps.map((step, index) => (index === 0 ? { ...step, note } : step)),
    { ...file, note: 'with a file, along the form' },
  ];
}

/** A form walked by its table: a hand's minutes for each step, and for blending them (trade: Shop arithmetic). */
const walked = (passes: Pass[], diameter: number, { shop: { handMinutes } }: Run): Cuts => ({
  diameter,
  passes,
  byHand: [
    { name: `walk ${passes.length - 1} steps by the table`, minutes: (passes.length - 1) * handMinutes.formStep },
    { name: 'blend with a file', minutes: handMinutes.formBlend },
  ],
});

/** Cut a round form: straight in with a tool of its radius, or by steps that are then blended (trade: Shop arithmetic). */
export const form: OperationKind = {
  kind: 'form',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: true,
  demand: (setup) =>
    good(
      setup.part.features
        .filter((feature) => setup.features.includes(feature.path) && isForm(feature, setup))
        .flatMap((feature) => {
          const tool = formTool(feature, setup) ?? stepTool(feature, setup);
          return tool ? [operationOf(feature, tool, setup)] : [];
        }),
    ),
  cut({ from, to, feature, tool, removal }, work, setup) {
    const { run, part } = setup;
    const { allowances, cutting } = run.shop;
    const formed = part.features.find(({ path }) => path === feature);
    const outer = largestRadius(work.outside, from, to);
    const lowest = Math.min(...(removal.outside ?? []).map(bottom));
    const depth = outer - lowest;
    const clear = clearOf(work, from, to, allowances.approach);
    const approach = term('a', 'approach', allowances.approach, 'mm', 'start value');
    const set = formed && edgeFor(formed, setup)?.way;
    const straight = {
      depth,
      diameter: 2 * lowest,
      z: formed ? endOf(formed, tool) : to,
      wide: to - from,
      path: formed ? straightPath(formed, tool, lowest, clear) : [],
      ...(set ? { note: `the post turned to ${sayFigure(set.at)}° from the axis` } : {}),
      way: [term('t', 'depth of the form', depth, 'mm', 'computed'), approach],
    };
    const diameter = 2 * outer;
    if (!formed || formTool(formed, setup) === undefined)
      return good(
        walked(
          walkedForm(formed?.kind, { to, tool, outside: removal.outside ?? [] }, diameter, clear, run),
          diameter,
          run,
        ),
      );
    if (formed.kind !== 'groove') return good({ diameter, passes: [straight] });
    const width = 2 * (tool.nose ?? 0);
    const places = plunges(from, to, width, cutting.plungeStep);
    return good({
      diameter,
      passes: [
        ...places.map((z) => ({
          ...straight,
          z: z + width,
          wide: width,
          leaves: {},
          path: plunge(z + width, lowest, clear),
        })),
        ...(places.length > 1
          ? [
              {
                ...alongBottom(to, 2 * lowest, to - from - width, plungeAlong(from + width, to, lowest, clear)),
                leaves: { outside: removal.outside ?? [] },
              },
            ]
          : []),
      ],
    });
  },
  cautions: [
    {
      kind: 'mistake',
      text: 'A wide edge wants a low speed and a steady hand: see that the speed of turning is not left in.',
    },
  ],
};
