'use client';
import type { Profile } from '@/core/model/workpiece/segment';
import { memo } from 'react';
import { workAfterPass } from '@/core/plan/cuts/afterPass';
import { outsideOf } from '@/core/model/workpiece/finishedPart';
import { clip, largestRadius, lower } from '@/core/model/workpiece/profile';
import type { Workpiece } from '@/core/model/workpiece/workpiece';
import { madeFeatures } from '@/core/plan/reach/reached';
import type { Setup } from '@/core/model/plan/setup';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { formatLength } from '@/core/model/units/length';
import { spreadBy } from '@/core/drawing/layout';
import { sizeOnDrawing } from '@/core/drawing/words';
import { edgePath, fullPath, metalPath, outlinePath, type Frame } from '../drawing/paths';
import { JAWS, type SheetLayout } from './sheetLayout';
import { GripList, GripMarks, gripZones } from './GripMap';
import { RolledMarks, surfaceOf } from './RolledMarks';

interface Props {
  planned: PlannedSetup;
  layout: SheetLayout;
  operation: TimedOperation | undefined;
  pass: number | undefined;
  /** The work is drawn by the player: here only the part that it is to become, and what holds it. */
  played: boolean;
}

/** The section of the work in its holding, as it is after the selected operation: cut, still to be cut, and the part. */
export const WorkLane = memo(function WorkLane({ planned, layout, operation, pass, played }: Props) {
  const { setup } = planned;
  const { work, x, y } = layout;
  const before = operation?.before ?? planned.start;
  const after = operation ? workAfterPass(operation, pass ?? operation.passes.length - 1) : planned.start;
  const zones = gripZones(planned, operation, after);
  const halves = work.whole ? ([1, -1] as const) : ([1] as const);
  // The lower half is the upper one mirrored in the axis.
  const frame = (half: 1 | -1): Frame => ({ x, y: half === 1 ? y : (r) => 2 * work.axis - y(r) });
  return (
    <g>
      {halves.map((half) => (
        <Half
          key={half}
          frame={frame(half)}
          before={before}
          after={after}
          planned={planned}
          operation={operation}
          layout={layout}
          played={played}
        />
      ))}
      <line
        x1={x(layout.to) - 8}
        x2={layout.right + 14}
        y1={work.axis}
        y2={work.axis}
        stroke="var(--ink-soft)"
        strokeDasharray="12 3 2 3"
      />
      {!played && <Blade planned={planned} layout={layout} />}
      {!played && <Measures planned={planned} layout={layout} />}
      <text x={14} y={22} className="lane">
        Work
      </text>
      <text x={14} y={42} className="soft">
        {work.whole ? 'section' : 'half section'}, one scale both ways
      </text>
      {!played && <Key supported={setup.supported} />}
      {!played && <GripMarks zones={zones} layout={layout} />}
      {!played && <GripList zones={zones} units={setup.run.units} top={setup.supported ? 162 : 142} layout={layout} />}
    </g>
  );
});

/** What the hatches mean, in words. */
function Key({ supported }: { supported: boolean }) {
  const rows = [
    ['url(#hatch-cut)', 'cut now'],
    ['url(#hatch-stock)', 'still to go'],
    ['url(#hatch-jaws)', 'what holds it'],
  ] as const;
  return (
    <g>
      {rows.map(([fill, words], index) => (
        <g key={words} transform={`translate(14, ${56 + index * 20})`}>
          <rect width="20" height="12" fill={fill} stroke="var(--ink-soft)" strokeWidth="0.7" />
          <text x="28" y="11" className="soft">
            {words}
          </text>
        </g>
      ))}
      {supported && (
        <text x={14} y={132} className="soft">
          centre at the free end
        </text>
      )}
    </g>
  );
}

interface HalfProps {
  frame: Frame;
  before: Workpiece;
  after: Workpiece;
  planned: PlannedSetup;
  operation: TimedOperation | undefined;
  layout: SheetLayout;
  played: boolean;
}

