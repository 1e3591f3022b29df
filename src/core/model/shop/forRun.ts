import { good, refuse, type Result, missing, bad } from '../result';
import type { HouseRules } from './houseRules';
import type { HandMinutes, Machine, Shop, ShopForRun } from './shop';

/** What a run names of the shop; what it leaves open is the shop's first. */
export interface Named {
  /** Any of several does; the first that the shop has is taken, where they are not weighed (plan/material). */
  material: string | readonly string[];
  machine?: string | Machine | undefined;
  rules?: Partial<HouseRules> | undefined;
}

/** A change of tool takes what the machine's post takes. */
const handMinutesOn = ({ post }: Machine, { handMinutes }: Shop): HandMinutes =>
  post?.kind === 'turret' ? { ...handMinutes, changePost: handMinutes.changeTurret } : handMinutes;

/** The material that is taken: of several, of which any does, the first that the shop has. */
export const takenMaterial = (asked: string | readonly string[], { materials }: Pick<Shop, 'materials'>) =>
  [asked].flat().flatMap((id) => materials.find((known) => known.id === id) ?? [])[0];

/** The shop narrowed to what one run uses, or which name it does not know. */
export function shopForRun(shop: Shop, named: Named): Result<ShopForRun> {
  const asked = [named.material].flat();
  const material = takenMaterial(asked, shop);
  if (!material)
    return asked.join('') === ''
      ? bad(missing('part.material', ': choose what it is made of'))
      : refuse(
          'part.material',
          `“${asked.join('”, “')}” is not in the shop's list; it has ${shop.materials.map(({ id }) => id).join(', ')}`,
        );
  const machine =
    typeof named.machine === 'object'
      ? named.machine
      : shop.machines.find(({ id }, index) => (named.machine ? id === named.machine : index === 0));
  if (!machine)
    return refuse(
      'machine',
      `“${String(named.machine)}” is not in the shop; it has ${shop.machines.map(({ id }) => id).join(', ')}`,
    );
  return good({
    ...shop,
    tools: shop.tools.filter(({ archived }) => !archived),
    handMinutes: handMinutesOn(machine, shop),
    machine,
    material,
    houseRules: { ...shop.houseRules, ...named.rules },
  });
}
