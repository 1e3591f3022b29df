'use client';
import { sayEntry } from '@/core/model/units/mark';
import { Pencil } from 'lucide-react';
import styled from 'styled-components';
import type { FigureGroup } from '@/core/model/shop/figureGroup';
import { figuresAt, withFigures } from '@/core/model/shop/figureGroups';
import type { Shop } from '@/core/model/shop/shop';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { useWindow } from '../primitives/useWindow';
import { FiguresWindow } from './FiguresForm';

const Head = styled.div`
  display: flex;
  align-items: start;
  justify-content: space-between;
  gap: 12px;
  margin-bottom: 6px;
  small {
    margin-left: 8px;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
`;

const List = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 0 22px;
  > div {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding: 3px 0;
    border-bottom: 1px dotted var(--line);
  }
  dt {
    color: var(--ink-soft);
  }
  dd {
    font-family: var(--mono);
  }
`;

/** Figures of the shop that stand together, as they are, and a window to change them. */
export function FiguresCard({
  group,
  shop,
  onChange,
}: {
  group: FigureGroup;
  shop: Shop;
  onChange: (shop: Shop) => void;
}) {
  const figures = figuresAt(shop, group);
  const id = `figures-${group.of.replace('.', '-')}`;
  const [open, show] = useWindow(id);
  return (
    <Card aria-labelledby={id}>
      <Head>
        <h2>
          <span id={id}>{group.title}</span>
          <small>{group.hint}</small>
        </h2>
        <Button aria-label={`Change ${group.title}`} onPress={() => show(id)}>
          <Pencil size={15} aria-hidden /> Change
        </Button>
      </Head>
      <List>
        {group.figures.map(({ key, label }) => (
          <div key={key}>
            <dt>{label}</dt>
            <dd>{sayEntry(figures[key] ?? '')}</dd>
          </div>
        ))}
      </List>
      {open && (
        <FiguresWindow
          title={group.title}
          fields={group.figures.map((figure) => ({ ...figure, needed: true }))}
          values={figures}
          onClose={() => show(undefined)}
          onDone={(values) => {
            onChange(withFigures(shop, group, values));
            show(undefined);
          }}
        />
      )}
    </Card>
  );
}
