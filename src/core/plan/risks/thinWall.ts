import { thinnestWall, type Workpiece } from '../../model/workpiece/workpiece';
import { sayDiameter } from '../../model/words';
import type { RiskKind } from './risk';

/** A set-up that still cuts work whose wall is thin by then: it gives way to the cut and to what holds it (trade: Order, WALL-LAST). */
export const thinWall: RiskKind = (setups, { shop, units }) => {
  const thin = (work: Workpiece) => {
    const is = thinnestWall(work);
    return is && is.wall / is.diameter < shop.cutting.thinWall ? is : undefined;
  };
  return setups.flatMap(({ setup, operations }) => {
    const cut = operations.find(({ before, passes }) => passes.length > 0 && thin(before));
    const wall = cut && thin(cut.before);
    if (!wall) return [];
    const under = sayDiameter(Number(wall.diameter.toFixed(2)), units);
    return [
      {
        price: 'thinWall' as const,
        because: `${cut.name} in set-up ${setup.number} cuts work with a thin wall under ${under}.`,
      },
    ];
  });
};
