'use client';
import { sayFixed } from '@/core/model/units/mark';
import type { LearnedGroup } from '@/core/lathe/learnFrom';
import { Heads, Table } from '../primitives/Table';

const HEADS = [
  'Minutes of',
  { figures: 'planned' },
  { figures: 'learned' },
  { figures: 'from' },
  { figures: 'to' },
  { figures: 'factor' },
  { figures: 'pieces' },
];

/** What each group of minutes takes by what was learned, between what four of five batches lie, and from how many pieces. */
export const LearnedTable = ({ groups }: { groups: readonly LearnedGroup[] }) => (
  <Table>
    <Heads of={HEADS} />
    <tbody>
      {groups.map(({ group, words, planned, expected, p10, p90, learned }) => (
        <tr key={group}>
          <th scope="row">{words}</th>
          {[planned, expected, p10, p90, expected / planned].map((minutes, index) => (
            <td key={index} className="figure">
              {sayFixed(minutes, 2)}
            </td>
          ))}
          <td className="figure">{learned.pieces}</td>
        </tr>
      ))}
    </tbody>
  </Table>
);
