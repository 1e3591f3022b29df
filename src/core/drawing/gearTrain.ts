import type { GearTrain } from '../model/plan/gearing';

/** A wheel as it is drawn: its centre and radius, its teeth, and on what it sits. */
export interface DrawnWheel {
  x: number;
  y: number;
  r: number;
  teeth: number;
  on: 'spindle' | 'idler' | 'stud' | 'leadscrew';
}

export interface DrawnTrain {
  width: number;
  height: number;
  wheels: DrawnWheel[];
}

/** A train drawn in a line from the spindle to the leadscrew, true to scale: what meshes touches, what shares a stud has its centre. */
export function drawTrain({ drivers, driven, idlers }: GearTrain, width: number): DrawnTrain {
  const [first = 1, second] = drivers;
  const [onto = 1, last] = driven;
  const isCompound = second !== undefined && last !== undefined;
  const line: { teeth: number; on: DrawnWheel['on']; shares?: true }[] = [
    { teeth: first, on: 'spindle' },
    ...idlers.map((teeth) => ({ teeth, on: 'idler' as const })),
    { teeth: onto, on: isCompound ? 'stud' : 'leadscrew' },
    ...(isCompound
      ? [
          { teeth: second, on: 'stud' as const, shares: true as const },
          { teeth: last, on: 'leadscrew' as const },
        ]
      : []),
  ];
  // In teeth: two that mesh are half of both apart.
  let x = 0;
  const placed = line.map((wheel, index) => {
    if (index > 0 && !wheel.shares) x += ((line[index - 1]?.teeth ?? 0) + wheel.teeth) / 2;
    return { ...wheel, x };
  });
  const left = Math.min(...placed.map((wheel) => wheel.x - wheel.teeth / 2));
  const right = Math.max(...placed.map((wheel) => wheel.x + wheel.teeth / 2));
  const scale = width / (right - left);
  const largest = Math.max(...placed.map(({ teeth }) => teeth / 2)) * scale;
  return {
    width,
    height: 2 * largest,
    wheels: placed.map(({ teeth, on, x: at }) => ({
      teeth,
      on,
      x: (at - left) * scale,
      y: largest,
      r: (teeth / 2) * scale,
    })),
  };
}
