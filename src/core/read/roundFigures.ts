import type { Part, Step } from '../model/part/part';
import type { Size } from '../model/part/size';
import type { Allowances } from '../model/shop/shop';
import type { UnitSystem } from '../model/units/length';

/**
 * A part whose diameters that the drawing leaves open are aimed at round figures of the read-out and the dial, as long as
 * those lie within what is usual (trade: Shop arithmetic): what does not matter gets no care.
 */
export function withRoundFigures(part: Part, { roundFigure }: Allowances, units: UnitSystem): Part {
  const figure = roundFigure[units];
  const round = (size: Size): Size => {
    const aim = Number((Math.round(size.aim / figure) * figure).toFixed(6));
    const isUsual = aim >= size.nominal + size.lower - 1e-9 && aim <= size.nominal + size.upper + 1e-9;
    return size.open && isUsual ? { ...size, aim } : size;
  };
  const rounded = (step: Step): Step => (step.diameter.open ? { ...step, diameter: round(step.diameter) } : step);
  return part.steps.some(({ diameter }) => diameter.open) ? { ...part, steps: part.steps.map(rounded) } : part;
}
