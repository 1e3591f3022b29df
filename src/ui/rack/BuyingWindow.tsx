'use client';
import { format, parseISO } from 'date-fns';
import { Download } from 'lucide-react';
import { useEffect, useState } from 'react';
import { buyingTable } from '@/core/formats/buyingTable';
import type { Section } from '@/core/rack/rack';
import type { ToOrder } from '@/core/schedule/toOrder';
import { useGiveTable } from '../device/useGiveTable';
import { ask, type Asked } from '../primitives/ask';
import { Button } from '../primitives/Button';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { metres } from './metres';

const sayDay = (day: string | undefined) => (day === undefined ? '' : format(parseISO(day), 'EEE d MMM'));

interface Props {
  nameOf: (section: Section) => string;
  runOf: (id: number) => string;
  onClose: () => void;
}

/** What is to be bought: from whom, by when it must be ordered, for which runs; to be taken along as a table. */
export function BuyingWindow({ nameOf, runOf, onClose }: Props) {
  const [answer, setAnswer] = useState<Asked<{ list: ToOrder[] }>>();
  const giveTable = useGiveTable();
  useEffect(() => {
    let over = false;
    void ask<{ list: ToOrder[] }>('GET', '/api/rack/buying').then((found) => over || setAnswer(found));
    return () => {
      over = true;
    };
  }, []);
  const list = answer?.ok ? answer.value.list : [];
  const today = format(new Date(), 'yyyy-MM-dd');
  return (
    <Window title="To be bought" wide open onClose={onClose}>
      {!answer && <p role="status">Looking up by when each is wanted …</p>}
      {answer && !answer.ok && <p role="alert">{answer.problems.map(({ message }) => message).join('; ')}</p>}
      {answer?.ok && (
        <>
          <Table aria-label="To be bought">
            <thead>
              <tr>
                {['from', 'order by', 'wanted on', 'what', 'bars', 'for'].map((head) => (
                  <th key={head} scope="col">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {list.map(({ supplier, orderBy, wanted, section, short, bars, barLength, runs }) => (
                <tr key={nameOf(section)}>
                  <td>{supplier || '–'}</td>
                  <td
                    style={orderBy !== undefined && orderBy < today ? { color: 'var(--oxide)', fontWeight: 700 } : {}}
                  >
                    {sayDay(orderBy)}
                    {orderBy !== undefined && orderBy < today && ', gone by'}
                  </td>
                  <td>{sayDay(wanted)}</td>
                  <th scope="row">{nameOf(section)}</th>
                  <td>{barLength === undefined ? metres(short) : `${bars} of ${metres(barLength)}`}</td>
                  <td>{[...new Set(runs.map(runOf))].join(', ')}</td>
                </tr>
              ))}
            </tbody>
          </Table>
          <p style={{ margin: '10px 0', color: 'var(--ink-soft)', fontSize: 14 }}>
            Wanted on the first day on which a run of it is begun, by the order of the days that was taken; suppliers
            and their days stand with the shop’s materials.
          </p>
          <Button onPress={() => giveTable('buying-list', buyingTable(list, nameOf, runOf))}>
            <Download size={15} aria-hidden /> CSV
          </Button>
        </>
      )}
    </Window>
  );
}
