'use client';
import { sayFigure } from '@/core/model/units/mark';
import { MADE_HOLDERS } from '@/core/model/shop/machine';
import { holdingOf } from '@/core/plan/holding/means';
import type { KeptHolder, Shop } from '@/core/model/shop/shop';
import type { FormField } from './FiguresForm';
import { ListCard } from './ListCard';

const FIELDS: readonly FormField[] = [
  { key: 'name', label: 'Name', takes: 'text', needed: true },
  { key: 'kind', label: 'Kind', takes: MADE_HOLDERS, needed: true },
  { key: 'diameter', label: 'Holds ⌀', takes: 'length', needed: true },
  { key: 'thread', label: 'Thread, M10x1', takes: 'text' },
  { key: 'place', label: 'Kept at', takes: 'text' },
];

const FIRST: KeptHolder = { name: '', kind: 'split-bush', diameter: 10 };

interface Props {
  shop: Shop;
  /** What a run made: its window is open, to be looked over and kept. */
  offered?: KeptHolder;
  onChange: (shop: Shop) => void;
}

/** What was made once to hold by and is kept: it need not be made for a run that is held by its size. */
export const HoldersCard = ({ shop, offered, onChange }: Props) => (
  <ListCard<KeptHolder>
    id="holders"
    title="Holders made and kept"
    items={shop.holders}
    name={({ name }) => name}
    words={({ kind, diameter, thread, place }) => [
      `${holdingOf(kind)?.madeFor ?? kind} ${thread ?? `⌀${sayFigure(diameter)}`}${place ? ` · kept at ${place}` : ''}`,
    ]}
    fields={FIELDS}
    values={(holder) => holder}
    made={(_, values) => values as unknown as KeptHolder}
    fresh={{ noun: 'holder', item: FIRST }}
    {...(offered ? { offered } : {})}
    another={{ noun: 'holder', like: (holder) => ({ ...holder, name: `${holder.name}, another` }) }}
    onChange={(holders) => onChange({ ...shop, holders })}
  />
);
