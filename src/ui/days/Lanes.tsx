'use client';
import Link from 'next/link';
import { useMemo } from 'react';
import styled from 'styled-components';
import type { DaysAnswer } from '@/core/schedule/answer';
import { daysBetween, weekdayOf, workTimeOf, type DaysFile } from '@/core/schedule/days';
import { partNamed } from '@/core/schedule/fromRuns';
import type { RunToMake } from '@/core/schedule/runToMake';
import { DAY, type WorkTime } from '@/core/schedule/hours';
import { without, withAt } from '@/core/schedule/improve';
import type { Order } from '@/core/schedule/job';
import { useDeviceSettings } from '../device/DeviceSettings';
import { dayScale, type DayScale } from './dayScale';
import { PlacedRun } from './PlacedRun';
import type { Machine } from './useDays';
import { sayDay, sayJob } from './words';

const Frame = styled.div`
  position: relative;
  overflow-x: auto;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
`;

const Heads = styled.div`
  position: relative;
  height: 30px;
  border-bottom: 1px solid var(--line);
  span {
    position: absolute;
    top: 6px;
    padding-left: 6px;
    overflow: hidden;
    font-size: 13px;
    white-space: nowrap;
  }
  span[data-today] {
    color: var(--blue);
    font-weight: 700;
  }
`;

const Lane = styled.section`
  position: relative;
  border-bottom: 1px solid var(--line);
  header {
    position: sticky;
    left: 0;
    /* Over the line of the present moment. */
    z-index: 1;
    background: var(--sheet);
    display: flex;
    gap: 10px;
    align-items: baseline;
    width: max-content;
    max-width: 90vw;
    padding: 4px 8px 0;
    font-size: 14px;
  }
  h2 {
    font-size: 14px;
  }
  a {
    color: var(--ink-soft);
  }
  > div {
    position: relative;
    height: 66px;
  }
`;

const Column = styled.span`
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--line);
  pointer-events: none;
  &[data-week] {
    border-left: 2px solid var(--ink-soft);
  }
  &[data-off] {
    background: repeating-linear-gradient(135deg, transparent 0 4px, var(--line) 4px 5px);
  }
`;

/** Days that are drawn beyond the last delivery. */
const BEYOND = 2;

interface Props {
  answer: DaysAnswer;
  runs: readonly RunToMake[];
  days: DaysFile;
  machines: readonly Machine[];
  today: string;
  now: number;
  room: number;
  across: number;
  chosen: number | undefined;
  onChoose: (run: number) => void;
  onTry: (words: string, order: Order) => void;
}

/** Lathes down, days across: each run where it is made, set-up by set-up, with its promise and its doubt. */
export function Lanes(props: Props) {
  const { answer, runs, days, machines, today, now, room, across } = props;
  const times = useMemo(
    () => new Map(machines.map(({ id }) => [id, workTimeOf(id, days, today)])),
    [machines, days, today],
  );
  const last = Math.max(0, ...answer.placed.map(({ delivered }) => delivered).filter((at) => at < Infinity));
  const dues = runs.map(({ due }) => (due === '' ? 0 : daysBetween(today, due)));
  const count = Math.min(
    400,
    Math.max(across, Math.ceil(last / DAY) + BEYOND, ...dues.map((due) => Math.min(60, due + 2))),
  );
  const scale = dayScale([...times.values()], today, count, room, across);
  return (
    <Frame tabIndex={0} role="group" aria-label="Lathes and days">
      <div style={{ width: Math.max(room, scale.width), position: 'relative' }}>
        <Heads aria-hidden>
          {scale.days
            .filter(({ isWorked }, index) => isWorked && (scale.days[index]?.width ?? 0) > 2)
            .filter((_, index) => (scale.days.find(({ isWorked }) => isWorked)?.width ?? 99) > 56 || index % 5 === 0)
            .map(({ day, x, width, index }) => (
              <span key={day} data-today={index === 0 ? '' : undefined} style={{ left: x, width: Math.max(width, 90) }}>
                {index === 0 ? 'Today' : sayDay(day)}
              </span>
            ))}
        </Heads>
        {machines.map((machine, row) => (
          <LaneOf
            key={machine.id}
            {...props}
            machine={machine}
            row={row}
            scale={scale}
            time={times.get(machine.id) as WorkTime}
          />
        ))}
        <Column style={{ left: scale.x(now), top: 30, borderLeft: '2px solid var(--blue)' }} />
      </div>
    </Frame>
  );
}

const LANE_HEIGHT = 93;

interface LaneProps extends Props {
  machine: Machine;
  row: number;
  scale: DayScale;
  time: WorkTime;
}

function LaneOf({
  machine,
  row,
  scale,
  time,
  answer,
  runs,
  days,
  machines,
  today,
  chosen,
  onChoose,
  onTry,
}: LaneProps) {
  const { weekFrom } = useDeviceSettings().settings;
  const here = answer.placed.filter(({ lathe }) => lathe === machine.id).sort((a, b) => a.start - b.start);
  const next = here[0] && partNamed(here[0].job, runs, days)?.run;
  const put = (id: number, lathe: string, place: number) => {
    const order = withAt(without(answer.order, id), id, lathe, Math.max(0, place));
    const name = machines.find((one) => one.id === lathe)?.name ?? lathe;
    onChoose(partNamed(id, runs, days)?.run.id ?? id);
    onTry(`${sayJob(id, runs, days)} on ${name}, ${place <= 0 ? 'first' : `in place ${place + 1}`}`, order);
  };
  const moved = (id: number, dx: number, dy: number) => {
    const to = machines[Math.min(machines.length - 1, Math.max(0, row + Math.round(dy / LANE_HEIGHT)))] ?? machine;
    const placed = here.find(({ job }) => job === id);
    const at = scale.at(scale.x(placed?.start ?? 0) + dx);
    const before = answer.placed.filter(
      ({ lathe, job, start, made }) => lathe === to.id && job !== id && (start + made) / 2 < at,
    );
    put(id, to.id, before.length);
  };
  const stepped = (id: number, places: number, lathes: number) => {
    const to = machines[row + lathes];
    const place = (answer.order[machine.id] ?? []).indexOf(id);
    const most = (answer.order[to?.id ?? ''] ?? []).length;
    if (to) put(id, to.id, Math.min(most, lathes === 0 ? place + places : place));
  };
  return (
    <Lane aria-label={machine.name}>
      <header>
        <h2>{machine.name}</h2>
        {next && (
          <Link href={`/runs/${next.id}/lathe`} prefetch={false}>
            next: {next.number} {next.name}
          </Link>
        )}
        <Link href={`/lathes/${encodeURIComponent(machine.id)}`} prefetch={false} className="screen-only">
          for its tablet
        </Link>
        {time.stretches.length === 0 && 'nobody stands here'}
      </header>
      <div>
        {scale.days.map(({ day, x, width, isWorked }) => (
          <Column
            key={day}
            data-off={isWorked ? undefined : ''}
            data-week={weekdayOf(day) === weekFrom ? '' : undefined}
            style={{ left: x, width }}
          />
        ))}
        {here.map((placed) => (
          <PlacedRun
            key={placed.job}
            {...{ placed, answer, scale, time, today }}
            named={partNamed(placed.job, runs, days)}
            chosen={chosen === placed.run}
            onChoose={() => onChoose(placed.run)}
            onMoved={(dx, dy) => moved(placed.job, dx, dy)}
            onStep={(places, lathes) => stepped(placed.job, places, lathes)}
          />
        ))}
      </div>
    </Lane>
  );
}
