import { NextResponse } from 'next/server';
import { planAnew } from '@/server/plannedWith';
import { answered, idIn, refused } from '../../../answers';

type Context = { params: Promise<{ id: string }> };

/** Has a run that is begun planned with the shop and the rack as they are now, in place of those that it was begun with. */
export const POST = (_: Request, { params }: Context) =>
  answered(async () => {
    const id = idIn(await params);
    if (id === undefined || !(await planAnew(id)))
      return refused(
        [{ path: '', message: 'nothing has happened in this run yet: it is planned with the shop as it is' }],
        409,
      );
    return NextResponse.json({});
  });
