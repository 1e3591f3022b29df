import { sayFigure } from '../../model/units/mark';
import { figure, sum, term, type Figure } from '../../model/figure';
import { thinnestWall, type Wall, type Workpiece } from '../../model/workpiece/workpiece';
import { kindOf } from '../operations';
import type { Operation } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { say, sayDiameter, type Caution } from '../../model/words';
import { cuttingSpeed, passMinutes } from '../cutting/speed';
import { chipCaution } from '../cutting/chips';
import { overloadWarnings } from '../cutting/overload';
import { bendingWarning } from '../cutting/load';
import { plungeLoad } from '../cutting/plunge';
import { lastByHand } from '../cutting/shoulder';
import type { CutOperation, PlannedPass } from './cutOperation';
import type { Levers } from './levers';
import { farthestOut, lastDepth, reachedOn, type Ready } from './readyToCut';

function minutesOf(passes: PlannedPass[], pecks: number, peckReturn: number): Figure {
  const returns =
    pecks > 1
      ? [term('b', `${pecks - 1} returns to clear the chips`, (pecks - 1) * peckReturn, 'min', 'start value')]
      : [];
  return sum('cutting time', 'min', [
    ...passes.map(({ minutes }, index) => term(`p${index + 1}`, `pass ${index + 1}`, minutes.value, 'min', 'computed')),
    ...returns,
  ]);
}

/** WALL-LAST (trade: Order): an operation that makes a wall thin says so. */
function wallWarning(before: Workpiece, after: Workpiece, { run }: Setup): string[] {
  const is = thinnestWall(after);
  const limit = run.shop.cutting.thinWall;
  const share = ({ wall, diameter }: Wall) => wall / diameter;
  if (!is || share(is) >= limit) return [];
  const was = thinnestWall(before);
  if (was && share(was) <= share(is) + 1e-6) return [];
  return [
    `Leaves a wall of ${say(Number(is.wall.toFixed(2)), run.units)} under ${sayDiameter(Number(is.diameter.toFixed(2)), run.units)}, less than ${sayFigure(100 * limit, 1)} %: light cuts, and mind the grip.`,
  ];
}

/** A house with fixed speeds may run a form tool at turning speed: what the material wants is told. */
function tooFastFor({ kind, tool }: Operation, diameter: number, speed: Figure, { run }: Setup): string[] {
  const { houseRules, material, cutting } = run.shop;
  if (houseRules.speed !== 'fixed' || speed.value === 0) return [];
  const wanted = material.speed[tool.edge] * (cutting.speedFactor[kind] ?? 1);
  const reached = cuttingSpeed(speed.value, diameter);
  if (reached <= wanted * (1 + cutting.speedOver)) return [];
  return [
    `${Math.round(reached)} m/min, and this kind of cut wants ${Math.round(wanted)} in ${material.name}: slower.`,
  ];
}

/** The part that a surface must fit is its gauge: have it at hand. */
const triedWith = ({ feature, checks }: Operation, { run }: Setup): Caution[] =>
  (run.part.mates ?? []).flatMap(({ of, name }) =>
    of === feature && checks.length > 0
      ? [
          {
            kind: 'mistake' as const,
            text: `Tried with ${name}, which is its gauge: the last half division by spring pass or abrasive.`,
          },
        ]
      : [],
  );

/** The shop has it not: it is got before the run begins. */
const TO_GET: Caution = { kind: 'mistake', text: 'Not in the shop: get it, or make it, before the run begins.' };

/** A figure of the machine as it is left from the operations beside, since that saves moving its lever. */
const leftAs = (usual: Figure, value: number | undefined): Figure =>
  value === undefined || value >= usual.value
    ? usual
    : figure({
        name: usual.name,
        unit: usual.unit,
        value,
        formula: 'x',
        terms: [term('x', 'as the lever stands for the operations beside', value, usual.unit, 'computed')],
        note: `It could be ${sayFigure(usual.value)}: moving the lever there and back takes longer than that saves.`,
      });

/** The cuts of an operation with the levers as they stand for it. */
export function cutWith(
  ready: Ready,
  levers: Levers | undefined,
  setup: Setup,
): Omit<CutOperation, 'number' | 'reasons'> {
  const { operation, work, after, cuts, limits, clearances, close } = ready;
  const kind = kindOf(operation);
  const { handMinutes } = setup.run.shop;
  const speed = leftAs(ready.speed, levers?.speed);
  const feed = kind.handFed ? ready.feed : leftAs(ready.feed, levers?.feed);
  const pecks = cuts.pecks ?? 1;
  const last = lastByHand(operation, { speed: speed.value, feed: feed.value }, setup.run);
  const achieved = reachedOn(cuts.diameter, speed.value);
  const passes = cuts.passes.map((pass, index): PlannedPass => {
    const loadOf = pass.wide === undefined ? kind.load : plungeLoad;
    const { on = cuts.diameter } = pass;
    const reached = Math.abs(on - cuts.diameter) < 1e-9 ? achieved : reachedOn(on, speed.value);
    const load = loadOf?.(operation, pass, work, setup, feed, reached);
    return {
      ...pass,
      achieved: reached,
      limitedBy: pass.limitedBy ?? limits.plunge?.limitedBy ?? (limits.isWound ? 'winding' : 'shape'),
      minutes: passMinutes(`pass ${index + 1}`, pass.way, feed.value, speed.value, last),
      ...(load ? { load } : {}),
    };
  });
  return {
    ...operation,
    speed,
    feed,
    pecks,
    passes,
    on: cuts.diameter,
    achieved,
    cutting: minutesOf(passes, pecks, handMinutes.peckReturn),
    ...(cuts.measuredBetween ? { measuredBetween: true } : {}),
    byHand: cuts.byHand ?? [],
    clearances,
    before: work,
    after,
    cautions: [
      ...kind.cautions,
      ...triedWith(operation, setup),
      ...(operation.tool.toGet ? [TO_GET] : []),
      ...(cuts.cautions ?? []),
      ...chipCaution(operation, feed.value, lastDepth(passes), setup),
    ],
    warnings: [
      ...(cuts.warnings ?? []),
      ...(limits.plunge?.warnings ?? []),
      ...bendingWarning(operation, passes, setup),
      ...overloadWarnings(
        { passes, speed: speed.value, feed: feed.value, on: cuts.diameter, at: farthestOut(operation) },
        setup,
      ),
      ...close,
      ...tooFastFor(operation, cuts.diameter, speed, setup),
      ...(operation.kind === 'chamfer' ? [] : wallWarning(work, after, setup)),
      ...(limits.tooFast ? ['The slowest speed of the machine is faster than the material wants here.'] : []),
    ],
  };
}
