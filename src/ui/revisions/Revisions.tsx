'use client';
import { format } from 'date-fns';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { partInUnits } from '@/core/formats/partInUnits';
import type { RunFile } from '@/core/read/runFile';
import type { Comparison } from '@/core/ask/revisions/compareRuns';
import type { PlanFigure } from '@/core/ask/revisions/comparePlans';
import { sayMinutes, show } from '@/core/model/units/show';
import type { UnitSystem } from '@/core/model/units/length';
import { Button } from '../primitives/Button';
import { Card, Empty } from '../primitives/Card';
import { Choice } from '../primitives/Field';
import { SideBySide, type SideBySideRow } from '../primitives/SideBySide';
import { fetchRevisions, type ServedRevision } from '../run/api';
import { ProblemList } from '../run/ProblemList';
import { useWorkspace } from '../run/WorkspaceContext';
import { RevisionDrawing } from './RevisionDrawing';

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(340px, 1fr);
  gap: 14px;
  align-items: start;
  padding: 14px 16px 24px;
  > div {
    display: grid;
    gap: 14px;
  }
  @media (max-width: 1020px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Sides = styled.div`
  grid-column: 1 / -1;
  && {
    display: flex;
  }
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 14px;
  > div {
    flex: 0 1 330px;
  }
`;

const Paper = styled.div`
  height: 400px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
`;

const HERE = 'here';

/** A revision in the list: its letter, when it was saved, and whether runs are planned with it. */
function nameOf({ part, savedAt, runs }: ServedRevision): string {
  const used = runs.length === 0 ? 'no run' : runs.length === 1 ? 'one run' : `${runs.length} runs`;
  return `Revision ${part.revision || '(without a letter)'} · ${format(new Date(savedAt), 'd MMM, HH:mm')} · ${used}`;
}

const letterOf = (file: RunFile): string => file.part.revision || '(without a letter)';

/** The revisions that the server keeps of a part. */
function useRevisions(number: string) {
  const [kept, setKept] = useState<ServedRevision[] | 'away'>();
  useEffect(() => {
    let over = false;
    void fetchRevisions(number).then((revisions) => !over && setKept(revisions ?? 'away'));
    return () => {
      over = true;
    };
  }, [number]);

  return kept;
}

/** Revisions of the part side by side: the figures of the drawing, and what they do to stock, stops and time. */
export function Revisions() {
  const { id, file, edit, compare } = useWorkspace();
  const kept = useRevisions(file.part.number);
  const [sides, setSides] = useState<{ from?: string; to?: string }>({});
  const [compared, setCompared] = useState<Comparison>();

  const list = useMemo(() => (Array.isArray(kept) ? kept : []), [kept]);
  const servedRevision = useMemo(() => list.find(({ runs }) => runs.includes(Number(id))), [list, id]);
  // The one to compare with: what other runs went on to, else what was before this run's.
  const other =
    list.find(({ count, runs }) => servedRevision && count > servedRevision.count && runs.length > 0) ??
    list.find((r) => r !== servedRevision);
  const forward = other !== undefined && servedRevision !== undefined && other.count > servedRevision.count;
  const from = sides.from ?? (forward || !other ? HERE : String(other.id));
  const to = sides.to ?? (forward ? String(other.id) : HERE);

  const [before, after] = useMemo(() => {
    const runWith = (side: string): RunFile => {
      const revision = list.find((known) => String(known.id) === side);
      return revision ? { ...file, part: partInUnits(revision.part, revision.units, file.units) } : file;
    };
    return [runWith(from), runWith(to)];
  }, [list, file, from, to]);

  useEffect(() => {
    let over = false;
    void compare(before, after).then((answer) => !over && setCompared(answer));
    return () => {
      over = true;
    };
  }, [compare, before, after]);

  if (kept === undefined) return <Waiting>Looking for revisions …</Waiting>;
  if (kept === 'away')
    return (
      <Waiting>The server does not answer, and the revisions are kept there. The run itself can be worked on.</Waiting>
    );
  if (list.length === 0 || (list.length === 1 && servedRevision))
    return (
      <Waiting>
        This part has one revision so far. Change a figure of the drawing, give it the next letter and save: both are
        kept, and are shown here side by side.
      </Waiting>
    );
  const names = { left: sideName(before, from), right: sideName(after, to) };
  const take = (side: string, taken: RunFile) =>
    side === HERE ? undefined : (
      <Button $strong={side === to} onPress={() => edit(undefined, (run) => void (run.part = taken.part))}>
        Plan this run with revision {letterOf(taken)}
      </Button>
    );
  const choices = (
    <>
      <option value={HERE}>This run as it stands · revision {letterOf(file)}</option>
      {list.map((revision) => (
        <option key={revision.id} value={revision.id}>
          {nameOf(revision)}
        </option>
      ))}
    </>
  );
  return (
    <Room>
      <Sides>
        <Choice label="From" value={from} onChange={(value) => setSides({ from: value, to })}>
          {choices}
        </Choice>
        <Choice label="To" value={to} onChange={(value) => setSides({ from, to: value })}>
          {choices}
        </Choice>
        {take(to, after) ?? take(from, before)}
      </Sides>
      {compared && <SidesCompared compared={compared} units={file.units} names={names} />}
    </Room>
  );
}

/** What is different: in the drawing, and in what the plan makes of it. */
function SidesCompared({
  compared,
  units,
  names,
}: {
  compared: Comparison;
  units: UnitSystem;
  names: { left: string; right: string };
}) {
  const [marked, setMarked] = useState<string>();
  return (
    <>
      <div>
        <Paper>
          {compared.parts.before && compared.parts.after && (
            <RevisionDrawing
              before={compared.parts.before}
              after={compared.parts.after}
              units={units}
              paths={compared.paths}
              marked={marked}
            />
          )}
        </Paper>
        <Card aria-labelledby="drawing">
          <h2 id="drawing">In the drawing</h2>
          <SideBySide
            label="In the drawing"
            {...names}
            rows={compared.drawing.map(({ where, what, before: old, after: now, path }, index) => ({
              key: String(index),
              of: path.after,
              where: what ? `${where} · ${what}` : `${where} · ${now ? 'new' : 'gone'}`,
              left: old,
              right: now,
            }))}
            none="Both say the same."
            marked={marked}
            onMark={setMarked}
          />
        </Card>
      </div>
      <div>
        <Effects compared={compared} units={units} names={names} />
      </div>
    </>
  );
}

const sideName = (file: RunFile, side: string) => (side === HERE ? 'this run' : `rev ${letterOf(file)}`);

/** What the revision does to the plan, or why one of the sides has none. */
function Effects({
  compared: { plan, problems, newWarnings },
  units,
  names,
}: {
  compared: Comparison;
  units: UnitSystem;
  names: { left: string; right: string };
}) {
  if (!plan)
    return (
      <Card>
        {(['before', 'after'] as const).map(
          (side) =>
            problems[side].length > 0 && (
              <div key={side}>
                <h2>{side === 'before' ? names.left : names.right} cannot be planned</h2>
                <ProblemList problems={problems[side]} />
              </div>
            ),
        )}
      </Card>
    );
  const groups = [
    { title: 'Time', rows: plan.time, none: '' },
    { title: 'Stock', rows: plan.stock, none: '' },
    { title: 'Held', rows: plan.held, none: 'It is held as it was.' },
    { title: 'Stops', rows: plan.stops, none: 'Every operation stops where it did.' },
    { title: 'Cuts', rows: plan.cuts, none: 'Every operation cuts as it did.' },
  ];
  return (
    <>
      {groups.map(({ title, rows, none }) => (
        <Card key={title} aria-labelledby={`effect-${title}`}>
          <h2 id={`effect-${title}`}>{title}</h2>
          <SideBySide label={title} {...names} rows={rows.map((row) => rowOf(row, units))} none={none} what="Figure" />
        </Card>
      ))}
      {newWarnings.length > 0 && (
        <Card aria-labelledby="effect-mind">
          <h2 id="effect-mind">To mind from now on</h2>
          <ul>
            {newWarnings.map((text) => (
              <li key={text}>{text}</li>
            ))}
          </ul>
        </Card>
      )}
    </>
  );
}

/** A figure of the plan in words, and by how much it grew or shrank. */
function rowOf({ what, unit, before, after, changed, fine }: PlanFigure, units: UnitSystem): SideBySideRow {
  const say = (value: number): string => {
    if (unit === 'min') return sayMinutes(value);
    const { text, unit: name } = show(value, unit, units, fine);
    return unit === 'money' || name === '' ? text : `${text} ${name}`;
  };
  const text = (value: number | string | undefined) => (typeof value === 'number' ? say(value) : value);
  const numbers = typeof before === 'number' && typeof after === 'number';
  return {
    key: what,
    where: what,
    left: text(before),
    right: text(after),
    same: !changed,
    ...(changed && numbers ? { by: `${after > before ? '+' : '−'}${say(Math.abs(after - before))}` } : {}),
  };
}

const Waiting = ({ children }: { children: React.ReactNode }) => (
  <main style={{ padding: 24 }}>
    <Empty>{children}</Empty>
  </main>
);
