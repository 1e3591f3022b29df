'use client';
import { Copy, Pencil, Plus } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { FiguresWindow, type FormField } from './FiguresForm';

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

interface Props<Item> {
  id: string;
  title: string;
  items: readonly Item[];
  name: (item: Item) => string;
  /** What there is to know of it, a line each. */
  words: (item: Item) => string[];
  fields: readonly FormField[];
  /** Its figures as the form has them, and back. */
  values: (item: Item) => object;
  made: (item: Item, values: Record<string, unknown>) => Item;
  /** Another like it; without this there are none to add. */
  another?: { noun: string; like: (item: Item) => Item };
  /** A first one, for a list that may be empty. */
  fresh?: { noun: string; item: Item };
  /** One that is offered to be added: its window is open from the start. */
  offered?: Item;
  onChange: (items: Item[]) => void;
}

/** A short list of things of the shop: what there is to know of each, a window to change it, and another like it. */
export function ListCard<Item>({
  id,
  title,
  items,
  name,
  words,
  fields,
  values,
  made,
  another,
  fresh,
  offered,
  onChange,
}: Props<Item>) {
  const [open, setOpen] = useState<{ item: Item; index: number } | undefined>(
    offered && { item: offered, index: items.length },
  );
  const put = (item: Item, index: number) =>
    onChange(index < items.length ? items.map((before, at) => (at === index ? item : before)) : [...items, item]);
  return (
    <Card aria-labelledby={id}>
      <h2 id={id}>{title}</h2>
      {items.map((item, index) => (
        <Row key={name(item)}>
          <div>
            <strong>{name(item)}</strong>
            {words(item).map((line) => (
              <p key={line}>{line}</p>
            ))}
          </div>
          <div className="do">
            <Button aria-label={`Change ${name(item)}`} onPress={() => setOpen({ item, index })}>
              <Pencil size={15} aria-hidden /> Change
            </Button>
            {another && (
              <Button
                aria-label={`Add a ${another.noun} like ${name(item)}`}
                onPress={() => setOpen({ item: another.like(item), index: items.length })}
              >
                <Copy size={15} aria-hidden /> Another
              </Button>
            )}
          </div>
        </Row>
      ))}
      {fresh && (
        <Button onPress={() => setOpen({ item: fresh.item, index: items.length })}>
          <Plus size={15} aria-hidden /> Add a {fresh.noun}
        </Button>
      )}
      {open && (
        <FiguresWindow
          title={name(open.item) || `A new ${fresh?.noun ?? 'one'}`}
          fields={fields}
          values={values(open.item)}
          onClose={() => setOpen(undefined)}
          onDone={(typed) => {
            put(made(open.item, typed), open.index);
            setOpen(undefined);
          }}
        />
      )}
    </Card>
  );
}
