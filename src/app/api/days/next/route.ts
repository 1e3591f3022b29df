import { NextResponse } from 'next/server';
import { nextOn } from '@/server/placedNow';
import { currentShop } from '@/server/shopRepository';
import { answered, refused } from '../../answers';

/** What is made next on a lathe (`?lathe=`) by the order that was taken, but for a run that was just made there (`&but=`). */
export const GET = (request: Request) =>
  answered(async () => {
    const { searchParams } = new URL(request.url);
    const [lathe, but] = [searchParams.get('lathe') ?? '', Number(searchParams.get('but') ?? 0)];
    const ids = (await currentShop()).machines.map(({ id }) => id);
    if (!ids.includes(lathe)) return refused([{ path: 'lathe', message: `must be one of ${ids.join(', ')}` }], 404);
    const next = await nextOn(lathe, ids, but > 0 ? but : undefined);
    return NextResponse.json({ ...(next ? { next } : {}) });
  });
