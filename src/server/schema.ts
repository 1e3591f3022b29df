import type { Knex } from 'knex';
import { databaseAddress, openDatabase } from './database';
import { migrationSource } from './migrations';
import { keepGrowing } from './migrations/onlyGrows';

/** Name of the server's lock under which one process at a time changes the schema, and how long another waits, s. */
const LOCK = 'shingle-schema';
const WAIT_SECONDS = 60;

/** Why the schema could not be brought up to date, as a sentence for the person who starts. */
export class SchemaRefusal extends Error {}

/**
 * Brings the schema up to date. The server's own lock, which ends with its connection, keeps two that start at once
 * apart; the mark that a killed one left in the table of migrations means nothing then, and is taken away. Every
 * migration can be run again from the beginning, however far it came.
 * @returns how many migrations were applied
 */
export async function bringUpToDate(knex: Knex = openDatabase(databaseAddress(), { patient: false })): Promise<number> {
  try {
    return await knex.transaction(async (holder) => {
      const [[{ got }]] = (await holder.raw('select get_lock(?, ?) as got', [LOCK, WAIT_SECONDS])) as [
        [{ got: number }],
      ];
      if (got !== 1)
        throw new SchemaRefusal(
          `another process has been changing the schema for ${WAIT_SECONDS} s: wait until it is done, or stop it, then start again`,
        );
      try {
        await knex.migrate.forceFreeMigrationsLock({ migrationSource });
        const [, applied] = (await knex.migrate.latest({ migrationSource })) as [number, string[]];
        // A restore that was cut off may have left it open.
        await keepGrowing(knex);
        return applied.length;
      } finally {
        await holder.raw('select release_lock(?)', [LOCK]);
      }
    });
  } catch (error) {
    if (error instanceof SchemaRefusal) throw error;
    throw newerThanWe(error) ?? error;
  } finally {
    await knex.destroy();
  }
}

/** A database that a later version has changed names migrations that are not known here. */
const newerThanWe = (error: unknown): SchemaRefusal | undefined =>
  error instanceof Error && /migration directory is corrupt/.test(error.message)
    ? new SchemaRefusal(
        'the database was made by a later version of Shingle: start that version, or restore a backup of this one',
      )
    : undefined;
