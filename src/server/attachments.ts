import type { Attached, AttachedType, ToAttach } from '@/core/formats/attachedFile';
import { database } from './database';

interface Row {
  id: number;
  name: string;
  type: AttachedType;
  bytes: number;
  added_at: Date;
}

const attachedOf = ({ id, name, type, bytes, added_at }: Row): Attached => ({
  id,
  name,
  type,
  bytes,
  addedAt: added_at.toISOString(),
});

/** The part of a run by the run's id; undefined where there is no such run. */
const partOf = async (run: number): Promise<number | undefined> =>
  (await database()('run_list').where({ run_id: run }).first<{ part_id: number } | undefined>('part_id'))?.part_id;

/** What is kept with the part of a run, in the order in which it came; undefined where there is no such run. */
export async function attachedTo(run: number): Promise<Attached[] | undefined> {
  const part = await partOf(run);
  if (part === undefined) return undefined;
  const rows = await database()('attachments')
    .where({ part_id: part })
    .whereNull('taken_away_at')
    .orderBy('id')
    .select<Row[]>('id', 'name', 'type', 'bytes', 'added_at');
  return rows.map(attachedOf);
}

/** Keeps something with the part of a run. */
export async function attach(
  run: number,
  { name, type, bytes, content }: ToAttach,
  by: string,
): Promise<Attached | undefined> {
  const part = await partOf(run);
  if (part === undefined) return undefined;
  const added_at = new Date();
  const [id] = await database()('attachments').insert({
    part_id: part,
    name,
    type,
    bytes,
    content,
    added_by: by,
    added_at,
  });
  return attachedOf({ id: Number(id), name, type, bytes, added_at });
}

/** The content of one, also of one that was taken away: an address of it still says what it was. */
export async function contentOf(
  id: number,
): Promise<{ name: string; type: AttachedType; content: Buffer } | undefined> {
  const row = await database()('attachments')
    .where({ id })
    .first<{ name: string; type: AttachedType; content: string } | undefined>('name', 'type', 'content');
  return row && { ...row, content: Buffer.from(row.content, 'base64') };
}

/** Takes one away, or brings it back. @returns whether there is such a one */
export const keepAttached = async (id: number, kept: boolean): Promise<boolean> =>
  (await database()('attachments')
    .where({ id })
    .update({ taken_away_at: kept ? null : new Date() })) > 0;
