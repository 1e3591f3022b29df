import knex, { type Knex } from 'knex';

const shared = globalThis as { shingleDatabase?: Knex };

/** How long a query waits for its answer, ms: a database that is frozen is given up then. */
const PATIENCE_MS = 10_000;

interface Asked {
  options?: object;
}
interface Connection {
  destroy(): void;
}

/** The driver that Knex picks; its class is not published by itself. */
const MySql2 = knex({ client: 'mysql2' }).client.constructor as new (...config: unknown[]) => {
  _query(connection: Connection, asked: Asked): Promise<unknown>;
};

/** The driver with a patience: a connection whose answer does not come is given up, and never used again. */
class PatientClient extends MySql2 {
  override async _query(connection: Connection, asked: Asked): Promise<unknown> {
    asked.options = { timeout: PATIENCE_MS, ...asked.options };
    try {
      return await super._query(connection, asked);
    } catch (error) {
      if ((error as { code?: string }).code === 'PROTOCOL_SEQUENCE_TIMEOUT') connection.destroy();
      throw error;
    }
  }
}

/**
 * Opens a pool on a MariaDB server.
 * @param patient whether a query is given up when its answer does not come; a change of the schema takes what it takes
 */
export function openDatabase(uri: string, { patient = true, most = 8 } = {}): Knex {
  return knex({
    client: patient ? (PatientClient as unknown as typeof Knex.Client) : 'mysql2',
    connection: { uri, timezone: 'Z', connectTimeout: 4000, charset: 'utf8mb4' },
    pool: { min: 0, max: most, acquireTimeoutMillis: 5000 },
    // Whoever asks gets the error, and says it once.
    log: { warn: () => undefined, error: () => undefined },
  });
}

/** Where the database is. */
export function databaseAddress(): string {
  const url = process.env.DATABASE_URL;
  if (!url) throw new Error('DATABASE_URL is not set: start with npm start, or point it at a MariaDB server');
  return url;
}

/** The one pool of this process; it survives reloads of the modules around it. */
export function database(): Knex {
  shared.shingleDatabase ??= openDatabase(databaseAddress());
  return shared.shingleDatabase;
}

/** Ends the pool; whoever asks again gets a new one. */
export async function closeDatabase(): Promise<void> {
  await shared.shingleDatabase?.destroy();
  delete shared.shingleDatabase;
}

/** Times that a transaction is tried before its deadlock is an error. */
const TRIES = 5;

/** What the server rolls back of two that wait for each other, or of one that read what another has changed since. */
const TRY_AGAIN = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD']);

const isRolledBack = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && TRY_AGAIN.has(String(error.code));

/**
 * Runs a transaction in which every statement sees what is committed by then: what was read after a lock was got is
 * as new as the lock. Of two that wait for each other the server rolls one back and says so; that one is simply tried
 * again, as the server asks.
 */
export async function inTransaction<T>(work: (knex: Knex) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt += 1)
    try {
      return await database().transaction(work, { isolationLevel: 'read committed' });
    } catch (error) {
      if (!isRolledBack(error) || attempt === TRIES) throw error;
    }
}
