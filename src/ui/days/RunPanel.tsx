'use client';
import Link from 'next/link';
import { useState } from 'react';
import type { DaysAnswer } from '@/core/schedule/answer';
import { wishOf, type DaysFile } from '@/core/schedule/days';
import { partNamed } from '@/core/schedule/fromRuns';
import type { Placed } from '@/core/schedule/place';
import { isBegun, isPlanned, type RunToMake } from '@/core/schedule/runToMake';
import { sayPart } from '@/core/schedule/parts';
import type { endangers } from '@/core/schedule/endangers';
import type { RushPlace } from '@/core/schedule/rush';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { Table } from '../primitives/Table';
import type { Machine } from './useDays';
import { Wishes } from './Wishes';
import { sayDay, sayJob, sayLate, sayMoment, sayShare, lastDay } from './words';

type Endangered = ReturnType<typeof endangers>;

interface Props {
  run: RunToMake;
  runs: readonly RunToMake[];
  answer: DaysAnswer;
  days: DaysFile;
  /** The days that the answer is of. */
  placedBy: DaysFile;
  machines: readonly Machine[];
  today: string;
  onKeep: (days: DaysFile) => void;
  onRush: (run: number) => Promise<RushPlace[]>;
  onEndangers: (run: number) => Promise<Endangered | undefined>;
  onTry: (words: string, place: RushPlace) => void;
}

/** Everything of one run in the days: what it takes on which lathe, how sure it is, what is decided of it, other places for it. */
export function RunPanel(props: Props) {
  const { run, runs, answer, days, placedBy, machines, today, onKeep, onRush, onTry, onEndangers } = props;
  const placed = answer.placed.filter((one) => one.run === run.id);
  const sure = answer.promised.find((one) => one.run === run.id);
  const nameOf = (lathe: string) => machines.find(({ id }) => id === lathe)?.name ?? lathe;
  return (
    <Card aria-labelledby="run-of-days">
      <h2 id="run-of-days">
        {run.number} {run.name}
      </h2>
      <p>
        {run.quantity} off{run.customer && ` for ${run.customer}`} ·{' '}
        {run.due ? `promised ${sayDay(run.due)}` : 'promised for no day'} ·{' '}
        <Link href={`/runs/${run.id}`}>its sheet</Link>
      </p>
      {placed.map((one) => {
        const part = partNamed(one.job, runs, placedBy)?.part;
        const words = part && sayPart(part, run.quantity);
        return (
          <p key={one.job}>
            {words && <b>{words}: </b>}
            {words ? 'on' : 'On'} {nameOf(one.lathe)} from <b>{sayMoment(today, one.start)}</b> to{' '}
            <b>{sayMoment(today, one.made)}</b>.
          </p>
        );
      })}
      {placed.length > 0 && sure && (
        <p>
          {sure.p80 < Infinity && `Four of five times it is there by ${sayDay(lastDay(today, sure.p80))}.`}
          {run.due && ` The promise is kept ${sayShare(sure.kept)} times.`}
        </p>
      )}
      {placed.length === 0 && (
        <p role="status">
          {run.lathes === undefined ? 'It is being planned on every lathe.' : 'No lathe can make it within the hours.'}
        </p>
      )}
      {run.due && sure && sure.kept < days.sureFrom && <Endangers {...{ run, runs, onEndangers }} />}
      {run.barsIn !== undefined && !isBegun(run) && (
        <p>Its bars are not on the rack: ordered today they are there in {run.barsIn} days, and it begins no sooner.</p>
      )}
      <ToGet run={run} placed={placed} days={days} />
      <OnEachLathe run={run} nameOf={nameOf} />
      <Wishes key={run.id} {...{ run, runs, days, machines, today, onKeep }} placed={placed[0]} />
      {!isBegun(run) && <InBetween key={`between ${run.id}`} {...{ run, runs, days, today, nameOf, onRush, onTry }} />}
    </Card>
  );
}

