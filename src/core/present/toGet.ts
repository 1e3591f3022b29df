import { sayFigure } from '../model/units/mark';
import { say, sayDiameter } from '../model/words';
import { nameOfBar } from '../plan/stock/nameOfBar';
import type { Tool } from '../model/shop/shop';
import type { Plan } from '../plan/plan';

/** Something that a run wants and the shop has not: what, for which operations, about what it costs, and the way without it. */
export interface ToGet {
  what: string;
  /** Numbers of the operations that want it; none of them alone for a blank. */
  for: number[];
  cost: number;
  without?: string;
}

/** What the list names by what a tool does; of several the first. */
const priceOf = ({ does }: Pick<Tool, 'does'>, prices: Record<string, number>): number =>
  does.flatMap((kind) => prices[kind] ?? [])[0] ?? 0;

/** How the same is made without it, where it can be: what a bar goes into is bored. */
function withoutTool({ does, diameter = 0 }: Tool, { run }: Plan): string | undefined {
  const bars = run.shop.tools.filter((tool) => tool.does.includes('bore') && !tool.toGet);
  const goesIn = bars.some(({ least = 0 }) => least <= diameter);
  if (!goesIn || !(does.includes('ream') || does.includes('drill'))) return undefined;
  const size = sayDiameter(diameter, run.units);
  return does.includes('ream') ? `bored to ${size}` : `the next smaller drill, then bored to ${size}`;
}

function toolsOf(plan: Plan): ToGet[] {
  const { toGet: prices } = plan.run.shop;
  return plan.setups.flatMap(({ operations }) =>
    operations.flatMap(({ number, tool }): ToGet[] => {
      if (!tool.toGet) return [];
      const without = withoutTool(tool, plan);
      return [
        {
          what: tool.gotAs ?? tool.name,
          for: [number],
          cost: priceOf(tool, prices),
          ...(without ? { without } : {}),
        },
      ];
    }),
  );
}

/** Gauges for sizes that none of the list is fine enough for: what measures them is go and no-go. */
export function gaugesToGet({ setups, run }: Plan): ToGet[] {
  const { toGet: prices } = run.shop;
  return setups.flatMap(({ operations }) =>
    operations.flatMap(({ number, checks }) =>
      checks.flatMap(({ what, size, gauge, again }): ToGet[] => {
        if (!size || again || gauge?.fineEnough !== false) return [];
        const repeats = Number(((size.upper - size.lower) / 5).toFixed(4));
        return [
          {
            what: `gauge for ${what} that repeats to ±${say(repeats, run.units)}, or go and no-go`,
            for: [number],
            cost: prices['gauge'] ?? 0,
            without: `${gauge.name}, and the mean of several readings`,
          },
        ];
      }),
    ),
  );
}

/** Wheels that a thread wants and the machine has not. */
const wheelsOf = ({ setups, run }: Plan): ToGet[] =>
  setups.flatMap(({ operations }) =>
    operations.flatMap(({ number, gearing }): ToGet[] =>
      gearing?.toGet === undefined
        ? []
        : [{ what: `change gear of ${gearing.toGet} teeth`, for: [number], cost: run.shop.toGet['wheel'] ?? 0 }],
    ),
  );

const blanksOf = ({ stock, run }: Plan): ToGet[] =>
  stock.reasons.some(({ rule }) => rule === 'TO-ORDER')
    ? [{ what: `${nameOfBar(stock, run.units)}, cut to order`, for: [], cost: stock.cost.material.value }]
    : [];

/** What a run cannot be begun without: blanks, tools and wheels. */
export const neededFor = (plan: Plan): ToGet[] => [...blanksOf(plan), ...toolsOf(plan), ...wheelsOf(plan)];

/** Everything that a run wants and the shop has not, each once, with all of the operations that want it. */
export function toGetFor(plan: Plan): ToGet[] {
  const told = new Map<string, ToGet>();
  for (const one of [...neededFor(plan), ...gaugesToGet(plan)]) {
    const known = told.get(one.what);
    told.set(one.what, known ? { ...known, for: [...known.for, ...one.for] } : one);
  }
  return [...told.values()];
}

/** Such a thing in words, its price not broken over two lines: `reamer ⌀9.525 for operation 40, about 28 €; without it: bored to ⌀9.525 mm`. */
export const sayToGet = ({ what, for: numbers, cost, without }: ToGet, currency: string): string =>
  [
    `${what}${numbers.length > 0 ? ` for operation ${numbers.join(', ')}` : ''}, about ${sayFigure(cost, 0)}\u00a0${currency}`,
    ...(without ? [`without it: ${without}`] : []),
  ].join('; ');
