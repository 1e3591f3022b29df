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

/** A table of figures, each times a factor. */
const times = <T extends Record<string, number>>(table: T, factor: number): T =>
  Object.fromEntries(Object.entries(table).map(([key, value]) => [key, value * factor])) as T;

/** The shop at the pace of a machine (trade: Time): its speeds, feeds and depths, and what it takes by hand. */
function atPace(shop: ShopForRun): ShopForRun {
  const { machine, material, cutting, paces } = shop;
  const { speed, feed, depth, hand } = paces[machine.pace ?? 'usual'];
  // How much swarf lies between two clearings is no time.
  const { clearEvery } = shop.handMinutes;
  return {
    ...shop,
    material: {
      ...material,
      speed: times(material.speed, speed),
      drillFeed: material.drillFeed * feed,
      deepestCut: material.deepestCut * depth,
    },
    cutting: { ...cutting, feed: times(cutting.feed, feed), deepestBore: cutting.deepestBore * depth },
    handMinutes: { ...times({ ...shop.handMinutes }, hand), clearEvery },
  };
}

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
  return good(
    atPace({
      ...shop,
      tools: shop.tools.filter(({ archived }) => !archived),
      handMinutes: handMinutesOn(machine, shop),
      machine,
      material,
      houseRules: { ...shop.houseRules, ...named.rules },
    }),
  );
}
