'use client';
import { useEffect, useRef, useState } from 'react';
import { useDrop } from 'react-aria';
import styled from 'styled-components';
import type { Choice } from '@/core/ask/choices';
import { without } from '@/core/ask/question';
import { sayMinutes } from '@/core/model/units/show';
import { routeOf, useWorkspace } from '../run/WorkspaceContext';

/** Height of the tray, px. */
const HEIGHT = 52;

const Tray = styled.div`
  position: absolute;
  left: 10px;
  z-index: 3;
  display: flex;
  gap: 6px;
  align-items: stretch;
  height: ${HEIGHT}px;
  padding: 5px;
  border: 1px solid var(--ink-soft);
  border-radius: 8px;
  background: var(--paper);
  overflow-x: auto;
`;

const Target = styled.div`
  display: grid;
  align-content: center;
  padding: 0 10px;
  border: 1px dashed var(--ink-soft);
  border-radius: 6px;
  background: var(--sheet);
  font-size: 14px;
  line-height: 1.2;
  white-space: nowrap;
  small {
    color: var(--ink-soft);
    font: 13px var(--mono);
  }
  &[data-over] {
    border: 2px solid var(--blue);
    background: var(--blue-soft);
  }
  &[data-cannot] {
    opacity: 0.55;
  }
`;

/** While a pin is dragged: what else could stop there, each with its price over the batch; let go over one it is decided. */
export function StopTray({ operation, top, width }: { operation: string; top: number; width: number }) {
  const { file, edit, choices, planned } = useWorkspace();
  const route = routeOf(planned);
  const [found, setFound] = useState<Choice[]>();
  useEffect(() => {
    let over = false;
    void choices(file, { stop: operation }).then((answer) => over || setFound(answer));
    return () => {
      over = true;
    };
  }, [file, operation, choices, route]);
  const now = found?.find(({ planned }) => planned)?.batchMinutes ?? 0;
  const take = ({ overrule }: Choice) =>
    edit(undefined, (run) => {
      run.overrules = [...without(run.overrules ?? [], { stop: operation }), overrule];
    });
  return (
    <Tray style={{ top: top - HEIGHT - 4, maxWidth: width - 20 }} aria-live="polite">
      {!found && <span>Planning each of them …</span>}
      {found?.map((choice) => (
        <Means key={choice.id} choice={choice} now={now} onTake={() => take(choice)} />
      ))}
    </Tray>
  );
}

/** What a means does to the batch, in words. */
function priceOf({ planned, problem, batchMinutes = 0 }: Choice, now: number): string {
  if (planned) return 'the plan';
  if (problem !== undefined) return 'cannot be';
  const more = batchMinutes - now;
  if (Math.abs(more) < 0.05) return 'no more, no less';
  return `${more > 0 ? '+' : '−'}${sayMinutes(Math.abs(more))}`;
}

function Means({ choice, now, onTake }: { choice: Choice; now: number; onTake: () => void }) {
  const ref = useRef<HTMLDivElement>(null);
  const cannot = choice.planned || choice.problem !== undefined;
  const { dropProps, isDropTarget } = useDrop({ ref, isDisabled: cannot, onDrop: onTake });
  return (
    <Target
      {...dropProps}
      ref={ref}
      data-means={choice.id}
      data-over={isDropTarget || undefined}
      data-cannot={choice.problem === undefined ? undefined : ''}
    >
      {choice.name}
      <small>{priceOf(choice, now)}</small>
    </Target>
  );
}
