'use client';
import { Copy, Pencil } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import type { Machine, Shop } from '@/core/shop/shop';
import type { UsedBy } from '@/core/shop/usedBy';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { FiguresWindow, type FormField } from './FiguresForm';
import { freeId } from './freeId';

const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 12px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
  p {
    color: var(--ink-soft);
    font-size: 14px;
  }
  .do {
    display: flex;
    align-items: start;
    gap: 6px;
  }
`;

const FIELDS: readonly FormField[] = [
  { key: 'name', label: 'Name', takes: 'text', needed: true },
  { key: 'swing', label: 'Swing over the slide', takes: 'length', needed: true },
  { key: 'betweenCentres', label: 'Between centres', takes: 'length', needed: true },
  { key: 'spindleBore', label: 'Spindle bore', takes: 'length', needed: true },
  { key: 'longestBar', label: 'Longest bar', takes: 'length' },
  { key: 'quillTravel', label: 'Quill travel', takes: 'length', needed: true },
  { key: 'compoundTravel', label: 'Compound travel', takes: 'length' },
  { key: 'motorKilowatts', label: 'Motor, kW', takes: 'number', needed: true },
  { key: 'efficiency', label: 'Efficiency', takes: 'number', needed: true },
  { key: 'stations', label: 'Screws of the stop', takes: 'number', needed: true },
  { key: 'speeds', label: 'Speeds, rev/min', takes: 'numbers', needed: true },
  { key: 'feeds', label: 'Feeds, mm/rev', takes: 'numbers', needed: true },
];

const words = ({ swing, betweenCentres, spindleBore, speeds, stations }: Machine): string =>
  `swings ${swing} mm, ${betweenCentres} mm between centres, bore ${spindleBore} mm · ${speeds[0]} to ${speeds.at(-1)} rev/min · ${stations} ${stations === 1 ? 'station' : 'stations'}`;

/** The machines. Runs that name none are planned on the first. */
export function MachineCard({ shop, used, onChange }: { shop: Shop; used: UsedBy; onChange: (shop: Shop) => void }) {
  const [open, setOpen] = useState<{ machine: Machine; index: number }>();
  const { machines } = shop;
  const put = (machine: Machine, index: number) =>
    onChange({
      ...shop,
      machines:
        index < machines.length ? machines.map((own, at) => (at === index ? machine : own)) : [...machines, machine],
    });
  return (
    <Card aria-labelledby="machines">
      <h2 id="machines">Machines</h2>
      {machines.map((machine, index) => (
        <Row key={machine.id}>
          <div>
            <strong>{machine.name}</strong>
            <p>{words(machine)}</p>
            <p>
              {used.machines[machine.id]
                ? `used by ${used.machines[machine.id]?.join(', ')}`
                : 'no run is planned on it'}
            </p>
          </div>
          <div className="do">
            <Button aria-label={`Change ${machine.name}`} onPress={() => setOpen({ machine, index })}>
              <Pencil size={15} aria-hidden /> Change
            </Button>
            <Button
              aria-label={`Add a machine like ${machine.name}`}
              onPress={() =>
                setOpen({
                  machine: { ...machine, id: freeId(machine.id, machines), name: `${machine.name}, another` },
                  index: machines.length,
                })
              }
            >
              <Copy size={15} aria-hidden /> Another
            </Button>
          </div>
        </Row>
      ))}
      {open && (
        <FiguresWindow
          title={open.machine.name}
          fields={FIELDS}
          values={open.machine}
          onClose={() => setOpen(undefined)}
          onDone={(values) => {
            put(values as unknown as Machine, open.index);
            setOpen(undefined);
          }}
        />
      )}
    </Card>
  );
}
