'use client';
import { useState } from 'react';
import styled from 'styled-components';
import {
  standing,
  standsAt,
  stretchesOf,
  WEEKDAYS,
  type DaysFile,
  type DaySpan,
  type Person,
} from '@/core/schedule/days';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useDeviceSettings } from '../device/DeviceSettings';
import type { Machine } from './useDays';

const Week = styled.fieldset`
  margin: 0 0 16px;
  padding: 10px 0 0;
  border: 0;
  border-top: 1px solid var(--line);
  legend {
    font-weight: 700;
  }
  > label,
  > button {
    margin-top: 10px;
  }
  .stands {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
    gap: 6px;
  }
  .day {
    display: grid;
    grid-template-columns: 90px minmax(0, 1fr) minmax(0, 1.4fr);
    gap: 8px;
    align-items: end;
    margin-top: 6px;
  }
  .day + :not(.day) {
    margin-top: 10px;
  }
  @media (max-width: 600px) {
    .day {
      grid-template-columns: 90px minmax(0, 1fr);
    }
    .stands {
      grid-column: 1 / -1;
    }
  }
`;

const DAY = /^\d{4}-\d{2}-\d{2}$/u;

/** Days as they are typed: 2026-12-24 or 2026-12-24 to 2027-01-03, with commas between. */
function spansOf(text: string): DaySpan[] | undefined {
  const words = text
    .split(/[,;]/u)
    .map((word) => word.trim())
    .filter(Boolean);
  const spans = words.map((word) => {
    const [from = '', to = from] = word.split(/\s+to\s+/u);
    return DAY.test(from) && DAY.test(to) && from <= to ? { from, to } : undefined;
  });
  return spans.every((span) => span !== undefined) ? spans : undefined;
}

const saySpans = (spans: readonly DaySpan[]): string =>
  spans.map(({ from, to }) => (from === to ? from : `${from} to ${to}`)).join(', ');

const HINT = 'days as 2026-12-24, or 2026-12-24 to 2027-01-03, with commas between';

interface Props {
  days: DaysFile;
  machines: readonly Machine[];
  onKeep: (days: DaysFile) => void;
  onClose: () => void;
}

const put = <T,>(all: readonly T[], index: number, value: T) => all.map((one, at) => (at === index ? value : one));

const wrongDays = (text: string) => (spansOf(text) ? undefined : HINT);

interface WeekProps {
  person: Person;
  /** Days away, as they are typed. */
  away: string;
  machines: readonly Machine[];
  onChange: (next: Partial<Person>) => void;
  onAway: (text: string) => void;
  onGone: () => void;
}

interface StandsProps {
  name: string;
  stands: string;
  /** There is a break, after which somebody may stand elsewhere. */
  isTwice: boolean;
  machines: readonly Machine[];
  onChange: (stands: string) => void;
}

/** At which lathe somebody stands on a day, and at which after the break. */
function Stands({ name, stands, isTwice, machines, onChange }: StandsProps) {
  const [first, second] = [standsAt(stands, 0), standsAt(stands, 1)];
  const choice = (label: string, value: string, none: string, onLathe: (lathe: string) => void, same?: string) => (
    <Choice labelHidden label={label} value={value} onChange={onLathe}>
      <option value="">{none}</option>
      {machines.map(({ id, name: called }) => (
        <option key={id} value={id}>
          {id === same ? 'then the same' : called}
        </option>
      ))}
    </Choice>
  );
  return (
    <div className="stands">
      {choice(`Where ${name}`, first, 'at no lathe', (lathe) =>
        onChange(standing(lathe, second === first ? lathe : second)),
      )}
      {isTwice &&
        choice(
          `Where ${name} after the break`,
          second,
          'then at no lathe',
          (lathe) => onChange(standing(first, lathe)),
          first,
        )}
    </div>
  );
}

/** One person's week: hours of each day, and at which lathe. */
function PersonWeek({ person, away, machines, onChange, onAway, onGone }: WeekProps) {
  const { weekFrom } = useDeviceSettings().settings;
  const week = WEEKDAYS.map((_, day) => (day + weekFrom) % WEEKDAYS.length);
  return (
    <Week>
      <legend>{person.name || 'Somebody'}</legend>
      <Field
        label="Called, by the role"
        plain
        value={person.name}
        problem={person.name.trim() === '' ? 'wants a name' : undefined}
        onChange={(name) => onChange({ name })}
      />
      {week.map((day) => {
        const weekday = WEEKDAYS[day];
        return (
          <div className="day" key={day}>
            <span>{weekday}</span>
            <Field
              label={`Hours of ${person.name} on ${weekday}`}
              labelHidden
              value={person.hours[day] ?? ''}
              placeholder="not here"
              problem={stretchesOf(person.hours[day] ?? '') ? undefined : 'hours as 07:00-12:00 12:30-15:30'}
              onChange={(text) => onChange({ hours: put(person.hours, day, text) })}
            />
            <Stands
              {...{ machines }}
              name={`${person.name} stands on ${weekday}`}
              stands={person.stands[day] ?? ''}
              isTwice={(stretchesOf(person.hours[day] ?? '') ?? []).length > 1}
              onChange={(stands) => onChange({ stands: put(person.stands, day, stands) })}
            />
          </div>
        );
      })}
      <Field label="Away" value={away} placeholder={HINT} problem={wrongDays(away)} onChange={onAway} />
      <Button onPress={onGone}>{person.name} is no longer here</Button>
    </Week>
  );
}

