'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { parseLength } from '@/core/model/units/length';
import { sayFigure } from '@/core/model/units/mark';
import { numbersIn, sayNumbers } from '@/core/model/units/numbers';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';

const Grid = styled.form`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 8px 12px;
  .all {
    grid-column: 1 / -1;
  }
  .end {
    grid-column: 1 / -1;
    display: flex;
    gap: 8px;
    justify-content: flex-end;
    margin-top: 8px;
  }
`;

/** What a field of the form holds and how it is read. */
export interface FormField {
  key: string;
  label: string;
  takes: 'text' | 'length' | 'number' | 'numbers' | 'words' | 'yes' | readonly string[];
  needed?: boolean;
  /** How many numbers it may have, where its label says what each is. */
  counts?: readonly number[];
}

type Values = Record<string, unknown>;

function shown(value: unknown): string {
  if (value === undefined) return '';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return sayFigure(value);
  if (!Array.isArray(value)) return String(value);
  return value.every((one) => typeof one === 'number') ? sayNumbers(value) : value.join(', ');
}

/** What a field with a choice offers; of yes and no the usual answer first. */
const optionsOf = (takes: FormField['takes']): readonly string[] => (Array.isArray(takes) ? takes : ['no', 'yes']);

type Read = { ok: true; value: unknown } | { ok: false; message: string };

/** Reads what was typed; lengths with any unit, in mm without one. */
function read({ takes, needed, counts }: FormField, text: string): Read {
  const trimmed = text.trim();
  if (trimmed === '') return needed ? { ok: false, message: 'is missing' } : { ok: true, value: undefined };
  if (takes === 'text' || Array.isArray(takes)) return { ok: true, value: trimmed };
  if (takes === 'length') {
    const length = parseLength(trimmed, 'mm');
    return length.ok
      ? { ok: true, value: Number(length.value.toFixed(6)) }
      : { ok: false, message: length.problems[0]?.message ?? 'is not a length' };
  }
  if (takes === 'yes') return { ok: true, value: trimmed === 'yes' };
  if (takes === 'words') return { ok: true, value: trimmed.split(/[\s,;]+/).filter(Boolean) };
  const numbers = takes === 'number' ? [Number(trimmed.replace(',', '.'))] : numbersIn(trimmed);
  if (numbers.some((value) => !Number.isFinite(value)))
    return { ok: false, message: `“${trimmed}” is not ${takes === 'numbers' ? 'a list of numbers' : 'a number'}` };
  if (counts && !counts.includes(numbers.length))
    return { ok: false, message: `has ${numbers.length} of ${counts.join(' or ')} numbers` };
  return { ok: true, value: takes === 'numbers' ? numbers : numbers[0] };
}

/** A window with the figures of a thing of the shop. */
export const FiguresWindow = ({ title, ...form }: { title: string } & FormProps) => (
  <Window title={title} open onClose={form.onClose}>
    <FiguresForm {...form} />
  </Window>
);

interface FormProps {
  fields: readonly FormField[];
  values: object;
  onDone: (values: Values) => void;
  onClose: () => void;
}

/** The figures themselves, to be changed; nothing goes on until all of them read. */
function FiguresForm({ fields, values: given, onDone, onClose }: FormProps) {
  const values = given as Values;
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(fields.map(({ key }) => [key, shown(values[key])])),
  );
  const [asked, setAsked] = useState(false);
  const results = fields.map((field) => ({ field, result: read(field, texts[field.key] ?? '') }));
  const problemOf = (key: string) => {
    const typed = results.find(({ field }) => field.key === key)?.result;
    return asked && typed && !typed.ok ? typed.message : undefined;
  };
  return (
    <Grid
      onSubmit={(event) => {
        event.preventDefault();
        setAsked(true);
        const wrong = results.findIndex(({ result }) => !result.ok);
        if (wrong >= 0) {
          // In a long form the field may be out of sight.
          (event.currentTarget.elements[wrong] as HTMLElement | undefined)?.focus();
          return;
        }
        const next = { ...values };
        for (const { field, result } of results) {
          if (result.ok && result.value === undefined) delete next[field.key];
          else if (result.ok) next[field.key] = result.value;
        }
        onDone(next);
      }}
    >
      {fields.map(({ key, label, takes }, index) => (
        <div key={key} className={takes === 'numbers' || takes === 'words' || key === 'name' ? 'all' : ''}>
          {takes === 'yes' || Array.isArray(takes) ? (
            <Choice
              label={label}
              value={texts[key] || optionsOf(takes)[0] || ''}
              onChange={(text) => setTexts((before) => ({ ...before, [key]: text }))}
            >
              {optionsOf(takes).map((option) => (
                <option key={option}>{option}</option>
              ))}
            </Choice>
          ) : (
            <Field
              label={label}
              plain={takes === 'text' || takes === 'words'}
              value={texts[key] ?? ''}
              problem={problemOf(key)}
              autoFocus={index === 0}
              onChange={(text) => setTexts((before) => ({ ...before, [key]: text }))}
            />
          )}
        </div>
      ))}
      <div className="end">
        <Button onPress={onClose}>Leave it</Button>
        <Button type="submit" $strong>
          Take over
        </Button>
      </div>
    </Grid>
  );
}
