'use client';
import { sayFixed } from '@/core/model/units/mark';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import { earlierCosts } from '@/core/money/earlier';
import type { LearnedRun } from '@/core/lathe/learnFrom';
import { Heads, Table } from '../primitives/Table';

interface Props {
  learned: readonly LearnedRun[];
  number: string;
  id: string;
}

const HEADS = [
  'Made to the end',
  { figures: 'good' },
  { figures: 'a piece, reckoned' },
  { figures: 'really' },
  { figures: 'sold at' },
];

/** What earlier runs of the same part really cost; nothing where none says so. */
export function EarlierCosts({ learned, number, id }: Props) {
  const earlier = earlierCosts(learned, number, Number(id));
  if (earlier.length === 0) return null;
  return (
    <Table>
      <caption style={{ textAlign: 'left', fontWeight: 700, padding: '8px 0 2px' }}>What it cost before</caption>
      <Heads of={HEADS} />
      <tbody>
        {earlier.map(({ run, cost: { good, reckoned, really, soldAt, on } }) => (
          <tr key={run}>
            <th scope="row">
              <Link href={`/runs/${run}/log`} prefetch={false}>
                {format(parseISO(on), 'd MMM yyyy')}
              </Link>
            </th>
            <td className="figure">{good}</td>
            <td className="figure">{sayFixed(reckoned, 2)}</td>
            <td className="figure">{sayFixed(really, 2)}</td>
            <td className="figure">{soldAt !== undefined && sayFixed(soldAt, 2)}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}
