'use client';
import { useState } from 'react';
import { stretchesOf, type DaysFile, type Person } from '@/core/schedule/days';
import { Button } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { DaysFigures, figureTexts, readFigures } from './DaysFigures';
import { PersonWeek, put } from './PersonWeek';
import { HINT, saySpans, spansOf, wrongDays } from './spans';
import type { Machine } from './useDays';

interface Props {
  days: DaysFile;
  machines: readonly Machine[];
  onKeep: (days: DaysFile) => void;
  onClose: () => void;
}

interface ServiceProps {
  machines: readonly Machine[];
  /** Days of each, as they are typed. */
  texts: readonly string[];
  onChange: (index: number, text: string) => void;
}

/** On which days a lathe is not to be had, whoever stands there. */
const Service = ({ machines, texts, onChange }: ServiceProps) => (
  <div style={{ display: 'grid', gap: 8 }}>
    {machines.map(({ id, name }, index) => (
      <Field
        key={id}
        label={`${name} is not to be had`}
        value={texts[index] ?? ''}
        placeholder={HINT}
        problem={wrongDays(texts[index] ?? '')}
        onChange={(text) => onChange(index, text)}
      />
    ))}
  </div>
);

/** Who works when and at which lathe, and when nobody does; what is wrong is told at its field, and nothing is kept until it is right. */
export function HoursWindow({ days, machines, onKeep, onClose }: Props) {
  const [people, setPeople] = useState<readonly Person[]>(days.people);
  const [away, setAway] = useState(() => days.people.map((person) => saySpans(person.away)));
  const [closed, setClosed] = useState(saySpans(days.closed));
  const change = (index: number, next: Partial<Person>) =>
    setPeople((all) => all.map((person, at) => (at === index ? { ...person, ...next } : person)));
  const [service, setService] = useState(() =>
    machines.map(({ id }) => saySpans(days.service.filter(({ lathe }) => lathe === id))),
  );
  const [texts, setTexts] = useState(() => figureTexts(days));
  const figures = readFigures(texts);
  const isWrong =
    figures === undefined ||
    people.some(({ hours, name }) => name.trim() === '' || hours.some((text) => stretchesOf(text) === undefined)) ||
    new Set(people.map(({ name }) => name.trim())).size < people.length ||
    [closed, ...away, ...service].some((text) => spansOf(text) === undefined);
  const keep = () => {
    onKeep({
      ...days,
      people: people.map((person, index) => ({
        ...person,
        name: person.name.trim(),
        away: spansOf(away[index] ?? '') ?? [],
      })),
      closed: spansOf(closed) ?? [],
      service: machines.flatMap(({ id }, index) =>
        (spansOf(service[index] ?? '') ?? []).map((span) => ({ lathe: id, ...span })),
      ),
      ...figures,
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
      <Service
        {...{ machines, texts: service }}
        onChange={(index, text) => setService((all) => put(all, index, text))}
      />
      <DaysFigures texts={texts} onChange={setTexts} />
      <Button $strong isDisabled={isWrong} onPress={keep}>
        Keep
      </Button>
    </Window>
  );
}
