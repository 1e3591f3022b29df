import { term } from '../../model/figure';
import { largestRadius, radiusAt } from '../../model/workpiece/profile';
import { good } from '../../model/result';
import type { Caution } from '../../model/words';
import type { OperationKind } from '../../model/plan/operation';
import { CLOSE } from '../../model/tolerances';
import { sharpEdges } from './deburr';
import { bladeSettings } from './tools';
import { lengthOverAll } from './face';
import { clearOf, plunge, throughTo } from './edgePaths';

const BY_FILE: Caution = {
  kind: 'danger',
  text: 'A file has a handle; the piece in a vice with soft jaws, not in the turning chuck.',
};

/** Part the piece off the bar. The finished side is at the blade's right edge (trade: Stock). */
export const partOff: OperationKind = {
  kind: 'part-off',
  handFed: true,
  across: true,
  shutIn: true,
  turnsAtOverhang: false,
  underCentre: false,
  demand({ partsOff, stock, part, behind, finishes, run }) {
    const { blade } = stock;
    if (!partsOff || !blade) return good([]);
    const { tool, width } = blade;
    const end = part.length + behind;
    const length = term('L', 'length of the part', part.length, 'mm', 'drawing');
    // Nothing comes after it: the mouth of a hole behind is broken in the hand.
    const mouths = finishes
      ? sharpEdges(part, run.shop.cutting.sharpFrom).filter(({ z, inside }) => inside && z > part.length - CLOSE)
      : [];
    const back = term('k', 'facing allowance behind it', behind, 'mm', 'computed');
    return good([
      {
        key: 'part-off',
        kind: 'part-off',
        feature: 'face',
        name: 'Part off',
        tool,
        from: end + width,
        to: end,
        removal: { partedAt: end },
        stop: { means: 'carriage', settings: bladeSettings(blade, [length, back]) },
        checks: finishes ? [lengthOverAll(run)] : [],
        ...(mouths.length > 0 ? { breaks: mouths } : {}),
      },
    ]);
  },
  cut({ from, to, breaks = [] }, work, { run, finishes }) {
    const outer = largestRadius(work.outside, to, from);
    const core = radiusAt(work.bore, (from + to) / 2);
    return good({
      diameter: 2 * outer,
      passes: [
        {
          depth: outer - core,
          z: to,
          wide: from - to,
          path: plunge(to, throughTo(core), clearOf(work, to, from, run.shop.allowances.approach)),
          way: [
            term('R', 'outer radius', outer, 'mm', 'computed'),
            term('a', 'approach', run.shop.allowances.approach, 'mm', 'start value'),
            term('r', 'core radius, inwards', -core, 'mm', 'computed'),
          ],
        },
      ],
      byHand: [
        ...breaks.map(() => ({
          name: 'break the mouth behind, off the lathe',
          minutes: run.shop.handMinutes.deburrEdge,
        })),
        // A whole face that stays as it is parted has its nib.
        ...(finishes && core === 0 ? [{ name: 'file the nib off', minutes: run.shop.handMinutes.fileNib }] : []),
      ],
      cautions: finishes && core === 0 ? [BY_FILE] : [],
      warnings: core > 0 ? ['The ring comes off whole: catch it on a rod in the bore.'] : [],
    });
  },
  cautions: [
    { kind: 'danger', text: 'Carriage locked, steady feed; catch the piece, never with the fingers.' },
    { kind: 'mistake', text: 'The blade’s width belongs to one side only: see which edge was touched.' },
  ],
};
