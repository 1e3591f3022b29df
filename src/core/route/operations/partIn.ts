import { sum, term } from '../../figure';
import { largestRadius } from '../../removal/profile';
import { cylinder } from '../../removal/segment';
import { good } from '../../result';
import type { OperationKind } from '../operation';
import { edgesBehind } from './edgesBehind';

/** Part in part way, so that the back edge is reached before the piece is off (handbook 5, EDGE-BEFORE-LOSS). */
export const partIn: OperationKind = {
  kind: 'part-in',
  handFed: true,
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
    const offset = term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool');
    const length = term('L', 'length of the part', part.length, 'mm', 'drawing');
    const right = { edge: 'right' as const, setting: sum('stop setting, right edge touched', 'mm', [length, offset]) };
    const left = {
      edge: 'left' as const,
      setting: sum('stop setting, left edge touched', 'mm', [
        length,
        term('w', 'blade width, as measured', width, 'mm', 'tool'),
        offset,
      ]),
    };
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
        stop: { means: 'carriage', settings: tool.touched === 'right' ? [right, left] : [left, right] },
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
