import { startValues } from '../model/shop/startValues';
import type { Machine } from '../model/shop/shop';
import { planned, runOf, step } from '../testing';
import { stateChanges, stateOf } from './machineState';

const [lathe] = startValues.machines as [Machine];

/** A screw with a hole in its end, from the bar; by its operations, how the machine stands and what changes for it. */
function screw(hand: 'left' | 'right' = 'right', machine: Partial<Machine> = {}) {
  const plan = planned(
    runOf(
      {
        outside: [step(20, 34), step(30, 8)],
        bores: [{ from: 'front', shape: 'drill', diameter: 6, depth: 20 }],
        details: [
          { kind: 'chamfer', at: 0, size: 1.5 },
          { kind: 'groove', at: 26, width: 8, bottom: 16 },
          { kind: 'thread', at: 0, length: 26, designation: 'M20x1.5', hand },
        ],
      },
      { way: 'from-bar', quantity: 40, firstEnd: 'front', machine: { ...lathe, ...machine } },
    ),
  );
  const found = plan.setups.find(({ operations }) => operations.some(({ kind }) => kind === 'thread'));
  if (!found) throw new Error('it is threaded');
  const of = (kind: string) => {
    const operation = found.operations.find((one) => one.kind === kind);
    if (!operation) throw new Error(`no ${kind}`);
    return { state: stateOf(found, operation), changes: stateChanges(found, operation) };
  };
  return of;
}

test('a face goes inwards by power with the carriage locked, a drill in by hand with the tailstock, a turning cut along', () => {
  const of = screw();
  expect(of('face').state).toEqual({
    spindle: 'forward',
    feed: { by: 'power', way: 'inwards' },
    halfNuts: 'out',
    locked: ['carriage'],
  });
  expect(of('drill').state).toMatchObject({ feed: { by: 'hand', way: 'towards the chuck' }, locked: ['tailstock'] });
  expect(of('turn-rough').state).toMatchObject({ feed: { by: 'power', way: 'towards the chuck' }, locked: [] });
});

test('a thread: leadscrew, half-nuts in; said where it changes', () => {
  const { state, changes } = screw()('thread');
  expect(state).toMatchObject({
    spindle: 'forward',
    feed: { by: 'leadscrew', way: 'towards the chuck' },
    halfNuts: 'in',
  });
  expect(changes).toContain('half-nuts in');
  expect(changes).toContain('feed towards the chuck by the leadscrew');
});

test('a part-off after it: half-nuts out again, the carriage locked', () => {
  // An edge is broken before it, the spindle stopped.
  const { state, changes } = screw()('part-off');
  expect(state).toMatchObject({ halfNuts: 'out', feed: { way: 'inwards' }, locked: ['carriage'] });
  expect(changes).toEqual(['spindle forward', 'feed inwards by hand', 'carriage locked']);
});

test('a left-hand thread is cut from its relief out, the spindle forward still', () => {
  expect(screw('left')('thread').state).toMatchObject({ spindle: 'forward', feed: { way: 'from the chuck' } });
});

test('levers of the feed by the table of the machine, where it has one', () => {
  const feedLevers = lathe.feeds.map((_, index) => `C ${index + 1}`);
  const of = screw('right', { feedLevers });
  expect(of('face').state.levers).toMatch(/^C \d+$/);
  expect(of('drill').state.levers).toBeUndefined();
});
