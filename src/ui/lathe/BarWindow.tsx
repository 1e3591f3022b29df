'use client';
import { sayFigure, sayFixed } from '@/core/model/units/mark';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import type { Happening } from '@/core/lathe/events';
import type { Progress } from '@/core/lathe/progress';
import { parseLength } from '@/core/model/units/length';
import type { Plan } from '@/core/plan/plan';
import { freeFor, sameSection, type RackItem } from '@/core/rack/rack';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { actOn, fetchRack } from '../rack/api';
import { useWorkspace } from '../run/WorkspaceContext';
import { Big } from './parts';

const Form = styled.div`
  display: grid;
  gap: 12px;
  input,
  select {
    min-height: 56px;
    font-size: 18px;
  }
  [role='alert'] {
    color: var(--oxide);
  }
`;

interface Props {
  plan: Plan;
  /** The bar that was turned from so far. */
  bar: Progress['bar'];
  onHappened: (happening: Happening) => void;
  onClose: () => void;
}

/** Bars of the rack that a run may be turned from, those with its name on them first. */
function barsOf(plan: Plan, items: readonly RackItem[], run: number): RackItem[] {
  const section = { ...plan.stock, material: plan.run.shop.material.id };
  const isIts = ({ reserved }: RackItem) => reserved.some((reservation) => reservation.run === run);
  return items
    .filter((item) => sameSection(item, section) && freeFor(item, run) > 0)
    .toSorted((a, b) => Number(isIts(b)) - Number(isIts(a)));
}

/** The rack as it is now; nothing as long as it is asked, and where it does not answer. */
function useRack(): { items: readonly RackItem[]; state: 'asked' | 'there' | 'gone' } {
  const [rack, setRack] = useState<ReturnType<typeof useRack>>({ items: [], state: 'asked' });
  useEffect(() => {
    let over = false;
    void fetchRack().then((items) => over || setRack(items ? { items, state: 'there' } : { items: [], state: 'gone' }));
    return () => {
      over = true;
    };
  }, []);
  return rack;
}

/** A bar comes on the lathe, and what is left of the one before goes back: on the rack as well, where that answers. */
export function BarWindow({ plan, bar, onHappened, onClose }: Props) {
  const { id } = useWorkspace();
  const run = Number(id);
  const { items, state } = useRack();
  const offered = barsOf(plan, items, run).filter((item) => item.id !== bar);
  const [chosen, setChosen] = useState<string>();
  const [left, setLeft] = useState('');
  const [problem, setProblem] = useState('');
  const item = offered.find((one) => String(one.id) === chosen);
  const rest = left.trim() === '' ? 0 : parseLength(left, 'mm');
  const wrong = typeof rest === 'number' || rest.ok ? undefined : rest.problems[0]?.message;
  const keep = async () => {
    const length = typeof rest === 'number' ? rest : rest.ok ? rest.value : 0;
    // What is reserved twice is reserved once; a bar that is used up cannot be used again by the next try.
    if (item) {
      const taken = await actOn(item.id, { do: 'reserve', run, length: `${sayFigure(freeFor(item, run))} mm` });
      if (!taken.ok) return setProblem(taken.problems.map(({ message }) => message).join('; '));
    }
    if (state === 'there' && bar !== undefined) {
      const gone = await actOn(bar, { do: 'use', run, left: `${sayFigure(length)} mm`, place: '' });
      if (!gone.ok) return setProblem(gone.problems.map(({ message }) => message).join('; '));
    }
    onHappened({
      kind: 'bar',
      ...(item ? { item: item.id } : {}),
      ...(bar === undefined ? {} : { finished: bar, ...(length > 0 ? { left: length } : {}) }),
    });
    onClose();
  };
  return (
    <Window title={bar === undefined ? 'A bar comes on' : `Bar ${bar} is finished`} open onClose={onClose}>
      <Form>
        {bar !== undefined && (
          <Field
            label={`Left of bar ${bar}, measured, mm`}
            value={left}
            placeholder="nothing"
            problem={wrong}
            onChange={setLeft}
          />
        )}
        <Choice label="Comes on now" value={chosen ?? ''} onChange={setChosen}>
          <option value="">{bar === undefined ? 'one that is not on the rack' : 'none'}</option>
          {offered.map((one) => (
            <option key={one.id} value={one.id}>
              {[
                `bar ${one.id}`,
                `${sayFixed(freeFor(one, run), 0)} mm`,
                one.offcut ? 'offcut' : '',
                one.place,
                one.reserved.some((reservation) => reservation.run === run) ? 'reserved for this run' : '',
              ]
                .filter(Boolean)
                .join(' · ')}
            </option>
          ))}
        </Choice>
        {state === 'gone' && (
          <p>The rack does not answer: the bar is written down here, and is put right on the rack by hand later.</p>
        )}
        {problem && <p role="alert">{problem}</p>}
        <Big $strong isDisabled={wrong !== undefined || state === 'asked'} onPress={() => void keep()}>
          {bar === undefined ? 'It is on the lathe' : 'So it is'}
        </Big>
      </Form>
    </Window>
  );
}
