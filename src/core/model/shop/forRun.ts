import { good, refuse, type Result, missing, bad } from '../result';
import type { HouseRules } from './houseRules';
import type { HandMinutes, Machine, Shop, ShopForRun } from './shop';

/** What a run names of the shop; what it leaves open is the shop's first. */
export interface Named {
  material: string;
  machine?: string | Machine | undefined;
  rules?: Partial<HouseRules> | undefined;
}

/** A change of tool takes what the machine's post takes. */
const handMinutesOn = ({ post }: Machine, { handMinutes }: Shop): HandMinutes =>
  post?.kind === 'turret' ? { ...handMinutes, changePost: handMinutes.changeTurret } : handMinutes;

/** The shop narrowed to what one run uses, or which name it does not know. */
export function shopForRun(shop: Shop, named: Named): Result<ShopForRun> {
  const material = shop.materials.find(({ id }) => id === named.material);
  if (!material)
    return named.material === ''
      ? bad(missing('part.material', ': choose what it is made of'))
      : refuse(
          'part.material',
          `“${named.material}” is not in the shop's list; it has ${shop.materials.map(({ id }) => id).join(', ')}`,
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
