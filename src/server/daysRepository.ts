import { readDays } from '@/core/formats/daysFile';
import type { DaysFile } from '@/core/schedule/days';
import { startDays } from '@/core/schedule/startDays';
import { database } from './database';
import { currentShop } from './shopRepository';

/** When the shop works and what is decided of its runs: the newest revision; 0 is what nobody has said anything of yet. */
export async function currentDays(): Promise<{ revision: number; days: DaysFile }> {
  const newest = await database()('days_revisions')
    .orderBy('revision', 'desc')
    .first<{ revision: number; document: string } | undefined>('revision', 'document');
  if (!newest) return { revision: 0, days: startDays((await currentShop()).machines.map(({ id }) => id)) };
  const days = readDays(JSON.parse(newest.document));
  if (!days.ok)
    throw new Error(
      `the days in the database are damaged: ${days.problems.map(({ path, message }) => `${path} ${message}`).join('; ')}`,
    );
  return { revision: newest.revision, days: days.value };
}

/** Appends a revision, when the newest is still the one that the edit started from. @returns its number, or the conflict */
export async function saveDays(base: number, days: DaysFile, by: string): Promise<number | 'conflict'> {
  const { revision } = await currentDays();
  if (revision !== base) return 'conflict';
  try {
    await database()('days_revisions').insert({
      revision: base + 1,
      document: JSON.stringify(days),
      said_by: by,
      saved_at: new Date(),
    });
  } catch (error) {
    if ((error as { code?: string }).code === 'ER_DUP_ENTRY') return 'conflict';
    throw error;
  }
  return base + 1;
}
