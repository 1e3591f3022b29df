'use client';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { pickFromRack, sectionOfRun, type Picked } from '@/core/rack/pick';
import { sameSection, type RackItem } from '@/core/rack/rack';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { actOn, fetchRack } from '../rack/api';
import { useWorkspace } from '../run/WorkspaceContext';

const Table = styled.table`
  width: 100%;
  margin: 8px 0 12px;
  border-collapse: collapse;
  th,
  td {
    padding: 4px 8px 4px 0;
    border-bottom: 1px solid var(--line);
    text-align: left;
  }
  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  td.figure {
    font-family: var(--mono);
  }
`;

/** The bars that would be taken, and whether they are the run's already. */
const PickedBars = ({
  picked,
  units,
  kept,
}: {
  picked: readonly Picked[];
  units: UnitSystem;
  kept: (pick: Picked) => boolean;
}) => (
  <Table>
    <thead>
      <tr>
        <th scope="col">Bar</th>
        <th scope="col">Place, batch</th>
        <th scope="col">Pieces</th>
        <th scope="col">Takes, {units}</th>
        <th scope="col">Reserved</th>
      </tr>
    </thead>
    <tbody>
      {picked.map((pick) => (
        <tr key={pick.item.id}>
          <td>
            {pick.item.id} {pick.item.offcut ? 'offcut' : 'bar'} of {formatLength(pick.item.length, units)}
          </td>
          <td>{[pick.item.place, pick.item.batch].filter(Boolean).join(' · ')}</td>
          <td className="figure">{pick.pieces}</td>
          <td className="figure">{formatLength(pick.length, units)}</td>
          <td>{kept(pick) ? 'for this run' : '—'}</td>
        </tr>
      ))}
    </tbody>
  </Table>
);

/** Bars and offcuts of the rack for this run: which would be taken, and reserving them. */
export function FromTheRack({ plan }: { plan: Plan }) {
  const { id } = useWorkspace();
  const [items, setItems] = useState<RackItem[] | 'away'>();
  const [told, setTold] = useState('');
  const [busy, setBusy] = useState(false);
  const run = id === 'new' ? undefined : Number(id);
  const look = () => fetchRack().then((rack) => setItems(rack ?? 'away'));
  useEffect(() => void look(), []);
  const { stock, run: planned } = plan;
  const { units } = planned;
  const material = planned.shop.material;
  const name = `${material.name} ${nameOfBar(stock, units)}`;
  if (items === undefined || items === 'away')
    return (
      <Card aria-labelledby="from-rack">
        <h2 id="from-rack">On the rack</h2>
        <p>{items ? 'The server does not answer; the rack is kept there.' : 'Looking at the rack …'}</p>
      </Card>
    );
  const ofSection = items.filter((item) => sameSection(item, sectionOfRun(material.id, stock)));
  const reserved = ofSection.flatMap((item) =>
    item.reserved.filter((one) => one.run === run).map(({ length }) => ({ item, length })),
  );
  const { picked, missing, barsToBuy } = pickFromRack(stock, material.id, items, run);
  const kept = (pick: Picked) =>
    reserved.some(({ item, length }) => item.id === pick.item.id && Math.abs(length - pick.length) < 0.01);
  const done = picked.length > 0 && picked.every(kept) && reserved.length === picked.length;
  const reserve = async () => {
    if (run === undefined) return;
    setBusy(true);
    // What the run no longer needs is free for others first.
    for (const { item } of reserved)
      if (!picked.some((pick) => pick.item.id === item.id)) await actOn(item.id, { do: 'release', run });
    const refused: string[] = [];
    for (const pick of picked) {
      const outcome = await actOn(pick.item.id, { do: 'reserve', run, length: pick.length });
      if (!outcome.ok) refused.push(outcome.problems[0]?.message ?? '');
    }
    setTold(refused.join('; '));
    await look();
    setBusy(false);
  };
  return (
    <Card aria-labelledby="from-rack">
      <h2 id="from-rack">On the rack</h2>
      {picked.length === 0 ? (
        <p>
          {ofSection.length === 0
            ? `There is no ${name}.`
            : `There is ${name}, and nothing of it is free in a length that gives a piece.`}{' '}
          {barsToBuy} {barsToBuy === 1 ? 'bar' : 'bars'} to buy.
        </p>
      ) : (
        <>
          <p>
            {missing === 0
              ? 'All of it is there.'
              : `For ${missing} pieces ${barsToBuy} ${barsToBuy === 1 ? 'bar' : 'bars'} must be bought.`}
          </p>
          <PickedBars picked={picked} units={units} kept={kept} />
          {run === undefined ? (
            <p>Save the run first; then its bars can be reserved.</p>
          ) : (
            <Button $strong={!done} isDisabled={busy || done} onPress={() => void reserve()}>
              {done ? 'Reserved for this run' : 'Reserve these for this run'}
            </Button>
          )}
        </>
      )}
      <p role="alert" style={{ color: 'var(--oxide)' }}>
        {told}
      </p>
    </Card>
  );
}
