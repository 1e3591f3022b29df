import type { KeptHolder, Shop } from '../model/shop/shop';
import { readRun } from '../read/readRun';
import type { RunFile } from '../read/runFile';

/**
 * What a run made to hold others by, as the shop keeps it: it holds what its widest bore takes, or the thread that it is tapped with
 * (trade: Small practices). Where it is kept is for who puts it there.
 * @returns undefined for a part that is not read, or has nothing to hold by
 */
export function holderFrom(file: RunFile, shop: Shop): KeptHolder | undefined {
  const run = readRun(file, shop);
  if (!run.ok) return undefined;
  const { number, name, holes, features } = run.value.part;
  const thread = features.find((feature) => feature.bore && feature.thread)?.thread;
  const bored = features.flatMap(({ bore, size }) => (bore && size ? [size] : []));
  const widest = Math.max(...[...holes.map(({ diameter }) => diameter), ...bored].map(({ nominal }) => nominal));
  const held = thread?.diameter ?? widest;
  if (!Number.isFinite(held)) return undefined;
  return {
    name: name ? `${name}, ${number}` : number,
    kind: thread ? 'threaded-holder' : 'split-bush',
    diameter: held,
    ...(thread ? { thread: thread.designation } : {}),
  };
}
