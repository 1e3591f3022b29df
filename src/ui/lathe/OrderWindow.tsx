'use client';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import type { Happening } from '@/core/lathe/events';
import { isOrder } from '@/core/model/overrule';
import { sayOverrule } from '@/core/plan/order/overrules';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { Overrules } from '../sheet/Overrules';
import { namesIn } from '../sheet/overrulesOf';
import { useOrder } from '../sheet/useOrder';
import { Big } from './parts';

const List = styled.ol`
  display: grid;
  gap: 6px;
  margin: 10px 0;
  padding: 0;
  list-style: none;
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    gap: 8px;
    align-items: center;
    font-size: 18px;
  }
`;

interface Props {
  planned: PlannedSetup;
  onHappened: (happening: Happening) => void;
  onClose: () => void;
}

/**
 * The order of a set-up changed at the machine: each move is planned at once, with the rule that it breaks and what it costs, as on the
 * sheet. Kept, the run is saved so; left, it is as it was.
 */
export function OrderWindow({ planned, onHappened, onClose }: Props) {
  const { edit, save, planned: answered, problems, file } = useWorkspace();
  const [before] = useState(file.overrules);
  const edits = useOrder(planned);
  const plan = answered.answer?.plan;
  const isPlanned = plan !== undefined && answered.settled;
  // What waits for a signature, or cannot be, is not how it is made.
  const isFollowed = plan?.overrules.every(({ overrule, state }) => !isOrder(overrule) || state === 'kept') ?? false;
  const isOther = JSON.stringify(file.overrules ?? []) !== JSON.stringify(before ?? []);
  const leave = () => {
    if (isOther)
      edit(undefined, (run) => {
        if (before) run.overrules = before;
        else delete run.overrules;
      });
    onClose();
  };
  const keep = () => {
    const words = plan?.overrules.map((one) => sayOverrule(one, namesIn(plan))).join('; ');
    onHappened({ kind: 'note', text: `Another order: ${words || 'as the planner has it'}`.slice(0, 500) });
    void save();
    onClose();
  };
  return (
    <Window title={`Order of set-up ${planned.setup.number}`} open onClose={leave}>
      <p>What is done of this piece stays done; the next are made in this order.</p>
      <List aria-label={`Order of set-up ${planned.setup.number}`}>
        {planned.operations.map(({ key, number, name }, index) => (
          <li key={key}>
            <span>
              {number} {name}
            </span>
            <Big aria-label={`${name}: earlier`} isDisabled={index === 0} onPress={() => edits.shift(key, -1)}>
              <ArrowUp size={22} aria-hidden />
            </Big>
            <Big
              aria-label={`${name}: later`}
              isDisabled={index === planned.operations.length - 1}
              onPress={() => edits.shift(key, 1)}
            >
              <ArrowDown size={22} aria-hidden />
            </Big>
          </li>
        ))}
      </List>
      <div role="status">
        {!isPlanned && problems.length === 0 && <p>It is being planned so …</p>}
        {!isPlanned && problems.length > 0 && <p>It cannot be made so: {problems[0]?.message}</p>}
        {plan && isOther && <Overrules plan={plan} edits={edits} />}
        {plan && isOther && !isFollowed && <p>It is kept once what is not followed is signed for, or taken back.</p>}
      </div>
      <Big $strong isDisabled={!isOther || !isPlanned || !isFollowed} onPress={keep}>
        Keep: it is made so
      </Big>{' '}
      <Big onPress={leave}>{isOther ? 'As it was' : 'Leave it'}</Big>
    </Window>
  );
}
