'use client';
import { useState } from 'react';
import { workTimeOf, type DaysFile, type RunWish, type Split } from '@/core/schedule/days';
import { isPlanned, type MadeOn, type RunToMake } from '@/core/schedule/runToMake';
import { piecesOfFirstDay } from '@/core/schedule/parts';
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

/** Pieces of a first part that come about by themselves: as many as a bar gives, as are made until its first evening. */
function handyFirsts(on: MadeOn, { days, today, placed }: Pick<Props, 'days' | 'today' | 'placed'>, quantity: number) {
  const evening = placed ? piecesOfFirstDay(on, placed, workTimeOf(placed.lathe, days, today)) : 0;
  return [
    { words: `one bar: ${on.perBar}`, first: on.perBar },
    { words: `until the first evening: ${evening}`, first: evening },
  ].filter(({ first }) => first > 0 && first < quantity);
}

const withoutLathe = (split: Split): Split =>
  split.at === 'pieces' ? { at: 'pieces', first: split.first } : { at: 'setup', second: split.second };

/** Whether a run is made in one go or in two parts, and in which; kept when a choice is made, or the field of pieces is left. */
export function SplitFields({ run, wish, days, machines, today, placed, onSplit }: Props) {
  const { split } = wish;
  const made = (run.lathes ?? []).filter(isPlanned);
  const on = made.find(({ lathe }) => lathe === (placed?.lathe ?? run.machine)) ?? made[0];
  const [first, setFirst] = useState(split?.at === 'pieces' ? String(split.first) : '');
  if (!on || run.quantity < 2) return null;
  const own = split?.lathe === undefined ? {} : { lathe: split.lathe };
  const pieces = Number(first);
  const isFirst = Number.isInteger(pieces) && pieces > 0 && pieces < run.quantity;
  const value = !split ? '' : split.at === 'pieces' ? 'pieces' : String(split.second);
  const choose = (next: string) => {
    if (next === '') onSplit(undefined);
    else if (next === 'pieces') onSplit({ at: 'pieces', first: Math.ceil(run.quantity / 2), ...own });
    else onSplit({ at: 'setup', second: Number(next), ...own });
  };
  return (
    <div style={{ display: 'grid', gap: 8, gridColumn: '1 / -1' }}>
      <Choice label="Made" value={value} onChange={choose}>
        <option value="">in one go</option>
        <option value="pieces">some pieces, then the others</option>
        {on.setups.slice(1).map(({ number }) => (
          <option key={number} value={String(number)}>
            from set-up {number} on by itself
          </option>
        ))}
      </Choice>
      {split && (
        <LatheChoice
          label="Second part on"
          value={split.lathe}
          machines={machines}
          onChange={(lathe) => onSplit({ ...withoutLathe(split), ...(lathe === undefined ? {} : { lathe }) })}
        />
      )}
      {split?.at === 'pieces' && (
        <div>
          <Field
            label={`Pieces of the first part, of ${run.quantity}`}
            value={first}
            problem={isFirst ? undefined : `“${first}” is no number from 1 to ${run.quantity - 1}`}
            onChange={setFirst}
            onBlur={() => {
              if (isFirst && pieces !== split.first) onSplit({ ...split, first: pieces });
            }}
          />
          <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8, marginTop: 8 }}>
            {handyFirsts(on, { days, today, placed }, run.quantity).map((one) => (
              <Button key={one.words} onPress={() => onSplit({ ...split, first: one.first })}>
                {one.words}
              </Button>
            ))}
          </div>
        </div>
      )}
    </div>
  );
}
