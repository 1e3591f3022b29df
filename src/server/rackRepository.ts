import { sayFigure } from '@/core/model/units/mark';
import type { Knex } from 'knex';
import type { RackAction, Receipt } from '@/core/formats/rackFile';
import { freeFor, freeLength, type RackItem, type RackMove, type StockLevel } from '@/core/rack/rack';
import { refuse, type Result } from '@/core/model/result';
import { database, inTransaction } from './database';
import { wantAnew } from './runList';

interface ItemRow {
  id: number;
  material: string;
  form: RackItem['form'];
  condition: RackItem['condition'];
  size: string;
  bore: string;
  length: string;
  offcut: number;
  batch: string;
  place: string;
  price: string | null;
}

interface ReservationRow {
  item_id: number;
  run_id: number;
  length: string;
}

const itemOf = (row: ItemRow, reserved: ReservationRow[]): RackItem => ({
  id: row.id,
  material: row.material,
  form: row.form,
  condition: row.condition,
  size: Number(row.size),
  bore: Number(row.bore),
  length: Number(row.length),
  offcut: row.offcut === 1,
  batch: row.batch,
  place: row.place,
  ...(row.price === null ? {} : { price: Number(row.price) }),
  reserved: reserved
    .filter(({ item_id: item }) => item === row.id)
    .map(({ run_id: run, length }) => ({ run, length: Number(length) })),
});

/** Everything on the rack, offcuts before whole bars, the shorter first. */
export async function listRack(knex: Knex = database()): Promise<RackItem[]> {
  const rows = await knex<ItemRow>('stock_items')
    .whereNull('gone_at')
    .orderBy([
      { column: 'material' },
      { column: 'form' },
      { column: 'size' },
      { column: 'offcut', order: 'desc' },
      { column: 'length' },
      { column: 'id' },
    ]);
  const reserved = await knex<ReservationRow>('stock_reservations').select();
  return rows.map((row) => itemOf(row as ItemRow, reserved as ReservationRow[]));
}

/** The history, the newest first. */
export async function rackHistory(most = 200): Promise<RackMove[]> {
  const rows = await database()('stock_history').orderBy('id', 'desc').limit(most);
  return rows.map(({ id, item_id: item, run_id: run, what, length, note, at }) => ({
    id,
    item,
    ...(run === null ? {} : { run }),
    what,
    length: Number(length),
    note,
    at: (at as Date).toISOString(),
  }));
}

const note = (knex: Knex, item: number, what: RackMove['what'], length: number, run: number | null, words = '') =>
  knex('stock_history').insert({ item_id: item, run_id: run, what, length, note: words, at: new Date() });

async function put(knex: Knex, receipt: Omit<Receipt, 'count'>, cutFrom: number | null): Promise<number> {
  const { material, form, size, bore, condition, length, offcut, batch, place, price } = receipt;
  const [id] = await knex('stock_items').insert({
    material,
    form,
    size,
    bore,
    condition,
    length,
    offcut,
    batch,
    place,
    price: price ?? null,
    cut_from: cutFrom,
  });
  return Number(id);
}

/** Puts bars that came in on the rack; returns their ids. */
export const receive = (receipt: Receipt): Promise<number[]> =>
  inTransaction(async (knex) => {
    const ids: number[] = [];
    for (let index = 0; index < receipt.count; index++) {
      const id = await put(knex, receipt, null);
      await note(knex, id, 'received', receipt.length, null, receipt.batch);
      ids.push(id);
    }
    await wantAnew(knex, receipt.material);
    return ids;
  });

/** An item with its row locked, so that of two users at once one goes first and the other sees what is left. */
async function locked(knex: Knex, id: number): Promise<RackItem | undefined> {
  const row = await knex<ItemRow>('stock_items').where({ id }).whereNull('gone_at').forUpdate().first();
  if (!row) return undefined;
  const reserved = await knex<ReservationRow>('stock_reservations').where({ item_id: id });
  return itemOf(row as ItemRow, reserved as ReservationRow[]);
}

const mm = (length: number) => `${sayFigure(length, 3)} mm`;

