'use client';
import { daysTable } from '@/core/formats/daysTable';
import type { DaysAnswer } from '@/core/schedule/answer';
import type { DaysFile } from '@/core/schedule/days';
import { partNamed } from '@/core/schedule/fromRuns';
import type { RunToMake } from '@/core/schedule/runToMake';
import { useGiveTable } from '../device/useGiveTable';
import { Table } from '../primitives/Table';
import { TextButton } from '../primitives/TextButton';
import type { Machine } from './useDays';
import { sayPart } from '@/core/schedule/parts';
import { lastDay, sayDay, sayMoment, sayShare } from './words';

interface Props {
  answer: DaysAnswer;
  runs: readonly RunToMake[];
  days: DaysFile;
  machines: readonly Machine[];
  today: string;
  onChoose: (run: number) => void;
}

/** The same in words: lathe by lathe, in the order in which it is made. */
export function DaysTable({ answer, runs, days, machines, today, onChoose }: Props) {
  const giveTable = useGiveTable();
  const rows = machines.flatMap(({ id, name }) =>
    answer.placed
      .filter(({ lathe }) => lathe === id)
      .sort((a, b) => a.start - b.start)
      .map((placed) => ({ placed, machine: name })),
  );
  const asTable = () =>
    daysTable(answer, runs, days, today, (lathe) => machines.find(({ id }) => id === lathe)?.name ?? lathe);
  return (
    <>
      <Table aria-label="Lathe by lathe">
        <thead>
          <tr>
            {['lathe', 'run', 'from', 'until', 'four of five by', 'promised', 'kept'].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ placed, machine }) => {
            const { run, part } = partNamed(placed.job, runs, days) ?? {};
            const sure = answer.promised.find((one) => one.run === placed.run);
            if (!run || !part) return null;
            return (
              <tr key={placed.job}>
                <td>{machine}</td>
                <th scope="row">
                  <TextButton type="button" onClick={() => onChoose(run.id)}>
                    {run.number} {run.name}
                  </TextButton>{' '}
                  {sayPart(part, run.quantity)}
                </th>
                <td>{sayMoment(today, placed.start)}</td>
                <td>{sayMoment(today, placed.made)}</td>
                <td>{sure && sure.p80 < Infinity ? sayDay(lastDay(today, sure.p80)) : 'not within the hours'}</td>
                <td>{run.due ? sayDay(run.due) : ''}</td>
                <td style={placed.late > 0 ? { color: 'var(--oxide)', fontWeight: 700 } : {}}>
                  {run.due && sure ? `${sayShare(sure.kept)}${placed.late > 0 ? ', late' : ''}` : ''}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
      {rows.length > 0 && (
        <TextButton type="button" onClick={() => giveTable('days', asTable())}>
          As a table
        </TextButton>
      )}
    </>
  );
}