/** A whole number within two others, from what was typed. */
function within(text: string, least: number, most: number): number | undefined {
  const value = Number(text);
  return text.trim() !== '' && Number.isInteger(value) && value >= least && value <= most ? value : undefined;
}

/** Figures of the days, whole and within two others. */
const FIGURES = {
  sureFrom: { label: 'A promise is sure that is kept so often of 100', least: 5, most: 100, is: 'a whole number' },
  overtime: { label: 'Overtime that is tried, minutes a day', least: 0, most: 720, is: 'whole minutes' },
  toolDays: { label: 'Days until a tool is there that is to be got', least: 0, most: 400, is: 'whole days' },
  between: { label: 'Pieces between two lathes that share a run', least: 0, most: 10_000, is: 'a whole number' },
};
type FigureOf = keyof typeof FIGURES;
type FigureTexts = Record<FigureOf, string>;
const NAMES = Object.keys(FIGURES) as FigureOf[];

const figureOf = (name: FigureOf, text: string): number | undefined =>
  within(text, FIGURES[name].least, FIGURES[name].most);

/** From when on a promise is in no doubt, how much overtime is tried where it is, and what lies between two lathes. */
const Figures = ({ texts, onChange }: { texts: FigureTexts; onChange: (texts: FigureTexts) => void }) => (
  <div
    style={{
      display: 'grid',
      gridTemplateColumns: 'repeat(auto-fit, minmax(160px, 1fr))',
      gap: 14,
      margin: '14px 0',
      alignItems: 'end',
    }}
  >
    {NAMES.map((name) => {
      const { label, least, most, is } = FIGURES[name];
      const wrong = figureOf(name, texts[name]) === undefined;
      return (
        <Field
          key={name}
          label={label}
          value={texts[name]}
          problem={wrong ? `${is}, ${least === 0 ? `at most ${most}` : `from ${least} to ${most}`}` : undefined}
          onChange={(text) => onChange({ ...texts, [name]: text })}
        />
      );
    })}
  </div>
);

/** Who works when and at which lathe, and when nobody does; what is wrong is told at its field, and nothing is kept until it is right. */
export function HoursWindow({ days, machines, onKeep, onClose }: Props) {
  const [people, setPeople] = useState<readonly Person[]>(days.people);
  const [away, setAway] = useState(() => days.people.map((person) => saySpans(person.away)));
  const [closed, setClosed] = useState(saySpans(days.closed));
  const change = (index: number, next: Partial<Person>) =>
    setPeople((all) => all.map((person, at) => (at === index ? { ...person, ...next } : person)));
  const [figures, setFigures] = useState<FigureTexts>({
    sureFrom: String(Math.round(100 * days.sureFrom)),
    overtime: String(days.overtime),
    toolDays: String(days.toolDays),
    between: String(days.between),
  });
  const isWrong =
    NAMES.some((name) => figureOf(name, figures[name]) === undefined) ||
    people.some(({ hours, name }) => name.trim() === '' || hours.some((text) => stretchesOf(text) === undefined)) ||
    new Set(people.map(({ name }) => name.trim())).size < people.length ||
    [closed, ...away].some((text) => spansOf(text) === undefined);
  const keep = () => {
    onKeep({
      ...days,
      people: people.map((person, index) => ({
        ...person,
        name: person.name.trim(),
        away: spansOf(away[index] ?? '') ?? [],
      })),
      closed: spansOf(closed) ?? [],
      sureFrom: Number(figures.sureFrom) / 100,
      overtime: Number(figures.overtime),
      toolDays: Number(figures.toolDays),
      between: Number(figures.between),
    });
    onClose();
  };
  return (
    <Window title="Who works when" open wide onClose={onClose}>
      {people.map((person, index) => (
        <PersonWeek
          key={index}
          person={person}
          away={away[index] ?? ''}
          machines={machines}
          onChange={(next) => change(index, next)}
          onAway={(text) => setAway((all) => put(all, index, text))}
          onGone={() => {
            setPeople((all) => all.filter((_, at) => at !== index));
            setAway((all) => all.filter((_, at) => at !== index));
          }}
        />
      ))}
      <Button
        onPress={() => {
          setPeople((all) => [
            ...all,
            { name: `turner ${all.length + 1}`, hours: Array(7).fill(''), away: [], stands: Array(7).fill('') },
          ]);
          setAway((all) => [...all, '']);
        }}
      >
        Somebody else
      </Button>
      <div style={{ margin: '14px 0' }}>
        <Field
          label="Nobody works"
          value={closed}
          placeholder={HINT}
          problem={wrongDays(closed)}
          onChange={setClosed}
        />
      </div>
      <Figures texts={figures} onChange={setFigures} />
      <Button $strong isDisabled={isWrong} onPress={keep}>
        Keep
      </Button>
    </Window>
  );
}
