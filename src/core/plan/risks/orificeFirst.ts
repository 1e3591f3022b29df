import { orificesOf } from '../reach/orifices';
import type { RiskKind } from './risk';

/** A narrow hole that is drilled before the wide ones, which open it, are there: it goes deeper than it would then (trade: Order). */
export const orificeFirst: RiskKind = (setups, run) => {
  const places = new Map(
    setups.flatMap(({ operations }) => operations.map(({ feature, number }) => [feature, number] as const)),
  );
  return orificesOf(run.part, run.shop.cutting).flatMap(({ path, wider }) => {
    const own = places.get(path);
    const isFirst = own !== undefined && wider.some((other) => (places.get(other) ?? -Infinity) > own);
    return isFirst
      ? [{ price: 'softRule' as const, because: 'A narrow hole is drilled before the wide ones that open it.' }]
      : [];
  });
};
