'use client';
import { sayFigure } from '@/core/model/units/mark';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { freeLength, type RackItem } from '@/core/rack/rack';
import type { Problem } from '@/core/model/result';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { actOn, type RackOutcome } from './api';

export const Form = styled.form`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  > .all {
    grid-column: 1 / -1;
  }
`;

/** What stands in the way of a form as a whole. */
export const Trouble = ({ problems, fields }: { problems: Problem[]; fields: readonly string[] }) => (
  <div className="all" role="alert" style={{ color: 'var(--oxide)' }}>
    {problems
      .filter(({ path }) => !fields.includes(path))
      .map(({ message }) => message)
      .join('; ')}
  </div>
);

/** A form that asks the server once, and stays as it was typed when it is refused. */
export function AskForm({
  fields,
  ask,
  words,
  button,
  onDone,
  children,
}: {
  fields: readonly string[];
  ask: () => Promise<RackOutcome>;
  words: string;
  button: string;
  onDone: (words: string) => void;
  children: (problemOf: (path: string) => string | undefined) => ReactNode;
}) {
  const [problems, setProblems] = useState<Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const submit = async () => {
    setBusy(true);
    const outcome = await ask();
    setBusy(false);
    if (outcome.ok) onDone(words);
    else setProblems(outcome.problems);
  };
  return (
    <Form
      // What is wrong is said by the server; a field that was wrong must not stop the next try.
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      {children((path) => problems.find((problem) => problem.path === path)?.message)}
      <Trouble problems={problems} fields={fields} />
      <div className="all">
        <Button type="submit" $strong isDisabled={busy}>
          {button}
        </Button>
      </div>
    </Form>
  );
}

type Runs = { id: number; number: string; name: string }[];

function RunChoice({ runs, value, onChange }: { runs: Runs; value: string; onChange: (value: string) => void }) {
  return (
    <div className="all">
      <Choice label="Run" value={value} onChange={onChange}>
        {runs.map(({ id, number, name }) => (
          <option key={id} value={id}>
            {number} {name}
          </option>
        ))}
      </Choice>
    </div>
  );
}

/** Puts a run's name on a length of a bar. */
export function ReserveWindow({
  item,
  runs,
  onClose,
  onDone,
}: {
  item: RackItem;
  runs: Runs;
  onClose: () => void;
  onDone: (words: string) => void;
}) {
  const [run, setRun] = useState(String(runs[0]?.id ?? ''));
  const [length, setLength] = useState(sayFigure(freeLength(item), 3));
  return (
    <Window title={`Reserve of bar ${item.id}`} open onClose={onClose}>
      <AskForm
        fields={['length']}
        button="Reserve"
        words={`${length} of bar ${item.id} reserved`}
        ask={() => actOn(item.id, { do: 'reserve', run: Number(run), length })}
        onDone={onDone}
      >
        {(problemOf) => (
          <>
            <RunChoice runs={runs} value={run} onChange={setRun} />
            <div className="all">
              <Field label="Length, mm" value={length} onChange={setLength} problem={problemOf('length')} />
            </div>
          </>
        )}
      </AskForm>
    </Window>
  );
}

/** Takes a bar off the rack, and brings back what is really left of it. */
export function UseWindow({
  item,
  runs,
  keepFrom,
  onClose,
  onDone,
}: {
  item: RackItem;
  runs: Runs;
  keepFrom: number;
  onClose: () => void;
  onDone: (words: string) => void;
}) {
  const [run, setRun] = useState(String(item.reserved[0]?.run ?? runs[0]?.id ?? ''));
  const [left, setLeft] = useState('');
  const [place, setPlace] = useState(item.place);
  return (
    <Window title={`Bar ${item.id} is used`} open onClose={onClose}>
      <AskForm
        fields={['left']}
        button="Used"
        words={`bar ${item.id} is used`}
        ask={() => actOn(item.id, { do: 'use', run: Number(run), left, place })}
        onDone={onDone}
      >
        {(problemOf) => (
          <>
            <RunChoice runs={runs} value={run} onChange={setRun} />
            <Field
              label="Left of it, measured, mm"
              value={left}
              placeholder="nothing"
              onChange={setLeft}
              problem={problemOf('left')}
            />
            <Field label="Goes to" plain value={place} onChange={setPlace} />
            <p className="all" style={{ color: 'var(--ink-soft)', fontSize: 13 }}>
              What is left comes back as an offcut. Under {sayFigure(keepFrom)} mm it is hardly worth keeping.
            </p>
          </>
        )}
      </AskForm>
    </Window>
  );
}
