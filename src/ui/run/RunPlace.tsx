'use client';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { fetchLater, later } from '../primitives/later';
import { placeAt, type Place } from './places';

const Opening = () => <main style={{ padding: 24, color: 'var(--ink-soft)' }}>Opening …</main>;

const views: Record<Place, React.ComponentType> = {
  '': later(() => import('../sheet/Sheet').then(({ Sheet }) => Sheet), Opening),
  part: later(() => import('../part/PartEntry').then(({ PartEntry }) => PartEntry), Opening),
  stock: later(() => import('../stock/StockPlace').then(({ StockPlace }) => StockPlace), Opening),
  times: later(() => import('../times/TimesPlace').then(({ TimesPlace }) => TimesPlace), Opening),
  revisions: later(() => import('../revisions/Revisions').then(({ Revisions }) => Revisions), Opening),
  lathe: later(() => import('../lathe/LathePlace').then(({ LathePlace }) => LathePlace), Opening),
  log: later(() => import('../log/LogPlace').then(({ LogPlace }) => LogPlace), Opening),
  print: later(() => import('../print/PrintSheet').then(({ PrintSheet }) => PrintSheet), Opening),
};

/** The mark in the browser's own timeline when every place of a run is there, with all that it opens. */
const ALL_THERE = 'places of the run are there';

async function fetchAll() {
  if (await fetchLater()) performance.mark(ALL_THERE);
}

/** What is shown at an address of a run. The other places are fetched in a quiet moment, to be there when wanted. */
export function RunPlace() {
  const View = views[placeAt(usePathname())];
  useEffect(() => {
    const idle = setTimeout(() => void fetchAll(), 1500);
    return () => clearTimeout(idle);
  }, []);
  return <View />;
}
