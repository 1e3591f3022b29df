'use client';
import { Copy, Pencil, Plus } from 'lucide-react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { useWindowOf } from '../primitives/useWindow';
import { FiguresWindow, type FormField } from './FiguresForm';
import { openedBy } from './openedBy';

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
  /** One that is offered to be added: a link to it opens its window. */
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
  const [asked, show] = useWindowOf(id);
  const open = openedBy(asked, items, name, { like: another?.like, fresh: fresh?.item, offered });
  const put = (item: Item, index: number) =>
    onChange(index < items.length ? items.map((before, at) => (at === index ? item : before)) : [...items, item]);
  return (
    <Card aria-labelledby={id}>
      <h2 id={id}>{title}</h2>
      {items.map((item) => (
        <Row key={name(item)}>
          <div>
            <strong>{name(item)}</strong>
            {words(item).map((line) => (
              <p key={line}>{line}</p>
            ))}
          </div>
          <div className="do">
            <Button aria-label={`Change ${name(item)}`} onPress={() => show(`change ${name(item)}`)}>
              <Pencil size={15} aria-hidden /> Change
            </Button>
            {another && (
              <Button
                aria-label={`Add a ${another.noun} like ${name(item)}`}
                onPress={() => show(`like ${name(item)}`)}
              >
                <Copy size={15} aria-hidden /> Another
              </Button>
            )}
          </div>
        </Row>
      ))}
      {fresh && (
        <Button onPress={() => show('new')}>
          <Plus size={15} aria-hidden /> Add a {fresh.noun}
        </Button>
      )}
      {open && (
        <FiguresWindow
          title={name(open.item) || `A new ${fresh?.noun ?? 'one'}`}
          fields={fields}
          values={values(open.item)}
          onClose={() => show(undefined)}
          onDone={(typed) => {
            put(made(open.item, typed), open.index);
            show(undefined);
          }}
        />
      )}
    </Card>
  );
}
