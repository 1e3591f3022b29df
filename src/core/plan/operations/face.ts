import { term } from '../../model/figure';
import { faceLoad } from '../cutting/load';
import { andThen, good } from '../../model/result';
import { largestRadius, radiusAt } from '../../model/workpiece/profile';
import { overAllOf } from '../../model/part/chain';
import type { Run } from '../../model/run';
import type { Check, Operation, OperationKind } from '../../model/plan/operation';
import { stopSetting, toolFor } from './tools';
import { equalPasses } from './equalPasses';
import { across, clearOf } from './edgePaths';

/** The feature that is an end left on for a centre. */
export const CENTRE_END = 'centre-end';

/** The length of the part as the drawing has it, however its steps are divided to be made. It is always measured, as it comes. */
export const lengthOverAll = ({ part }: Run): Check => ({
  what: 'length over all',
  measures: 'length',
  size: { ...overAllOf(part.links), from: 'general' },
  final: true,
});

/**
 * Face the end that looks out of the chuck; its carriage zero is the zero of the set-up. Where an end for a centre is
 * left on, that end is faced first, and taken off when the turning is done.
 */
export const face: OperationKind = {
  kind: 'face',
  handFed: false,
  across: true,
  turnsAtOverhang: true,
  underCentre: false,
  load: faceLoad,
  takesDepth: true,
  demand(setup) {
    const { facing, centreEnd, endStays, end, run, number, stock, behind } = setup;
    if (facing <= 0) return good([]);
    const tool = toolFor(setup, 'face', 'part.outside');
    if (!tool.ok) return tool;
    const facingTo = (to: number, from: number, pick: Pick<Operation, 'key' | 'feature' | 'name' | 'checks'>) => ({
      ...pick,
      kind: 'face',
      tool: tool.value,
      from,
      to,
      removal: { faceAt: to },
      stop: {
        means: 'carriage' as const,
        settings: [{ edge: 'tip' as const, setting: stopSetting(to, tool.value) }],
      },
    });
    // A piece may come with its other end as it is to be.
    const isLast = behind === 0 && (number > 1 || stock.piece !== undefined);
    const spigot = number > 1 && stock.spigot > 0 ? ', spigot off' : '';
    const itself = facingTo(0 - centreEnd, -facing, {
      key: `face:${end}`,
      feature: 'face',
      name: centreEnd > 0 ? `Face the end of the ${stock.blade ? 'bar' : 'blank'}` : `Face the ${end}${spigot}`,
      // The length of the part becomes fixed when its second end is faced.
      checks: isLast && run.part.steps.length > 0 ? [lengthOverAll(run)] : [],
    });
    return good([
      ...(facing > centreEnd ? [itself] : []),
      ...(centreEnd > 0 && !endStays
        ? [
            facingTo(0, -centreEnd, {
              key: `face:${CENTRE_END}`,
              feature: CENTRE_END,
              name: 'Face off the centre end',
              checks: [],
            }),
          ]
        : []),
    ]);
  },
  cut(operation, work, setup) {
    const { from, to } = operation;
    const facing = to - from;
    const outer = largestRadius(work.outside, from, to + 0.001);
    const core = radiusAt(work.bore, to - 1e-6);
    const { approach } = setup.run.shop.allowances;
    const clear = clearOf(work, from - 1, to, approach);
    const way = [
      term('R', 'outer radius', outer, 'mm', 'computed'),
      term('a', 'approach', approach, 'mm', 'start value'),
      term('r', 'core radius, inwards', -core, 'mm', 'computed'),
    ];
    return andThen(
      equalPasses(operation, { depth: facing, diameter: 2 * outer, way, pushesAcross: false }, work, setup),
      ({ passes, depth, limitedBy, ...held }) =>
        good({
          ...held,
          diameter: 2 * outer,
          passes: Array.from({ length: passes }, (_, index) => ({
            depth,
            z: from + depth * (index + 1),
            way,
            // Into the hole that is there, or past the middle so far that the slope behind its tip leaves no pip.
            path: across(
              from + depth * (index + 1),
              clear,
              core > 0 ? core - approach : -Math.max(operation.tool.nose ?? 0, depth),
              approach,
            ),
            limitedBy,
          })),
        }),
    );
  },
  cautions: [{ kind: 'mistake', text: 'A tool below or above centre leaves a nib; it leads a small drill astray.' }],
};
