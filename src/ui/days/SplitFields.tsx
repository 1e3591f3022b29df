'use client';
import { useState } from 'react';
import { workTimeOf, type DaysFile, type RunWish, type Split } from '@/core/schedule/days';
import { isPlanned, type MadeOn, type RunToMake } from '@/core/schedule/runToMake';
import { MOST_PARTS, piecesOfFirstDay } from '@/core/schedule/parts';
import { numbersIn, sayNumbers } from '@/core/model/units/numbers';
import type { Placed } from '@/core/schedule/place';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { LatheChoice } from './LatheChoice';
import type { Machine } from './useDays';

interface Props {
  run: RunToMake;
  wish: RunWish;
  days: DaysFile;
  machines: readonly Machine[];
  today: string;
  placed: Placed | undefined;
  onSplit: (split: Split | undefined) => void;
}

/** Pieces of parts that come about by themselves: as many as a bar gives, once or for each, as are made until its first evening. */
function handySizes(on: MadeOn, { days, today, placed }: Pick<Props, 'days' | 'today' | 'placed'>, quantity: number) {
  const evening = placed ? piecesOfFirstDay(on, placed, workTimeOf(placed.lathe, days, today)) : 0;
  const bars = Math.ceil(quantity / Math.max(1, on.perBar));
  return [
    { words: `one bar: ${on.perBar}`, sizes: [on.perBar] },
    ...(bars > 2 && bars <= MOST_PARTS
      ? [{ words: `each bar by itself: ${bars}`, sizes: Array.from({ length: bars - 1 }, () => on.perBar) }]
      : []),
    { words: `until the first evening: ${evening}`, sizes: [evening] },
  ].filter(({ sizes }) => isWithin(sizes, quantity));
}

/** Whether every part has some pieces, and some are left to the last. */
const isWithin = (sizes: readonly number[], quantity: number): boolean =>
  sizes.length > 0 &&
  sizes.length < MOST_PARTS &&
  sizes.every((size) => Number.isInteger(size) && size > 0) &&
  sizes.reduce((sum, size) => sum + size, 0) < quantity;

/** Where each part but the first begins, from the pieces of those before; and back. */
const begins = (sizes: readonly number[]): number[] =>
  sizes.map((_, index) => sizes.slice(0, index + 1).reduce((sum, size) => sum + size, 0));
const sizesOf = ({ from }: Split): number[] => from.map((cut, index) => cut - (from[index - 1] ?? 0));

const ORDINALS = ['Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth', 'Ninth', 'Tenth'];

/** A split with another lathe for one of its parts; without any it says nothing of lathes. */
function withLathe(split: Split, index: number, lathe: string): Split {
  const lathes = split.from.map((_, part) => (part === index ? lathe : (split.lathes?.[part] ?? '')));
  return { at: split.at, from: split.from, ...(lathes.some(Boolean) ? { lathes } : {}) };
}

/** How a split is told among the choices: by pieces, from one set-up on, or set-up by set-up. */
const chosen = (split: Split | undefined): string =>
  !split ? '' : split.at === 'pieces' ? 'pieces' : split.from.length > 1 ? 'each' : String(split.from[0]);

/** Whether a run is made in one go or in parts, and in which; kept when a choice is made, or the field of pieces is left. */
export function SplitFields({ run, wish, days, machines, today, placed, onSplit }: Props) {
  const { split } = wish;
  const made = (run.lathes ?? []).filter(isPlanned);
  const on = made.find(({ lathe }) => lathe === (placed?.lathe ?? run.machine)) ?? made[0];
  const [pieces, setPieces] = useState(split?.at === 'pieces' ? sayNumbers(sizesOf(split)) : '');
  if (!on || run.quantity < 2) return null;
  const sizes = numbersIn(pieces);
  const further = on.setups.slice(1).map(({ number }) => number);
  const bySizes = (parts: readonly number[]): Split => {
    const from = begins(parts);
    const lathes = split?.lathes?.slice(0, from.length) ?? [];
    return { at: 'pieces', from, ...(lathes.some(Boolean) ? { lathes } : {}) };
  };
  const choose = (next: string) => {
    if (next === '') onSplit(undefined);
    else if (next === 'pieces') onSplit({ at: 'pieces', from: [Math.ceil(run.quantity / 2)] });
    else onSplit({ at: 'setup', from: next === 'each' ? further : [Number(next)] });
  };
  return (
    <div style={{ display: 'grid', gap: 8, gridColumn: '1 / -1' }}>
      <Choice label="Made" value={chosen(split)} onChange={choose}>
        <option value="">in one go</option>
        <option value="pieces">some pieces after the others</option>
        {further.map((number) => (
          <option key={number} value={String(number)}>
            from set-up {number} on by itself
          </option>
        ))}
        {further.length > 1 && <option value="each">each set-up by itself</option>}
      </Choice>
      {split?.from.map((cut, index) => (
        <LatheChoice
          key={cut}
          label={`${ORDINALS[index] ?? ''} part on`}
          value={split.lathes?.[index]}
          machines={machines}
          onChange={(lathe) => onSplit(withLathe(split, index, lathe ?? ''))}
        />
      ))}
      {split?.at === 'pieces' && (
        <div>
          <Field
            label={`Pieces of each part but the last, of ${run.quantity}`}
            value={pieces}
            problem={
              isWithin(sizes, run.quantity)
                ? undefined
                : `“${pieces}”: numbers of pieces, as ${sayNumbers([10, 10])}, together less than ${run.quantity}, for ${MOST_PARTS} parts at most`
            }
            onChange={setPieces}
            onBlur={() => {
              if (isWithin(sizes, run.quantity) && String(begins(sizes)) !== String(split.from))
                onSplit(bySizes(sizes));
            }}
          />
          <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, marginTop: 8 }}>
            {handySizes(on, { days, today, placed }, run.quantity).map((one) => (
              <Button key={one.words} onPress={() => onSplit(bySizes(one.sizes))}>
                {one.words}
              </Button>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}
