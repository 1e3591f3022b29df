'use client';
import Link from 'next/link';
import { Empty } from '../primitives/Card';
import { HouseBar } from '../primitives/HouseBar';

/** At a lathe for which nothing is placed. */
export const NothingNext = ({ lathe }: { lathe: string }) => (
  <>
    <HouseBar at="days" />
    <main id="main" style={{ padding: 16 }}>
      <Empty>
        <h1>Nothing is to be made on {lathe}</h1>
        <p>
          What is made here stands in the <Link href="/days">days</Link>, once an order is taken there.
        </p>
      </Empty>
    </main>
  </>
);
