'use client';
import dynamic from 'next/dynamic';
import { usePathname } from 'next/navigation';
import { useEffect } from 'react';
import { placeAt, type Place } from './places';

const load = {
  '': () => import('../sheet/Sheet').then(({ Sheet }) => Sheet),
  part: () => import('../part/PartEntry').then(({ PartEntry }) => PartEntry),
  stock: () => import('../stock/StockPlace').then(({ StockPlace }) => StockPlace),
  times: () => import('../times/TimesPlace').then(({ TimesPlace }) => TimesPlace),
  revisions: () => import('../revisions/Revisions').then(({ Revisions }) => Revisions),
  print: () => import('../print/PrintSheet').then(({ PrintSheet }) => PrintSheet),
} satisfies Record<Place, () => Promise<React.ComponentType>>;

const Opening = () => <main style={{ padding: 24, color: 'var(--ink-soft)' }}>Opening …</main>;

// Not made on the server: a field that stands there before it listens would lose what is typed into it.
const shown = (place: Place) => dynamic(load[place], { ssr: false, loading: Opening });

const views: Record<Place, React.ComponentType> = {
  '': shown(''),
  part: shown('part'),
  stock: shown('stock'),
  times: shown('times'),
  revisions: shown('revisions'),
  print: shown('print'),
};

/** The mark in the browser's own timeline when every place of a run is there. */
const ALL_THERE = 'places of the run are there';

async function fetchAll() {
  const fetched = await Promise.allSettled(Object.values(load).map((fetchPlace) => fetchPlace()));
  // What cannot be fetched now is fetched when it is wanted.
  if (fetched.every(({ status }) => status === 'fulfilled')) performance.mark(ALL_THERE);
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
