import { good } from '../../result';
import { cylinder } from '../../removal/profile';
import { say } from '../../words';
import type { OperationKind } from '../operation';
import { stopSetting, straightIn, toolFor } from '../tools';
import { drillsOf } from './drillChain';

/** Centre drill: a short stiff start for a drill, or the seat of a centre. */
export const centre: OperationKind = {
  kind: 'centre',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand(setup) {
    const { run, supported, turned } = setup;
    const chain = drillsOf(setup);
    if (!chain.ok) return chain;
    const first = chain.value[0];
    const slender = first !== undefined && (first.tool.diameter ?? 0) < run.shop.cutting.stoutDrill;
    const forDrill =
      setup.stock.bore === 0 && first !== undefined && (run.shop.houseRules.centreDrill === 'always' || slender);
    if (!forDrill && !(supported && turned.length > 0)) return good([]);
    const tool = toolFor(setup, 'centre', 'part.bores');
    if (!tool.ok) return tool;
    const { diameter = 0, flute = 0, point = 60 } = tool.value;
    // To half of the full diameter, so that it leaves no pocket wider than the drill that follows.
    const depth = Math.min(flute, diameter);
    const coneEnd = depth;
    const coneStart = Math.max(0, depth - diameter / 2 / Math.tan((point * Math.PI) / 360));
    return good([
      {
        key: `centre:${setup.number}`,
        kind: 'centre',
        feature: first?.feature ?? 'face',
        name: 'Centre',
        tool: tool.value,
        from: 0,
        to: depth,
        diameter,
        removal: {
          bore: [cylinder(-1, coneStart, diameter / 2), { z0: coneStart, z1: coneEnd, r0: diameter / 2, r1: 0 }].filter(
            ({ z0, z1 }) => z1 > z0,
          ),
        },
        stop: { means: 'quill', settings: [{ edge: 'tip', setting: stopSetting(depth, tool.value) }] },
        checks: [],
      },
    ]);
  },
  cut(operation, _work, { run, supported }) {
    return good({
      diameter: operation.diameter ?? 1,
      passes: [straightIn(operation.to, run)],
      warnings:
        supported && operation.feature === 'face'
          ? [`The centre hole of ${say(operation.to, run.units)} stays in the face: see that the drawing allows it.`]
          : [],
    });
  },
  cautions: [{ kind: 'danger', text: 'Lock the tailstock; bring the quill up gently, the tip is thin.' }],
};
