'use client';
import { CircleCheck } from 'lucide-react';
import { PlaceLink } from '../run/PlaceLink';
import { current } from 'immer';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { dxfFileOf, svgFileOf } from './drawingFiles';
import { WAY_WORDS } from '@/core/model/way';
import { movedShoulder } from '@/core/formats/moveShoulder';
import { sectionName } from '@/core/plan/stock/nameOfBar';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { sayMinutes } from '@/core/model/units/show';
import { formatLength } from '@/core/model/units/length';
import { entryName } from '../run/entryName';
import { ProblemList } from '../run/ProblemList';
import { isMissing, useWorkspace } from '../run/WorkspaceContext';
import { DxfButton } from './DxfButton';
import { EntryList } from './EntryList';
import { DETAILS, ELSEWHERE, HOLES } from './kinds';
import { LengthList } from './LengthList';
import { PartDrawing, type MoveShoulder } from './PartDrawing';
import { placeOfProblem } from './placeOfProblem';
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
`;

const Paper = styled.div`
  height: 430px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  button {
    padding: 0 10px;
  }
`;

const Weight = styled.p`
  color: var(--ink-soft);
  font-size: 13px;
`;

const Doubts = styled.ul`
  margin-top: 10px;
  padding-top: 8px;
  border-top: 1px solid var(--line);
  font-size: 14px;
  li {
    margin-top: 4px;
  }
  b {
    font-weight: 600;
  }
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

const Ready = styled.div`
  padding: 12px 16px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  h2 {
    display: flex;
    align-items: center;
    gap: 8px;
    margin-bottom: 8px;
    font-size: 15px;
  }
  dl {
    display: grid;
    grid-template-columns: repeat(3, 1fr);
    gap: 10px;
    margin-bottom: 10px;
  }
  dt {
    color: var(--ink-soft);
    font-size: 13px;
  }
  dd {
    font: 600 17px var(--mono);
  }
`;

// What only a plan brings is fetched with the first plan, windows when they are opened.
const Matters = later(() => import('./Matters').then((loaded) => loaded.Matters));
const LinesWindow = later(() => import('./LinesWindow').then((loaded) => loaded.LinesWindow));
const FitsWindow = later(() => import('./FitsWindow').then((loaded) => loaded.FitsWindow));

/** The part as it is entered, its drawing as it grows, and the plan from the first moment that there is one. */
export function PartEntry() {
  const { id, file, edit, planned, problems } = useWorkspace();
  const [marked, setMarked] = useState<string>();
  const [shown, setShown] = useState<{ lines: true } | { fitsOf: string | undefined }>();
  const last = useRef<string>(undefined);
  const mark = (path: string | undefined) => {
    if (path) last.current = path;
    setMarked(path);
  };
  const part = planned.answer?.sketch;
  const mass = planned.answer?.mass;
  const wrong = problems
    .filter((problem) => problem.path.startsWith('part.') && !isMissing(problem))
    .map((problem) => ({ ...problem, z: part && placeOfProblem(problem.path, file, part) }));
  const move: MoveShoulder = (step, by, ended) => {
    const outside = movedShoulder(file.part, step, by, file.units);
    if (outside && by !== 0) edit(ended ? undefined : `shoulder ${step}`, (run) => void (run.part.outside = outside));
  };
  const mirrored = async () => {
    const { mirrorPart } = await import('@/core/formats/mirrorPart');
    // What the run is by now: something may have been typed while this was fetched.
    edit(undefined, (run) => {
      const turned = mirrorPart(current(run));
      if (turned.ok) run.part = turned.value;
    });
  };
  const plan = planned.answer?.plan;
  return (
    <Room>
      <div>
        <RunFields />
        <StepTable onMark={mark} />
        <LengthList onMark={mark} />
        <EntryList
          id="details"
          title="Details of the outside"
          hint="places from the finished front face"
          noun="detail"
          list="details"
          entries={file.part.details ?? []}
          kinds={DETAILS}
          kindKey="kind"
          first={{ kind: 'groove', field: 'kind' }}
          onMark={mark}
        />
        <EntryList
          id="holes"
          title="Holes on the axis"
          hint="depths to the full diameter, or “through”"
          noun="hole"
          list="bores"
          entries={file.part.bores ?? []}
          kinds={HOLES}
          kindKey="shape"
          first={{ kind: 'drill', field: 'diameter', has: { depth: 'through' } }}
          onMark={mark}
        />
        <EntryList
          id="elsewhere"
          title="Work elsewhere"
          hint="by other machines or firms, after the lathe"
          noun="work"
          list="elsewhere"
          entries={file.part.elsewhere ?? []}
          kinds={ELSEWHERE}
          kindKey="kind"
          first={{ kind: 'grind', field: 'on' }}
          onMark={mark}
        />
        <StockFields />
      </div>
      <Side>
        {/* Above the drawing, which grows as it is typed: a button stays where it is pressed. */}
        <Tools>
          <Button onPress={() => setShown({ lines: true })}>As lines …</Button>
          <Button onPress={() => void mirrored()} isDisabled={!part}>
            Turn end for end
          </Button>
          <Button onPress={() => setShown({ fitsOf: last.current })}>Fits …</Button>
          <DxfButton />
          <span style={{ flex: 1 }} />
          <Button onPress={() => part && void svgFileOf(part, file)} isDisabled={!part}>
            SVG
          </Button>
          <Button onPress={() => part && void dxfFileOf(part, file)} isDisabled={!part}>
            DXF
          </Button>
        </Tools>
        <Paper>
          <PartDrawing part={part} units={file.units} marked={marked} wrong={wrong} onMove={move} />
        </Paper>
        {mass && part && (
          <Weight>
            {mass.grams > 0 && `${mass.grams.toFixed(2)} g · `}
            {(mass.volume / 1000).toFixed(3)} cm³ · surface {(mass.surface / 100).toFixed(2)} cm² · centre of gravity{' '}
            {formatLength(mass.centre, file.units)} {file.units} from the front
          </Weight>
        )}
        {shown && 'lines' in shown && <LinesWindow onClose={() => setShown(undefined)} />}
        {shown && 'fitsOf' in shown && <FitsWindow marked={shown.fitsOf} onClose={() => setShown(undefined)} />}
        <div aria-live="polite">
          {plan ? (
            <Ready>
              <h2>
                <CircleCheck size={18} aria-hidden /> The plan is there
              </h2>
              <dl>
                <div>
                  <dt>a piece</dt>
                  <dd>{sayMinutes(plan.times.piece.value)}</dd>
                </div>
                <div>
                  <dt>batch of {plan.run.quantity}</dt>
                  <dd>{sayMinutes(plan.times.batch.value)}</dd>
                </div>
                <div>
                  <dt>{WAY_WORDS[plan.stock.way]}</dt>
                  <dd>
                    {plan.stock.bars.value} × {sectionName(plan.stock, file.units)}
                  </dd>
                </div>
              </dl>
              <p>{plan.chosenBecause.because}</p>
              {plan.doubts.length > 0 && (
                <Doubts aria-label="What the plan does not do">
                  {plan.doubts.map(({ path, rule, because }) => (
                    <li key={`${path} ${rule}`}>
                      <b>{entryName(path)}</b> {because}
                    </li>
                  ))}
                </Doubts>
              )}
              <p style={{ marginTop: 8 }}>
                <PlaceLink id={id} place="">
                  Open the sheet
                </PlaceLink>
              </p>
            </Ready>
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
