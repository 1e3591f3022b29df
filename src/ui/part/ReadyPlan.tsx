'use client';
import { CircleCheck } from 'lucide-react';
import styled from 'styled-components';
import { sayMinutes } from '@/core/model/units/show';
import { WAY_WORDS } from '@/core/model/way';
import type { Plan } from '@/core/plan/plan';
import { sectionName } from '@/core/plan/stock/nameOfBar';
import { entryName } from '../run/entryName';
import { PlaceLink } from '../run/PlaceLink';
import { useWorkspace } from '../run/WorkspaceContext';

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

/** The plan of what is entered in three figures, and what it does not do. */
export function ReadyPlan({ plan }: { plan: Plan }) {
  const { id, file } = useWorkspace();
  return (
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
  );
}
