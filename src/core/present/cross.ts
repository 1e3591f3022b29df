import { dialMove, type DialMove } from '../model/shop/dial';
import type { Machine } from '../model/shop/machine';
import { formatLength, type UnitSystem } from '../model/units/length';

/** What a machine shows where its cross-slide stands: the only place where a diameter is halved (trade: Coordinates). */
export interface CrossReading {
  /** Whether a number is shown at all; without it diameters are measured. */
  hasReadOut: boolean;
  /** Of a figure by itself, and at the head of a column. */
  name: string;
  column: string;
  /** The number shown for a diameter, mm. */
  shown(diameter: number): number;
  /** The same as it is read. */
  read(diameter: number): string;
  /** The dial's way for a depth a side, where there is nothing else to go by. */
  dial?(depth: number): DialMove;
}

/** How the cross-slide of a machine is read: on a read-out of diameters or radii, or by its dial. */
export function crossReadingOf({ readOut, crossDial }: Machine, units: UnitSystem): CrossReading {
  const reading = (name: string, column: string, shown: CrossReading['shown']): CrossReading => ({
    hasReadOut: readOut !== 'none',
    name,
    column,
    shown,
    read: (diameter) => formatLength(shown(diameter), units, true),
  });
  const asItIs = (diameter: number) => diameter;
  if (readOut === 'radius') return reading('read-out radius', 'read-out, radius', (diameter) => diameter / 2);
  if (readOut === 'diameter') return reading('read-out ⌀', 'read-out ⌀', asItIs);
  const measured = reading('to ⌀', 'to ⌀', asItIs);
  return crossDial ? { ...measured, dial: (depth) => dialMove(depth, crossDial) } : measured;
}