/** The part as this set-up leaves it and the work shows it: its steps, what is cut into them here, and what was before. */
function partIn({ setup, operations }: PlannedSetup, work: Workpiece): Profile {
  const made = madeFeatures(setup.part, operations).map(({ path }) => path);
  const cuts = operations.flatMap(({ makes = [], removal }) =>
    makes.some((path) => made.includes(path)) ? (removal.outside ?? []) : [],
  );
  return lower(lower(outsideOf(setup.part), cuts), clip(work.outside, 0, setup.part.length));
}

/** What holds the work: jaws over the outside, or a mandrel that fills the bore from the far face. */
function Jaws({ frame, setup: { holding }, layout }: { frame: Frame; setup: Setup; layout: SheetLayout }) {
  const [jawFrom, jawEnd] =
    holding.inside === undefined
      ? [holding.from, Math.min(holding.to, layout.to)]
      : [holding.from - holding.inside, layout.to];
  const jawRadius = holding.diameter / 2;
  const [inner, outer] =
    holding.inside === undefined
      ? [frame.y(jawRadius), frame.y(jawRadius + JAWS / layout.pixelsPerMm)]
      : [frame.y(0), frame.y(jawRadius)];
  return (
    <rect
      x={frame.x(jawEnd)}
      y={Math.min(inner, outer)}
      width={frame.x(jawFrom) - frame.x(jawEnd)}
      height={Math.abs(outer - inner)}
      fill="url(#hatch-jaws)"
      stroke="var(--ink)"
    />
  );
}

/** The faces at both ends of the part, where they are shown: drawn out for its far end, that lies in the spindle. */
const Ends = ({ frame, part, goesOn }: { frame: Frame; part: Profile; goesOn: boolean }) => (
  <>
    {[part[0], part.at(-1)].map((end, index) => {
      if (!end || (index > 0 && goesOn)) return null;
      const [z, r] = index === 0 ? [end.z0, end.r0] : [end.z1, end.r1];
      return (
        <line
          key={index}
          x1={frame.x(z)}
          x2={frame.x(z)}
          y1={frame.y(0)}
          y2={frame.y(r)}
          stroke="var(--ink)"
          strokeWidth="1.8"
        />
      );
    })}
  </>
);

/** The holes of the drawing, dashed. */
const Holes = ({ frame, setup }: { frame: Frame; setup: Setup }) => (
  <>
    {setup.part.holes.map(({ path, diameter, depth, from }) => {
      const [z0, z1] = from === 'front' ? [0, depth] : [setup.part.length - depth, setup.part.length];
      return (
        <line
          key={path}
          x1={frame.x(z0)}
          x2={frame.x(z1)}
          y1={frame.y(diameter.nominal / 2)}
          y2={frame.y(diameter.nominal / 2)}
          stroke="var(--ink)"
          strokeDasharray="5 3"
        />
      );
    })}
  </>
);

/** One half of the section: the work as it is, what is cut now, what is still to go, and what holds it. */
export function Half({ frame, before, after, planned, operation, layout, played }: HalfProps) {
  const { setup } = planned;
  if (played) return <Jaws frame={frame} setup={setup} layout={layout} />;
  const part = clip(partIn(planned, after), -Infinity, layout.to);
  // A groove in a face is told apart by its own walls.
  const isInFace = setup.part.features.some(({ path, inFace }) => inFace && path === operation?.feature);
  const shown = ({ outside, bore }: Workpiece): Workpiece => ({
    outside: clip(outside, -Infinity, layout.to),
    bore: clip(bore, -Infinity, layout.to),
  });
  const [was, is] = [shown(before), shown(after)];
  return (
    <g>
      <path d={metalPath(frame, was)} fill="url(#hatch-cut)" />
      <path d={metalPath(frame, is)} fill="var(--sheet)" />
      <path d={metalPath(frame, is)} fill="url(#hatch-stock)" stroke="var(--brass)" strokeWidth="1" />
      <path d={fullPath(frame, part)} fill="var(--sheet)" />
      <path d={metalPath(frame, { outside: part, bore: clip(is.bore, 0, setup.part.length) })} fill="var(--metal)" />
      <path d={outlinePath(frame, part)} fill="none" stroke="var(--ink)" strokeWidth="1.8" strokeLinejoin="round" />
      <Ends frame={frame} part={part} goesOn={setup.part.length > layout.to + 1e-6} />
      <path
        d={outlinePath(
          frame,
          is.bore.filter(({ r0, r1 }) => r0 + r1 > 1e-6),
        )}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.2"
      />
      <RolledMarks frame={frame} planned={planned} upTo={operation} />
      <Holes frame={frame} setup={setup} />
      <Jaws frame={frame} setup={setup} layout={layout} />
      {operation && !isInFace && (
        <path
          d={edgePath(
            frame,
            operation.removal,
            operation.from,
            Math.max(
              largestRadius(operation.before.outside, operation.from - 0.01, operation.to + 0.01),
              setup.part.steps[0]?.diameter.nominal ?? 0,
            ),
            { to: operation.to, radius: surfaceOf(operation) },
          )}
          fill="none"
          stroke="var(--blue)"
          strokeWidth="4"
          strokeLinecap="round"
        />
      )}
    </g>
  );
}

