import { MapPin } from 'lucide-react';
import { useState } from 'react';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { settingSheet } from '@/core/present/settingSheet';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { useWindow } from '../primitives/useWindow';
import { useWorkspace } from '../run/WorkspaceContext';
import { Part } from './panelParts';

const FamilyWindow = later(() => import('./FamilyWindow').then((loaded) => loaded.FamilyWindow));
const StopsWindow = later(() => import('./StopsWindow').then((loaded) => loaded.StopsWindow));

const Steps = styled.ol`
  margin: 0;
  padding: 0;
  list-style: none;
`;

/** A step to tick, its figure at the right where figures of the panel stand. */
const Step = styled(Checkbox)`
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr) auto;
  gap: 8px;
  padding: 5px 2px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;

  &::before {
    content: '';
    width: 14px;
    height: 14px;
    margin-top: 2px;
    border: 1.5px solid var(--ink);
    border-radius: 3px;
  }
  &[data-selected]::before {
    content: '✓';
    font-size: 12px;
    line-height: 12px;
    text-align: center;
  }
  &[data-selected] {
    color: var(--ink-soft);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--blue);
    outline-offset: 1px;
  }
  b {
    font-family: var(--mono);
    font-weight: 600;
  }
  em {
    font-style: normal;
    color: var(--ink-soft);
  }
`;

/** How the machine is set for a set-up, step by step, ticked off as it is done. */
export function SettingPart({ planned }: { planned: PlannedSetup }) {
  const [done, setDone] = useState<ReadonlySet<number>>(new Set());
  const [shown, show] = useWindow('stops', 'family');
  const { file } = useWorkspace();
  const tick = (step: number, isDone: boolean) =>
    setDone((before) => new Set(isDone ? [...before, step] : [...before].filter((other) => other !== step)));
  return (
    <Part>
      <h3>Setting the machine</h3>
      <Steps aria-label="Setting the machine, step by step">
        {settingSheet(planned).map(({ step, tool, what, over, text }) => (
          <li key={step}>
            <Step isSelected={done.has(step)} onChange={(isDone) => tick(step, isDone)}>
              <span>
                {tool && <em>{tool}: </em>}
                {what}
                {over && <em>, over {over}</em>}
              </span>
              {text && <b>{text}</b>}
            </Step>
          </li>
        ))}
      </Steps>
      <Button style={{ margin: '8px 0 10px' }} onPress={() => show('stops')}>
        <MapPin size={15} aria-hidden /> Stops compared …
      </Button>{' '}
      {file.family && <Button onPress={() => show('family')}>Stops of its family …</Button>}
      {shown === 'family' && <FamilyWindow onClose={() => show(undefined)} />}
      {shown === 'stops' && <StopsWindow planned={planned} onClose={() => show(undefined)} />}
    </Part>
  );
}
