import { EDGES } from '../model/shop/material';
import type { RunFile } from '../read/runFile';
import { planFile } from '../plan/plan';
import type { FigureGroup } from '../model/shop/figureGroup';
import { figureGroups, figuresAt, withFigures } from '../model/shop/figureGroups';
import type { Shop, Spread } from '../model/shop/shop';

/** How far the time for a batch goes down and up with one figure of the shop, over its honest range, minutes. */
export interface Swing {
  name: string;
  /** Where the shop has it: the title of its figures. */
  of: string;
  /** The figure, and what it goes down and up to. */
  value: number;
  range: [number, number];
  minutes: [number, number];
}

/** A figure that may be off, and the shop with it changed. */
interface Probe {
  name: string;
  of: string;
  value: number;
  spread: Spread;
  changed(value: number): Shop;
}

const groupProbes = (shop: Shop, group: FigureGroup, spread: Spread): Probe[] =>
  group.figures.flatMap(({ key, label }) => {
    const value = figuresAt(shop, group)[key] ?? 0;
    return value > 0
      ? [
          {
            name: label,
            of: group.title,
            value,
            spread,
            changed: (to: number) => withFigures(shop, group, { [key]: to }),
          },
        ]
      : [];
  });

function probesOf(shop: Shop, material: string): Probe[] {
  const { cutting, hand, setup } = shop.spreads;
  const groups = figureGroups(shop);
  const of = (name: string) => groups.filter((group) => group.of === name);
  const speed = shop.materials.find(({ id }) => id === material)?.speed;
  return [
    ...of('handMinutes').flatMap((group) => groupProbes(shop, group, hand)),
    ...of('').flatMap((group) => groupProbes(shop, group, hand)),
    ...of('setupMinutes').flatMap((group) => groupProbes(shop, group, setup)),
    ...(['hss', 'carbide'] as const).map((edge): Probe => ({
      name: `Cutting speed of ${EDGES[edge]}`,
      of: 'Materials',
      value: speed?.[edge] ?? 0,
      spread: { down: cutting.up, up: cutting.down },
      changed: (to) => ({
        ...shop,
        materials: shop.materials.map((candidate) =>
          candidate.id === material ? { ...candidate, speed: { ...candidate.speed, [edge]: to } } : candidate,
        ),
      }),
    })),
  ];
}

/** Which figures move the time for the batch most: each planned at both ends of its range, one after the other. */
export function* swingsOf(file: RunFile, shop: Shop): Generator<number, Swing[]> {
  const plan = planFile(file, shop, 'wanted');
  if (!plan.ok) return [];
  const now = plan.value.times.batch.value;
  // A figure a little otherwise moves the minutes of these routes, and no other one into their place.
  const minutesWith = (changed: Shop) => {
    const moved = planFile(file, changed, 'wanted', { only: plan.value.route.best });
    return moved.ok ? moved.value.times.batch.value : undefined;
  };
  const probes = probesOf(shop, plan.value.run.shop.material.id);
  const swings: Swing[] = [];
  for (const [index, { name, of, value, spread, changed }] of probes.entries()) {
    const range: [number, number] = [value * (1 - spread.down), value * (1 + spread.up)];
    const up = minutesWith(changed(range[1]));
    // What does nothing one way does nothing the other.
    if (up !== undefined && Math.abs(up - now) > 1e-6) {
      const down = minutesWith(changed(range[0])) ?? now;
      swings.push({ name, of, value, range, minutes: [down - now, up - now] });
    }
    yield (index + 1) / probes.length;
  }
  const wide = ({ minutes: [a, b] }: Swing) => Math.abs(a - b);
  return swings.sort((a, b) => wide(b) - wide(a));
}

/** All of it at once. */
export function allSwings(file: RunFile, shop: Shop): Swing[] {
  const each = swingsOf(file, shop);
  for (;;) {
    const { done, value } = each.next();
    if (done) return value;
  }
}
