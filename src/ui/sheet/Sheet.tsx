'use client';
import { useCallback, useState } from 'react';
import styled from 'styled-components';
import type { UnitSystem } from '@/core/model/units/length';
import type { Plan } from '@/core/plan/plan';
import type { Proof } from '@/core/plan/proof/faults';
import { sayFault } from '@/core/present/fault';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { Hatches } from '../drawing/Hatches';
import { Announced } from './Announced';
import { BetterRoute } from './BetterRoute';
import { Notice } from '../primitives/Notice';
import { later } from '../primitives/later';
import { entryName } from '../run/entryName';
import { NoPlan } from '../run/NoPlan';
import { Remedies } from '../run/Remedies';
import { useWorkspace } from '../run/WorkspaceContext';
import { DiameterLabels } from './DiameterLabels';
import { Foot } from './Foot';
import { NotePart } from './NotePart';
import { Panel } from './Panel';
import { RouteNames } from './RouteNames';
import { RouteTiles } from './RouteTiles';
import type { SheetLayout } from './sheetLayout';
import { SetupBar } from './SetupBar';
import { StopsLane } from './StopsLane';
import { TimeLane } from './TimeLane';
import { Walked } from './Walked';
import { useChosen } from './useChosen';
import { useLanes } from './useLanes';
import { useOrder, type OrderEdits } from './useOrder';
import { useSheetKeys } from './useSheetKeys';
import { WorkLane } from './WorkLane';

