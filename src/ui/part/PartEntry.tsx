'use client';
import { CircleCheck } from 'lucide-react';
import { PlaceLink } from '../run/PlaceLink';
import { useState } from 'react';
import styled from 'styled-components';
import { formatNominal } from '@/core/units/length';
import { sayMinutes } from '@/core/units/show';
import { ProblemList } from '../run/ProblemList';
import { useWorkspace } from '../run/WorkspaceContext';
import { HoleTable } from './HoleTable';
import { PartDrawing } from './PartDrawing';
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
  height: 360px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
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

/** The part as it is entered, its drawing as it grows, and the plan from the first moment that there is one. */
export function PartEntry() {
  const { id, file, planned, problems } = useWorkspace();
  const [marked, setMarked] = useState<string>();
  const plan = planned.answer?.plan;
  return (
    <Room>
      <div>
        <RunFields />
        <StepTable onMark={setMarked} />
        <HoleTable />
        <StockFields />
      </div>
      <Side>
        <Paper>
          <PartDrawing part={planned.answer?.sketch} units={file.units} marked={marked} />
        </Paper>
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
                  <dt>{plan.stock.way === 'from-bar' ? 'from the bar' : 'sawn blanks'}</dt>
                  <dd>
                    {plan.stock.bars.value} × ⌀{formatNominal(plan.stock.size, file.units)}
                  </dd>
                </div>
              </dl>
              <p>{plan.chosenBecause.because}</p>
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
      </Side>
    </Room>
  );
}
