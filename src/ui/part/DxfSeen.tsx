import { useMemo } from 'react';
import type { DxfPart } from '@/core/formats/dxf/readDxf';
import { drawPart } from '@/core/drawing/drawPart';
import type { Mark } from '@/core/drawing/marks';
import { readPart } from '@/core/read/readPart';
import { Drawn, DrawingRoom, TEXT_HEIGHT } from './Drawn';

/** The part is as wide as the window lets it, whatever would be written above and below it. */
const SHEET = { width: 640, height: 4000, textHeight: TEXT_HEIGHT };
/** Room round it, and the most height that it takes, px. */
const ROOM = 12;
const HIGHEST = 260;

const isBody = (mark: Mark): boolean =>
  mark.kind === 'metal' || (mark.kind === 'line' && ['outline', 'edge', 'hidden', 'axis'].includes(mark.use));

/** The part that was read, and over it the lines of the drawing: where they part company, something was not understood. */
export function DxfSeen({ read }: { read: DxfPart }) {
  const { outside, details, bores, drawn } = read;
  const drawing = useMemo(() => {
    const part = readPart({ number: '', material: '', outside, details, bores }, 'mm');
    return part.ok ? drawPart(part.value, 'mm', SHEET) : undefined;
  }, [outside, details, bores]);
  if (!drawing) return null;
  const { origin, scale, marks, textHeight } = drawing;
  const half = ROOM + scale * Math.max(...drawn.flat().map(({ r }) => Math.abs(r)));
  const ways = drawn.map((places) =>
    places.map(({ z, r }) => `${(origin.x - z * scale).toFixed(1)},${(origin.y - r * scale).toFixed(1)}`).join(' '),
  );
  return (
    <DrawingRoom style={{ height: Math.min(HIGHEST, 2 * half), marginBottom: 8 }}>
      <svg
        viewBox={`0 ${origin.y - half} ${SHEET.width} ${2 * half}`}
        style={{ width: '100%', height: '100%' }}
        role="img"
        aria-label="The part as it was read, with the lines of the drawing over it"
      >
        {marks.filter(isBody).map((mark, index) => (
          <Drawn key={index} mark={mark} h={textHeight} chosen={false} />
        ))}
        {ways.map((points, index) => (
          <polyline
            key={index}
            points={points}
            fill="none"
            stroke="var(--blue)"
            strokeWidth="2"
            strokeDasharray="5 3"
          />
        ))}
      </svg>
    </DrawingRoom>
  );
}
