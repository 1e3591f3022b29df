import { good, refuse } from '../../model/result';
import { cylinder } from '../../model/workpiece/profile';
import { centreDepth, centreDrillFor, endDiameter } from '../cutting/centres';
import { say } from '../../model/words';
import type { Operation, OperationKind } from '../../model/plan/operation';
import { stopSetting, straightIn, toolFor } from './tools';
import { drillsOf } from './drillChain';
import { isBetweenCentres, type Setup } from '../../model/plan/setup';
import { CENTRE_END } from './face';

/** How deep a point goes in until it is as wide as a hole, mm. */
const pointDepth = (hole: number, point: number): number => hole / 2 / Math.tan((point * Math.PI) / 360);

/** Whether something outside is made that a centre steadies. */
const worksOutside = ({ part, features, chamfered }: Setup): boolean =>
  chamfered.length > 0 || part.features.some(({ path, bore }) => !bore && features.includes(path));

/** Centre drill: a short stiff start for a drill, or the seat of a centre; in an end left on for it, both in turn. */
export const centre: OperationKind = {
  kind: 'centre',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  mayBeLeft: ({ feature }) => feature !== CENTRE_END,
  demand(setup) {
    const { run, supported, turned, centreEnd, centres } = setup;
    const chain = drillsOf(setup);
    if (!chain.ok) return chain;
    const [next] = chain.value;
    // What follows a hole that is there wants no start.
    const first = next?.hole === undefined ? next : undefined;
    const slender = first !== undefined && (first.tool.diameter ?? 0) < run.shop.cutting.stoutDrill;
    const forDrill =
      setup.stock.bore === 0 && first !== undefined && (run.shop.houseRules.centreDrill === 'always' || slender);
    const forCentre =
      centres ?? (supported && !isBetweenCentres(setup) && (turned.length > 0 || centreEnd > 0 || worksOutside(setup)));
    if (!forDrill && !forCentre) return good([]);
    const listed = toolFor(setup, 'centre', 'part.bores');
    if (!listed.ok) return listed;
    const hole = forDrill ? first?.tool.diameter : undefined;
    const work = forCentre ? endDiameter(setup.part) : Infinity;
    const tool = centreDrillFor(run.shop, work, hole) ?? listed.value;
    const { diameter = 0, point = 60 } = tool;
    // No wider than the hole that follows: of a tiny one only the point goes in.
    const depth = hole !== undefined && hole < diameter ? pointDepth(hole, point) : centreDepth(tool);
    if (centreEnd > 0 && centreEnd <= depth)
      return refuse(
        'allowances.centreEnd',
        `${say(centreEnd, run.units)} is too short: the centre hole is ${say(depth, run.units)} deep and would stay in the part`,
      );
    const centred = (face: number, pick: Pick<Operation, 'key' | 'feature' | 'name'>): Operation => {
      const coneEnd = face + depth;
      const slant = Math.tan((point * Math.PI) / 360);
      const coneStart = Math.max(face, coneEnd - diameter / 2 / slant);
      const wide = (coneEnd - coneStart) * slant;
      return {
        ...pick,
        kind: 'centre',
        tool,
        from: face,
        to: coneEnd,
        diameter,
        removal: {
          bore: [cylinder(face - 1, coneStart, wide), { z0: coneStart, z1: coneEnd, r0: wide, r1: 0 }].filter(
            ({ z0, z1 }) => z1 > z0,
          ),
        },
        stop: { means: 'quill', settings: [{ edge: 'tip', setting: stopSetting(coneEnd, tool) }] },
        checks: [],
      };
    };
    const inEnd = { key: `centre:${CENTRE_END}`, feature: CENTRE_END, name: 'Centre the end' };
    const inFace = { key: `centre:${setup.number}`, feature: first?.feature ?? 'face', name: 'Centre' };
    return good([
      ...(centreEnd > 0 ? [centred(-centreEnd, inEnd)] : []),
      ...(forDrill || centreEnd === 0 ? [centred(0, inFace)] : []),
    ]);
  },
  cut({ from, to, diameter = 1, feature }, _work, { run, supported, centres }) {
    return good({
      diameter,
      passes: [{ ...straightIn(to - from, run, to, from), z: to }],
      warnings:
        (supported || centres) && feature === 'face'
          ? [`The centre hole of ${say(to - from, run.units)} stays in the face: see that the drawing allows it.`]
          : [],
    });
  },
  cautions: [{ kind: 'danger', text: 'Lock the tailstock; bring the quill up gently, the tip is thin.' }],
};
