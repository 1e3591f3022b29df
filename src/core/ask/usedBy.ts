import { listedId } from '../model/shop/tool';
import type { Plan } from '../plan/plan';
import { settingOf, type Setting } from './runsThatShare';

/** What the plan of a run uses of the shop: the number of its part, and ids. */
export interface Uses {
  number: string;
  machine: string;
  tools: readonly string[];
  /** How the machine is set up for it. */
  setting?: Setting;
}

/** Numbers of the parts whose runs use a tool or a machine, by their ids. */
export interface UsedBy {
  tools: Record<string, string[]>;
  machines: Record<string, string[]>;
}

/** What a plan uses of the shop. */
export function usesOf(plan: Plan): Uses {
  const { run, setups } = plan;
  const setting = settingOf(plan);
  return {
    number: run.part.number,
    machine: run.shop.machine.id,
    tools: setups.flatMap(({ operations }) => operations.map(({ tool }) => listedId(tool))),
    ...(setting ? { setting } : {}),
  };
}

/** By whom tools and machines are used. */
export function usedBy(uses: readonly Uses[]): UsedBy {
  const used: UsedBy = { tools: {}, machines: {} };
  const note = (list: Record<string, string[]>, id: string, number: string) => {
    const known = (list[id] ??= []);
    if (!known.includes(number)) known.push(number);
  };
  for (const { number, machine, tools } of uses) {
    note(used.machines, machine, number);
    for (const tool of tools) note(used.tools, tool, number);
  }
  return used;
}
