import { emptyRun, type RunFile } from '@/core/read/runFile';

/** The browser's storage, for a store that is tested without one. */
const kept = new Map<string, string>();
Object.defineProperty(globalThis, 'localStorage', {
  value: {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  },
});

import { createRunStore, type RunStore } from './runStore';

/** A run opened in a tab, where the browser may have a copy of it. */
const opened = async (run: string, file: RunFile, revision: number, tab = 'a') => {
  const store = createRunStore(file, revision);
  return { ...store, restored: await store.restore(`${run}/${tab}`) };
};

const served: RunFile = { ...emptyRun(), quantity: '10', part: { ...emptyRun().part, number: 'T-1' } };
const fileOf = (run: RunStore) => run.store.getState().file;
const dirty = (run: RunStore) => JSON.stringify(fileOf(run)) !== run.store.getState().saved;
const quantity = (run: RunStore, text: string, field?: string) =>
  run.edit(field, (draft) => void (draft.quantity = text));

let now = 0;
beforeEach(() => {
  kept.clear();
  now = 0;
  jest.spyOn(performance, 'now').mockImplementation(() => now);
});

describe('undo', () => {
  test('letters typed into one field in quick succession are one step', () => {
    const run = createRunStore(served, 1);
    for (const text of ['1', '12', '125']) {
      now += 200;
      quantity(run, text, 'quantity');
    }
    run.undo();
    expect(fileOf(run).quantity).toBe('10');
    run.redo();
    expect(fileOf(run).quantity).toBe('125');
  });

  test('after a pause, or in another field, a new step begins', () => {
    const run = createRunStore(served, 1);
    quantity(run, '11', 'quantity');
    now += 5000;
    quantity(run, '12', 'quantity');
    now += 100;
    run.edit('name', (draft) => void (draft.part.name = 'Pin'));
    run.undo();
    expect([fileOf(run).quantity, fileOf(run).part.name]).toEqual(['12', '']);
    run.undo();
    expect(fileOf(run).quantity).toBe('11');
  });

  test('an act without a field is a step by itself', () => {
    const run = createRunStore(served, 1);
    quantity(run, '11');
    quantity(run, '12');
    run.undo();
    expect(fileOf(run).quantity).toBe('11');
  });

  test('typing on after an undo starts anew, and what was undone cannot be redone', () => {
    const run = createRunStore(served, 1);
    quantity(run, '11', 'quantity');
    run.undo();
    quantity(run, '13', 'quantity');
    run.redo();
    expect(fileOf(run).quantity).toBe('13');
    run.undo();
    expect(fileOf(run).quantity).toBe('10');
  });
});

describe('the copy in the browser', () => {
  test('an unsaved change is there for the next page, with the revision it started from', async () => {
    quantity(await opened('1', served, 3), '99');
    const next = await opened('1', { ...served, quantity: '50' }, 4);
    expect(next.restored).toBe(true);
    expect(fileOf(next).quantity).toBe('99');
    // Saving it is refused by the server, which is at 4: both are then shown.
    expect(next.store.getState().base).toBe(3);
    // Undo goes back to what it started from, in one step.
    next.undo();
    expect([fileOf(next).quantity, dirty(next)]).toEqual(['10', false]);
    next.redo();
    expect(fileOf(next).quantity).toBe('99');
  });

  test('nothing unsaved: what the server gave counts, and nothing is kept', async () => {
    const run = await opened('1', served, 3);
    expect(run.restored).toBe(false);
    expect(fileOf(run)).toBe(served);
    expect(kept.size).toBe(0);
  });

  test('runs do not mix', async () => {
    quantity(await opened('1', served, 1), '99');
    const other = await opened('2', served, 1);
    expect(other.restored).toBe(false);
    expect(fileOf(other).quantity).toBe('10');
  });

  test('two tabs of one run keep their own: the save of one leaves the other’s', async () => {
    const [one, other] = [await opened('1', served, 1, 'a'), await opened('1', served, 1, 'b')];
    quantity(one, '99');
    quantity(other, '77');
    one.markSaved(fileOf(one), 2);
    expect([...kept.keys()]).toEqual(['1/b']);
    const back = await opened('1', { ...served, quantity: '99' }, 2, 'b');
    expect([back.restored, fileOf(back).quantity, back.store.getState().base]).toEqual([true, '77', 1]);
  });

  test('what was typed before the browser’s copy was looked for is kept as well', async () => {
    const run = createRunStore(served, 1);
    quantity(run, '99');
    expect(await run.restore('1/a')).toBe(true);
    expect([fileOf(run).quantity, kept.has('1/a')]).toEqual(['99', true]);
  });

  test('back to what is saved, one undo away from what was typed', async () => {
    const run = await opened('1', served, 1);
    quantity(run, '99');
    run.backToSaved();
    expect([fileOf(run).quantity, dirty(run), kept.size]).toEqual(['10', false, 0]);
    run.undo();
    expect(fileOf(run).quantity).toBe('99');
  });

  test('what another tab left is taken up with the revision that it started from', async () => {
    const run = await opened('1', served, 3);
    run.adopt({ ...served, quantity: '55' }, 2);
    expect([fileOf(run).quantity, run.store.getState().base]).toEqual(['55', 2]);
    run.undo();
    expect(fileOf(run).quantity).toBe('10');
  });
});

describe('saving', () => {
  test('what was saved is no longer kept here', async () => {
    const run = await opened('1', served, 1);
    quantity(run, '99');
    expect(dirty(run)).toBe(true);
    run.markSaved(fileOf(run), 2);
    expect([dirty(run), run.store.getState().base, kept.size]).toEqual([false, 2, 0]);
  });

  test('what was typed while it was being saved stays unsaved and kept', async () => {
    const run = await opened('1', served, 1);
    quantity(run, '99');
    const sent = fileOf(run);
    quantity(run, '100');
    run.markSaved(sent, 2);
    expect([dirty(run), run.store.getState().base]).toEqual([true, 2]);
    expect(kept.size).toBe(1);
  });

  test('an undo after a save is a change again', async () => {
    const run = await opened('1', served, 1);
    quantity(run, '99');
    run.markSaved(fileOf(run), 2);
    run.undo();
    expect([fileOf(run).quantity, dirty(run)]).toEqual(['10', true]);
  });
});

describe('going on from another’s revision', () => {
  const theirs = { ...served, quantity: '30' };

  test('theirs: mine is one undo away', async () => {
    const run = await opened('1', served, 1);
    quantity(run, '99');
    run.goOnFrom(theirs, 2, 'theirs');
    expect([fileOf(run).quantity, dirty(run)]).toEqual(['30', false]);
    run.undo();
    expect([fileOf(run).quantity, dirty(run), run.store.getState().base]).toEqual(['99', true, 2]);
  });

  test('mine: on top of theirs, to be saved', async () => {
    const run = await opened('1', served, 1);
    quantity(run, '99');
    run.goOnFrom(theirs, 2, 'mine');
    expect([fileOf(run).quantity, dirty(run), run.store.getState().base]).toEqual(['99', true, 2]);
  });
});
