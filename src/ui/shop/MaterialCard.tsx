'use client';
import { sayFigure } from '@/core/model/units/mark';
import { FLUIDS } from '@/core/model/shop/material';
import type { Material, Shop } from '@/core/model/shop/shop';
import type { FormField } from './FiguresForm';
import { freeId } from './freeId';
import { ListCard } from './ListCard';

const FIELDS: readonly FormField[] = [
  { key: 'name', label: 'Name', takes: 'text', needed: true },
  { key: 'density', label: 'Density, g/cm³', takes: 'number', needed: true },
  { key: 'hss', label: 'Speed HSS, m/min', takes: 'number', needed: true },
  { key: 'carbide', label: 'Speed carbide, m/min', takes: 'number', needed: true },
  { key: 'kc', label: 'kc1.1, N/mm²', takes: 'number', needed: true },
  { key: 'm', label: 'Exponent m', takes: 'number', needed: true },
  { key: 'elasticity', label: 'Elasticity, N/mm²', takes: 'number' },
  { key: 'expansion', label: 'Grows with heat, 10⁻⁶/K', takes: 'number' },
  { key: 'deepestCut', label: 'Deepest cut a side', takes: 'length', needed: true },
  { key: 'drillFeed', label: 'Drill feed, × diameter', takes: 'number', needed: true },
  { key: 'tough', label: 'Tough', takes: 'yes', needed: true },
  { key: 'stringy', label: 'Long chips', takes: 'yes', needed: true },
  { key: 'fluid', label: 'Fluid', takes: FLUIDS },
  { key: 'fluidShutIn', label: 'Where chips are shut in', takes: FLUIDS },
  { key: 'caution', label: 'Caution', takes: 'text' },
  { key: 'supplier', label: 'Bought from', takes: 'text' },
  { key: 'deliveryDays', label: 'Days on their way', takes: 'number' },
];

const flat = ({ speed, force, ...rest }: Material) => ({ ...rest, ...speed, ...force });

/** A material from its figures; the form only gives back what reads as it must. */
function made(material: Material, values: Record<string, unknown>): Material {
  const { hss, carbide, kc, m, ...rest } = values as unknown as Omit<Material, 'speed' | 'force'> &
    Material['speed'] &
    Material['force'];
  return { ...rest, bars: material.bars, speed: { hss, carbide }, force: { kc, m } };
}

/** The materials: speeds, force, cuts, and what to mind. Their bars stay as the list has them. */
export function MaterialCard({ shop, onChange }: { shop: Shop; onChange: (shop: Shop) => void }) {
  const { materials } = shop;
  return (
    <ListCard<Material>
      id="materials"
      title="Materials"
      items={materials}
      name={({ name }) => name}
      words={({ speed, force, density, deepestCut, tough, stringy, bars, supplier, deliveryDays }) => [
        `HSS ${sayFigure(speed.hss)}, carbide ${sayFigure(speed.carbide)} m/min · kc1.1 ${sayFigure(force.kc)} N/mm², m ${sayFigure(force.m)} · ${sayFigure(density)} g/cm³ · ${sayFigure(deepestCut)} mm deep a side`,
        [
          tough ? 'tough' : 'not tough',
          stringy ? 'long chips' : 'short chips',
          `${bars.length} ${bars.length === 1 ? 'list' : 'lists'} of bars`,
          ...(supplier ? [`from ${supplier}`] : []),
          ...(deliveryDays === undefined ? [] : [`${deliveryDays} days on their way`]),
        ].join(' · '),
      ]}
      fields={FIELDS}
      values={flat}
      made={made}
      another={{
        noun: 'material',
        like: (material) => ({ ...material, id: freeId(material.id, materials), name: `${material.name}, another` }),
      }}
      onChange={(changed) => onChange({ ...shop, materials: changed })}
    />
  );
}
