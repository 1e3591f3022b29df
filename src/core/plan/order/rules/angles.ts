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
    const own = setup.part.features.find(({ path }) => path === feature);
    const flank = own && ['cone', 'conical-bore'].includes(own.kind) ? flankOf(own) : undefined;
    if (!own || !flank || !['taper', 'form'].includes(kind)) return undefined;
    const { shop, units } = setup.run;
    const length = flank.z1 - flank.z0;
    const sayWay = ({ by, at, error, atEnd }: AngleWay): string =>
      by === 'compound'
        ? `the compound at ${round(at)}°, within ±${error}°: ±${say(round(atEnd), units)} on the far diameter`
        : `a straight edge by the post’s step of ${at}°: ${
            Math.abs(error) < 0.005 ? 'exact' : `${round(Math.abs(error))}° off, ${say(round(atEnd), units)} there`
          }`;
    const ways = angleWays(halfOf(flank), length, shop);
    const taken = edgeFor(own, setup) && kind === 'form' ? 'post' : 'compound';
    const [by, other] = [ways.find((way) => way.by === taken), ways.find((way) => way.by !== taken)];
    if (!by) return undefined;
    const against =
      taken === 'post' || own.bore
        ? ''
        : other && other.atEnd > allowedAtEnd(own)
          ? ', too far'
          : ', and the edge would have to be longer';
    return `By ${sayWay(by)}.${other && !own.bore ? ` Else ${sayWay(other)}${against}.` : ''}`;
  },
};
