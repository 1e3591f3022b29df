'use client';
import styled from 'styled-components';
import { standing, standsAt, stretchesOf, WEEKDAYS, type Person } from '@/core/schedule/days';
import { useDeviceSettings } from '../device/DeviceSettings';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { HINT, wrongDays } from './spans';
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

/** A list with another value in one of its places. */
export const put = <T,>(all: readonly T[], index: number, value: T) =>
  all.map((one, at) => (at === index ? value : one));

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
export function PersonWeek({ person, away, machines, onChange, onAway, onGone }: WeekProps) {
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
