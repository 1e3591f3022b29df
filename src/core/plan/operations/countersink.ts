import { sayFigure } from '../../model/units/mark';
import type { Feature } from '../../model/part/feature';
import { term } from '../../model/figure';
import { isTied } from '../../model/part/part';
import { radiusAt } from '../../model/workpiece/profile';
import { CLOSE } from '../../model/tolerances';
import { good } from '../../model/result';
import type { Tool } from '../../model/shop/shop';
import { sayDiameter } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { barsFor, stoutest } from './boringBars';
import { stopSetting, straightIn } from './tools';
import { reachedOf } from './holeNeed';
import { INTO_THE_MOUTH, mouthFor, mouthPass } from './mouthChamfer';

/** Mouth and included angle of a countersink, mm and degrees, as its profile has them. */
function shapeOf({ bore }: Feature): { mouth: number; included: number } | undefined {
  const cone = bore?.[0];
  if (!cone || cone.arc || cone.r0 <= cone.r1) return undefined;
  return {
    mouth: 2 * cone.r0,
    included: (2 * Math.atan((cone.r0 - cone.r1) / (cone.z1 - cone.z0)) * 180) / Math.PI,
  };
}

/** How far an angle may be from the tool's own, degrees: arithmetic only. */
const SAME_ANGLE = 0.01;

/** A seat that must run true is bored, where a bar goes into its small end (trade: Cutting). */
const isBored = (feature: Feature, setup: Setup): boolean =>
  isTied(setup.part, feature.path) &&
  stoutest(barsFor(feature.z1, setup), 2 * Math.min(...(feature.bore ?? []).flatMap(({ r0, r1 }) => [r0, r1]))) !==
    undefined;

/** The countersink that makes a cone in one go: of its angle, and wide enough. */
export function countersinkFor(feature: Feature, setup: Setup): Tool | undefined {
  const { run } = setup;
  const shape = isBored(feature, setup) ? undefined : shapeOf(feature);
  return (
    shape &&
    run.shop.tools.find(
      ({ does, diameter = 0, point = 0 }) =>
        does.includes('countersink') && Math.abs(point - shape.included) < SAME_ANGLE && diameter >= shape.mouth - 1e-6,
    )
  );
}

/** Countersink the mouth of a hole from the tailstock; wider than every countersink, chamfer it from the post. */
export const countersink: OperationKind = {
  kind: 'countersink',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand(setup) {
    const { run } = setup;
    const sunk = reachedOf(setup, 'countersink', 'conical-bore');
    return good(
      sunk.flatMap((feature): Operation[] => {
        const shape = shapeOf(feature);
        if (!shape || !feature.bore || isBored(feature, setup)) return [];
        const sink = countersinkFor(feature, setup);
        // The bar or another set-up sees to a conical bore.
        const mouth = sink || feature.kind !== 'countersink' ? undefined : mouthFor(feature, setup, shape);
        const tool = sink ?? mouth?.tool;
        if (!tool) return [];
        return [
          {
            key: `countersink:${feature.path}`,
            kind: 'countersink',
            feature: feature.path,
            makes: [feature.path],
            name: `Countersink ${sayDiameter(Number(shape.mouth.toFixed(3)), run.units)} × ${sayFigure(shape.included, 1)}°`,
            tool,
            from: 0,
            to: mouth ? mouth.z : feature.z1,
            diameter: shape.mouth,
            removal: { bore: feature.bore },
            ...(mouth ? { stands: { turned: INTO_THE_MOUTH } } : {}),
            stop: mouth
              ? { means: 'carriage', settings: [{ edge: 'tip', setting: stopSetting(mouth.z, tool) }] }
              : // The tool's point would stand deeper; the quill is read where its edges reach the mouth.
                { means: 'quill', settings: [{ edge: 'tip', setting: stopSetting(feature.z1, tool) }] },
            checks: [],
          },
        ];
      }),
    );
  },
  cut({ to, diameter = 0, removal: { bore = [] }, feature }, work, setup) {
    const { run, part } = setup;
    const made = part.features.find(({ path }) => path === feature);
    const shape = made && !countersinkFor(made, setup) ? shapeOf(made) : undefined;
    const mouth = made && shape && mouthFor(made, setup, shape);
    if (mouth) return good({ diameter, passes: [mouthPass(mouth, run.shop.allowances.approach)] });
    const [cone] = bore;
    // Its point would stand where its flanks meet.
    const point = cone ? cone.z0 + (cone.r0 * (cone.z1 - cone.z0)) / (cone.r0 - cone.r1) : to;
    // It cuts from where its flanks meet the edge of the hole.
    const hole = radiusAt(work.bore, CLOSE);
    const cuts = cone ? (Math.max(0, cone.r0 - hole) * (cone.z1 - cone.z0)) / (cone.r0 - cone.r1) : to;
    const pass = straightIn(to, run, point, -point);
    const { approach } = run.shop.allowances;
    return good({
      diameter,
      passes: [
        {
          ...pass,
          way: [
            term('t', 'from where its flanks meet the hole', cuts, 'mm', 'computed'),
            term('a', 'approach', approach, 'mm', 'start value'),
          ],
        },
      ],
    });
  },
  cautions: [{ kind: 'mistake', text: 'Slow, or it chatters; measure the mouth rather than the depth.' }],
};
