import { SIGNS } from './events';
import { causesOf, type CutNow } from './signs';

const cut: CutNow = {
  kind: 'turn-finish',
  speed: 900,
  feed: 0.1,
  depth: 0.3,
  edge: 'hss',
  workReach: 5,
  toolReach: 1,
  isBorne: false,
  fluid: true,
  slower: 600,
  faster: 1200,
};
const ids = (...asked: Parameters<typeof causesOf>) => causesOf(...asked).map(({ id }) => id);

test('chatter of work that stands out far: less of it, then a centre; short work: speed first', () => {
  expect(ids('chatter', cut).slice(0, 3)).toEqual(['reach', 'centre', 'speed-down']);
  expect(ids('chatter', { ...cut, workReach: 1 })[0]).toBe('speed-down');
  expect(ids('chatter', { ...cut, isBorne: true })).not.toContain('centre');
});

test('a change is told in this machine’s figures, with what it does', () => {
  const slower = causesOf('chatter', cut).find(({ id }) => id === 'speed-down');
  expect(slower).toMatchObject({ words: 'speed down, 900 to 600', effect: 'the cut takes 50 % longer; zeros stay' });
  expect(ids('chatter', { ...cut, slower: undefined as never })).not.toContain('speed-down');
});

test('a torn surface wants more speed with carbide and less with high-speed steel', () => {
  expect(ids('torn', cut)).toContain('speed-down');
  expect(ids('torn', { ...cut, edge: 'carbide' })).toContain('speed-up');
});

test('what helped at this operation before comes first; every sign has something to look at', () => {
  expect(ids('chatter', cut, ['height'])[0]).toBe('height');
  for (const sign of SIGNS) expect(causesOf(sign, cut).length).toBeGreaterThan(0);
});
