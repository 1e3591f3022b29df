'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import { drawPart, scaleName, SCALES } from '@/core/drawing/drawPart';
import type { Drawing } from '@/core/drawing/marks';
import type { Part } from '@/core/model/part/part';
import type { UnitSystem } from '@/core/model/units/length';
import { Drawn } from '../part/Drawn';

/** Room for the drawing across the printed sheet, mm of paper: the least height that shows the part at its own size. */
const SHEET = { width: 186, textHeight: 3.1, scales: SCALES };
const HEIGHTS = [64, 70, 76, 82, 88, 94, 100, 106, 112, 118, 124];
const FOOT = 5;

function onPaper(part: Part, units: UnitSystem): Drawing {
  const drawn = HEIGHTS.map((height) => drawPart(part, units, { ...SHEET, height: height - FOOT }));
  const [first] = [...drawn].sort((a, b) => b.scale - a.scale);
  return drawn.find(({ scale }) => scale >= 1) ?? (first as Drawing);
}

const Svg = styled.svg`
  display: block;
  margin-top: 2mm;
  break-inside: avoid;
  text {
    font: ${SHEET.textHeight}px var(--mono);
    fill: #000;
    stroke: #fff;
    stroke-width: 1px;
    paint-order: stroke;
  }
`;

/** The dimensioned section on paper, to a standard scale that is stated: one unit of the picture is a millimetre. */
export function PaperDrawing({ part, units }: { part: Part; units: UnitSystem }) {
  const drawing = useMemo(() => onPaper(part, units), [part, units]);
  const { width, textHeight } = SHEET;
  const height = drawing.height + FOOT;
  return (
    <Svg
      width={`${width}mm`}
      height={`${height}mm`}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Section of the part, scale ${scaleName(drawing.scale)}`}
    >
      {drawing.marks.map((mark, index) => (
        <Drawn key={index} mark={mark} h={textHeight} chosen={false} thinnest={0.15} />
      ))}
      <text x={0} y={height - 1}>
        scale {scaleName(drawing.scale)}, dimensions in {units}; underlined: critical
      </text>
    </Svg>
  );
}
