import { csvParse } from 'd3-dsv';
import type { ListedRun } from '../present/listedRun';
import type { RackItem } from '../rack/rack';
import { startDays } from '../schedule/startDays';
import { daysTable } from './daysTable';
import { rackTable } from './rackTable';
import { runsTable } from './runsTable';
import { tableText } from './table';
import { toolsTable } from './toolsTable';

const listed: ListedRun = {
  id: 1,
  savedAt: '2026-11-30T10:00:00Z',
  number: 'WS-1',
  name: 'Stud, long',
  revision: 'B',
  material: 'brass',
  quantity: '40',
  units: 'mm',
  due: '2026-12-04',
  customer: '',
  order: '4711',
  family: '',
  state: 'open',
  stateAt: undefined,
  stateBy: '',
  machine: 'lathe A',
  newerPart: undefined,
  stale: false,
  figures: {
    pieceMinutes: 7.256,
    batchMinutes: 340.04,
    bars: 2,
    size: '⌀16',
    barLength: '3 m',
    way: 'bar',
    proved: true,
    complete: true,
  },
};

describe('the lists as tables', () => {
  it('runs: what they take, or what is in the way', () => {
    const refused = {
      ...listed,
      number: 'WS-2',
      figures: { problem: { path: 'part.outside', message: 'has no step' } },
    };
    const [planned, not] = csvParse(tableText(runsTable([listed, refused])));
    expect(planned).toMatchObject({
      number: 'WS-1',
      name: 'Stud, long',
      piece_min: '7.26',
      batch_min: '340.0',
      bars: '2',
    });
    expect(not).toMatchObject({ number: 'WS-2', piece_min: '', in_the_way: 'has no step' });
  });

  it('the rack: what is free of a bar, and whose name is on it', () => {
    const bar: RackItem = {
      id: 7,
      material: 'brass',
      form: 'round',
      size: 16,
      bore: 0,
      condition: 'drawn',
      length: 3000,
      offcut: false,
      batch: 'B-12',
      place: 'left',
      reserved: [
        { run: 1, length: 1200 },
        { run: 2, length: 300.5 },
      ],
    };
    const rows = rackTable(
      [bar],
      () => 'brass ⌀16',
      (id) => `WS-${id}`,
    );
    // 3000 − 1200 − 300.5 are free.
    expect(csvParse(tableText(rows))[0]).toEqual({
      bar: '7',
      section: 'brass ⌀16',
      length_mm: '3000.0',
      free_mm: '1499.5',
      offcut: '',
      place: 'left',
      batch: 'B-12',
      price: '',
      reserved_for: 'WS-1; WS-2',
    });
  });

  it('tools: one put aside says so', () => {
    const rows = toolsTable([
      { id: 'drill-5', name: 'drill ⌀5', does: ['drill'], diameter: 5, archived: true } as never,
    ]);
    expect(rows[1]).toEqual(['drill-5', 'drill ⌀5', 'drill', { figure: '5' }, 'yes']);
  });

  it('days: lathe by lathe as they come, moments on the shop’s clock, what is never done left empty', () => {
    // 1 day and 7.5 hours are 1890 minutes: half past seven of the next day.
    const placed = [
      { job: 2, run: 2, lathe: 'b', start: 450, ready: 470, made: 600, delivered: 600, late: 0 },
      { job: 1, run: 1, lathe: 'a', start: 1890, ready: 1900, made: Infinity, delivered: Infinity, late: Infinity },
    ];
    const runs = [
      { id: 1, number: 'WS-1', name: 'Stud', quantity: 40, due: '2026-12-04' },
      { id: 2, number: 'WS-2', name: 'Pin', quantity: 5, due: '' },
    ];
    const promised = [
      { run: 1, kept: 0.256 },
      { run: 2, kept: 1 },
    ];
    const rows = daysTable(
      { placed, promised } as never,
      runs as never,
      startDays(['a', 'b']),
      '2026-11-30',
      (id) => `lathe ${id}`,
    );
    expect(tableText(rows.slice(1)).split('\n')).toEqual([
      'lathe a,WS-1,Stud,,40,2026-12-01 07:30,,,2026-12-04,26',
      'lathe b,WS-2,Pin,,5,2026-11-30 07:30,2026-11-30 10:00,2026-11-30,,',
      '',
    ]);
  });
});
