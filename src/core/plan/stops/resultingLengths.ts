import type { Run } from '../../model/run';
import { CLOSE } from '../../model/tolerances';
import { workedLengths, type WorkedLengths, type WorkedLink, type WorkedPlace } from '../lengths/workedLengths';
import { BESIDE } from './chains';
import type { Pin, StoppedSetup } from './planStops';

/** What a length comes to, mm either way: the sum of what its stops repeat to, or as the gauge reads where it is measured. */
export interface Resulting {
  resulting: number;
  measured: boolean;
}

export interface ResultingLengths extends WorkedLengths {
  links: (WorkedLink & Resulting)[];
  places: (WorkedPlace & Resulting)[];
}

/** A set-up as far as its stops are asked. */
export interface PinnedSetup extends Pick<StoppedSetup, 'setup' | 'pins'> {
  operations: readonly Pick<StoppedSetup['cuts'][number], 'key' | 'kind' | 'feature' | 'to'>[];
}

/** The stop at which the last operation ends that is so. */
function pinWhere(
  { pins, operations }: PinnedSetup,
  is: (operation: PinnedSetup['operations'][number]) => boolean,
): Pin | undefined {
  const last = operations.findLast(
    (operation) =>
      is(operation) && pins.some(({ axis, operations: keys }) => axis === 'carriage' && keys.includes(operation.key)),
  );
  return last && pins.find(({ operations: keys }) => keys.includes(last.key));
}

/**
 * The drawing's lengths with what each comes to by the stops that were chosen (trade: Stops). What nothing stops, as a face that is
 * as drawn, adds nothing.
 */
export function resultingLengths(run: Run, setups: readonly PinnedSetup[]): ResultingLengths {
  const lengths = workedLengths(
    run,
    setups.map(({ setup }) => setup),
  );
  const { part } = run;
  const zOf = (face: number) => (face === 0 ? 0 : (part.steps[face - 1]?.zTo ?? 0));
  const pinAt = (face: number): Pin | undefined => {
    const made = setups.find(
      ({ setup }) => setup.number === lengths.faces.find((worked) => worked.face === face)?.setup,
    );
    if (!made) return undefined;
    const z = made.setup.end === 'front' ? zOf(face) : part.length - zOf(face);
    return pinWhere(made, ({ kind, to }) => !BESIDE.includes(kind) && Math.abs(to - z) < CLOSE);
  };
  const comesTo = (pins: readonly (Pin | undefined)[]): Resulting => {
    const all = pins.filter((pin) => pin !== undefined);
    const measured = all.filter(({ means }) => means === 'measured');
    const halves = (some: readonly Pin[]) => some.map(({ spread }) => spread / 2);
    return measured.length > 0
      ? { resulting: Math.max(...halves(measured)), measured: true }
      : { resulting: halves(all).reduce((sum, half) => sum + half, 0), measured: false };
  };
  return {
    ...lengths,
    links: lengths.links.map((link) => ({ ...link, ...comesTo(link.errors.map(pinAt)) })),
    places: lengths.places.map((place) => {
      const made = setups.find(({ setup }) => setup.features.includes(place.path));
      const own = made && pinWhere(made, ({ feature }) => feature === place.path);
      return { ...place, ...comesTo([...place.errors.map(pinAt), own]) };
    }),
  };
}
