import { sayTooLarge, type Attached } from '@/core/formats/attachedFile';
import { ask, type Asked } from '../primitives/ask';

const base64Of = (file: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '');
    reader.onerror = () => reject(new Error('the file does not read'));
    reader.readAsDataURL(file);
  });

/** What is kept with the part of a run. */
export const attachedTo = (run: string): Promise<Asked<{ attached: Attached[] }>> =>
  ask('GET', `/api/runs/${run}/attachments`);

/** Keeps a file with the part of a run. */
export async function attach(run: string, file: File): Promise<Asked<{ attached: Attached }>> {
  const tooLarge = sayTooLarge(file.size);
  if (tooLarge) return { ok: false, problems: [{ path: 'content', message: tooLarge }] };
  return ask('POST', `/api/runs/${run}/attachments`, { name: file.name.slice(-120), content: await base64Of(file) });
}

/** Takes one away, or brings it back. */
export const keepAttached = (id: number, kept: boolean): Promise<Asked<object>> =>
  ask('DELETE', `/api/attachments/${id}${kept ? '?back' : ''}`);

/** Where its content is. */
export const addressOfAttached = (id: number): string => `/api/attachments/${id}`;
