import { sayFigure } from '../../model/units/mark';
import { good } from '../../model/result';
import { polishedSteps } from '../../model/shop/polished';
import { say, sayDiameter } from '../../model/words';
import { BY_HAND, type OperationKind } from '../../model/plan/operation';
import { toolFor } from './tools';
import { turns } from './turned';

/** The last hundredth by abrasives, on the turning work, each finer than the one before (trade: Cutting). */
export const polish: OperationKind = {
  kind: 'polish',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: true,
  byHand: 'turning',
  mayBeLeft: () => true,
  demand(setup, others) {
    const { run, part } = setup;
    const { polishLeft, grits } = run.shop.cutting;
    const wanted = polishedSteps(part, run.shop.cutting).filter(({ path }) =>
      others.some((one) => one.kind === 'turn-finish' && turns(one, path)),
    );
    if (wanted.length === 0) return good([]);
    const tool = toolFor(setup, 'polish', 'part.outside');
    if (!tool.ok) return tool;
    return good(
      wanted.map(({ path, diameter, zFrom, zTo, roughness }) => ({
        ...BY_HAND,
        key: `polish:${path}`,
        kind: 'polish',
        feature: path,
        name: `Polish ${sayDiameter(diameter.nominal, run.units)}${roughness === undefined ? '' : `, Ra ${sayFigure(roughness)}`}`,
        tool: tool.value,
        from: zFrom,
        to: zTo,
        diameter: diameter.aim,
        does: [
          `Up to ${say(polishLeft, run.units)} off the diameter, to the middle of its limits, by ${grits} grits, each finer; measured cold after each.`,
        ],
      })),
    );
  },
  cut({ diameter = 0 }, _, { run }) {
    const { cutting, handMinutes } = run.shop;
    const minutes = cutting.grits * handMinutes.polish;
    return good({ diameter, passes: [], byHand: [{ name: `${cutting.grits} × a grit, and measured`, minutes }] });
  },
  cautions: [
    {
      kind: 'danger',
      text: 'Abrasive held in two ends or on a backing, never wrapped round the work; the ways covered from its grit.',
    },
  ],
};
