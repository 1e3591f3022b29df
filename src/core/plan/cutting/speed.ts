import { figure, term, type Figure, type Term } from '../../model/figure';

/** Spindle speed for a cutting speed, n = 1000 v / (π d) (trade: Cutting). m/min and mm in, rev/min out. */
export const spindleSpeed = (cuttingSpeed: number, diameter: number): number =>
  (1000 * cuttingSpeed) / (Math.PI * diameter);

/** Cutting speed that a spindle speed gives, v = π d n / 1000. rev/min and mm in, m/min out. */
export const cuttingSpeed = (speed: number, diameter: number): number => (Math.PI * diameter * speed) / 1000;

/** The machine's nearest speed or feed not above the wanted one; its lowest when all are above. The list rises. */
export const notAbove = (list: readonly number[], wanted: number): number =>
  list.findLast((value) => value <= wanted + 1e-9) ?? list[0] ?? wanted;

/** Roughness a nose leaves, Ra = 1000 f² / (32 r) µm, f mm/rev and r mm (trade: Cutting). */
export const roughnessOf = (feed: number, nose: number): number => (1000 * feed * feed) / (32 * nose);

/** The feed that leaves a wanted Ra (µm): the inverse of `roughnessOf`. */
export const feedForRoughness = (ra: number, nose: number): number => Math.sqrt((32 * nose * ra) / 1000);

/** The last of a way, by hand: how far, mm, and how fast, mm/min. */
export interface ByHand {
  far: number;
  feed: number;
}

/** Minutes over a way, mm, at a feed, mm/rev, and a speed, rev/min; the last of it by hand (trade: Time). */
export const minutesAlong = (way: number, feed: number, speed: number, last?: ByHand): number => {
  const far = Math.min(last?.far ?? 0, way);
  return (way - far) / (feed * speed) + (last ? far / last.feed : 0);
};

/**
 * Feeds of the chips over a length: minutes = passes of length / (f n) (trade: Time).
 */
export function passMinutes(name: string, lengths: Term[], feed: number, speed: number, last?: ByHand): Figure {
  const way = lengths.reduce((total, { value }) => total + value, 0);
  const far = Math.min(last?.far ?? 0, way);
  const whole = lengths.map(({ symbol }) => symbol).join(' + ');
  return figure({
    name,
    unit: 'min',
    value: minutesAlong(way, feed, speed, last),
    formula: last ? `(${whole} - e) / (f · n) + e / w` : `(${whole}) / (f · n)`,
    terms: [
      ...lengths,
      term('f', 'feed', feed, 'mm/rev', 'computed'),
      term('n', 'spindle speed', speed, 'rev/min', 'computed'),
      ...(last
        ? [
            term('e', 'the last of it, by hand', far, 'mm', 'start value'),
            term('w', 'by hand, mm a minute', last.feed, '', 'start value'),
          ]
        : []),
    ],
  });
}
