'use client';
import { Ruler, TriangleAlert } from 'lucide-react';
import styled from 'styled-components';
import { isDue } from '@/core/lathe/sampling';
import { madeBy, type LatheStep } from '@/core/lathe/steps';
import { sizeKey, type Progress } from '@/core/lathe/progress';
import { capital } from '@/core/model/words';
import { formatLength } from '@/core/model/units/length';
import type { PlannedCheck, PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { sayLimits } from '@/core/present/limits';
import { stateChanges } from '@/core/present/machineState';
import { operationView } from '@/core/present/operation';
import { Big, Danger, Facts } from './parts';
import { WorkDrawn } from './WorkDrawn';

const Room = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 16px;
  align-items: stretch;
  flex: 1;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto minmax(240px, 1fr);
  }
`;

const Words = styled.section`
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-width: 0;
  h2 {
    font-size: clamp(24px, 3vw, 34px);
    line-height: 1.15;
  }
  > p {
    font-size: 17px;
  }
  table {
    border-collapse: collapse;
    font-size: 18px;
  }
  th,
  td {
    padding: 4px 16px 4px 0;
    text-align: left;
    font-weight: 400;
  }
  th {
    color: var(--ink-soft);
    font-size: 15px;
  }
  td {
    font-family: var(--mono);
  }
`;

const Checks = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  button[data-due] {
    border: 2px solid var(--blue);
  }
`;

interface Props {
  step: LatheStep;
  piece: number;
  progress: Progress;
  onMeasure: (check: PlannedCheck) => void;
}

/** One step, as it is done: what, with what, set to what, and what is measured of it. */
export function StepShown({ step, piece, progress, onMeasure }: Props) {
  const { operation } = step;
  return (
    <Room>
      <Words aria-live="polite">
        {operation ? <Operation {...{ step, piece, progress, onMeasure }} /> : <Load step={step} piece={piece} />}
      </Words>
      <WorkDrawn planned={step.planned} operation={operation} />
    </Room>
  );
}

function Load({ step: { planned }, piece }: { step: LatheStep; piece: number }) {
  const { setup, workStop } = planned;
  const { units } = setup.run;
  return (
    <>
      <h2>Put piece {piece} in</h2>
      <Facts>
        <div className="wide">
          <dt>Held</dt>
          <dd>
            {capital(setup.holding.words)}
            <small>
              on {setup.holding.on}, the {setup.end} out; jaws, faces and stop wiped
            </small>
          </dd>
        </div>
        <div>
          <dt>Stop of the work</dt>
          <dd>{formatLength(workStop.setting.value, units)}</dd>
        </div>
      </Facts>
      {setup.cautions
        .filter(({ kind }) => kind === 'danger')
        .map(({ text }) => (
          <Danger key={text}>{text}</Danger>
        ))}
    </>
  );
}

/** Once a piece is enough: what was minded at the first is known at the tenth. */
const MIND_UP_TO = 2;

function Operation({ step: { planned, operation }, piece, progress, onMeasure }: Props) {
  if (!operation) return null;
  const view = operationView(planned, operation);
  const changes = stateChanges(planned, operation);
  const minded = [...operation.warnings.map((text) => ({ kind: 'mistake', text })), ...operation.cautions];
  const changed = (what: string) => progress.changed.get(`${operation.key} ${what}`);
  return (
    <>
      <h2>
        {operation.number} {operation.name}
      </h2>
      <p>
        {changed('tool') ?? operation.tool.name}
        {operation.tool.place === undefined ? '' : `, place ${operation.tool.place}`}
        {changes.length > 0 && (
          <>
            {' '}
            · <b>{changes.join(' · ')}</b>
          </>
        )}
      </p>
      <Facts>
        <div>
          <dt>Speed, rev/min</dt>
          <dd>{changed('speed') ?? view.speed}</dd>
        </div>
        <div>
          <dt>Feed</dt>
          <dd>{changed('feed') ?? view.feed}</dd>
        </div>
        {changed('depth') && (
          <div>
            <dt>Depth of a pass</dt>
            <dd>{changed('depth')}</dd>
          </div>
        )}
        {view.stop && (
          <div>
            <dt>{capital(view.stop.words)}</dt>
            <dd>
              {view.stop.settings[0]?.text}
              {view.stop.dial && <small>dial {view.stop.dial}</small>}
            </dd>
          </div>
        )}
        {view.target !== undefined && (
          <div>
            <dt>{capital(view.cross.name)}</dt>
            <dd>
              {view.target}
              {view.crossStop && <small>{view.crossStop.words}</small>}
            </dd>
          </div>
        )}
        {view.fluid && (
          <div>
            <dt>Fluid</dt>
            <dd data-words>{view.fluid}</dd>
          </div>
        )}
      </Facts>
      {view.passes.length > 1 && <Passes view={view} />}
      {view.note && <Danger data-mild>{view.note}</Danger>}
      {piece <= MIND_UP_TO &&
        minded.map(({ kind, text }) => (
          <Danger key={text} data-mild={kind === 'danger' ? undefined : ''}>
            <TriangleAlert size={18} aria-hidden /> {text}
          </Danger>
        ))}
      <ToMeasure {...{ planned, operation, piece, progress, onMeasure }} />
    </>
  );
}

interface ToMeasureProps extends Pick<Props, 'piece' | 'progress' | 'onMeasure'> {
  planned: PlannedSetup;
  operation: TimedOperation;
}

/** What is measured of an operation; what is due on this piece stands out. */
function ToMeasure({ planned, operation, piece, progress, onMeasure }: ToMeasureProps) {
  const { units } = planned.setup.run;
  const fresh = progress.freshFrom === undefined ? {} : { freshFrom: progress.freshFrom };
  return (
    <Checks>
      {operation.checks.map((check) => {
        const key = sizeKey(madeBy(planned, operation, check), check.what);
        const measured = progress.sizes.get(key)?.map(({ piece: of }) => of) ?? [];
        const due = isDue(piece, check, { measured, ...fresh });
        return (
          <Big key={check.what} data-due={due || undefined} onPress={() => onMeasure(check)}>
            <Ruler size={20} aria-hidden /> {measured.includes(piece) ? 'Measured: ' : due ? 'Measure: ' : ''}
            {check.what} {sayLimits(check.size, units)}
            {check.gauge ? `, ${check.gauge.name}` : ''}
          </Big>
        );
      })}
    </Checks>
  );
}

function Passes({ view: { passes, cross } }: { view: ReturnType<typeof operationView> }) {
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">pass</th>
          <th scope="col">depth</th>
          <th scope="col">
            {passes.some(({ on }) => on === 'cross') ? (cross.dial ? 'dial, from 0' : cross.column) : 'to z'}
          </th>
        </tr>
      </thead>
      <tbody>
        {passes.map(({ depth, to, dial }, index) => (
          <tr key={index}>
            <td>{index + 1}</td>
            <td>{depth}</td>
            <td>{dial ?? to}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
