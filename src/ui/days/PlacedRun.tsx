'use client';
import styled from 'styled-components';
import type { DaysAnswer } from '@/core/schedule/answer';
import { daysBetween } from '@/core/schedule/days';
import { DAY, workedBy, type WorkTime } from '@/core/schedule/hours';
import { finishes, partOn, sayPart, type Part } from '@/core/schedule/parts';
import type { Placed } from '@/core/schedule/place';
import type { RunToMake } from '@/core/schedule/runToMake';
import { segmentsOf } from '@/core/schedule/segments';
import { Block } from './Block';
import type { DayScale } from './dayScale';
import { sayDay, sayLate, sayMoment, sayShare } from './words';

/** Until when it is promised: a mark at the lane's lower edge, a line through it when it is chosen. */
const Due = styled.span`
  position: absolute;
  bottom: 0;
  width: 0;
  height: 7px;
  border-left: 2px solid var(--ink-soft);
  pointer-events: none;
  &[data-chosen] {
    top: 0;
    height: auto;
    border-left: 2px dashed var(--blue);
  }
  &[data-late] {
    border-color: var(--oxide);
  }
`;

interface Props {
  named: { run: RunToMake; part: Part } | undefined;
  placed: Placed;
  answer: DaysAnswer;
  scale: DayScale;
  time: WorkTime;
  today: string;
  chosen: boolean;
  onChoose: () => void;
  onMoved: (dx: number, dy: number) => void;
  onStep: (places: number, lathes: number) => void;
}

/** One run, or a part of one, in its place, with the mark of its promise. */
export function PlacedRun({ named, placed, answer, scale, time, today, chosen, ...on }: Props) {
  const made = named?.run.lathes?.find(({ lathe }) => lathe === placed.lathe);
  if (!named || !made || 'problem' in made) return null;
  const { run, part } = named;
  const isLast = answer.placed.every((one) => one.run !== run.id || one.made <= placed.made);
  const sure = isLast ? answer.promised.find((one) => one.run === run.id) : undefined;
  const words = sayPart(part, run.quantity);
  const [left, right] = [scale.x(placed.start), scale.x(placed.made)];
  const isPromised = run.due !== '' && finishes(part);
  const due = !isPromised ? undefined : (daysBetween(today, run.due) + 1) * DAY;
  const late = due !== undefined && placed.delivered > due ? sayLate(placed.delivered - due) : undefined;
  const worked = (from: number, to: number) => workedBy(time, to) - workedBy(time, from);
  const label = [
    [run.number, run.name, words].filter(Boolean).join(' '),
    `from ${sayMoment(today, placed.start)} to ${sayMoment(today, placed.made)}`,
    isPromised && `promised ${sayDay(run.due)}`,
    late && `late ${late}`,
    run.due && sure && `kept ${sayShare(sure.kept)}`,
  ];
  return (
    <>
      {due !== undefined && due > 0 && (
        <Due
          data-chosen={chosen ? '' : undefined}
          data-late={late ? '' : undefined}
          style={{ left: scale.x(due - 1) }}
        />
      )}
      <Block
        number={run.number}
        name={words || run.name}
        label={label.filter(Boolean).join(', ')}
        left={left}
        width={Math.max(12, right - left)}
        doubt={sure ? Math.max(0, scale.x(sure.p80) - right) : 0}
        segments={segmentsOf(placed, partOn(part, made, run.quantity), time, worked).map((segment) => ({
          ...segment,
          left: scale.x(segment.from) - left,
          width: scale.x(segment.to) - scale.x(segment.from),
        }))}
        {...{ late, chosen, ...on }}
      />
    </>
  );
}