async function reserve(knex: Knex, item: RackItem, run: number, length: number): Promise<Result<null>> {
  const reservedHere = item.reserved.find((reservation) => reservation.run === run)?.length ?? 0;
  const free = freeLength(item) + reservedHere;
  if (length > free + 1e-6)
    return refuse(
      'length',
      `${mm(length)} are not free on this bar: of its ${mm(item.length)}, ${mm(item.length - free)} are reserved by run ${
        item.reserved
          .filter((other) => other.run !== run)
          .map((other) => other.run)
          .join(', ') || 'nobody'
      }, and ${mm(Math.max(0, free))} are left`,
    );
  await knex('stock_reservations').insert({ item_id: item.id, run_id: run, length }).onConflict().merge();
  await note(knex, item.id, 'reserved', length, run);
  return { ok: true, value: null };
}

async function release(knex: Knex, item: RackItem, run: number): Promise<Result<null>> {
  const reserved = item.reserved.find((reservation) => reservation.run === run);
  if (!reserved) return refuse('run', `run ${run} has nothing reserved of this bar`);
  await knex('stock_reservations').where({ item_id: item.id, run_id: run }).delete();
  await note(knex, item.id, 'released', reserved.length, run);
  return { ok: true, value: null };
}

/** A bar is sawn or turned up: it is gone, and what is really left of it comes back as an offcut with the others' names on it. */
async function takeOff(knex: Knex, item: RackItem, run: number, left: number, place: string): Promise<Result<null>> {
  const others = item.reserved.filter((other) => other.run !== run);
  const promised = others.reduce((total, { length }) => total + length, 0);
  if (left > item.length) return refuse('left', `${mm(left)} cannot be left of ${mm(item.length)}`);
  if (promised > left + 1e-6)
    return refuse(
      'left',
      `${mm(promised)} of this bar are reserved by run ${others.map((other) => other.run).join(', ')}, and only ${mm(left)} would be left: release them first`,
    );
  await knex('stock_reservations').where({ item_id: item.id }).delete();
  await knex('stock_items').where({ id: item.id }).update({ gone_at: new Date() });
  await note(knex, item.id, 'used', item.length - left, run);
  if (left > 0) {
    const rest = { ...item, length: left, offcut: true, place: place || item.place };
    if (item.price !== undefined) rest.price = Number(((item.price * left) / item.length).toFixed(2));
    const id = await put(knex, rest, item.id);
    await note(knex, id, 'returned', left, run, `from bar ${item.id}`);
    for (const { run: other, length } of others)
      await knex('stock_reservations').insert({ item_id: id, run_id: other, length });
  }
  return { ok: true, value: null };
}

/**
 * A bar that was written off as used up by a run is on the rack after all, with what was reserved of it, as long as nobody has used what was left of it.
 * One that is on the rack stays as it is.
 */
async function bringBack(knex: Knex, id: number, run: number): Promise<Result<string | null>> {
  const row = await knex<ItemRow & { gone_at: Date | null }>('stock_items').where({ id }).forUpdate().first();
  if (!row) return refuse('', 'there is no such bar');
  if (row.gone_at === null) return { ok: true, value: null };
  const lastOf = (what: RackMove['what']) =>
    knex<{ id: number; item_id: number; run_id: number; what: string; length: string }>('stock_history')
      .where({ item_id: id, what })
      .orderBy('id', 'desc')
      .first();
  const [used, reserved] = await Promise.all([lastOf('used'), lastOf('reserved').where({ run_id: run })]);
  if (used?.run_id !== run) return refuse('run', `run ${used?.run_id ?? 'nobody'} used this bar up, not run ${run}`);
  const rest = await knex<ItemRow & { gone_at: Date | null; cut_from: number }>('stock_items')
    .where({ cut_from: id })
    .forUpdate()
    .first();
  if (rest && rest.gone_at !== null)
    return refuse('', `what was left of it is used up as well, as bar ${rest.id}: put the rack right by hand`);
  await knex('stock_items').where({ id }).update({ gone_at: null });
  await note(knex, id, 'brought back', Number(row.length), run);
  if (rest) {
    await knex('stock_reservations').where({ item_id: rest.id }).update({ item_id: id });
    // Used up another time the bar leaves another rest.
    await knex('stock_items').where({ id: rest.id }).update({ gone_at: new Date(), cut_from: null });
    await note(knex, rest.id, 'brought back', Number(rest.length), run, `into bar ${id}`);
  }
  const item = await locked(knex, id);
  const length = Math.min(Number(reserved?.length ?? 0), item ? freeFor(item, run) : 0);
  if (length > 0) await knex('stock_reservations').insert({ item_id: id, run_id: run, length }).onConflict().merge();
  return { ok: true, value: row.material };
}

