import { term } from '../../model/figure';
import { largestRadius } from '../../model/workpiece/profile';
import { cylinder } from '../../model/workpiece/segment';
import { good } from '../../model/result';
import type { OperationKind } from '../../model/plan/operation';
import { bladeSettings } from './tools';
import { edgesBehind } from './edgesBehind';
import { clearOf, plunge } from './edgePaths';

/** Part in part way, so that the back edge is reached before the piece is off (trade: Order, EDGE-BEFORE-LOSS). */
export const partIn: OperationKind = {
  kind: 'part-in',
  handFed: true,
  across: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand(setup) {
    const { stock, part, run } = setup;
    const edges = edgesBehind(setup);
    if (edges.length === 0 || !stock.blade) return good([]);
    const { tool, width } = stock.blade;
    const radius = Math.max(...edges.map((edge) => edge.radius));
    const deepest = Math.max(...edges.map(({ leg }) => leg));
    const depth = deepest + run.shop.allowances.partIn;
    const length = term('L', 'length of the part', part.length, 'mm', 'drawing');
    return good([
      {
        key: 'part-in',
        kind: 'part-in',
        feature: 'face',
        name: 'Part in part way',
        tool,
        from: part.length,
        to: part.length + width,
        diameter: 2 * (radius - depth),
        removal: { outside: [cylinder(part.length, part.length + width, radius - depth)] },
        stop: { means: 'carriage', settings: bladeSettings(stock.blade, [length]) },
        checks: [],
      },
    ]);
  },
  cut({ from, to, diameter = 0 }, work, { run }) {
    const outer = largestRadius(work.outside, from, to);
    return good({
      diameter: 2 * outer,
      passes: [
        {
          depth: outer - diameter / 2,
          diameter,
          z: to,
          wide: to - from,
          path: plunge(from, diameter / 2, clearOf(work, from, to, run.shop.allowances.approach)),
          way: [
            term('t', 'depth', outer - diameter / 2, 'mm', 'computed'),
            term('a', 'approach', run.shop.allowances.approach, 'mm', 'start value'),
          ],
        },
      ],
    });
  },
  cautions: [{ kind: 'mistake', text: 'Only as deep as the edge needs: the piece still has to stand its last cuts.' }],
};
