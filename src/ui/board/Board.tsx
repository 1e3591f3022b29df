'use client';
import { Plus, Upload } from 'lucide-react';
import { differenceInCalendarDays, format, parseISO } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import type { Problem } from '@/core/model/result';
import { sayMinutes } from '@/core/model/units/show';
import { Empty } from '../primitives/Card';
import { Button, ButtonLink } from '../primitives/Button';
import { Figuring, type Progress } from '../primitives/Figuring';
import { Finder, Pages, type Sought } from '../primitives/Finder';
import { Mark } from '../primitives/Mark';
import { Notice } from '../primitives/Notice';
import { TextButton } from '../primitives/TextButton';
import { later } from '../primitives/later';
import { Window } from '../primitives/Window';
import { importRun } from '../run/api';
import { entryName } from '../run/entryName';
import { ThemeToggle } from '../theme/ThemeToggle';
import { DraftList } from './DraftList';

const TogetherWindow = later(() => import('./TogetherWindow').then((loaded) => loaded.TogetherWindow));

/** What is known of the plan of a run: its figures, or what is in the way of them. */
export type BoardFigures =
  | {
      pieceMinutes: number;
      batchMinutes: number;
      bars: number;
      size: string;
      barLength: string;
      way: string;
      proved: boolean;
      complete: boolean;
    }
  | { problem: Problem | undefined };

/** A run as the board shows it. */
export interface BoardRun {
  id: number;
  number: string;
  name: string;
  revision: string;
  material: string;
  quantity: string;
  units: string;
  due: string;
  /** The letter that the drawing went on to, when the run keeps an earlier one. */
  newerPart: string | undefined;
  savedAt: string;
  /** Whether the figures are those of before a change. */
  stale: boolean;
  figures: BoardFigures | undefined;
}

/** Names of the orders that the board can be in. */
const ORDERS = [
  ['due', 'by the promised day'],
  ['newest', 'saved last'],
  ['number', 'by part number'],
  ['name', 'by name'],
  ['longest', 'longest batch'],
] as const;

const Bar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 12px 20px;
  border-bottom: 1px solid var(--line);
  > strong {
    display: flex;
    align-items: center;
    gap: 9px;
    margin-right: auto;
    font-size: 18px;
  }
`;

const Room = styled.main`
  max-width: 1240px;
  margin: 0 auto;
  padding: 20px;
  h1 {
    margin-bottom: 12px;
    font-size: 21px;
  }
  .told {
    margin: 0 -16px 12px;
  }
  .told:empty {
    display: none;
  }
`;

/** Runs lie over one another like shingles: each row's lower edge over the next one. */
const List = styled.ol`
  display: grid;
  gap: 8px;
