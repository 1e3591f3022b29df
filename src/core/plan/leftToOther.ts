import type { Feature } from '../model/part/feature';
import { CLOSE } from '../model/tolerances';
import type { Proof } from './proof/faults';
import type { Route } from './route';
import type { Either } from './skeleton';
import type { PlannedSetup } from './times/planTimes';

type Made = Pick<Route, 'skeleton' | 'setups'>;

const named = (features: readonly Feature[]): Either[] =>
  features
    .map(({ path, name }) => ({ path, name }))
    .filter(({ path }, index, all) => all.findIndex((other) => other.path === path) === index);

/** What an operation of the first side cuts into the outside. */
const cutFirst = ({ setup, operations }: PlannedSetup, number: number | undefined): Feature | undefined => {
  const cut = operations.find((operation) => operation.number === number);
  return setup.side === 1 ? setup.part.features.find(({ path, bore }) => path === cut?.feature && !bore) : undefined;
};

/**
 * What a route makes from the end that is worked first and its proof found wrong there, where the other end could make it.
 * Empty where that is not all that is wrong, or where something is left to the other end already.
 */
export function mendedAtOther({ skeleton, setups }: Made, { faults }: Proof): Either[] {
  const left = faults.map(({ operation }) =>
    setups.map((planned) => cutFirst(planned, operation)).find((feature) => feature !== undefined),
  );
  if (skeleton.later || left.some((feature) => feature === undefined)) return [];
  return named(left.flatMap((feature) => feature ?? []));
}

/** Threads and the like that end where the part does, made from the end that is worked first: the other is nearer to them. */
export function nearerToOther({ skeleton, setups }: Made): Either[] {
  if (skeleton.later || !setups.some(({ setup }) => setup.side === 2)) return [];
  return named(
    setups.flatMap((planned) =>
      planned.operations.flatMap(({ number }) => {
        const feature = cutFirst(planned, number);
        return feature?.thread && feature.z1 > planned.setup.part.length - CLOSE ? [feature] : [];
      }),
    ),
  );
}
