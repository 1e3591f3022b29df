import { sayFigure } from '../units/mark';
import { say, sayDiameter } from '../words';
import type { UnitSystem } from '../units/length';
import type { Part } from './part';
import type { Size } from './size';

/** A dimension that matters, and why: what the machinist spends time on (trade: The job). */
export interface CriticalDimension {
  path: string;
  what: string;
  because: string[];
}

const limits = ({ from, fit, lower, upper }: Size, units: UnitSystem): string[] => {
  if (from === 'general') return [];
  const width = say(Number((upper - lower).toFixed(4)), units);
  return [fit ? `fit ${fit}, ${width} between its limits` : `limits of its own, ${width} apart`];
};

/** What the drawing says of why something matters. */
const markedBy = ({ critical, why }: { critical?: boolean | undefined; why?: string | undefined }): string[] =>
  critical ? [why ?? 'marked on the drawing'] : [];

/**
 * The critical dimensions of a part: those that the drawing marks, with the reason it gives, and those that its fits,
 * limits, run-outs and threads make so. Everything else has its general tolerance and deserves no more time than that.
 */
export function criticalDimensions(part: Part, units: UnitSystem): CriticalDimension[] {
  const tied = (path: string) =>
    part.ties
      .filter(({ of, to }) => of === path || to === path)
      .map(({ of, to, limit }) => `run-out to ${nameIn(part, of === path ? to : of)} within ${say(limit, units)}`);
  const rough = (ra: number | undefined) => (ra === undefined ? [] : [`Ra ${sayFigure(ra)}`]);
  const found = [
    ...part.steps.flatMap(({ path, name, diameter, critical, why, roughness }): CriticalDimension[] => {
      const marked = markedBy({ critical, why });
      const featured = part.features.some((feature) => feature.path === path && feature.kind !== 'recess');
      const because = [...marked, ...(featured ? [] : limits(diameter, units)), ...tied(path)];
      const what = `${sayDiameter(diameter.nominal, units)}${name ? `, ${name}` : ''}`;
      return because.length > 0 ? [{ path, what, because: [...because, ...rough(roughness)] }] : [];
    }),
    ...part.holes.map(({ path, diameter, name, critical, why }) => ({
      path,
      what: `hole ${sayDiameter(diameter.nominal, units)}${name ? `, ${name}` : ''}`,
      because: [...markedBy({ critical, why }), ...limits(diameter, units), ...tied(path)],
    })),
    ...part.features.map(({ path, name, size, thread, critical, why }) => ({
      path,
      what: name,
      because: [
        ...markedBy({ critical, why }),
        ...(thread ? ['a thread: its mate is the gauge'] : []),
        ...(size ? limits(size, units) : []),
        ...tied(path),
      ],
    })),
    ...part.links.map(({ path, size }) => ({
      path,
      what: `length ${say(Number(size.nominal.toFixed(3)), units)}`,
      because: limits(size, units),
    })),
  ];
  return found.filter(({ because }) => because.length > 0);
}

/** What a surface is called in a sentence. */
function nameIn(part: Part, path: string): string {
  const step = part.steps.find((candidate) => candidate.path === path);
  const hole = part.holes.find((candidate) => candidate.path === path);
  const feature = part.features.find((candidate) => candidate.path === path);
  return step?.name ?? hole?.name ?? feature?.called ?? feature?.name ?? path;
}
