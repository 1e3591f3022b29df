import type { EdgePlace } from '../../model/plan/edgeWay';
import type { Run } from '../../model/run';
import { asLeft } from '../operations/leftForElsewhere';
import { disagreesWith } from './disagrees';
import type { Fault, Proof } from './faults';
import { goesIn } from './goesIn';
import { held } from './held';
import { TOUCH } from './move';
import { runPass } from './runPass';
import type { Running } from './running';
import { mirrored, type Section } from './section/section';
import { readSizes } from './sizes';
import { rawWork, shapeNamed, standing, viewOf } from './standing';
import type { WrittenOperation, WrittenPlan, WrittenSetup } from './written';

/** Where the work is in two pieces, seen from its free end. */
function gapIn(metal: Section): number | undefined {
  const next = metal.findIndex(({ z0 }, index) => index > 0 && z0 - (metal[index - 1]?.z1 ?? z0) > TOUCH);
  return next < 0 ? undefined : metal[next - 1]?.z1;
}

/** Runs one operation through its passes; of what comes apart the piece at the free end is gone on with. */
function runOperation(
  operation: WrittenOperation,
  running: Running,
  setup: WrittenSetup,
  run: Run,
  form: string,
): void {
  if (operation.passes.length === 0) return;
  const tell = (code: Fault['code'], what: string, z?: number) =>
    running.faults.push({
      code,
      setup: setup.number,
      operation: operation.number,
      what,
      ...(z === undefined ? {} : { z }),
    });
  const shape = shapeNamed(operation, run);
  if (!shape) return void tell('no-tool', operation.tool);
  if (operation.passes.some(({ path = [] }) => path.length === 0)) return void tell('no-way', operation.name);
  running.faults.push(...held(setup, operation, running.metal, { run, form, earlier: running.earlier }));
  const still = standing(setup, operation, running.metal, run);
  let at: EdgePlace | undefined;
  for (const [index, pass] of operation.passes.entries())
    at = runPass(pass, index, running, { run, setup, operation, shape, still }, at);
  const gap = gapIn(running.metal);
  if (gap === undefined) return;
  if (operation.kind !== 'part-off') tell('falls-off', operation.name, viewOf(setup, run.part.length)(gap));
  running.metal = running.metal.filter(({ z1 }) => z1 <= gap + TOUCH);
}

/** Of each operation the worst of each kind of fault. */
function worstOfEach(faults: readonly Fault[]): Fault[] {
  const found = new Map<string, Fault>();
  for (const fault of faults) {
    const { code, setup, operation, path, amount = 0 } = fault;
    const key = [code, setup, operation, path].join(' ');
    if (amount >= (found.get(key)?.amount ?? 0)) found.set(key, fault);
  }
  return [...found.values()];
}

/**
 * Runs a plan as it is written on an exact workpiece, apart from the planner's own notion of it (trade: Clearance): every
 * pass removes what its edge goes over; nothing else may touch; what is left must be the drawing's.
 * @param watch is told of every move, as it is made
 */
export function prove(plan: WrittenPlan, drawn: Run, watch?: Running['watch']): Proof {
  const run = asLeft(drawn);
  const { length } = run.part;
  const running: Running = {
    metal: [],
    earlier: new Set(),
    faults: [],
    nearest: new Map(),
    ...(watch ? { watch } : {}),
  };
  for (const [index, setup] of plan.setups.entries()) {
    const before = plan.setups[index - 1];
    if (!before) running.metal = rawWork(plan, setup, run);
    else if (before.end !== setup.end) running.metal = mirrored(running.metal, length);
    running.faults.push(...goesIn(setup, running.metal, run));
    for (const operation of setup.operations) runOperation(operation, running, setup, run, plan.stock.form);
    const made = setup.operations.flatMap(({ feature, makes = [] }) => [feature, ...makes]);
    running.earlier = new Set([...running.earlier, ...made]);
  }
  const piece = plan.setups.at(-1)?.end === 'back' ? mirrored(running.metal, length) : running.metal;
  const faults = worstOfEach([...running.faults, ...disagreesWith(piece, plan, run)]);
  return {
    passed: faults.length === 0,
    faults,
    clearances: [...running.nearest.values()],
    ...readSizes(piece, run.part),
  };
}
