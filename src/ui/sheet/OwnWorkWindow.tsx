'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { isAdd } from '@/core/model/overrule';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';

const Form = styled.form`
  display: grid;
  grid-template-columns: 1fr 120px 140px;
  gap: 12px;
  align-items: start;
  > :last-child {
    grid-column: 1 / -1;
    justify-self: start;
  }
  @media (max-width: 620px) {
    grid-template-columns: 1fr;
  }
`;

const MOST = 1000;

/** Work that the planner does not know of: what it is, at which end, and its minutes. */
export function OwnWorkWindow({ end: first, onClose }: { end: 'front' | 'back'; onClose: () => void }) {
  const { file, edit } = useWorkspace();
  const [name, setName] = useState('');
  const [minutes, setMinutes] = useState('');
  const [end, setEnd] = useState(first);
  const [tried, setTried] = useState(false);
  const taken = (file.overrules ?? []).some(
    (overrule) => isAdd(overrule) && overrule.add.end === end && overrule.add.name === name.trim(),
  );
  const value = Number(minutes.trim().replace(',', '.'));
  const wrongName = name.trim() === '' ? 'say what is done' : taken ? 'is there already at this end' : undefined;
  const wrongMinutes =
    minutes.trim() === '' || !Number.isFinite(value) || value < 0 || value > MOST
      ? `minutes a piece, 0 to ${MOST}`
      : undefined;
  const add = () => {
    setTried(true);
    if (wrongName || wrongMinutes) return;
    edit(undefined, (run) => {
      run.overrules = [...(run.overrules ?? []), { add: { name: name.trim(), end, minutes: value } }];
    });
    onClose();
  };
  return (
    <Window title="Add work of your own" open onClose={onClose}>
      <p style={{ marginBottom: 12, color: 'var(--ink-soft)' }}>
        By hand at the lathe, the spindle stopped. It comes before the piece is off, and can be moved like any other.
      </p>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <Field
          label="What is done"
          plain
          autoFocus
          value={name}
          onChange={setName}
          problem={tried ? wrongName : undefined}
        />
        <Field
          label="Minutes a piece"
          value={minutes}
          onChange={setMinutes}
          problem={tried ? wrongMinutes : undefined}
        />
        <Choice label="Looking out" value={end} onChange={(word) => setEnd(word === 'back' ? 'back' : 'front')}>
          <option value="front">front end</option>
          <option value="back">back end</option>
        </Choice>
        <Button $strong type="submit">
          Add it
        </Button>
      </Form>
    </Window>
  );
}