/** The gap that the blade takes. */
function Blade({ planned: { setup }, layout: { x, y, work } }: Pick<Props, 'planned' | 'layout'>) {
  const { blade } = setup.stock;
  if (!setup.partsOff || !blade) return null;
  const end = setup.part.length + setup.behind;
  const radius = setup.stock.over / 2;
  const bottom = work.whole ? y(-radius) : work.axis;
  return (
    <g>
      <rect
        x={x(end + blade.width)}
        y={y(radius) - 8}
        width={x(end) - x(end + blade.width)}
        height={bottom - y(radius) + 8}
        fill="var(--sheet)"
        fillOpacity="0.5"
        stroke="var(--ink-soft)"
        strokeDasharray="3 3"
      />
      <text
        x={x(end)}
        y={y(radius) - 13}
        textAnchor="end"
        className="soft"
        style={{ paintOrder: 'stroke', stroke: 'var(--sheet)', strokeWidth: 4 }}
      >
        blade {formatLength(blade.width, setup.run.units)}
      </text>
    </g>
  );
}

/** Width of a letter of a size, about, px. */
const LETTER = 8;

/** Lengths of the steps, and the stick-out, below the section. */
function Measures({ planned: { setup }, layout: { x, work, y, to, width } }: Pick<Props, 'planned' | 'layout'>) {
  const { units } = setup.run;
  const radius = setup.stock.over / 2;
  const bottom = work.whole ? y(-radius) + JAWS : work.axis;
  const at = bottom + 14;
  // What lies in the spindle is not shown, and what goes into it has no far end.
  const steps = setup.part.steps.filter(({ zFrom }) => zFrom < to);
  const labels = spreadBy(
    steps.map(({ zFrom, zTo, length }) => ({
      place: x((zFrom + Math.min(zTo, to)) / 2),
      width: sizeOnDrawing(length, units).length * LETTER,
    })),
    LETTER,
    0,
    width,
  );
  const jaws = setup.holding.from;
  return (
    <g>
      {steps.map(({ zFrom, zTo, path, length, critical }, index) => (
        <g key={path}>
          <path
            d={`M${x(zFrom)},${at - 4}v8${zTo > to ? '' : `M${x(zTo)},${at - 4}v8`}M${x(zFrom)},${at}H${x(Math.min(zTo, to))}`}
            stroke="var(--ink-soft)"
            fill="none"
          />
          <text
            x={labels[index]}
            y={at + 13}
            textAnchor="middle"
            className={critical || length.from !== 'general' ? 'strong' : 'soft'}
          >
            {sizeOnDrawing(length, units)}
          </text>
        </g>
      ))}
      <path
        d={`M${x(-setup.facing)},${at + 18}v8M${x(jaws)},${at + 18}v8M${x(-setup.facing)},${at + 22}H${x(jaws)}`}
        stroke="var(--ink-soft)"
        fill="none"
      />
      <text x={x(jaws) - 6} y={at + 26} textAnchor="end" className="soft">
        stick-out {formatLength(setup.stickOut.value, units)}
      </text>
    </g>
  );
}