const doTo = (knex: Knex, item: RackItem, action: Exclude<RackAction, { do: 'bring-back' }>): Promise<Result<null>> => {
  if (action.do === 'reserve') return reserve(knex, item, action.run, action.length);
  if (action.do === 'release') return release(knex, item, action.run);
  return takeOff(knex, item, action.run, action.left, action.place);
};

/**
 * Does something with an item. The item's row is locked meanwhile: two runs cannot reserve the same metre, nor two users
 * at once.
 * @returns what stands in the way, with the figures that another has just changed
 */
export const act = (id: number, action: RackAction): Promise<Result<null>> =>
  inTransaction(async (knex): Promise<Result<null>> => {
    if (action.do === 'bring-back') {
      const back = await bringBack(knex, id, action.run);
      if (back.ok && back.value !== null) await wantAnew(knex, back.value);
      return back.ok ? { ok: true, value: null } : back;
    }
    const item = await locked(knex, id);
    if (!item)
      return refuse('', 'this bar is not on the rack any more: somebody has used it. The list shows what is there');
    if (!(await knex('runs').where({ id: action.run }).first('id')))
      return refuse('run', `there is no run ${action.run}`);
    const done = await doTo(knex, item, action);
    // What one run holds is not free for another: the plans of its material may move.
    if (done.ok) await wantAnew(knex, item.material);
    return done;
  });

/** How much of each section is to be kept. */
export async function listLevels(): Promise<StockLevel[]> {
  const rows = await database()<
    Omit<StockLevel, 'size' | 'bore' | 'least'> & Record<'size' | 'bore' | 'least', string>
  >('stock_levels').select();
  return rows.map((row) => ({ ...row, size: Number(row.size), bore: Number(row.bore), least: Number(row.least) }));
}

/** Sets how much of a section is to be kept; nothing takes it off the list. */
export async function setLevel({ least, ...section }: StockLevel): Promise<void> {
  if (least > 0)
    await database()('stock_levels')
      .insert({ ...section, least })
      .onConflict()
      .merge();
  else await database()('stock_levels').where(section).delete();
}

/** Gives an empty rack some bars and offcuts, for the demo. */
export async function seedRack(): Promise<number> {
  if (await database()('stock_items').first('id')) return 0;
  const bar = (
    material: string,
    size: number,
    count: number,
    length: number,
    place: string,
    more: Partial<Receipt> = {},
  ) =>
    receive({
      material,
      form: 'round',
      size,
      bore: 0,
      condition: 'drawn',
      length,
      count,
      offcut: false,
      batch: '',
      place,
      ...more,
    });
  const lots = [
    await bar('aluminium-6082', 30, 3, 3000, 'A2', { batch: 'AL-2211', price: 37.5 }),
    await bar('aluminium-6082', 30, 1, 1240, 'offcuts 1', { offcut: true, batch: 'AL-2208' }),
    await bar('aluminium-6082', 30, 1, 415, 'offcuts 1', { offcut: true, batch: 'AL-2208' }),
    await bar('brass-cw614n', 24, 2, 3000, 'B1', { form: 'hex', batch: 'BR-104', price: 131 }),
    await bar('brass-cw614n', 12, 2, 3000, 'B1', { batch: 'BR-099', price: 26 }),
    await bar('mild-steel', 22, 4, 3000, 'C3', { batch: 'heat 7731', price: 18 }),
  ];
  await setLevel({ material: 'mild-steel', form: 'round', size: 22, bore: 0, condition: 'drawn', least: 15_000 });
  return lots.flat().length;
}
