import { NextResponse } from 'next/server';
import { calendarFile } from '@/core/formats/calendarFile';
import { placedNow } from '@/server/placedNow';
import { currentShop } from '@/server/shopRepository';
import { answered, refused } from '../../answers';

/**
 * The days as a calendar: of everything, of a lathe (`?lathe=`) or of a run (`?run=`). Over the network a calendar program asks with
 * the key of a device in the address (`&key=`).
 */
export const GET = (request: Request) =>
  answered(async () => {
    const { searchParams } = new URL(request.url);
    const [lathe, run] = [searchParams.get('lathe') ?? undefined, searchParams.get('run') ?? undefined];
    const { machines } = await currentShop();
    const { placed, runs, all, days, today, stamp } = await placedNow(machines.map(({ id }) => id));
    if (lathe !== undefined && !machines.some(({ id }) => id === lathe))
      return refused([{ path: 'lathe', message: `must be one of ${machines.map(({ id }) => id).join(', ')}` }], 404);
    if (run !== undefined && !all.some(({ id }) => String(id) === run))
      return refused([{ path: 'run', message: 'is no run that is still to be made' }], 404);
    if (days.order.length === 0)
      return refused([{ path: '', message: 'no order is taken yet: open Days and take one' }], 409);
    const text = calendarFile({
      placed,
      runs,
      days,
      machines,
      today,
      stamp,
      ...(lathe === undefined ? {} : { lathe }),
      ...(run === undefined ? {} : { run: Number(run) }),
    });
    return new NextResponse(text, {
      headers: {
        'content-type': 'text/calendar; charset=utf-8',
        'content-disposition': 'attachment; filename="shingle-days.ics"',
      },
    });
  });
