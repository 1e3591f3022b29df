import type { RunFile } from '../formats/runFile';
import { planFile } from '../plan';
import type { Shop } from './shop';

/** Numbers of the parts whose runs use a tool or a machine, by their ids. */
export interface UsedBy {
  tools: Record<string, string[]>;
  machines: Record<string, string[]>;
}

/** What the plans of some runs use of the shop. */
export function usedBy(runs: readonly { file: RunFile }[], shop: Shop): UsedBy {
  const used: UsedBy = { tools: {}, machines: {} };
  const note = (list: Record<string, string[]>, id: string, number: string) => {
    const known = (list[id] ??= []);
    if (!known.includes(number)) known.push(number);
  };
  for (const { file } of runs) {
    const plan = planFile(file, shop);
    if (!plan.ok) continue;
    note(used.machines, plan.value.run.shop.machine.id, file.part.number);
    for (const { tool } of plan.value.setups.flatMap(({ operations }) => operations))
      note(used.tools, tool.id, file.part.number);
  }
  return used;
}
