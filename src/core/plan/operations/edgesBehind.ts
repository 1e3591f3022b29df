import { sharpEdges } from './deburr';
import type { Setup } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';

/** The edges of a parted face that nothing comes after: how far in each is broken, mm, and its radius. */
export function edgesBehind({ finishes, part, chamfered, run, stock }: Setup): { leg: number; radius: number }[] {
  if (!finishes) return [];
  const chamfers = part.chamfers.flatMap(({ path, end, size, step: on }) => {
    const step = part.steps.find((candidate) => candidate.path === on);
    const radius = (stock.asDrawn.includes(on) && !stock.piece ? stock.over : (step?.diameter.aim ?? 0)) / 2;
    return end === 'back' && chamfered.includes(path) ? [{ leg: size, radius }] : [];
  });
  const sharp = sharpEdges(part, run.shop.cutting.sharpFrom).filter(
    ({ z, inside }) => !inside && z > part.length - CLOSE,
  );
  return [...chamfers, ...sharp.map(({ r }) => ({ leg: 0, radius: r }))];
}
