import type { Machine } from '../../model/shop/machine';

/** What is laid in before a stop: so much nearer to the free end it stops then, mm. */
export interface Pack {
  length: number;
  spacers?: number[];
  feeler?: number;
  made?: true;
}

const known = new WeakMap<Machine, Pack[]>();

function everyPack(spacers: readonly number[], feelers: readonly number[]): Pack[] {
  const pairs = spacers.flatMap((one, index) =>
    spacers.slice(index + 1).map((other) => ({
      length: one + other,
      spacers: [Math.max(one, other), Math.min(one, other)],
    })),
  );
  return [
    { length: 0 },
    ...spacers.map((length) => ({ length, spacers: [length] })),
    ...feelers.map((feeler) => ({ length: feeler, feeler })),
    ...pairs,
  ];
}

/** Every stack of what is on hand: nothing, a spacer, a feeler, two spacers; what is laid in soonest first (trade: Stops). */
export function packsOf(machine: Machine): readonly Pack[] {
  const packs = known.get(machine) ?? everyPack(machine.spacers ?? [], machine.feelers ?? []);
  known.set(machine, packs);
  return packs;
}
