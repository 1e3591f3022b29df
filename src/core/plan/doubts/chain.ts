import { sayFace } from '../../read/lengths/faces';
import { say } from '../../model/words';
import { workedLengths } from '../lengths/workedLengths';
import type { Doubt, Look } from './doubt';

const round = (mm: number) => Number(mm.toFixed(3));

/** Lengths and places of the drawing whose limits the chain does not bear that they are worked by (trade: Shop arithmetic). */
export const chain: Look = (run, setups) => {
  const { part, units, shop } = run;
  const named = (face: number) => sayFace(face, part.steps);
  const repeats = say(shop.cutting.stopRepeats, units);
  const { links, places } = workedLengths(run, setups);
  const worked = [
    ...links.map((link) => ({ ...link, what: `from ${named(link.from)} to ${named(link.to)}`, own: [] })),
    ...places.map((place) => ({ ...place, what: `from ${named(place.face)} to the ${place.name}`, own: ['itself'] })),
  ];
  return worked.flatMap(({ path, size, what, errors, own, allowed, resulting }): Doubt[] => {
    if (resulting <= allowed + 1e-9) return [];
    const to = [...errors.map(named), ...own];
    const have = allowed > 0 ? `±${say(round(allowed), units)}` : 'nothing';
    const sum =
      to.length > 1
        ? `is worked as ${to.length} lengths (to ${to.join(' and to ')}), and a stop repeats to ±${repeats} in each: ±${say(round(resulting), units)} together`
        : `is set by one stop, which repeats to ±${repeats}`;
    const help =
      allowed <= 0
        ? 'The other lengths leave it no room: ask which of them holds.'
        : allowed + 1e-9 >= shop.cutting.stopRepeats
          ? 'Work it from its own face, with a spacer against one stop, or measure it and take the last cut by what was measured.'
          : 'Measure each piece and take the last cut by what was measured.';
    const because = `${say(round(size.nominal), units)} ${what} ${sum}; the drawing leaves ${have}. ${help}`;
    return [{ path, rule: 'CHAIN', because }];
  });
};
