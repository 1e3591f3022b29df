'use client';
import { differenceInCalendarDays, format, parseISO } from 'date-fns';
import Link from 'next/link';
import styled from 'styled-components';
import { AT_WORK, STATE_WORDS } from '@/core/model/runState';
import { sayMinutes } from '@/core/model/units/show';
import type { ListedRun } from '@/core/present/listedRun';
import { entryName } from '../run/entryName';

const Row = styled.li`
  border: 1px solid var(--line);
  border-left: 6px solid var(--brass);
  border-radius: 6px;
  background: var(--sheet);
  box-shadow: 0 2px 0 var(--line);
  &[data-late] {
    border-left-color: var(--oxide);
  }
  position: relative;
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
  > label {
    display: grid;
    place-items: center;
    cursor: pointer;
  }
  > label input {
    width: 18px;
    height: 18px;
    accent-color: var(--blue);
  }
  &[data-chosen] {
    background: var(--blue-soft);
  }
  a {
    display: grid;
    grid-template-columns: 76px minmax(160px, 1.2fr) minmax(140px, 1fr) 140px 120px 84px 110px;
    gap: 4px 16px;
    align-items: center;
    padding: 11px 16px 11px 4px;
    text-decoration: none;
  }
  a:hover {
    background: var(--hover);
  }
  b {
    font-size: 16px;
  }
  small {
    display: block;
    color: var(--ink-soft);
    font-size: 13px;
  }
  em {
    color: var(--ink);
    font-style: normal;
    font-weight: 600;
  }
  .figure {
    font-family: var(--mono);
  }
  &[data-old] .figure {
    color: var(--ink-soft);
    font-style: italic;
  }
  .off {
    font: 700 20px var(--mono);
    text-align: right;
  }
  .off small {
    display: inline;
    margin-left: 5px;
    font: 13px var(--sans);
  }
  .late {
    color: var(--oxide);
    font-weight: 700;
  }
  @media (max-width: 900px) {
    a {
      grid-template-columns: 96px 1fr 1fr;
    }
  }
  @media (max-width: 520px) {
    a {
      grid-template-columns: 1fr 1fr;
    }
    .off {
      text-align: left;
    }
  }
`;

/** The day a run is promised for, and how near it is. `today` comes from the server, so that both sides say the same. */
function Promised({ due, today }: { due: string; today: string }) {
  const day = due ? parseISO(due) : undefined;
  if (!day || Number.isNaN(day.getTime())) return <span>no day promised</span>;
  const days = differenceInCalendarDays(day, parseISO(today));
  const words = days < 0 ? `${-days} days late` : days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${days} days`;
  return (
    <span>
      {format(day, 'EEE d MMM')}
      <small className={days < 0 ? 'late' : undefined}>{words}</small>
    </span>
  );
}

const isLate = (due: string, today: string) => due !== '' && due < today;

const Figures = ({ run: { figures, stale } }: { run: ListedRun }) => {
  if (!figures) return <span style={{ gridColumn: 'span 2' }}>being planned …</span>;
  if ('problem' in figures)
    return (
      <span style={{ gridColumn: 'span 2' }}>
        not planned yet
        <small>
          {entryName(figures.problem?.path ?? '')} {figures.problem?.message}
        </small>
      </span>
    );
  return (
    <>
      <span className="figure">
        {sayMinutes(figures.batchMinutes)}
        <small>{stale ? 'as before; planned again …' : `${sayMinutes(figures.pieceMinutes)} a piece`}</small>
      </span>
      <span className="figure">
        {figures.bars} {figures.barLength === '' ? 'piece' : 'bar'}
        {figures.bars === 1 ? '' : 's'}
        <small>{figures.barLength === '' ? 'as they arrive' : `of ${figures.barLength}`}</small>
      </span>
    </>
  );
};

/** How far a run has come: a draft where it has no plan yet; and since when, and who says so. */
function stateOf({ state, stateAt, stateBy, figures }: ListedRun): { is: string; since: string } {
  const is = state !== 'open' ? STATE_WORDS[state].is : figures && 'problem' in figures ? 'draft' : 'planned';
  const when = stateAt === undefined || state === 'open' ? '' : format(parseISO(stateAt), 'd MMM');
  return { is, since: [when, stateBy].filter(Boolean).join(', ') };
}

interface RowProps {
  run: ListedRun;
  today: string;
  chosen: boolean;
  onChoose: (chosen: boolean) => void;
}

/** A run in a line: how many of what, from what, what it takes, how far it is and by when. */
export function RunRow({ run, today, chosen, onChoose }: RowProps) {
  const planned = run.figures && 'way' in run.figures ? run.figures : undefined;
  const { is, since } = stateOf(run);
  const wanted = [run.customer, run.order].filter(Boolean).join(', ');
  return (
    <Row
      data-late={(isLate(run.due, today) && AT_WORK.includes(run.state)) || undefined}
      data-old={run.stale || undefined}
      data-chosen={chosen || undefined}
    >
      <label>
        <input
          type="checkbox"
          checked={chosen}
          aria-label={`Choose ${run.name || run.number}`}
          onChange={({ target }) => onChoose(target.checked)}
        />
      </label>
      <Link href={`/runs/${run.id}`} prefetch={false}>
        <span className="off">
          {run.quantity || '—'}
          <small>off</small>
        </span>
        <span>
          <b>{run.name || run.number}</b>
          <small>
            {run.number}
            {run.revision && ` · rev ${run.revision}`}
            {run.units === 'in' && ' · inch'}
            {wanted && ` · ${wanted}`}
            {run.newerPart !== undefined && <em> · drawing now at rev {run.newerPart || '—'}</em>}
          </small>
        </span>
        <span>
          {run.material}
          <small>
            {planned && `${planned.way}, ${planned.size}`}
            {planned?.complete === false && <span className="late"> · incomplete</span>}
            {planned?.proved === false && <span className="late"> · not proved</span>}
          </small>
        </span>
        <Figures run={run} />
        <span>
          {is}
          <small>{since}</small>
        </span>
        <Promised due={run.due} today={today} />
      </Link>
    </Row>
  );
}
