'use client';
import { CloudOff, HardDriveUpload } from 'lucide-react';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { stockBeyond } from '@/core/present/stockLeft';
import { Choice } from '../primitives/Field';
import type { AtTheLathe } from './useHappened';
import { useKeptPage } from './useKeptPage';

const Strip = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 22px;
  font-size: 17px;
  b {
    font: 700 26px var(--mono);
  }
  span[data-gone] {
    padding: 2px 10px;
    border: 1px solid var(--brass);
    border-radius: 6px;
    background: var(--brass-soft);
  }
  svg {
    vertical-align: -3px;
  }
  > :last-child {
    margin-left: auto;
  }
`;

/** What a page cannot do whose address is not secure. */
const CANNOT =
  'This address is not secure: without a net the page goes on while it is open, but does not open again, and the screen may go dark.';

interface Props {
  plan: Plan;
  lathe: AtTheLathe;
  /** The set-up from which on it is worked at here. */
  from: number;
  onFrom: (from: number) => void;
}

/** How far the run is, and whether what happens reaches the server. */
export function RunStrip({ plan, lathe: { progress, unsent, net, refused }, from, onFrom }: Props) {
  const { at, waits, good, toMake, scrapped } = progress;
  const page = useKeptPage();
  const beyond = stockBeyond(plan, progress);
  return (
    <Strip>
      <span>
        piece <b>{at?.piece ?? (waits ? '–' : toMake)}</b> of {toMake}
      </span>
      <span>
        set-up <b>{at?.setup ?? plan.setups.length}</b> of {plan.setups.length}
      </span>
      {plan.setups.length > 1 && (
        <Choice
          labelHidden
          label="Set-ups made at this lathe"
          value={String(from)}
          onChange={(next) => onFrom(Number(next))}
        >
          {plan.setups.map(({ setup }, index) => (
            <option key={setup.number} value={String(index + 1)}>
              {index === 0 ? 'all set-ups here' : `from set-up ${index + 1} on here`}
            </option>
          ))}
        </Choice>
      )}
      <span>
        {good} good{scrapped.length > 0 && `, ${scrapped.length} scrap`}
      </span>
      {beyond && <span>{beyond}</span>}
      <span role="status" data-gone={net === 'gone' || refused ? '' : undefined}>
        {refused ? (
          `Not taken by the server: ${refused}`
        ) : net === 'gone' ? (
          <>
            <CloudOff size={18} aria-hidden /> No net: it goes on, {unsent} kept on this device
          </>
        ) : unsent > 0 ? (
          <>
            <HardDriveUpload size={18} aria-hidden /> {unsent} being sent
          </>
        ) : (
          net === 'there' && `all is kept${page === 'kept' ? '; opens without a net' : ''}`
        )}
      </span>
      {page === 'cannot' && <small>{CANNOT}</small>}
    </Strip>
  );
}
