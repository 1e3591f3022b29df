import type { Knex } from 'knex';

/** Lengths and sizes on the rack to the millionth: a bar of 25/64 in and a rest of 1/3 in are kept as they were typed. */
const FINER: Record<string, readonly string[]> = {
  stock_items: [
    'size decimal(14,6) not null',
    'bore decimal(14,6) not null default 0',
    'length decimal(14,6) not null',
  ],
  stock_reservations: ['length decimal(14,6) not null'],
  stock_history: ['length decimal(14,6) not null'],
  stock_levels: ['size decimal(14,6) not null', 'bore decimal(14,6) not null', 'least decimal(16,6) not null'],
};

/** Making a column finer once more changes nothing: it can be gone on with from anywhere. */
export async function up(knex: Knex): Promise<void> {
  for (const [table, columns] of Object.entries(FINER))
    await knex.raw(`alter table ${table} ${columns.map((column) => `modify ${column}`).join(', ')}`);
}

/** Nothing is made coarser again: that would bend figures. */
export const down = (): Promise<void> => Promise.resolve();