/** What it cannot be begun without where it is made, and the shop has not. */
function ToGet({ run, placed, days }: { run: RunToMake; placed: readonly Placed[]; days: DaysFile }) {
  const wanted = (run.lathes ?? []).filter(isPlanned).filter(({ lathe }) => placed.some((one) => one.lathe === lathe));
  const things = [...new Set(wanted.flatMap(({ toGet }) => toGet))];
  if (things.length === 0 || isBegun(run)) return null;
  const isSaid = wishOf(days, run.id)?.release !== undefined;
  return (
    <p>
      To be got first: {things.join(', ')}.{' '}
      {isSaid
        ? 'It is there when the run may begin.'
        : `Ordered today it is there in ${days.toolDays} days, and the run begins no sooner; say in “Not before” if you know better.`}
    </p>
  );
}

/** Which runs endanger its promise, asked for by a press. */
function Endangers({ run, runs, onEndangers }: Pick<Props, 'run' | 'runs' | 'onEndangers'>) {
  const [told, setTold] = useState<Endangered>();
  const numberOf = (id: number) => runs.find((one) => one.id === id)?.number ?? String(id);
  if (!told) return <Button onPress={() => void onEndangers(run.id).then(setTold)}>What endangers it …</Button>;
  if (told.by.length === 0)
    return <p role="status">No single run: it is promised sooner than its minutes and those before it allow.</p>;
  return (
    <ul role="status" aria-label="What endangers it" style={{ margin: '8px 0' }}>
      {told.by.map(({ run: id, keptWithout }) => (
        <li key={id}>
          {id === run.id ? 'What it takes itself' : numberOf(id)}: kept {sayShare(keptWithout)} if that took what is
          planned
        </li>
      ))}
    </ul>
  );
}

/** What it takes on each lathe, or why that cannot make it. */
function OnEachLathe({ run, nameOf }: { run: RunToMake; nameOf: (lathe: string) => string }) {
  return (
    <Table aria-label="On each lathe">
      <thead>
        <tr>
          <th scope="col">lathe</th>
          <th scope="col" className="figure">
            making ready
          </th>
          <th scope="col" className="figure">
            pieces
          </th>
        </tr>
      </thead>
      <tbody>
        {(run.lathes ?? []).map((on) => (
          <tr key={on.lathe}>
            <th scope="row">{nameOf(on.lathe)}</th>
            {'problem' in on ? (
              <td colSpan={2}>{on.problem}</td>
            ) : (
              <>
                <td className="figure">{sayMinutes(on.ready)}</td>
                <td className="figure">
                  {sayMinutes(on.work)}
                  {on.learned && <small> learned</small>}
                </td>
              </>
            )}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

type BetweenProps = Pick<Props, 'run' | 'runs' | 'days' | 'today' | 'onRush' | 'onTry'> & {
  nameOf: (lathe: string) => string;
};

/** Places for it in the order that stands, with what each does to the others. */
function InBetween({ run, runs, days, today, nameOf, onRush, onTry }: BetweenProps) {
  const [places, setPlaces] = useState<RushPlace[]>();
  return (
    <>
      <Button onPress={() => void onRush(run.id).then(setPlaces)}>Where it could come in between …</Button>
      {places && (
        <ul aria-label="Places for it">
          {places.map((place) => (
            <li key={`${place.lathe} ${place.place}`} style={{ margin: '8px 0' }}>
              <b>
                {nameOf(place.lathe)}, {place.place === 0 ? 'first' : `in place ${place.place + 1}`}
              </b>
              : there {sayMoment(today, place.delivered)};{' '}
              {place.harmed.length === 0
                ? 'nobody else is made late'
                : `makes late ${place.harmed
                    .map(({ job, by }) => `${sayJob(job, runs, days)} by ${sayLate(by)}`)
                    .join(', ')}`}
              ; {place.moreReady >= 0 ? '+' : '−'}
              {sayMinutes(Math.abs(place.moreReady))} of making ready{' '}
              <Button
                onPress={() =>
                  onTry(
                    `${sayJob(run.id, runs, days)} on ${nameOf(place.lathe)}, ${place.place === 0 ? 'first' : `in place ${place.place + 1}`}`,
                    place,
                  )
                }
              >
                Try it there
              </Button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
