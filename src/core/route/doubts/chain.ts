import { sayFace } from '../../part/lengths/faces';
import { say } from '../../words';
import { workedLengths } from '../lengths/workedLengths';
import type { Doubt, Look } from './doubt';

const round = (mm: number) => Number(mm.toFixed(3));

/** Lengths of the drawing whose limits the chain does not bear that they are worked by (handbook 13). */
export const chain: Look = (run, setups) => {
  const { part, units, shop } = run;
  const named = (face: number) => sayFace(face, part.steps);
  return workedLengths(run, setups).links.flatMap(({ path, from, to, size, errors, allowed, resulting }): Doubt[] => {
    if (resulting <= allowed + 1e-9) return [];
    const repeats = say(shop.cutting.stopRepeats, units);
    const what = `${say(round(size.nominal), units)} from ${named(from)} to ${named(to)}`;
    const have = allowed > 0 ? `±${say(round(allowed), units)}` : 'nothing';
    const sum =
      errors.length > 1
        ? `is worked as ${errors.length} lengths (to ${errors.map(named).join(' and to ')}), and a stop repeats to ±${repeats} in each: ±${say(round(resulting), units)} together`
        : `is set by one stop, which repeats to ±${repeats}`;
    const help =
      allowed <= 0
        ? 'The other lengths leave it no room: ask which of them holds.'
        : allowed + 1e-9 >= shop.cutting.stopRepeats
          ? 'Work it from its own face, with a spacer against one stop, or measure it and take the last cut by what was measured.'
          : 'Measure each piece and take the last cut by what was measured.';
    return [{ path, rule: 'CHAIN', because: `${what} ${sum}; the drawing leaves ${have}. ${help}` }];
  });
};
