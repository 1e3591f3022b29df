import type { Cuts } from '../../model/plan/operation';
import type { Run } from '../../model/run';
import { say } from '../../model/words';

/**
 * What a tool in the tailstock wants that goes deeper than the quill: drawn back, the tailstock pushed up behind it, the tool
 * left in its hole, as often as the quill does not reach (trade: Small practices). Nothing within one stroke.
 * @param to where its tip stops, mm
 */
export function strokesOf(to: number, { shop, units }: Run): Pick<Cuts, 'byHand'> & Required<Pick<Cuts, 'cautions'>> {
  const { quillTravel } = shop.machine;
  const again = Math.ceil(to / quillTravel - 1e-9) - 1;
  if (again <= 0) return { cautions: [] };
  return {
    byHand: [
      {
        name: `quill drawn back and the tailstock pushed up${again > 1 ? `, ${again} ×` : ''}`,
        minutes: again * shop.handMinutes.tailstock,
      },
    ],
    cautions: [
      {
        kind: 'mistake',
        text: `Deeper than the ${say(quillTravel, units)} that the quill goes: drawn back, the tailstock pushed up and clamped anew, and the depth counted on from there.`,
      },
    ],
  };
}
