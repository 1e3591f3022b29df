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
