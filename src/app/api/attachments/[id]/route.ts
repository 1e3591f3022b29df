import { NextResponse } from 'next/server';
import { contentOf, keepAttached } from '@/server/attachments';
import { answered, idIn, refused } from '../../answers';

type Context = { params: Promise<{ id: string }> };

const missing = () => refused([{ path: '', message: 'nothing is kept under this number' }], 404);

/** What is kept, as it came: shown as what it was found to be, and never run. */
export const GET = (_: Request, { params }: Context) =>
  answered(async () => {
    const id = idIn(await params);
    const kept = id === undefined ? undefined : await contentOf(id);
    if (!kept) return missing();
    return new NextResponse(new Uint8Array(kept.content), {
      headers: {
        'content-type': kept.type,
        'content-disposition': `${kept.type === 'application/pdf' ? 'attachment' : 'inline'}; filename*=UTF-8''${encodeURIComponent(kept.name)}`,
        'x-content-type-options': 'nosniff',
        'cache-control': 'private, max-age=31536000, immutable',
      },
    });
  });

/** Takes it away; `?back` brings it back. */
export const DELETE = (request: Request, { params }: Context) =>
  answered(async () => {
    const id = idIn(await params);
    const back = new URL(request.url).searchParams.has('back');
    return id !== undefined && (await keepAttached(id, back)) ? NextResponse.json({}) : missing();
  });