`;

const Row = styled.li`
  border: 1px solid var(--line);
  border-left: 6px solid var(--brass);
  border-radius: 6px;
  background: var(--sheet);
  box-shadow: 0 2px 0 var(--line);
  &[data-late] {
    border-left-color: var(--oxide);
  }
  a {
    display: grid;
    grid-template-columns: 84px minmax(160px, 1.2fr) minmax(150px, 1fr) 160px 130px 120px;
    gap: 4px 16px;
    align-items: center;
    padding: 11px 16px;
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

const Figures = ({ run: { figures, stale } }: { run: BoardRun }) => {
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

export interface BoardProps {
  runs: BoardRun[];
  sought: Sought;
  pages: number;
  found: number;
  progress: Progress;
  damaged: string[];
  /** Numbers that are one number and are kept as several parts. */
  twice: string[][];
  today: string;
}

/** A file that was not taken in, and why. */
interface Refused {
  name: string;
  problems: Problem[];
}

/** From the board on: to rack and shop, a run brought in, a new one. */
function BoardBar({ onRefused }: { onRefused: (refused: Refused) => void }) {
  const router = useRouter();
  const chooser = useRef<HTMLInputElement>(null);

  const bring = async (file: File | undefined) => {
    if (!file) return;
    const outcome = await importRun(await file.text());
    if (outcome.kind === 'done') return router.push(`/runs/${outcome.run.id}`);
    onRefused({
      name: file.name,
      problems:
        outcome.kind === 'refused'
          ? outcome.problems
          : [{ path: '', message: 'the server does not answer; the file is as it was, try again in a moment' }],
    });
  };

  return (
    <Bar>
      <strong>
        <Mark /> Shingle
      </strong>
      <input
        ref={chooser}
        type="file"
        accept=".json,application/json"
        aria-label="Run file"
        hidden
        onChange={(event) => {
          void bring(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <ButtonLink as={Link} href="/shop" prefetch={false}>
        Shop
      </ButtonLink>
      <ButtonLink as={Link} href="/rack" prefetch={false}>
        Rack
      </ButtonLink>
      <Button onPress={() => chooser.current?.click()}>
        <Upload size={16} aria-hidden /> Bring in a run file
      </Button>
      <ButtonLink as={Link} href="/runs/new/part" $strong prefetch={false}>
        <Plus size={16} aria-hidden /> New run
      </ButtonLink>
      <ThemeToggle />
    </Bar>
  );
}

/** What is to be told of what the database holds. */
const Told = ({ damaged, twice }: Pick<BoardProps, 'damaged' | 'twice'>) => (
  <>
    {damaged.length > 0 && (
      <Notice danger>Not shown, because what the database holds of it does not read: {damaged.join('; ')}.</Notice>
    )}
    {twice.map((numbers) => (
      <Notice key={numbers[0]}>
        {numbers.map((number) => `“${number}”`).join(' and ')} are one part number, and were kept as parts of their own.
        Both stay as they are; give one of them another number where they are not the same part.
      </Notice>
    ))}
  </>
);

const NoRuns = ({ sought }: { sought: boolean }) =>
  sought ? (
    <Empty>
      <h2>No run has all of these words</h2>
      <p>Number, name, revision and material are looked through. Fewer words find more.</p>
    </Empty>
  ) : (
    <Empty>
      <h2>No runs yet</h2>
      <p>Start with a drawing and a quantity: the first step, its diameter and its length, is enough to begin.</p>
      <ButtonLink as={Link} href="/runs/new/part" $strong prefetch={false}>
        <Plus size={16} aria-hidden /> Plan the first run
      </ButtonLink>
    </Empty>
  );

/** A run in a line: how many of what, from what, what it takes and by when. */
function RunRow({ run, today }: { run: BoardRun; today: string }) {
  const planned = run.figures && 'way' in run.figures ? run.figures : undefined;
  return (
    <Row data-late={isLate(run.due, today) || undefined} data-old={run.stale || undefined}>
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
        <Promised due={run.due} today={today} />
      </Link>
    </Row>
  );
}

/** The runs that are looked for: how many of what, by when, and what they take. */
export function Board({ runs, sought, pages, found, progress, damaged, twice, today }: BoardProps) {
  const [refused, setRefused] = useState<Refused>();
  const [together, setTogether] = useState(false);
  return (
    <>
      <BoardBar onRefused={setRefused} />
      <Room>
        <h1>Board</h1>
        <DraftList />
        <div className="told">
          <Told damaged={damaged} twice={twice} />
          <Figuring served={progress} most={2} />
        </div>
        {progress.all > 0 && (
          <Finder sought={sought} what="Find" orders={ORDERS}>
            <span>{sought.find ? `${found} of ${progress.all} runs` : `${progress.all} runs`}</span>
            {progress.all > 1 && (
              <TextButton type="button" style={{ marginLeft: 14 }} onClick={() => setTogether(true)}>
                Made one after the other …
              </TextButton>
            )}
          </Finder>
        )}
        {runs.length === 0 ? (
          <NoRuns sought={progress.all > 0} />
        ) : (
          <List aria-label="Runs">
            {runs.map((run) => (
              <RunRow key={run.id} run={run} today={today} />
            ))}
          </List>
        )}
        <Pages sought={sought} pages={pages} />
      </Room>
      {together && <TogetherWindow onClose={() => setTogether(false)} />}
      {refused && (
        <Window title={`${refused.name} was not taken in`} open onClose={() => setRefused(undefined)}>
          <ul>
            {refused.problems.map(({ path, message }) => (
              <li key={path + message} style={{ marginBottom: 6 }}>
                <code style={{ fontFamily: 'var(--mono)' }}>{path || 'file'}</code>: {message}
              </li>
            ))}
          </ul>
        </Window>
      )}
    </>
  );
}
