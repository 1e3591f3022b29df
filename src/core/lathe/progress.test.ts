import fc from 'fast-check';
import { inOrder, type Ordered } from './events';
import { progressOf, sizeKey } from './progress';
import { eventOf as event } from './testing';

const shape = { setups: [{ steps: ['face', 'turn'] }, { steps: ['back'] }], quantity: 2 };
const done = (piece: number, operation: string, more: Partial<Ordered> = {}) =>
  event({ kind: 'done' }, { piece, operation, ...more });

test('the next is the next operation of the piece, then the next piece, then the next set-up', () => {
  const at = (events: Ordered[]) => progressOf(shape, events).at;
  expect(at([])).toEqual({ piece: 1, setup: 1, operation: 'face' });
  const first = [done(1, 'face')];
  expect(at(first)).toEqual({ piece: 1, setup: 1, operation: 'turn' });
  const piece = [...first, done(1, 'turn')];
  expect(at(piece)).toEqual({ piece: 2, setup: 1, operation: 'face' });
  const setup = [...piece, done(2, 'face'), done(2, 'turn')];
  expect(at(setup)).toEqual({ piece: 1, setup: 2, operation: 'back' });
  const all = progressOf(shape, [...setup, done(1, 'back'), done(2, 'back')]);
  expect([all.at, all.good]).toEqual([undefined, 2]);
});

test('at the lathe of the second set-up a piece is next once it is through the first, and until then it waits', () => {
  const there = (events: Ordered[]) => {
    const { at, waits } = progressOf(shape, events, 2);
    return { at, waits };
  };
  const first = [done(1, 'face'), done(1, 'turn')];
  expect(there([])).toEqual({ at: undefined, waits: true });
  expect(there([done(1, 'face')])).toEqual({ at: undefined, waits: true });
  expect(there(first)).toEqual({ at: { piece: 1, setup: 2, operation: 'back' }, waits: false });
  // The first lathe is at its second piece meanwhile.
  expect(progressOf(shape, first).at).toEqual({ piece: 2, setup: 1, operation: 'face' });
  expect(there([...first, done(1, 'back')])).toEqual({ at: undefined, waits: true });
  const both = [...first, done(1, 'back'), done(2, 'face'), done(2, 'turn'), done(2, 'back')];
  expect(there(both)).toEqual({ at: undefined, waits: false });
  // What is scrap is waited for by its replacement, not by itself.
  const scrapped = [...first, done(1, 'back'), event({ kind: 'scrap', reason: 'size' }, { piece: 2 })];
  expect(there(scrapped)).toEqual({ at: undefined, waits: true });
});

test('a step that is done on all pieces before the next goes through the pieces first', () => {
  const byStep = { setups: [{ steps: ['knurl', 'thread'], stepByStep: true }], quantity: 2 };
  expect(progressOf(byStep, [done(1, 'knurl')]).at).toEqual({ piece: 2, setup: 1, operation: 'knurl' });
});

test('the bar that is turned from is known, and a new one is measured from; one that only went is not', () => {
  const bar = (more: object, piece: number) => event({ kind: 'bar', ...more }, { piece });
  const of = (events: Ordered[]) => {
    const progress = progressOf(shape, events);
    return [progress.bar, progress.freshFrom];
  };
  const events = [bar({ item: 7 }, 1), bar({ item: 9, finished: 7, left: 45 }, 12)];
  expect(of(events)).toEqual([9, 12]);
  expect(of([...events, bar({ finished: 9 }, 20)])).toEqual([undefined, 12]);
  expect(of([...events, bar({}, 20)])).toEqual([undefined, 20]);
});

test('scrap is not gone on with, and another piece takes its place', () => {
  const events = [done(1, 'face'), event({ kind: 'scrap', reason: 'size', note: 'read it wrong' }, { piece: 1 })];
  const progress = progressOf(shape, events);
  expect(progress.toMake).toBe(3);
  expect(progress.at).toEqual({ piece: 2, setup: 1, operation: 'face' });
  expect(progress.scrapped).toEqual([{ piece: 1, reason: 'size', note: 'read it wrong' }]);
});

