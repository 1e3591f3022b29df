import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { NextResponse } from 'next/server';
import { answered } from '../answers';

/** What a page wants: scripts, styles and typefaces. The solver of cut lists is not for the lathe. */
const WANTED = /\.(js|css|woff2)$/;

/** The files of the build that pages are made of, for a device that keeps them to go on without a net. */
export const GET = () =>
  answered(async () => {
    const folder = join(process.cwd(), process.env.SHINGLE_BUILD ?? '.next', 'static');
    const names = await readdir(folder, { recursive: true });
    const files = names.filter((name) => WANTED.test(name)).map((name) => `/_next/static/${name}`);
    return NextResponse.json({ files });
  });
