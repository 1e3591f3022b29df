import knex, { type Knex } from 'knex';

const shared = globalThis as { shingleDatabase?: Knex };

/** The one pool of this process; it survives reloads of the modules around it. */
export function database(): Knex {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: start with npm start, or point it at a MariaDB server');
  shared.shingleDatabase ??= knex({
    client: 'mysql2',
    connection: { uri: url, timezone: 'Z', connectTimeout: 4000, charset: 'utf8mb4' },
    pool: { min: 0, max: 8, acquireTimeoutMillis: 5000 },
  });
  return shared.shingleDatabase;
}

/** Ends the pool; whoever asks again gets a new one. */
export async function closeDatabase(): Promise<void> {
  await shared.shingleDatabase?.destroy();
  delete shared.shingleDatabase;
}

/** Times that a transaction is tried before its deadlock is an error. */
const TRIES = 5;

const isDeadlock = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && error.code === 'ER_LOCK_DEADLOCK';

/**
 * Runs a transaction. Of two that wait for each other the server rolls one back and says so; that one is simply tried
 * again, as the server asks.
 */
export async function inTransaction<T>(work: (knex: Knex) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1)
    try {
      return await database().transaction(work);
    } catch (error) {
      if (!isDeadlock(error) || attempt === TRIES) throw error;
    }
}
