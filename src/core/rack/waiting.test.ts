import type { RackItem, Section } from './rack';
import { runsWaiting } from './waiting';

const section: Section = { material: 'brass', form: 'round', size: 16, bore: 0, condition: 'drawn' };
const bar = (id: number, length: number, reserved: RackItem['reserved'] = []): RackItem => ({
  ...section,
  id,
  length,
  offcut: false,
  batch: '',
  place: '',
  reserved,
});
const need = (run: number, length: number, due = '') => ({ run, section, length, due });

describe('runsWaiting', () => {
  it('gives what is free to those that are promised first', () => {
    // 3 m: 2 m for the one of the 4th, and of the 1 m that is left 0.8 m for the one without a day; 1.5 m are not there.
    const needs = [need(1, 1500, '2026-12-10'), need(2, 2000, '2026-12-04'), need(3, 800)];
    expect([...runsWaiting(needs, [bar(1, 3000)])]).toEqual([1]);
  });

  it('leaves a run what has its name on it', () => {
    const items = [bar(1, 3000, [{ run: 1, length: 1500 }])];
    expect([...runsWaiting([need(1, 1500, '2026-12-10'), need(2, 2000, '2026-12-04')], items)]).toEqual([2]);
  });

  it('never takes one section for another', () => {
    const other = { ...bar(1, 3000), size: 20 };
    expect([...runsWaiting([need(1, 10)], [other])]).toEqual([1]);
  });
});
