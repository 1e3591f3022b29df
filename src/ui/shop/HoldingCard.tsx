'use client';
import { sayFigure } from '@/core/model/units/mark';
import { capital } from '@/core/model/words';
import { holdingOf } from '@/core/plan/holding/means';
import type { HoldingMeans, Shop } from '@/core/model/shop/shop';
import type { FormField } from './FiguresForm';
import { ListCard } from './ListCard';

const FIELDS: readonly FormField[] = [
  { key: 'from', label: 'From', takes: 'length', needed: true },
  { key: 'upTo', label: 'Up to', takes: 'length', needed: true },
  { key: 'length', label: 'Covers', takes: 'length', needed: true },
  { key: 'runOut', label: 'Run-out', takes: 'length', needed: true },
  { key: 'load', label: 'A piece in, min', takes: 'number', needed: true },
  { key: 'change', label: 'Made ready, min', takes: 'number', needed: true },
];

const named = ({ kind }: HoldingMeans): string => capital(holdingOf(kind)?.words ?? kind);

/** Means of holding beside chuck and collets, which belong to the machines. */
export const HoldingCard = ({ shop, onChange }: { shop: Shop; onChange: (shop: Shop) => void }) => (
  <ListCard<HoldingMeans>
    id="holding"
    title="Means of holding"
    items={shop.holdings}
    name={named}
    words={({ from, upTo, length, runOut, load, change }) => [
      `⌀${sayFigure(from)} to ${sayFigure(upTo)}, covers ${sayFigure(length)} mm · run-out ${sayFigure(runOut)} mm · ${sayFigure(load)} min a piece, ${sayFigure(change)} min to make ready`,
    ]}
    fields={FIELDS}
    values={(means) => means}
    made={(means, values) => ({ ...means, ...values })}
    onChange={(holdings) => onChange({ ...shop, holdings })}
  />
);
