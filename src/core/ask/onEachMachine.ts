import { planFile, type Plan } from '../plan/plan';
import { sayMinutes } from '../model/units/show';
import type { Way } from '../model/way';
import { meansWords } from '../present/stop';
import type { RunFile } from '../read/runFile';
import type { Shop } from '../model/shop/shop';

/** A run as one lathe of the shop would make it, or why that cannot. */
export interface OnMachine {
  machine: { id: string; name: string };
  figures?: {
    way: Way;
    setups: number;
    pieceMinutes: number;
    setupMinutes: number;
    batchMinutes: number;
    /** Whether running the plan move by move bears it out. */
    proved: boolean;
    /** What its lengths are stopped by, the most used first, with how many places each serves. */
    stops: { words: string; places: number }[];
  };
  problem?: string;
}

/** A run on every lathe of its shop. */
export interface OnMachines {
  each: OnMachine[];
  /** Place of the one that it is planned for; undefined where its file brings a machine of its own. */
  chosen: number | undefined;
  /** Which is quickest, and by how much, in words. */
  because: string;
}

/** What stops the lengths of a plan, in words, with how many places. */
function stopsOf({ setups }: Plan): { words: string; places: number }[] {
  const places = new Map<string, number>();
  for (const { pins } of setups)
    for (const { means, axis } of pins) {
      const words = meansWords(means, axis);
      places.set(words, (places.get(words) ?? 0) + 1);
    }
  return [...places].map(([words, count]) => ({ words, places: count })).sort((a, b) => b.places - a.places);
}

/** The run as it stands, on one machine. */
function onMachine(file: RunFile, shop: Shop, machine: { id: string; name: string }): OnMachine {
  const plan = planFile({ ...file, machine: machine.id }, shop, 'wanted');
  if (!plan.ok) return { machine, problem: plan.problems[0]?.message ?? 'it cannot be planned' };
  const { times, way, setups, proof } = plan.value;
  return {
    machine,
    figures: {
      way,
      setups: setups.length,
      pieceMinutes: times.piece.value,
      setupMinutes: times.setup.value,
      batchMinutes: times.batch.value,
      proved: proof.passed,
      stops: stopsOf(plan.value),
    },
  };
}

/** Which lathe is the quickest over the batch, of those whose proof bears the plan out. */
function becauseOf(each: readonly OnMachine[], chosen: number | undefined): string {
  const sound = each
    .flatMap(({ machine, figures }) => (figures?.proved ? [{ machine, minutes: figures.batchMinutes }] : []))
    .sort((a, b) => a.minutes - b.minutes);
  const [quickest, next] = sound;
  if (!quickest) return 'None of them can make it.';
  if (!next) return `Only ${quickest.machine.name} can make it.`;
  const own = sound.find(({ machine }) => machine.id === each[chosen ?? -1]?.machine.id);
  return own && own !== quickest
    ? `${quickest.machine.name} would be quicker over the batch by ${sayMinutes(own.minutes - quickest.minutes)}.`
    : `${quickest.machine.name} is the quickest over the batch, by ${sayMinutes(next.minutes - quickest.minutes)} to ${next.machine.name}.`;
}

/** Plans a run on every lathe of the shop, one after the other; whatever else its file decides stays decided. */
export function* onEachMachine(file: RunFile, shop: Shop): Generator<OnMachine, OnMachines> {
  const each: OnMachine[] = [];
  for (const { id, name } of shop.machines) {
    const one = onMachine(file, shop, { id, name });
    each.push(one);
    yield one;
  }
  const taken = file.machine ?? shop.machines[0]?.id;
  const at = each.findIndex(({ machine }) => machine.id === taken);
  const chosen = at < 0 ? undefined : at;
  return { each, chosen, because: becauseOf(each, chosen) };
}