// Dragging is fetched when it is asked for.
const Player = later(() => import('./Player').then((loaded) => loaded.Player));
const StopPins = later(() => import('./StopPins').then((loaded) => loaded.StopPins));
const RouteOrder = later(() => import('./RouteOrder').then((loaded) => loaded.RouteOrder));

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 14px;
  padding: 12px 16px;
  @media (max-width: 980px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** On a narrow screen the sheet keeps its least width and is pushed sideways under the finger. */
const Frame = styled.div`
  align-self: start;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  overflow: auto hidden;
`;

const LEAST_WIDTH = 720;

const Paper = styled.div`
  position: relative;
  min-width: ${LEAST_WIDTH}px;
  svg {
    display: block;
  }
  text {
    font: 13px var(--sans);
    fill: var(--ink);
    font-variant-numeric: tabular-nums;
  }
  text.lane {
    font-weight: 700;
    font-size: 14px;
  }
  text.soft {
    fill: var(--ink-soft);
  }
  text.strong {
    font: 600 13px var(--mono);
  }
  text.chosen {
    font: 700 13px var(--mono);
    fill: var(--blue);
  }
`;

/** What is no longer true is dimmed, all of it; only the drawing's figures stay sharp, to be put right. */
const Whole = styled.div`
  &[data-stale] :is(svg, [role='listbox'], aside, footer) {
    opacity: 0.5;
  }
`;

/** The signature view: work, route, stops and time of a run, the first three on one z axis. */
export function Sheet() {
  const { planned, problems } = useWorkspace();
  const plan = planned.answer?.plan ?? planned.lastPlan;
  if (!planned.answer || !plan) return <NoPlan />;
  const { proof } = planned.answer;
  return (
    <>
      {!planned.answer.plan && (
        <Notice danger>
          What is entered now cannot be planned; the sheet shows the last plan that could be.{' '}
          {problems.map(({ path, message }) => (
            <span key={path + message}>
              <strong>{entryName(path)}</strong> {message}.{' '}
            </span>
          ))}
          <Remedies />
        </Notice>
      )}
      {proof && !proof.passed && <NotProved proof={proof} units={plan.run.units} />}
      {plan.doubts.length > 0 && <Doubts doubts={plan.doubts} />}
      {planned.answer.plan && <BetterRoute plan={plan} />}
      <PlannedSheet plan={plan} proved={proof?.passed ?? true} stale={!planned.answer.plan} />
    </>
  );
}

/** A plan that its own run on an exact workpiece does not bear out: said before anything else. */
function NotProved({ proof, units }: { proof: Proof; units: UnitSystem }) {
  return (
    <Notice danger>
      <details>
        <summary style={{ cursor: 'pointer' }}>
          <strong>Not proved:</strong> run move by move,{' '}
          {proof.faults.length === 1 ? 'something is' : `${proof.faults.length} things are`} wrong. Do not cut by this
          plan as it is.
        </summary>
        <ul style={{ marginTop: 6, fontSize: 14 }}>
          {proof.faults.map((fault, index) => (
            <li key={index}>{sayFault(fault, units)}</li>
          ))}
        </ul>
      </details>
    </Notice>
  );
}

/** What the plan cannot promise, in a line that opens: the figures of the sheet leave it out. */
function Doubts({ doubts }: { doubts: Plan['doubts'] }) {
  const bare = doubts.filter(({ rule }) => rule === 'NO-OPERATION').length;
  const [only, ...others] = doubts;
  if (bare === 0 && only && others.length === 0)
    return (
      <Notice>
        <strong>Mind:</strong> {only.because}
      </Notice>
    );
  const words = [
    bare > 0 &&
      `no operation yet for ${bare} ${bare === 1 ? 'feature' : 'features'} of the part, which the figures leave out`,
    doubts.length > bare && `${doubts.length - bare} ${bare > 0 ? 'more' : 'things'} that the plan cannot promise`,
  ].filter(Boolean);
  return (
    <Notice>
      <details>
        <summary style={{ cursor: 'pointer' }}>
          <strong>{bare > 0 ? 'Not all of it is planned:' : 'Mind:'}</strong> {words.join('; ')}
        </summary>
        <ul style={{ marginTop: 6, fontSize: 14 }}>
          {doubts.map(({ path, rule, because }) => (
            <li key={`${path} ${rule}`}>
              <strong>{entryName(path)}</strong> {because}
            </li>
          ))}
        </ul>
      </details>
    </Notice>
  );
}

interface LanesProps {
  plan: Plan;
  planned: PlannedSetup;
  layout: SheetLayout;
  lanes: Omit<ReturnType<typeof useLanes>, 'room'>;
  operation: TimedOperation | undefined;
  pass: number | undefined;
  played: boolean;
  selected: string | undefined;
  onSelect: (key: string) => void;
  edits: OrderEdits;
}

/** Work, stops, route and time as they are drawn, one over the other. */
function Lanes({ lanes, operation, pass, played, edits, ...shared }: LanesProps) {
  const { plan, planned, layout, selected, onSelect } = shared;
  const { width, height, workHeight, routeTop, stopsTop, timeTop } = lanes;
  return (
    <svg
      width={width}
      height={height}
      role="img"
      aria-label={`Sheet of set-up ${planned.setup.number}${operation ? `, after ${operation.number} ${operation.name}` : ''}`}
    >
      <Hatches />
      <WorkLane planned={planned} layout={layout} operation={operation} pass={pass} played={played} />
      {[workHeight, stopsTop, timeTop].map((y) => (
        <line key={y} x1={0} x2={width} y1={y} y2={y} stroke="var(--line)" />
      ))}
      <StopsLane {...shared} top={stopsTop} routeTop={routeTop} />
      <RouteTiles {...shared} top={routeTop} edits={edits} />
      <TimeLane plan={plan} layout={layout} top={timeTop} selected={selected} onSelect={onSelect} />
    </svg>
  );
}

function PlannedSheet({ plan, proved, stale }: { plan: Plan; proved: boolean; stale: boolean }) {
  const { id, select: show, planned: work } = useWorkspace();
  const { all, at, selected, operation, shownPass, setupIndex, chosen, select, open } = useChosen(plan);
  const [ordering, setOrdering] = useState(false);
  const [playing, setPlaying] = useState(false);
  const planned = plan.setups[setupIndex] as PlannedSetup;
  const edits = useOrder(planned);
  const closePlayer = useCallback(() => setPlaying(false), []);
  useSheetKeys(
    { all, at, setupIndex, shownPass, playing },
    {
      select,
      edits,
      stop: closePlayer,
      letGo: useCallback(() => open(setupIndex), [open, setupIndex]),
    },
  );
  const notices = Number(plan.doubts.length > 0) + Number(!proved);
  const { room, ...lanes } = useLanes(planned, notices, playing);
  const { height, layout, workHeight, routeTop, stopsTop } = lanes;
  const shared = { plan, planned, layout, selected, onSelect: select };
  const key = operation?.key;
  const showPass = useCallback((next: number) => select(key, next), [select, key]);

  return (
    <Whole data-stale={stale || undefined} aria-busy={!work.settled}>
      <Announced plan={plan} planned={planned} operation={operation} settled={work.settled} />
      <Walked plan={plan} planned={planned} operation={operation} upTo={layout.to} />
      <Room>
        <Frame>
          <Paper ref={room} style={{ height }}>
            <Lanes {...shared} lanes={lanes} operation={operation} pass={shownPass} played={playing} edits={edits} />
            {playing ? (
              <Player
                key={planned.setup.number}
                plan={plan}
                planned={planned}
                layout={layout}
                chosen={chosen}
                onShow={show}
                onClose={closePlayer}
              />
            ) : (
              <DiameterLabels planned={planned} layout={layout} operation={operation} onSelect={select} />
            )}
            <SetupBar
              plan={plan}
              planned={planned}
              top={workHeight + 4}
              playing={playing}
              onPlay={setPlaying}
              ordering={ordering}
              onOrder={setOrdering}
              onOpen={open}
            />
            <StopPins planned={planned} layout={layout} top={stopsTop} selected={selected} onSelect={select} />
            {ordering ? (
              <RouteOrder
                planned={planned}
                top={routeTop}
                width={layout.names}
                rowHeight={layout.rowHeight}
                edits={edits}
              />
            ) : (
              <RouteNames {...shared} top={routeTop} />
            )}
          </Paper>
        </Frame>
        <Panel {...{ plan, planned, operation, edits }} pass={shownPass} onPass={showPass} note={NotePart} />
      </Room>
      <Foot id={id} plan={plan} />
    </Whole>
  );
}
