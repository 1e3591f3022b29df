import type { Plan } from '../plan/plan';
import { sectionName } from '../plan/stock/nameOfBar';
import { toGetFor } from './toGet';

/** What a quotation rests on, in words: drawing, material, stock, work elsewhere, what is still to be got. */
export function assumed(plan: Plan): string[] {
  const { run, stock, outside } = plan;
  const { part, shop, units } = run;
  const get = toGetFor(plan).map(({ what }) => what);
  return [
    `drawing ${part.number}${part.revision ? ` revision ${part.revision}` : ', without a revision'}`,
    `${shop.material.name}, ${sectionName(stock, units)} ${units}`,
    ...outside.map(({ name }) => `with ${name}`),
    ...(get.length > 0 ? [`to be got for it: ${get.join(', ')}`] : []),
  ];
}
