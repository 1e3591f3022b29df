'use client';
import { sayFixed } from '@/core/model/units/mark';
import styled from 'styled-components';
import { freeLength, type Lot as LotItems, type RackItem } from '@/core/rack/rack';
import { Button } from '../primitives/Button';
import { TextButton } from '../primitives/TextButton';
import { metres } from './metres';

const Lot = styled.section`
  overflow-x: auto;
  margin-bottom: 12px;
  padding: 10px 16px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--brass);
  border-radius: 6px;
  background: var(--sheet);
  h2 {
    margin-bottom: 6px;
    font-size: 16px;
  }
  h2 small {
    margin-left: 8px;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  table {
    width: 100%;
    min-width: 760px;
    border-collapse: collapse;
    table-layout: fixed;
  }
  th {
    padding: 0 10px 4px 0;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
  }
  td {
    padding: 5px 10px 5px 0;
    border-top: 1px solid var(--line);
  }
  .figure {
    font-family: var(--mono);
    text-align: right;
  }
  td:last-child {
    text-align: right;
    white-space: nowrap;
  }
  td:last-child button {
    margin-left: 6px;
  }
`;

/** A bar as a strip: what is reserved of it hatched, what is free plain. */
const Strip = styled.div`
  display: flex;
  height: 14px;
  border: 1px solid var(--ink-soft);
  border-radius: 2px;
  background: var(--metal);
  overflow: hidden;
  i {
    border-right: 1px solid var(--ink);
    background: repeating-linear-gradient(45deg, var(--brass-soft) 0 3px, var(--brass) 3px 5px);
  }
`;

const Keep = styled(Button)`
  float: right;
  min-height: 30px;
  font-size: 14px;
  font-weight: 400;
`;

/** How wide the columns of a lot are, px; what is reserved takes the rest. */
const COLUMNS = [
  { head: 'Bar', width: 92 },
  { head: 'Length, mm', width: 92, right: true },
  { head: 'Free', width: 84, right: true },
  { head: 'What of it is reserved' },
  { head: 'Place, batch, price', width: 190 },
];

export interface LotProps {
  items: LotItems;
  name: string;
  /** What is kept of it, mm. */
  least: number;
  currency: string;
  runOf: (id: number) => string;
  onLevel: () => void;
  onReserve: (item: RackItem) => void;
  onUse: (item: RackItem) => void;
  onRelease: (item: RackItem, run: number) => void;
}

/** The bars and offcuts of one section: how long, how much of each is free, and whose the rest is. */
export function RackLot(props: LotProps) {
  const { items, name, least, onLevel } = props;
  const longest = Math.max(...items.map(({ length }) => length));
  return (
    <Lot aria-label={name}>
      <h2>
        {name}
        <small>
          {metres(items.reduce((total, item) => total + freeLength(item), 0))} free of{' '}
          {metres(items.reduce((total, { length }) => total + length, 0))}
        </small>
        <Keep onPress={onLevel}>
          {least > 0 ? `keep ${metres(least)}` : 'keep …'}
          <span className="unseen"> of {name}</span>
        </Keep>
      </h2>
      <table>
        <thead>
          <tr>
            {COLUMNS.map(({ head, width, right }) => (
              <th key={head} scope="col" style={{ width, ...(right ? { textAlign: 'right' } : {}) }}>
                {head}
              </th>
            ))}
            <th scope="col" style={{ width: 190 }}>
              <span className="unseen">Do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {items.map((item) => (
            <BarRow key={item.id} item={item} longest={longest} {...props} />
          ))}
        </tbody>
      </table>
    </Lot>
  );
}

function BarRow({
  item,
  longest,
  currency,
  runOf,
  onReserve,
  onUse,
  onRelease,
}: LotProps & { item: RackItem; longest: number }) {
  return (
    <tr>
      <td>
        {item.id} <small>{item.offcut ? 'offcut' : 'bar'}</small>
      </td>
      <td className="figure">{sayFixed(item.length, 1)}</td>
      <td className="figure">{sayFixed(freeLength(item), 1)}</td>
      <td>
        <Strip aria-hidden style={{ width: `${(100 * item.length) / longest}%` }}>
          {item.reserved.map(({ run, length }) => (
            <i key={run} style={{ width: `${(100 * length) / item.length}%` }} />
          ))}
        </Strip>
        {item.reserved.map(({ run, length }) => (
          <small key={run} style={{ marginRight: 10 }}>
            {runOf(run)} {sayFixed(length, 1)} mm{' '}
            <TextButton onClick={() => onRelease(item, run)} aria-label={`Release ${runOf(run)} from bar ${item.id}`}>
              release
            </TextButton>
          </small>
        ))}
      </td>
      <td>
        {[item.place, item.batch, item.price !== undefined && `${sayFixed(item.price, 2)} ${currency}`]
          .filter(Boolean)
          .join(' · ')}
      </td>
      <td>
        <Button aria-label={`Reserve of bar ${item.id}`} onPress={() => onReserve(item)}>
          Reserve
        </Button>
        <Button aria-label={`Bar ${item.id} is used`} onPress={() => onUse(item)}>
          Used
        </Button>
      </td>
    </tr>
  );
}
