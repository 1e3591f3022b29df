import { sayTooLarge, type Attached } from '@/core/formats/attachedFile';

/** What came of asking: what is kept, or why not, in words. */
export type Kept<T> = { ok: true; value: T } | { ok: false; because: string };

const UNREACHABLE = 'the server does not answer; nothing was kept. Try again in a moment';

async function ask<T>(method: string, path: string, body?: unknown): Promise<Kept<T>> {
  try {
    const response = await fetch(path, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    });
    const answer = (await response.json()) as T & { problems?: { message: string }[] };
    return response.ok
      ? { ok: true, value: answer }
      : { ok: false, because: answer.problems?.[0]?.message ?? UNREACHABLE };
  } catch {
    return { ok: false, because: UNREACHABLE };
  }
}

const base64Of = (file: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '');
    reader.onerror = () => reject(new Error('the file does not read'));
    reader.readAsDataURL(file);
  });

/** What is kept with the part of a run. */
export const attachedTo = (run: string): Promise<Kept<{ attached: Attached[] }>> =>
  ask('GET', `/api/runs/${run}/attachments`);

/** Keeps a file with the part of a run. */
export async function attach(run: string, file: File): Promise<Kept<{ attached: Attached }>> {
  const tooLarge = sayTooLarge(file.size);
  if (tooLarge) return { ok: false, because: tooLarge };
  return ask('POST', `/api/runs/${run}/attachments`, { name: file.name.slice(-120), content: await base64Of(file) });
}

/** Takes one away, or brings it back. */
export const keepAttached = (id: number, kept: boolean): Promise<Kept<object>> =>
  ask('DELETE', `/api/attachments/${id}${kept ? '?back' : ''}`);

/** Where its content is. */
export const addressOfAttached = (id: number): string => `/api/attachments/${id}`;
