import type { Tool } from './tool';

/** An edge stands out of its bar by a hair more than its nose, where nothing else is said, mm (ours). */
const BEYOND_NOSE = 0.02;

/** How far the edge of an inside tool stands out of its bar, mm: the reach of a blade, or a point by what its sides are wide. */
export const standsOut = ({ reach = 0, point, ahead = 0 }: Pick<Tool, 'reach' | 'point' | 'ahead'>): number =>
  point === undefined ? reach : ahead / Math.tan((point * Math.PI) / 360);

/** How far the edge of a boring bar stands out of it, and how far behind that edge its back lies, mm. */
export function boringBarSize({ nose = 0, diameter = 0, least = diameter }: Tool): { proud: number; back: number } {
  const proud = Math.max((least - diameter) / 2, nose + BEYOND_NOSE);
  return { proud, back: proud + diameter };
}
