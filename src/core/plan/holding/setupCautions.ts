import { sayFigure } from '../../model/units/mark';
import type { Stock } from '../../model/plan/stock';
import { growth } from '../cutting/heat';
import type { Run } from '../../model/run';
import type { Rest } from '../../model/shop/shop';
import { say, type Caution } from '../../model/words';

const danger = (text: string): Caution => ({ kind: 'danger', text });
const mistake = (text: string): Caution => ({ kind: 'mistake', text });

/** What to mind in a set-up as a whole, whatever is done in it (trade: Cautions). Usual practice; the shop's rules come first. */
export function setupCautions(
  { shop, units, part }: Run,
  stock: Stock,
  { first, supported, rest }: { first: boolean; supported: boolean; rest: Rest | undefined },
): Caution[] {
  const fromBar = first && stock.way === 'from-bar';
  return [
    danger(
      'Chuck key out; turn the work round by hand before the power comes on. Guards and eye protection on; no gloves, rings or loose sleeves.',
    ),
    ...(fromBar ? [danger('The bar behind the spindle is supported and guarded: it whips.')] : []),
    ...(first && stock.piece?.grade
      ? [mistake('Of unknown make: a file tells how hard it is, the first cut is light, and it is measured after it.')]
      : []),
    ...(first && stock.piece && shop.allowances.skin[stock.condition] > 0
      ? [mistake('The cut is interrupted until it is round: under the skin in one, no faster than it knocks.')]
      : []),
    ...(fromBar
      ? [mistake('A bar end that was hammered, sawn skew or mushroomed is no length: face it until it is whole.')]
      : []),
    ...(shop.machine.readOut === 'radius'
      ? [mistake('This read-out shows radius: half of what comes off the diameter. Its figures here are radii.')]
      : []),
    ...(shop.machine.backlash
      ? [
          mistake(
            `Gone too far, back off well past the play of ${say(shop.machine.backlash, units)} and come again from the same side.`,
          ),
        ]
      : []),
    ...(supported
      ? [
          danger(
            'Face and centre with the work drawn in; draw it out, bring up the centre, lock the quill. Take the centre out before parting off.',
          ),
        ]
      : []),
    ...(supported && shop.material.expansion
      ? [
          mistake(
            `Warmed by ${sayFigure(shop.cutting.warmedBy)} K the work is ${say(Number(growth(part.length, shop.material.expansion, shop.cutting.warmedBy).toFixed(3)), units)} longer and pushes on the centre: ease it and set it again before finishing, and measure cold.`,
          ),
        ]
      : []),
    ...(rest
      ? [
          mistake(
            rest.kind === 'follow'
              ? 'A follow rest is set on the diameter just turned, and set anew after every cut; its jaws are oiled.'
              : 'The fixed rest is set where the work runs true, its jaws just touching, and oiled; what is not round there is dialled or skimmed first.',
          ),
        ]
      : []),
    ...(shop.material.caution ? [danger(shop.material.caution)] : []),
  ];
}
