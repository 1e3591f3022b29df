import { figure, term } from '../../figure';
import { collect, good } from '../../result';
import { radiusAt } from '../../removal/profile';
import { say } from '../../words';
import type { OperationKind } from '../operation';
import { toolFor } from '../tools';

/** Chamfer a corner that faces out of the chuck with a 45° tool. */
export const chamfer: OperationKind = {
  kind: 'chamfer',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: true,
  demand(setup) {
    const { part, chamfered, run, stock } = setup;
    const corners = part.chamfers.filter(({ path }) => chamfered.includes(path));
    if (corners.length === 0) return good([]);
    const tool = toolFor(setup, 'chamfer', 'part.details');
    if (!tool.ok) return tool;
    return collect(
      corners.map(({ path, step, z, size }) => {
        const own = part.steps.find((other) => other.path === step);
        const radius = (stock.asDrawn.includes(step) ? stock.over : (own?.diameter.aim ?? 0)) / 2;
        return good({
          key: `chamfer:${path}`,
          kind: 'chamfer',
          feature: path,
          name: `Chamfer ${say(size, run.units)} × 45°`,
          tool: tool.value,
          from: z,
          to: z + size,
          diameter: 2 * radius,
          removal: { outside: [{ z0: z, z1: z + size, r0: radius - size, r1: radius }] },
          stop: {
            means: 'carriage' as const,
            settings: [
              {
                edge: 'tip' as const,
                setting: figure({
                  name: 'stop setting',
                  unit: 'mm',
                  value: z + size + tool.value.offset,
                  formula: 'z + c + o',
                  terms: [
                    term('z', 'the corner, from the face', z, 'mm', 'drawing'),
                    term('c', 'leg of the chamfer', size, 'mm', 'drawing'),
                    term('o', 'offset of the tool to the one that set the zero', tool.value.offset, 'mm', 'tool'),
                  ],
                }),
              },
            ],
          },
          checks: [],
        });
      }),
    );
  },
  cut({ from, to }, work, { run }) {
    return good({
      diameter: 2 * radiusAt(work.outside, to),
      passes: [
        {
          depth: to - from,
          z: to,
          way: [
            term('c', 'leg of the chamfer', to - from, 'mm', 'drawing'),
            term('a', 'approach', run.shop.allowances.approach, 'mm', 'start value'),
          ],
        },
      ],
    });
  },
  cautions: [{ kind: 'mistake', text: 'A form tool wants a low speed: see that the last one is not left in.' }],
};
