import {
  Colors,
  DxfWriter,
  LWPolylineFlags,
  point2d,
  point3d,
  TextHorizontalAlignment,
  Units,
  type LWPolylineVertex,
} from '@tarikjabiri/dxf';
import type { Corner, Drawing, LineUse } from './marks';

const LAYERS: Record<LineUse | 'text', string> = {
  outline: 'OUTLINE',
  critical: 'CRITICAL',
  edge: 'EDGES',
  hidden: 'EDGES',
  thread: 'THREADS',
  axis: 'AXIS',
  dimension: 'DIMENSIONS',
  leader: 'DIMENSIONS',
  text: 'DIMENSIONS',
};

/**
 * A drawing as a DXF file, in millimetres of paper divided by its scale, so that the part comes out at its true size.
 * Arcs stay arcs; y points up.
 */
export function dxfOf({ marks, scale, height, textHeight }: Drawing): string {
  const writer = new DxfWriter();
  writer.setUnits(Units.Millimeters);
  for (const name of new Set(Object.values(LAYERS))) writer.addLayer(name, Colors.White, 'Continuous');
  const at = (x: number, y: number) => [x / scale, (height - y) / scale] as const;
  const vertices = (corners: Corner[]): LWPolylineVertex[] =>
    corners.map(({ x, y }, index) => {
      // On the sheet y points down, and a bulge belongs to the way that ends at its corner.
      const bulge = corners[index + 1]?.bulge;
      const point = point2d(...at(x, y));
      return bulge === undefined ? { point } : { point, bulge: -bulge };
    });
  for (const mark of marks) {
    if (mark.kind === 'metal') continue;
    if (mark.kind === 'line') {
      writer.addLWPolyline(vertices(mark.corners), { flags: LWPolylineFlags.None, layerName: LAYERS[mark.use] });
      continue;
    }
    const [x, y] = at(mark.x, mark.y);
    const aligned = {
      start: TextHorizontalAlignment.Left,
      middle: TextHorizontalAlignment.Center,
      end: TextHorizontalAlignment.Right,
    };
    writer.addText(point3d(x, y, 0), textHeight / scale, mark.text, {
      horizontalAlignment: aligned[mark.anchor],
      secondAlignmentPoint: point3d(x, y, 0),
      layerName: LAYERS.text,
    });
  }
  return writer.stringify();
}
