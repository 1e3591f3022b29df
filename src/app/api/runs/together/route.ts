import { NextResponse } from 'next/server';
import { runsThatShare, sayKept } from '@/core/ask/runsThatShare';
import { listSettings, runNames } from '@/server/runList';
import { answered } from '../../answers';

export const dynamic = 'force-dynamic';

/** So many are told: what saves less is not worth an order. */
const MOST = 12;

/** A run right after another, by their ids and names, and what stays set up between them. */
export interface Together {
  first: { id: number; name: string };
  then: { id: number; name: string };
  /** In words. */
  kept: string;
  saves: number;
}

/** Which runs are best made one right after the other. */
export const GET = () =>
  answered(async () => {
    const [settings, names] = await Promise.all([listSettings(), runNames()]);
    const named = (id: number) => {
      const run = names.find((one) => one.id === id);
      return { id, name: run ? `${run.number} ${run.name}` : `run ${id}` };
    };
    const together = runsThatShare(settings)
      .slice(0, MOST)
      .map(({ first, then, kept, saves }): Together => ({
        first: named(first),
        then: named(then),
        kept: sayKept(kept),
        saves,
      }));
    return NextResponse.json(together);
  });
