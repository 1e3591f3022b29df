import { NextResponse } from 'next/server';
import { takeBackKey } from '@/server/keyRepository';
import { answered, refused } from '../../answers';

/** Takes a key back. */
export const DELETE = (_: Request, { params }: { params: Promise<{ id: string }> }) =>
  answered(async () => {
    const { id } = await params;
    const done = /^\d{1,9}$/.test(id) && (await takeBackKey(Number(id)));
    return done
      ? NextResponse.json({})
      : refused([{ path: '', message: 'there is no such key; it may have been taken back already' }], 404);
  });
