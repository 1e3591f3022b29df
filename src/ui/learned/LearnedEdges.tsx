'use client';
import { sayFigure, sayFixed } from '@/core/model/units/mark';
import Link from 'next/link';
import { learnedEdges } from '@/core/lathe/edgeWear';
import type { Taught } from '@/core/lathe/learnFrom';
import { EDGES } from '@/core/model/shop/material';
import type { Shop } from '@/core/model/shop/shop';

interface Props {
  edges: Shop['edges'];
  said: readonly Taught['edges'][];
}

/** How long edges lasted beside what the shop says of them, and where that is put right; nothing where none was worn. */
export function LearnedEdges({ edges, said }: Props) {
  const learned = learnedEdges(said);
  if (learned.length === 0) return null;
  return (
    <p style={{ marginTop: 8 }}>
      {learned.map(({ kind, factor, worn }) => (
        <span key={kind}>
          An edge of {EDGES[kind]} lasts <b>{sayFixed(edges[kind].life * factor, 0)} min</b> at its table speed, by{' '}
          {worn} that {worn === 1 ? 'was' : 'were'} worn; the shop has {sayFigure(edges[kind].life)}.{' '}
        </span>
      ))}
      <Link href="/shop?page=money" prefetch={false}>
        Put it right in the shop
      </Link>
    </p>
  );
}
