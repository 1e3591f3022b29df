'use client';
import type { Drawing } from '@/core/drawing/marks';
import { entryName } from '../run/entryName';

/** Something wrong on the drawing: which entry, what, and where it stands, z in mm, if it has a place. */
export interface Mistake {
  path: string;
  message: string;
  z: number | undefined;
}

/** Height of a line of words, px. */
const ROW = 24;

/** Width of a letter of the strip, px. */
const LETTER = 6.5;

/** More are told under their entries; here they would hide the part. */
const MOST = 2;

/** Room that the words take above the drawing, px. */
export const roomForMistakes = (many: number): number => Math.min(many, MOST) * ROW;

/** What is wrong, in words above the drawing, and a pointer from there to where it is. */
export function Mistakes({ mistakes, drawing }: { mistakes: readonly Mistake[]; drawing: Drawing }) {
  const { width, origin, scale } = drawing;
  const axis = origin.y + roomForMistakes(mistakes.length);
  const room = Math.floor((width - 44) / LETTER);
  return (
    <>
      {mistakes.slice(0, MOST).map(({ path, message, z }, index) => {
        const words = `${entryName(path)}: ${message}`;
        const bottom = 6 + (index + 1) * ROW;
        const x = z === undefined ? undefined : origin.x - z * scale;
        return (
          <g key={path + message} style={{ color: 'var(--oxide)' }}>
            {x !== undefined && (
              <>
                <line
                  x1={x}
                  x2={x}
                  y1={bottom}
                  y2={axis - 12}
                  stroke="currentColor"
                  strokeWidth={1.3}
                  strokeDasharray="5 3"
                />
                <path d={`M${x - 7},${axis - 14}h14l-7,13z`} fill="currentColor" />
              </>
            )}
            <rect x={8} y={bottom - ROW} width={width - 16} height={ROW - 2} rx={4} fill="var(--oxide-soft)" />
            <text x={16} y={bottom - 8} style={{ fill: 'currentColor', fontFamily: 'var(--sans)', stroke: 'none' }}>
              ▲ {words.length > room ? `${words.slice(0, room)} …` : words}
            </text>
          </g>
        );
      })}
    </>
  );
}