test('a size that is measured again is the size that the piece has; what was moved after it is known', () => {
  const measured = (piece: number, size: number) =>
    event({ kind: 'measured', what: '⌀12', readings: [size], size }, { piece, operation: 'turn' });
  const { sizes, moved } = progressOf(shape, [
    measured(1, 12.3),
    measured(1, 12.01),
    measured(2, 12.02),
    event({ kind: 'corrected', place: '1A', by: -0.02 }),
    event({ kind: 'corrected', place: '1A', by: -0.03, what: '⌀12' }, { operation: 'turn' }),
    // Another journal of the same diameter is another size.
    event({ kind: 'measured', what: '⌀12', readings: [11.9], size: 11.9 }, { piece: 2, operation: 'turn-other' }),
  ]);
  expect(sizes.get(sizeKey('turn', '⌀12'))?.map(({ size, correctedAfter }) => [size, correctedAfter])).toEqual([
    [12.01, false],
    [12.02, true],
  ]);
  expect(moved.get('1A')).toBeCloseTo(-0.05, 9);
});

test('a size and a step are known again by another device, which says its figures with a comma', () => {
  const { sizes, ready } = progressOf(shape, [
    event({ kind: 'measured', what: '⌀6.8', readings: [6.81], size: 6.81 }, { piece: 1, operation: 'turn' }),
    event({ kind: 'measured', what: '⌀6,8', readings: [6.84], size: 6.84 }, { piece: 2, operation: 'turn' }),
    event({ kind: 'ready', step: '1 station 1 to 0.50', done: true }),
    event({ kind: 'ready', step: '1 station 2 to 8.90', done: true }),
    event({ kind: 'ready', step: '1 station 2 to 8,90', done: false }),
  ]);
  expect(sizes.get(sizeKey('turn', '⌀6,8'))?.map(({ size }) => size)).toEqual([6.81, 6.84]);
  expect([...ready]).toEqual(['1 station 1 to 0.50']);
});

test('a new edge or a new bar makes its piece worth measuring', () => {
  const edge = event({ kind: 'edge', tool: 'finish-r04', what: 'ground' }, { piece: 4 });
  expect(progressOf(shape, []).freshFrom).toBeUndefined();
  expect(progressOf(shape, [edge]).freshFrom).toBe(4);
  expect(progressOf(shape, [edge, event({ kind: 'bar' }, { piece: 7 })]).freshFrom).toBe(7);
});

test('what is struck out counts no more; a pause ends when it goes on', () => {
  const scrap = event({ kind: 'scrap', reason: 'dropped' }, { piece: 1 });
  expect(progressOf(shape, inOrder([scrap, event({ kind: 'struck', event: scrap.id })])).scrapped).toEqual([]);
  const paused = event({ kind: 'paused', note: 'jaws are out' });
  expect(progressOf(shape, [paused]).paused?.note).toBe('jaws are out');
  expect(progressOf(shape, [paused, event({ kind: 'went-on' })]).paused).toBeUndefined();
});

test('each event counts once, however often and in whatever order it comes; a clock that is a day wrong moves nothing', () => {
  const events = [done(1, 'face'), done(1, 'turn'), done(2, 'face'), event({ kind: 'note', text: 'oil is low' })].map(
    (one, index) => ({ ...one, order: index + 1, at: `2026-11-${30 - index}T08:00:00Z` }),
  );
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...events), { minLength: 0, maxLength: 8 }), (more) => {
      const mixed = inOrder([...more, ...events].toReversed());
      expect(mixed.map(({ order }) => order)).toEqual([1, 2, 3, 4]);
      expect(progressOf(shape, mixed)).toEqual(progressOf(shape, events));
    }),
  );
});

test('what the server has not got yet comes behind what it has, each device in its own order', () => {
  const unsent = [done(1, 'turn', { seq: 9, device: 'b' }), done(1, 'face', { seq: 8, device: 'b' })];
  const sent = { ...done(2, 'face', { device: 'c', seq: 1 }), order: 5 };
  expect(inOrder([...unsent, sent]).map(({ seq }) => seq)).toEqual([1, 8, 9]);
});
