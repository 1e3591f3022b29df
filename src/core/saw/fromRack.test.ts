import { bySection, shortages, type RackItem, type Section } from '../rack/rack';
import { cutListsOf, type SawNeed } from './fromRack';

const aluminium: Section = { material: 'aluminium-6082', form: 'round', size: 30, bore: 0, condition: 'drawn' };
const brass: Section = { material: 'brass-cw614n', form: 'hex', size: 24, bore: 0, condition: 'drawn' };

const item = (id: number, length: number, more: Partial<RackItem> = {}): RackItem => ({
  ...aluminium,
  id,
  length,
  offcut: false,
  batch: '',
  place: 'A1',
  reserved: [],
  ...more,
});

const need = (run: number, section: Section, each: number, count: number): SawNeed => ({
  run,
  number: `WS-${run}`,
  section,
  each,
  count,
  barLength: 3000,
  kerf: 2.5,
  sold: true,
});

test('a list for each section, its pieces under their runs; grades are never mixed', () => {
  const lists = cutListsOf([need(1, aluminium, 24, 40), need(2, brass, 47, 83), need(3, aluminium, 61.5, 10)], []);
  expect(lists.map(({ section, list }) => [section.material, list.pieces])).toEqual([
    [
      'aluminium-6082',
      [
        { label: 'WS-1', length: 24, count: 40 },
        { label: 'WS-3', length: 61.5, count: 10 },
      ],
    ],
    ['brass-cw614n', [{ label: 'WS-2', length: 47, count: 83 }]],
  ]);
});

test('offcuts are marked as such, what others have reserved is not sawn, the own reservation is', () => {
  const items = [
    item(1, 3000, {
      reserved: [
        { run: 9, length: 1000 },
        { run: 1, length: 500 },
      ],
    }),
    item(2, 400, { offcut: true }),
    item(3, 800, { reserved: [{ run: 9, length: 800 }] }),
    item(4, 3000, { size: 25 }),
  ];
  const [first] = cutListsOf([need(1, aluminium, 24, 40)], items);
  expect(first?.list.bars.map(({ label, length, count, offcut }) => [label, length, count, offcut])).toEqual([
    ['bar 1, A1', 2000, 1, false],
    ['offcut 2, A1', 400, 1, true],
    ['new bar', 3000, null, false],
  ]);
});

test('a run from the bar brings its pitch and what its lengths lose; nothing is bought that nobody sells', () => {
  const turned = { lost: 50.5, longest: 1200 };
  const fromBar = { ...need(1, aluminium, 25.1, 124), turned, sold: false };
  const [first] = cutListsOf([fromBar], [item(1, 800)]);
  expect(first?.list).toEqual({
    kerf: 2.5,
    bars: [expect.objectContaining({ label: 'bar 1, A1', length: 800, count: 1 })],
    pieces: [{ label: 'WS-1', length: 25.1, count: 124, turned }],
  });
});

test('short is what open runs need beyond what is free; an own reservation is not needed again', () => {
  const items = [item(1, 3000, { reserved: [{ run: 1, length: 1200 }] })];
  const needs = [
    { run: 1, section: aluminium, length: 1200 },
    { run: 2, section: aluminium, length: 2000 },
    { run: 3, section: brass, length: 500 },
  ];
  expect(
    shortages(needs, items).map(({ section, needed, free, runs }) => [section.material, needed, free, runs]),
  ).toEqual([
    ['brass-cw614n', 500, 0, [3]],
    ['aluminium-6082', 2000, 1800, [1, 2]],
  ]);
  expect(shortages(needs.slice(0, 1), items)).toEqual([]);
  expect(bySection([...items, item(2, 10), item(3, 10, { size: 25 })]).map((lot) => lot.length)).toEqual([2, 1]);
});
