'use client';
import { sayFixed } from '@/core/model/units/mark';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { movedShoulder } from '@/core/formats/moveShoulder';
import { later } from '../primitives/later';
import { useWindow } from '../primitives/useWindow';
import type { Part } from '@/core/model/part/part';
import type { Mass } from '@/core/model/part/mass';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import { ProblemList } from '../run/ProblemList';
import { isMissing, useWorkspace } from '../run/WorkspaceContext';
import { EntryList } from './EntryList';
import { DETAILS, ELSEWHERE, HOLES } from './kinds';
import { LengthList } from './LengthList';
import { OrderFields } from './OrderFields';
import type { MoveShoulder } from './PartDrawing';
import { PartTools } from './PartTools';
import { placeOfProblem } from './placeOfProblem';
import { ReadyPlan } from './ReadyPlan';
import { RunFields, StockFields } from './RunFields';
import { StepTable } from './StepTable';

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(560px, 1.15fr) minmax(380px, 1fr);
  gap: 16px;
  align-items: start;
  padding: 14px 16px 24px;
  @media (max-width: 1020px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Side = styled.div`
  position: sticky;
  top: 12px;
  display: flex;
  flex-direction: column;
  gap: 14px;
  @media (max-width: 1020px) {
    position: static;
    order: -1;
  }
  /* On a phone entry starts with its fields. */
  @media (max-width: 600px) {
    order: 0;
  }
`;

const Paper = styled.div`
  height: 430px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
`;

/** Between two groups of fields, as wide as they are. */
const Told = styled.div`
  margin: -4px -16px 14px;
  &:empty {
    display: none;
  }
`;

const Weight = styled.p`
  color: var(--ink-soft);
  font-size: 13px;
`;

const Missing = styled.div`
  padding: 12px 16px;
  border: 1px solid var(--brass);
  border-radius: 8px;
  background: var(--brass-soft);
  h2 {
    margin-bottom: 4px;
    font-size: 15px;
  }
  li {
    margin-top: 4px;
  }
`;

// What only a plan brings is fetched with the first plan, windows when they are opened.
const PartDrawing = later(() => import('./PartDrawing').then((loaded) => loaded.PartDrawing));
const Matters = later(() => import('./Matters').then((loaded) => loaded.Matters));
const KnownPart = later(() => import('./KnownPart').then((loaded) => loaded.KnownPart));
const CopiedFrom = later(() => import('../run/CopiedFrom').then((loaded) => loaded.CopiedFrom));
const AttachedFiles = later(() => import('../attached/AttachedFiles').then((loaded) => loaded.AttachedFiles));
const LineEntry = later(() => import('./LineEntry').then((loaded) => loaded.LineEntry));
const LinesWindow = later(() => import('./LinesWindow').then((loaded) => loaded.LinesWindow));
const ScaleWindow = later(() => import('./ScaleWindow').then((loaded) => loaded.ScaleWindow));
const FitsWindow = later(() => import('./FitsWindow').then((loaded) => loaded.FitsWindow));

/** The part as it is entered, its drawing as it grows, and the plan from the first moment that there is one. */
export function PartEntry() {
  const { id, file, edit, planned, problems, copiedFrom } = useWorkspace();
  const [marked, setMarked] = useState<string>();
  const [withLine, setWithLine] = useState<Part>();
  const [shown, show] = useWindow('lines', 'size', 'fits');
  const [fitsOf, setFitsOf] = useState<string>();
  const last = useRef<string>(undefined);
  const mark = (path: string | undefined) => {
    if (path) last.current = path;
    setMarked(path);
  };
  const part = withLine ?? planned.answer?.sketch;
  const mass = planned.answer?.mass;
  const wrong = problems
    .filter((problem) => problem.path.startsWith('part.') && !isMissing(problem))
    .map((problem) => ({ ...problem, z: part && placeOfProblem(problem.path, file, part) }));
  const move: MoveShoulder = (step, by, ended) => {
    const outside = movedShoulder(file.part, step, by, file.units);
    if (outside && by !== 0) edit(ended ? undefined : `shoulder ${step}`, (run) => void (run.part.outside = outside));
  };
  const plan = planned.answer?.plan;
  return (
    <Room>
      <div>
        <RunFields />
        {(id === 'new' || copiedFrom) && <Told>{copiedFrom ? <CopiedFrom /> : <KnownPart />}</Told>}
        <LineEntry onSketch={setWithLine} />
        <StepTable onMark={mark} />
        <LengthList onMark={mark} />
        <EntryLists onMark={mark} />
        <StockFields />
        <OrderFields />
        {id === 'new' ? (
          <Weight>A drawing as it came and photos can be attached when the run is saved.</Weight>
        ) : (
          <AttachedFiles run={id} />
        )}
      </div>
      <Side>
        {/* Above the drawing, which grows as it is typed: a button stays where it is pressed. */}
        <PartTools
          part={part}
          onShow={(window) => {
            setFitsOf(last.current);
            show(window);
          }}
        />
        <Paper>
          <PartDrawing part={part} units={file.units} marked={marked} wrong={wrong} onMove={move} />
        </Paper>
        {mass && part && <MassLine mass={mass} units={file.units} />}
        {shown === 'lines' && <LinesWindow onClose={() => show(undefined)} />}
        {shown === 'size' && <ScaleWindow onClose={() => show(undefined)} />}
        {shown === 'fits' && <FitsWindow marked={fitsOf} onClose={() => show(undefined)} />}
        <div aria-live="polite">
          {plan ? (
            <ReadyPlan plan={plan} />
          ) : (
            planned.answer && (
              <Missing>
                <h2>What the plan still needs</h2>
                <ProblemList problems={problems} />
              </Missing>
            )
          )}
        </div>
        {plan && <Matters plan={plan} onMark={setMarked} />}
      </Side>
    </Room>
  );
}

/** What is on the part beside its outside. */
function EntryLists({ onMark }: { onMark: (path: string | undefined) => void }) {
  const { part } = useWorkspace().file;
  return (
    <>
      <EntryList
        id="details"
        title="Details of the outside"
        hint="places from the finished front face"
        noun="detail"
        list="details"
        entries={part.details ?? []}
        kinds={DETAILS}
        kindKey="kind"
        first={{ kind: 'groove', field: 'kind' }}
        onMark={onMark}
      />
      <EntryList
        id="holes"
        title="Holes on the axis"
        hint="depths to the full diameter, or “through”"
        noun="hole"
        list="bores"
        entries={part.bores ?? []}
        kinds={HOLES}
        kindKey="shape"
        first={{ kind: 'drill', field: 'diameter', has: { depth: 'through' } }}
        onMark={onMark}
      />
      <EntryList
        id="elsewhere"
        title="Work elsewhere"
        hint="by other machines or firms, after the lathe"
        noun="work"
        list="elsewhere"
        entries={part.elsewhere ?? []}
        kinds={ELSEWHERE}
        kindKey="kind"
        first={{ kind: 'grind', field: 'on' }}
        onMark={onMark}
      />
    </>
  );
}

const MassLine = ({ mass, units }: { mass: Mass; units: UnitSystem }) => (
  <Weight>
    {mass.grams > 0 && `${sayFixed(mass.grams, 2)} g · `}
    {sayFixed(mass.volume / 1000, 3)} cm³ · surface {sayFixed(mass.surface / 100, 2)} cm² · centre of gravity{' '}
    {formatLength(mass.centre, units)} {units} from the front
  </Weight>
);
