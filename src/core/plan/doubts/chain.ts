import { sayFace } from '../../read/lengths/faces';
import { say } from '../../model/words';
import { resultingLengths } from '../stops/resultingLengths';
import type { Doubt, Look } from './doubt';

const round = (mm: number) => Number(mm.toFixed(3));

/**
 * Lengths and places of the drawing whose limits the chain does not bear that they are worked by (trade: Shop arithmetic): the others
 * leave them no room, or not even the gauge is as close.
 */
export const chain: Look = (run, setups) => {
  const { part, units } = run;
  const named = (face: number) => sayFace(face, part.steps);
  const { links, places } = resultingLengths(run, setups);
  const worked = [
    ...links.map((link) => ({ ...link, what: `from ${named(link.from)} to ${named(link.to)}`, own: [] })),
    ...places.map((place) => ({ ...place, what: `from ${named(place.face)} to the ${place.name}`, own: ['itself'] })),
  ];
  return worked.flatMap(({ path, size, what, errors, own, allowed, resulting, measured }): Doubt[] => {
    if (resulting <= allowed + 1e-9) return [];
    const to = [...errors.map(named), ...own];
    const have = allowed > 0 ? `±${say(round(allowed), units)}` : 'nothing';
    const comes = `±${say(round(resulting), units)}`;
    const by = measured
      ? `is measured and cut to, and the gauge repeats to ${comes}`
      : `is worked as ${to.length > 1 ? `${to.length} lengths (to ${to.join(' and to ')})` : 'one length'}, which comes to ${comes}`;
    const help =
      allowed <= 0
        ? 'The other lengths leave it no room: ask which of them holds.'
        : 'A closer gauge, or a spacer against one stop, is wanted.';
    return [
      {
        path,
        rule: 'CHAIN',
        because: `${say(round(size.nominal), units)} ${what} ${by}; the drawing leaves ${have}. ${help}`,
      },
    ];
  });
};
