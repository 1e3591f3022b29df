import { withEndKept } from '../core/ask/keepEnd';
import type { RunFile } from '../core/read/runFile';
import { readShop } from '@/core/read/readShop';
import { setPath } from '@/core/model/setPath';
import { costOfRun } from '@/core/plan/cost/runCost';
import { planFile, type Plan } from '@/core/plan/plan';
import { andThen, bad, good, refuse, type Result } from '@/core/model/result';
import { comparePlans, type PlanChange, type PlanFigure } from '@/core/ask/revisions/comparePlans';
import type { Shop } from '@/core/model/shop/shop';
import type { UnitSystem } from '@/core/model/units/length';
import { show } from '@/core/model/units/show';

/** What differs between a run's plan and the plan with something set otherwise. */
export interface Difference extends PlanChange {
  money: PlanFigure[];
  warnings: { gone: string[]; come: string[] };
  units: UnitSystem;
}

/** A value of the command line: a number, true, a list where it reads as one, else its text. */
function valueOf(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}

const money = (before: Plan, after: Plan): PlanFigure[] => {
  const [a, b] = [costOfRun(before), costOfRun(after)];
  return (['piece', 'batch'] as const).map((key) => ({
    what: a[key].name,
    unit: 'money',
    before: Number(a[key].value.toFixed(2)),
    after: Number(b[key].value.toFixed(2)),
    changed: Math.abs(a[key].value - b[key].value) >= 0.005,
  }));
};

/** `shop.machine.` is the machine that the run is planned on: of the shop's list, or in the file where that brings its own. */
function ofItsMachine(path: string, file: unknown, { machines }: Shop): string {
  const within = /^shop\.machine\.(.+)$/.exec(path)?.[1];
  if (within === undefined) return path;
  const named = (file as Partial<RunFile> | null)?.machine;
  if (typeof named === 'object') return `machine.${within}`;
  return `shop.machines[${Math.max(
    0,
    machines.findIndex(({ id }) => id === named),
  )}].${within}`;
}

/**
 * Plans a file as it is and with some values set, and compares the two. A path that begins with `shop.` is of the shop, one with
 * `shop.machine.` of the machine that the run is planned on.
 * @param sets each as PATH=VALUE
 */
export function whatIf(file: unknown, shop: Shop, sets: readonly string[]): Result<Difference> {
  let [changed, changedShop]: [unknown, unknown] = [file, shop];
  for (const set of sets) {
    const at = set.indexOf('=');
    if (at < 1) return refuse('--set', `“${set}” is not PATH=VALUE`);
    const [path, value] = [ofItsMachine(set.slice(0, at), file, shop), valueOf(set.slice(at + 1))];
    const ofShop = path.startsWith('shop.');
    const next = setPath(ofShop ? changedShop : changed, ofShop ? path.slice('shop.'.length) : path, value);
    if (!next.ok) return next;
    if (ofShop) changedShop = next.value;
    else changed = next.value;
  }
  // What was set of the shop is checked like a shop that comes in from a file.
  const checked = changedShop === shop ? good(shop) : readShop(changedShop);
  if (!checked.ok) return bad(...checked.problems.map((problem) => ({ ...problem, path: `shop.${problem.path}` })));
  return andThen(planFile(file, shop), (before) =>
    andThen(planFile(withEndKept(changed as RunFile, before.skeleton), checked.value), (after) =>
      good({
        ...comparePlans(before, after, new Map()),
        money: money(before, after),
        warnings: {
          gone: before.warnings.filter((warning) => !after.warnings.includes(warning)),
          come: after.warnings.filter((warning) => !before.warnings.includes(warning)),
        },
        units: after.run.units,
      }),
    ),
  );
}

const said = (value: number | string | undefined, { unit, fine }: PlanFigure, units: UnitSystem): string => {
  if (value === undefined) return '–';
  return typeof value === 'number' ? show(value, unit, units, fine).text : value;
};

/** The difference for people: only what changed, before and after. */
export function describeDifference({
  stock,
  held,
  stops,
  cuts,
  time,
  money: costs,
  warnings,
  units,
}: Difference): string {
  const changed = [...time, ...costs, ...stock, ...held, ...stops, ...cuts].filter((figure) => figure.changed);
  const wide = Math.max(0, ...changed.map(({ what }) => what.length));
  const lines = changed.map(
    (figure) =>
      `  ${figure.what.padEnd(wide)}  ${said(figure.before, figure, units).padStart(14)}  →  ${said(figure.after, figure, units).padStart(14)}`,
  );
  return [
    changed.length === 0
      ? 'Nothing of the plan changes.'
      : `${'  '.padEnd(wide + 2)}  ${'as it is'.padStart(14)}     ${'then'.padStart(14)}`,
    ...lines,
    ...(warnings.come.length > 0 ? ['', 'New to mind', ...warnings.come.map((name) => `  ${name}`)] : []),
    ...(warnings.gone.length > 0 ? ['', 'No more', ...warnings.gone.map((name) => `  ${name}`)] : []),
  ].join('\n');
}
