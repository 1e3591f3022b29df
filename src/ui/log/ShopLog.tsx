'use client';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import styled from 'styled-components';
import type { LogDay } from '@/core/present/logDays';
import { Card, Empty } from '../primitives/Card';
import { Finder, type Narrowing, type Sought } from '../primitives/Finder';
import { HouseBar } from '../primitives/HouseBar';

const Room = styled.main`
  display: grid;
  gap: 14px;
  max-width: 1100px;
  margin: 0 auto;
  padding: 20px;
  h1 {
    font-size: 21px;
  }
  h3 {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    align-items: baseline;
    padding-top: 8px;
    border-top: 1px solid var(--line);
    font-size: 15px;
  }
  h3 span {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 14px;
  }
  li {
    display: grid;
    grid-template-columns: 52px minmax(0, 1fr);
    padding: 2px 0;
    font-size: 14px;
  }
  time {
    color: var(--ink-soft);
  }
`;

const BACK: Narrowing = {
  name: 'back',
  label: 'Since',
  options: [
    ['month', 'a month ago'],
    ['week', 'a week ago'],
    ['year', 'a year ago'],
  ],
};

interface Props {
  days: LogDay[];
  runs: { id: number; number: string; name: string }[];
  /** Lathes and tools of the shop, id and name. */
  lathes: readonly (readonly [string, string])[];
  tools: readonly (readonly [string, string])[];
  sought: Sought;
}

const time = (at: string) => format(new Date(at), 'HH:mm');

/** What happened in the shop, day by day: on which runs, how much, and what was not usual. */
export function ShopLog({ days, runs, lathes, tools, sought }: Props) {
  const narrowings = [
    BACK,
    { name: 'lathe', label: 'Lathe', options: [['', 'any'] as const, ...lathes] },
    { name: 'tool', label: 'Edges of', options: [['', 'everything'] as const, ...tools] },
  ];
  const known = new Map(runs.map((run) => [run.id, run]));
  return (
    <>
      <HouseBar at="log" />
      <Room>
        <h1>Log</h1>
        <Finder sought={sought} what="Find" narrowings={narrowings}>
          {days.length} {days.length === 1 ? 'day' : 'days'}
        </Finder>
        {days.length === 0 && (
          <Empty>
            <h2>Nothing happened</h2>
            <p>What is pressed at the lathe stands here, day by day. Fewer words or a longer time find more.</p>
          </Empty>
        )}
        {days.map(({ day, runs: ofDay }) => (
          <Card key={day} aria-labelledby={`day-${day}`}>
            <h2 id={`day-${day}`}>{format(parseISO(day), 'EEEE, d MMMM yyyy')}</h2>
            {ofDay.map(({ run, from, to, steps, pieces, measured, happened }) => (
              <section key={run}>
                <h3>
                  <Link href={`/runs/${run}/log`} prefetch={false}>
                    {known.get(run)?.number ?? `run ${run}`} {known.get(run)?.name}
                  </Link>
                  <span>
                    {time(from)} to {time(to)} · {steps} steps of {pieces} {pieces === 1 ? 'piece' : 'pieces'} ·{' '}
                    {measured} measured
                  </span>
                </h3>
                <ul>
                  {happened.map(({ id, at, words }) => (
                    <li key={id}>
                      <time dateTime={at}>{time(at)}</time>
                      <span>{words}</span>
                    </li>
                  ))}
                </ul>
              </section>
            ))}
          </Card>
        ))}
      </Room>
    </>
  );
}
