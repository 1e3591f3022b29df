import { drawPart, scaleName, SCALES } from '@/core/drawing/drawPart';
import type { RunFile } from '@/core/read/runFile';
import type { Part } from '@/core/model/part/part';
import { download } from '../primitives/download';

/** A4 lying, within its margins, mm. */
export const PAPER = { width: 277, height: 190, textHeight: 3, scales: SCALES };

/** What stands under a drawing. */
export const titleOf = ({ part, units }: RunFile, scale: number): string[] => [
  `${part.number} ${part.name ?? ''}`.trim() + (part.revision ? `, revision ${part.revision}` : ''),
  `scale ${scaleName(scale)}, dimensions in ${units}, general tolerance ${part.generalTolerance ?? 'medium'}; underlined: critical`,
];

const nameOf = ({ part }: RunFile) => part.number || 'part';

/** The drawing as an SVG file, to scale on A4. */
export async function svgFileOf(part: Part, file: RunFile): Promise<void> {
  const { svgOf } = await import('@/core/drawing/svg');
  const drawing = drawPart(part, file.units, { ...PAPER, height: PAPER.height - 14 });
  const whole = { ...drawing, height: PAPER.height };
  download(`${nameOf(file)}.svg`, svgOf(whole, titleOf(file, drawing.scale)), 'image/svg+xml');
}

/** The drawing as a DXF file at the part's true size. The writer is fetched when it is asked for. */
export async function dxfFileOf(part: Part, file: RunFile): Promise<void> {
  const { dxfOf } = await import('@/core/drawing/dxf');
  download(`${nameOf(file)}.dxf`, dxfOf(drawPart(part, file.units, PAPER)), 'image/vnd.dxf');
}
