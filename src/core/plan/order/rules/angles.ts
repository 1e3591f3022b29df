import { sayFigure } from '../../../model/units/mark';
import { angleWays, type AngleWay } from '../../cutting/angleWays';
import { say } from '../../../model/words';
import { allowedAtEnd, edgeFor, flankOf, halfOf } from '../../operations/edgeCone';
import type { Rule } from './rule';

const round = (value: number) => Number(value.toFixed(2));

/** ANGLE (ours, after trade: Shop arithmetic): by which way a cone gets its angle, and what each that is here would leave. */
export const angle: Rule = {
  id: 'ANGLE',
  strength: 'S',
  asksFor({ kind, feature }, setup) {
    const made = setup.part.features.find(({ path }) => path === feature);
    const flank = made && ['cone', 'conical-bore'].includes(made.kind) ? flankOf(made) : undefined;
    if (!made || !flank || !['taper', 'form'].includes(kind)) return undefined;
    const { shop, units } = setup.run;
    const length = flank.z1 - flank.z0;
    const sayWay = ({ by, at, error, atEnd }: AngleWay): string =>
      by === 'compound'
        ? `the compound at ${sayFigure(round(at))}°, within ±${sayFigure(error)}°: ±${say(round(atEnd), units)} on the far diameter`
        : `a straight edge by the post’s step of ${sayFigure(at)}°: ${
            Math.abs(error) < 0.005
              ? 'exact'
              : `${sayFigure(round(Math.abs(error)))}° off, ${say(round(atEnd), units)} there`
          }`;
    const ways = angleWays(halfOf(flank), length, shop);
    const taken = edgeFor(made, setup) && kind === 'form' ? 'post' : 'compound';
    const [by, other] = [ways.find((way) => way.by === taken), ways.find((way) => way.by !== taken)];
    if (!by) return undefined;
    const against =
      taken === 'post' || made.bore
        ? ''
        : other && other.atEnd > allowedAtEnd(made)
          ? ', too far'
          : ', and the edge would have to be longer';
    return `By ${sayWay(by)}.${other && !made.bore ? ` Else ${sayWay(other)}${against}.` : ''}`;
  },
};
