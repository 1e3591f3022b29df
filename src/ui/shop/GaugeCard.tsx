'use client';
import { sayFigure } from '@/core/model/units/mark';
import type { Gauge, Shop } from '@/core/model/shop/shop';
import { MEASURED } from '@/core/model/shop/tool';
import type { FormField } from './FiguresForm';
import { ListCard } from './ListCard';

const FIELDS: readonly FormField[] = [
  { key: 'name', label: 'Name', takes: 'text', needed: true },
  { key: 'repeats', label: 'Repeats to, ±', takes: 'length', needed: true },
  { key: 'minutes', label: 'A reading, min', takes: 'number', needed: true },
  { key: 'from', label: 'Reads from', takes: 'length' },
  { key: 'upTo', label: 'Up to', takes: 'length' },
  { key: 'measures', label: `Measures: ${MEASURED.join(', ')}`, takes: 'words', needed: true },
];

const rangeOf = ({ from, upTo }: Gauge): string =>
  from === undefined && upTo === undefined
    ? 'any size'
    : `${sayFigure(from ?? 0)} to ${upTo === undefined ? '…' : sayFigure(upTo)} mm`;

/** What is measured with: how closely it repeats, over which range, and what a reading takes. */
export const GaugeCard = ({ shop, onChange }: { shop: Shop; onChange: (shop: Shop) => void }) => (
  <ListCard<Gauge>
    id="gauges"
    title="Gauges"
    items={shop.gauges}
    name={({ name }) => name}
    words={(gauge) => [
      `${gauge.measures.join(', ')} · ${rangeOf(gauge)} · repeats to ±${sayFigure(gauge.repeats)} mm · ${sayFigure(gauge.minutes)} min`,
    ]}
    fields={FIELDS}
    values={(gauge) => gauge}
    made={(_, values) => values as unknown as Gauge}
    another={{ noun: 'gauge', like: (gauge) => ({ ...gauge, name: `${gauge.name}, another` }) }}
    onChange={(gauges) => onChange({ ...shop, gauges })}
  />
);
