'use client';
import { useState } from 'react';
import { wishOf, type DaysFile, type RunWish } from '@/core/schedule/days';
import { isBegun, type RunToMake } from '@/core/schedule/runToMake';
import type { Placed } from '@/core/schedule/place';
import { Choice, Field } from '../primitives/Field';
import { LatheChoice } from './LatheChoice';
import { SplitFields } from './SplitFields';
import type { Machine } from './useDays';

interface Props {
  run: RunToMake;
  runs: readonly RunToMake[];
  days: DaysFile;
  machines: readonly Machine[];
  today: string;
  /** Where its first part is, if it is anywhere. */
  placed: Placed | undefined;
  onKeep: (days: DaysFile) => void;
}

/** What is decided of a run; each is kept when the field is left. */
export function Wishes({ run, runs, days, machines, today, placed, onKeep }: Props) {
  const wish = wishOf(days, run.id) ?? { run: run.id };
  const [texts, setTexts] = useState({
    weight: String(wish.weight ?? 1),
    outsideDays: String(wish.outsideDays ?? 0),
    release: wish.release ?? '',
    day: wish.day ?? '',
  });
  const keep = (next: RunWish) => onKeep({ ...days, runs: [...days.runs.filter((one) => one.run !== run.id), next] });
  const without = <K extends keyof RunWish>(key: K): RunWish =>
    Object.fromEntries(Object.entries(wish).filter(([name]) => name !== key)) as unknown as RunWish;
  const number = (text: string) => (text.trim() !== '' && Number(text) >= 0 ? Number(text) : undefined);
  const figure = (key: 'weight' | 'outsideDays', label: string) => (
    <Field
      label={label}
      value={texts[key]}
      problem={number(texts[key]) === undefined ? `“${texts[key]}” is no number from 0 on` : undefined}
      onChange={(text) => setTexts((was) => ({ ...was, [key]: text }))}
      onBlur={() => {
        const value = number(texts[key]);
        if (value !== undefined && value !== (wish[key] ?? (key === 'weight' ? 1 : 0))) keep({ ...wish, [key]: value });
      }}
    />
  );
  const date = (key: 'release' | 'day', label: string) => (
    <Field
      label={label}
      type="date"
      value={texts[key]}
      onChange={(text) => {
        setTexts((was) => ({ ...was, [key]: text }));
        if (text === '') keep(without(key));
        else if (/^\d{4}-\d{2}-\d{2}$/u.test(text) && text > '2000') keep({ ...wish, [key]: text });
      }}
    />
  );
  return (
    <div
      style={{ display: 'grid', gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', gap: '8px 14px', margin: '10px 0' }}
    >
      <LatheChoice
        label="Lathe"
        value={wish.lathe}
        machines={machines}
        onChange={(lathe) => keep(lathe === undefined ? without('lathe') : { ...wish, lathe })}
      />
      <Choice
        label="After"
        value={String(wish.after?.[0] ?? '')}
        onChange={(after) => keep(after === '' ? without('after') : { ...wish, after: [Number(after)] })}
      >
        <option value="">no other</option>
        {runs
          .filter(({ id }) => id !== run.id)
          .map(({ id, number: called }) => (
            <option key={id} value={String(id)}>
              {called}
            </option>
          ))}
      </Choice>
      {date('release', 'Not before')}
      {date('day', 'Begun on')}
      {figure('outsideDays', 'Days outside afterwards')}
      {figure('weight', 'Lateness counts')}
      {!isBegun(run) && (
        <SplitFields
          key={JSON.stringify(wish.split)}
          {...{ run, wish, days, machines, today, placed }}
          onSplit={(split) => keep(split ? { ...wish, split } : without('split'))}
        />
      )}
    </div>
  );
}
