import { figure, term, type Figure } from '../../model/figure';
import type { Stock } from '../../model/plan/stock';
import type { Run } from '../../model/run';
import type { PlannedSetup, TimedOperation, Times } from '../times/planTimes';
import type { EdgeLife, Tool } from '../../model/shop/shop';

/** What Taylor's law wants to know of an edge. */
type Taylor = Omit<EdgeLife, 'thinnest'>;

/**
 * Minutes that an edge lasts at a cutting speed, by Taylor's law v · T^n = v₀ · T₀^n.
 * @param table the cutting speed that its life is given for, m/min
 */
export const lifeAt = (speed: number, table: number, { life, exponent }: Taylor): number =>
  life * (table / speed) ** (1 / exponent);

/**
 * The cutting speed at which a piece costs least: there an edge lasts (1/n − 1) · (change + cost in minutes of the
 * machine), m/min (Taylor).
 * @param hour what an hour of the machine costs
 */
export function economicSpeed(table: number, { life, exponent, cost, change }: Taylor, hour: number): number {
  const best = (1 / exponent - 1) * (change + (60 * cost) / hour);
  return table * (life / best) ** exponent;
}

/** A run as it was planned: what it costs follows from its stock, its cuts and its minutes. */
export interface PlannedRun {
  run: Run;
  stock: Stock;
  setups: readonly PlannedSetup[];
  times: Times;
}

/** What a batch takes of the edges of one tool. */
export interface EdgeUse {
  tool: Tool;
  /** Edges used over the batch, as it comes out, and what they cost with changing them. */
  edges: Figure;
  money: number;
  /** Minutes of changing them. */
  changing: number;
  /** Where it cuts longest: the speed reached, how long an edge lasts there, and the speed that costs least, m/min. */
  speed: number;
  life: number;
  economic: number;
}

/** The cutting speed that the life of an operation's edge is given for, m/min. */
const tableFor = ({ shop }: Run, { tool, kind }: Pick<TimedOperation, 'tool' | 'kind'>): number =>
  shop.material.speed[tool.edge] * (shop.cutting.speedFactor[kind] ?? 1);

/** How long an edge lasts at what an operation cuts with, minutes; undefined where it wears none: by hand, or where nothing is cut. */
export function lifeOf(run: Run, operation: TimedOperation): number | undefined {
  const { tool, cutting, achieved } = operation;
  if (tool.mount === 'hand' || cutting.value <= 0 || achieved.value <= 0) return undefined;
  return lifeAt(achieved.value, tableFor(run, operation), run.shop.edges[tool.edge]);
}

/** What the edges of a batch come to, the most used first; work by hand takes none. */
export function edgesOf({ run, stock, setups }: Omit<PlannedRun, 'times'>): EdgeUse[] {
  const { edges, rates } = run.shop;
  const cuts = setups
    .flatMap(({ operations }) => operations)
    .flatMap((operation) => {
      const life = lifeOf(run, operation);
      const { tool, cutting, achieved } = operation;
      const table = tableFor(run, operation);
      return life === undefined ? [] : [{ tool, minutes: cutting.value, speed: achieved.value, table, life }];
    });
  const tools = [...new Map(cuts.map(({ tool }) => [tool.id, tool])).values()];
  return tools
    .map((tool): EdgeUse => {
      const byTool = cuts.filter((cut) => cut.tool.id === tool.id);
      const longest = byTool.reduce((a, b) => (b.minutes > a.minutes ? b : a));
      const edge = edges[tool.edge];
      const share = byTool.reduce((total, { minutes, life }) => total + minutes / life, 0);
      const used = figure({
        name: `edges of ${tool.name} over the batch`,
        unit: '',
        value: stock.toMake.value * share,
        formula: 'N · s',
        terms: [
          term('N', 'pieces made', stock.toMake.value, '', 'run'),
          term('s', 'of an edge in a piece: minutes cut by minutes that it lasts', share, '', 'computed'),
        ],
        note: 'By Taylor’s law from start values: count the edges of a run and put the life right.',
      });
      return {
        tool,
        edges: used,
        changing: used.value * edge.change,
        money: used.value * edge.cost,
        speed: longest.speed,
        life: longest.life,
        economic: economicSpeed(longest.table, edge, rates.machineHour),
      };
    })
    .sort((a, b) => b.edges.value - a.edges.value);
}
