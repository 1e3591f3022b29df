'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import {
  guessedColumns,
  readList,
  RUN_COLUMNS,
  runsOf,
  type BroughtList,
  type RunColumn,
} from '@/core/formats/runsCsv';
import type { Problem } from '@/core/model/result';
import { ask } from '../primitives/ask';
import { Button } from '../primitives/Button';
import { Choice } from '../primitives/Field';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 8px 14px;
  margin: 10px 0;
`;

const Wrong = styled.small`
  display: block;
  color: var(--oxide);
`;

/** Which column means what, as it was matched the last time, by the words over it. */
const KEPT = 'shingle-list-columns';

function keptColumns(heads: readonly string[]): Partial<Record<RunColumn, number>> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as Partial<Record<RunColumn, string>>;
    const found = Object.entries(kept).flatMap(([column, head]) => {
      const at = heads.indexOf(head);
      return at < 0 ? [] : [[column, at]];
    });
    return Object.fromEntries(found) as Partial<Record<RunColumn, number>>;
  } catch {
    return {};
  }
}

/** So many rows are shown of a long list; those with mistakes all. */
const SHOWN = 20;

interface RowsProps {
  list: BroughtList;
  columns: Partial<Record<RunColumn, number>>;
  /** Places of the rows that are shown. */
  shown: readonly number[];
  wrong: readonly Problem[];
}

/** Rows as they are understood, each mistake under what is wrong. */
function Rows({ list, columns, shown, wrong }: RowsProps) {
  return (
    <Table aria-label="Rows of the list">
      <thead>
        <tr>
          <th scope="col">row</th>
          {(Object.keys(RUN_COLUMNS) as RunColumn[]).map((column) => (
            <th key={column} scope="col">
              {RUN_COLUMNS[column].words}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {shown.map((index) => (
          <tr key={index}>
            <th scope="row">{index + 2}</th>
            {(Object.keys(RUN_COLUMNS) as RunColumn[]).map((column) => (
              <td key={column}>
                {columns[column] === undefined ? '' : list.rows[index]?.[columns[column]]}
                {wrong
                  .filter(({ path }) => path === `rows[${index}].${column}`)
                  .map(({ message }) => (
                    <Wrong key={message}>{message}</Wrong>
                  ))}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** Runs from a list of the office or of a customer: its columns matched, its mistakes row by row, all of it made or nothing. */
export function ListWindow({ name, text, onClose }: { name: string; text: string; onClose: () => void }) {
  const router = useRouter();
  const list = useMemo(() => readList(text), [text]);
  const [columns, setColumns] = useState(() => ({ ...guessedColumns(list.heads), ...keptColumns(list.heads) }));
  const [refused, setRefused] = useState<readonly Problem[]>([]);
  const { runs, problems } = useMemo(() => runsOf(list, columns), [list, columns]);
  const match = (column: RunColumn, at: string) => {
    const next = { ...columns, [column]: Number(at) };
    if (at === '') delete next[column];
    setRefused([]);
    setColumns(next);
  };
  const make = async () => {
    const answer = await ask<{ made: number[] }>('POST', '/api/runs/from-list', { rows: runs });
    if (!answer.ok) return setRefused(answer.problems);
    localStorage.setItem(
      KEPT,
      JSON.stringify(Object.fromEntries(Object.entries(columns).map(([column, at]) => [column, list.heads[at]]))),
    );
    onClose();
    router.push('/?order=newest');
    router.refresh();
  };
  const wrong = [...problems, ...refused];
  const wrongIn = (index: number) => wrong.filter(({ path }) => path.startsWith(`rows[${index}].`));
  const shown = list.rows.flatMap((_, index) => (index < SHOWN || wrongIn(index).length > 0 ? [index] : []));
  const general = wrong.filter(({ path }) => !path.startsWith('rows['));
  return (
    <Window title={`Runs from ${name}`} open wide onClose={onClose}>
      <p>Each row becomes a run, begun with the newest run of its part. All of them are made, or none.</p>
      <Columns>
        {(Object.keys(RUN_COLUMNS) as RunColumn[]).map((column) => (
          <Choice
            key={column}
            label={RUN_COLUMNS[column].words}
            value={String(columns[column] ?? '')}
            onChange={(at) => match(column, at)}
          >
            <option value="">no column</option>
            {list.heads.map((head, index) => (
              <option key={index} value={String(index)}>
                {head || `column ${index + 1}`}
              </option>
            ))}
          </Choice>
        ))}
      </Columns>
      <div role="status">
        {general.map(({ message }) => (
          <Wrong key={message}>{message}</Wrong>
        ))}
        {refused.length > 0 && (
          <p>Nothing was made: {refused.length === 1 ? 'one row is' : `${refused.length} things are`} wrong.</p>
        )}
      </div>
      <Rows list={list} columns={columns} shown={shown} wrong={wrong} />
      {list.rows.length > shown.length && <p>and {list.rows.length - shown.length} more rows without a mistake</p>}
      <Button $strong isDisabled={problems.length > 0} onPress={() => void make()} style={{ marginTop: 10 }}>
        Make {runs.length} {runs.length === 1 ? 'run' : 'runs'}
      </Button>
    </Window>
  );
}
