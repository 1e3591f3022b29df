'use client';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { Part } from '@/core/part/part';
import { finishedPart } from '@/core/removal/finishedPart';
import { formatNominal, type UnitSystem } from '@/core/units/length';
import { metalPath, outlinePath, spread, type Frame } from '../drawing/paths';
import { useSize } from '../primitives/useSize';

const Room = styled.div`
  position: relative;
  height: 100%;
  svg {
    display: block;
  }
  text {
    font: 13px var(--mono);
    fill: var(--ink);
  }
  text.soft {
    fill: var(--ink-soft);
  }
`;

const Empty = styled.p`
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  padding: 20px;
  color: var(--ink-soft);
  text-align: center;
`;

/** The section of a part with its diameters and lengths, both halves at one scale; the free end at the right. */
export function PartDrawing({
  part,
  units,
  marked,
}: {
  part: Part | undefined;
  units: UnitSystem;
  marked?: string | undefined;
}) {
  const [room, { width, height }] = useSize<HTMLDivElement>({ width: 560, height: 320 });
  const metal = useMemo(() => part && finishedPart(part), [part]);
  return (
    <Room ref={room}>
      {part && metal ? (
        <Section part={part} metal={metal} units={units} width={width} height={height} marked={marked} />
      ) : (
        <Empty>The drawing grows here as the steps are entered: diameter and length, from the front.</Empty>
      )}
    </Room>
  );
}

function Section({
  part,
  metal,
  units,
  width,
  height,
  marked,
}: {
  part: Part;
  metal: ReturnType<typeof finishedPart>;
  units: UnitSystem;
  width: number;
  height: number;
  marked: string | undefined;
}) {
  const largest = Math.max(...part.steps.map(({ diameter }) => diameter.nominal));
  const [side, above, below] = [58, 46, 72];
  const scale = Math.min((width - 2 * side) / part.length, (height - above - below) / largest);
  const right = width / 2 + (part.length * scale) / 2;
  const axis = above + (height - above - below) / 2;
  const frame = (half: 1 | -1): Frame => ({ x: (z) => right - z * scale, y: (r) => axis - half * r * scale });
  const top = frame(1);
  const dimensionsAt = axis + (largest / 2) * scale + 22;
  const centres = part.steps.map(({ zFrom, zTo }) => top.x((zFrom + zTo) / 2));
  const labelAt = spread(centres, 62, 30, width - 30);
  const name = (step: Part['steps'][number]) =>
    `⌀${formatNominal(step.diameter.nominal, units)}${step.diameter.fit ? ` ${step.diameter.fit}` : ''}`;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Section of the part, ${formatNominal(part.length, units)} ${units} long: ${part.steps.map(name).join(', ')}`}
    >
      {([1, -1] as const).map((half) => (
        <g key={half}>
          <path d={metalPath(frame(half), metal)} fill="var(--metal)" />
          <path
            d={outlinePath(frame(half), metal.outside)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.8"
            strokeLinejoin="round"
          />
          <path
            d={outlinePath(
              frame(half),
              metal.bore.filter(({ r0, r1 }) => r0 + r1 > 0),
            )}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.2"
          />
        </g>
      ))}
      {[0, part.length].map((z) => {
        const end = metal.outside.find(({ z0, z1 }) => (z === 0 ? z0 === 0 : Math.abs(z1 - z) < 1e-6));
        const r = (z === 0 ? end?.r0 : end?.r1) ?? 0;
        return (
          <line
            key={z}
            x1={top.x(z)}
            x2={top.x(z)}
            y1={top.y(r)}
            y2={top.y(-r)}
            stroke="var(--ink)"
            strokeWidth="1.8"
          />
        );
      })}
      {part.steps.slice(1).map(({ zFrom, path }, index) => {
        const r = Math.max(part.steps[index]?.diameter.nominal ?? 0, part.steps[index + 1]?.diameter.nominal ?? 0) / 2;
        return (
          <line
            key={path}
            x1={top.x(zFrom)}
            x2={top.x(zFrom)}
            y1={top.y(r)}
            y2={top.y(-r)}
            stroke="var(--ink)"
            strokeWidth="1"
          />
        );
      })}
      {part.steps
        .filter(({ path, critical }) => path === marked || critical)
        .map(({ path, zFrom, zTo, diameter, critical }) => {
          const chamfer = (end: 'front' | 'back') =>
            part.chamfers.find((own) => own.step === path && own.end === end)?.size ?? 0;
          const [from, to] = [top.x(zFrom + chamfer('front')), top.x(zTo - chamfer('back'))];
          return (
            <g key={path} stroke={path === marked ? 'var(--blue)' : 'var(--ink)'} strokeWidth={critical ? 4 : 3}>
              {[1, -1].map((half) => (
                <line
                  key={half}
                  x1={from}
                  x2={to}
                  y1={top.y((half * diameter.nominal) / 2)}
                  y2={top.y((half * diameter.nominal) / 2)}
                />
              ))}
            </g>
          );
        })}
      <line
        x1={right - part.length * scale - 14}
        x2={right + 14}
        y1={axis}
        y2={axis}
        stroke="var(--ink-soft)"
        strokeDasharray="10 3 2 3"
      />
      <text x={right + 6} y={axis - 6} className="soft">
        front
      </text>
      {part.steps.map((step, index) => (
        <g key={step.path}>
          <line
            x1={labelAt[index]}
            y1={26}
            x2={centres[index]}
            y2={top.y(step.diameter.nominal / 2) - 2}
            stroke="var(--ink-soft)"
            strokeWidth="0.7"
          />
          <text
            x={labelAt[index]}
            y={20}
            textAnchor="middle"
            style={
              step.path === marked
                ? { fill: 'var(--blue)', fontWeight: 700 }
                : step.critical
                  ? { fontWeight: 700 }
                  : undefined
            }
          >
            {name(step)}
          </text>
        </g>
      ))}
      <Lengths part={part} units={units} x={top.x} y={dimensionsAt} width={width} />
    </svg>
  );
}

/** The lengths of the steps in a row, and over all below it. */
function Lengths({
  part,
  units,
  x,
  y,
  width,
}: {
  part: Part;
  units: UnitSystem;
  x: (z: number) => number;
  y: number;
  width: number;
}) {
  const centres = part.steps.map(({ zFrom, zTo }) => x((zFrom + zTo) / 2));
  const labelAt = spread(centres, 46, 24, width - 24);
  const line = (from: number, to: number, at: number) => (
    <path
      d={`M${x(from)},${at - 5}v10M${x(to)},${at - 5}v10M${x(from)},${at}H${x(to)}`}
      stroke="var(--ink-soft)"
      fill="none"
      strokeWidth="1"
    />
  );
  return (
    <g>
      {part.steps.map(({ zFrom, zTo, path, length }, index) => (
        <g key={path}>
          {line(zFrom, zTo, y)}
          <text x={labelAt[index]} y={y + 16} textAnchor="middle" className="soft">
            {formatNominal(length.nominal, units)}
          </text>
        </g>
      ))}
      {part.steps.length > 1 && (
        <g>
          {line(0, part.length, y + 26)}
          <text x={x(part.length / 2)} y={y + 40} textAnchor="middle">
            {formatNominal(part.length, units)} {units}
          </text>
        </g>
      )}
    </g>
  );
}
