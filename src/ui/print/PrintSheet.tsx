'use client';
import { Check, Printer } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';
import { NoPlan } from '../run/NoPlan';
import { useWorkspace } from '../run/WorkspaceContext';
import { PageMargins } from './PageMargins';
import { OnPaper } from './Paper';
import { PrintedFirstOff } from './PrintedFirstOff';
import { Quotation } from './Quotation';
import { RecordedFirstOff } from './RecordedFirstOff';
import { PrintedLabels } from './PrintedLabels';
import { PrintedPlan } from './PrintedPlan';
import { PrintedSetting } from './PrintedSetting';

const Actions = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  max-width: 188mm;
  margin: 14px auto;
`;

/** What is printed: the sheet that lies at the machine, how it is set and what is laid out before, what the first piece measured, labels, what it is offered for. */
const PAPERS = {
  sheet: 'At the machine',
  setting: 'Setting and kit',
  firstOff: 'First-off',
  labels: 'Labels',
  quotation: 'Quotation',
};

/** The sheet at the machine, on one or two A4 pages: black, large, nothing that is not needed there. */
export function PrintSheet() {
  const { id, file, planned } = useWorkspace();
  const [shown, setShown] = useState<keyof typeof PAPERS>('sheet');
  const settled = planned.settled ? planned.answer?.plan : undefined;
  // Two papers of one run have to be of one plan; what is offered is typed beside its paper, and stays while that is planned anew.
  const plan = settled ?? (shown === 'quotation' ? planned.lastPlan : undefined);
  if (!plan) return <NoPlan />;
  return (
    <>
      <OnPaper />
      <Actions aria-label="What is printed" className="screen-only">
        <Button $strong onPress={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </Button>
        {(Object.keys(PAPERS) as (keyof typeof PAPERS)[]).map((paper) => (
          <Button key={paper} aria-pressed={shown === paper} onPress={() => setShown(paper)}>
            {shown === paper && <Check size={15} aria-hidden />} {PAPERS[paper]}
          </Button>
        ))}
        <span>A4, black; also as PDF from the print window.</span>
      </Actions>
      {shown !== 'labels' && <PageMargins run={plan.run} paper={PAPERS[shown].toLowerCase()} />}
      {shown === 'sheet' && planned.answer && <PrintedPlan plan={plan} proof={planned.answer.proof} />}
      {shown === 'setting' && <PrintedSetting key={plan.run.part.number} plan={plan} />}
      {shown === 'firstOff' && (id === 'new' ? <PrintedFirstOff plan={plan} /> : <RecordedFirstOff plan={plan} />)}
      {shown === 'quotation' && <Quotation plan={plan} />}
      {shown === 'labels' && <PrintedLabels plan={plan} file={file} />}
    </>
  );
}
