'use client';
import { format } from 'date-fns';
import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import styled from 'styled-components';
import {
  bySection,
  freeLength,
  sameSection,
  sectionKey,
  shortOf,
  type RackItem,
  type RackMove,
  type Section,
  type Shortage,
  type StockLevel,
} from '@/core/rack/rack';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { Empty } from '../primitives/Card';
import { Button } from '../primitives/Button';
import { Figuring, type Progress } from '../primitives/Figuring';
import { Finder, Pages, type Sought } from '../primitives/Finder';
import { Window } from '../primitives/Window';
import { actOn } from './api';
import { ReceiveWindow } from './ReceiveWindow';
import { HouseBar } from '../primitives/HouseBar';
import { ReserveWindow, UseWindow } from './ItemWindows';
import { LevelWindow } from './LevelWindow';

export const Room = styled.main`
  max-width: 1240px;
  margin: 0 auto;
  padding: 18px 20px 40px;
  h1 {
    font-size: 21px;
  }
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 12px;
  h1 {
    margin-right: auto;
  }
`;

const Short = styled.section`
  margin-bottom: 14px;
  padding: 10px 16px;
  border: 1px solid var(--brass);
  border-radius: 8px;
  background: var(--brass-soft);
  h2 {
    margin-bottom: 4px;
    font-size: 15px;
  }
  summary {
    padding: 6px 0;
    cursor: pointer;
  }
`;

const Lot = styled.section`
  overflow-x: auto;
  margin-bottom: 12px;
  padding: 10px 16px;
  border: 1px solid var(--line);
  border-left: 6px solid var(--brass);
  border-radius: 6px;
  background: var(--sheet);
  h2 {
    margin-bottom: 6px;
    font-size: 16px;
  }
  h2 small {
    margin-left: 8px;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  table {
    width: 100%;
    min-width: 760px;
    border-collapse: collapse;
    table-layout: fixed;
  }
  th {
    padding: 0 10px 4px 0;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
  }
  td {
    padding: 5px 10px 5px 0;
    border-top: 1px solid var(--line);
  }
  .figure {
    font-family: var(--mono);
    text-align: right;
  }
  td:last-child {
    text-align: right;
    white-space: nowrap;
  }
  td:last-child button {
    margin-left: 6px;
  }
`;

/** A bar as a strip: what is reserved of it hatched, what is free plain. */
const Strip = styled.div`
  display: flex;
  height: 14px;
  border: 1px solid var(--ink-soft);
  border-radius: 2px;
  background: var(--metal);
  overflow: hidden;
  i {
    border-right: 1px solid var(--ink);
    background: repeating-linear-gradient(45deg, var(--brass-soft) 0 3px, var(--brass) 3px 5px);
  }
`;

const longestOf = (items: RackItem[]) => Math.max(...items.map(({ length }) => length));

const metres = (mm: number) => `${(mm / 1000).toFixed(2)} m`;

/** Runs that are named one by one, and sections that are short at first sight. */
const NAMED = 4;
const AT_FIRST = 6;

export interface RackProps {
  /** Of the page that is shown. */
  items: RackItem[];
  sought: Sought;
  pages: number;
  counts: { found: number; all: number };
  /** What runs need is known when they are planned. */
  progress: Progress;
  history: RackMove[];
  runs: { id: number; number: string; name: string }[];
  materials: { id: string; name: string }[];
  short: Shortage[];
  levels: StockLevel[];
  keepFrom: number;
  currency: string;
}

/** Bars and offcuts on hand: what is free of them, who has reserved what, and everything that happened to them. */
export function Rack({
  items,
  sought,
  pages,
  counts,
  progress,
  history,
  runs,
  materials,
  short,
  levels,
  keepFrom,
  currency,
}: RackProps) {
  const router = useRouter();
  const [open, setOpen] = useState<
    | { kind: 'receive' | 'history' }
    | { kind: 'reserve' | 'use'; item: RackItem }
    | { kind: 'level'; section: Section }
    | undefined
  >();
  const [told, setTold] = useState('');
  const nameOf = (section: Section) =>
    `${materials.find(({ id }) => id === section.material)?.name ?? section.material} ${nameOfBar(section, 'mm')}`;
  const runOf = (id: number) => runs.find((run) => run.id === id)?.number ?? `run ${id}`;
  const lots = bySection(items);
  /** Some of the runs by name; of many the rest is a number. */
  const namesOf = (wanting: readonly number[]) =>
    wanting.length <= NAMED + 1
      ? wanting.map(runOf).join(', ')
      : `${wanting.slice(0, NAMED).map(runOf).join(', ')} and ${wanting.length - NAMED} more`;
  const reasonOf = ({ needed, least, runs: wanting }: Shortage) =>
    [
      ...(needed > 0 ? [`${metres(needed)} needed for ${namesOf(wanting)}`] : []),
      ...(least > 0 ? [`${metres(least)} to be kept`] : []),
    ].join(', ');
  const leastOf = (section: Section) => levels.find((level) => sameSection(level, section))?.least ?? 0;
  const line = (shortage: Shortage) => (
    <li key={sectionKey(shortage.section)}>
      <b>{metres(shortOf(shortage))}</b> of {nameOf(shortage.section)}: {reasonOf(shortage)}, {metres(shortage.free)}{' '}
      free{' '}
      {shortage.least > 0 && (
        <Link
          onClick={() => setOpen({ kind: 'level', section: shortage.section })}
          aria-label={`Change how much of ${nameOf(shortage.section)} is kept`}
        >
          change
        </Link>
      )}
    </li>
  );
  // What the shop itself watches stands first.
  const shown = [...short].sort((a, b) => Number(b.least > 0) - Number(a.least > 0));
  const done = (words: string) => {
    setOpen(undefined);
    setTold(words);
    router.refresh();
  };
  const release = async (item: RackItem, run: number) => {
    const outcome = await actOn(item.id, { do: 'release', run });
    done(outcome.ok ? `${runOf(run)} released bar ${item.id}` : (outcome.problems[0]?.message ?? ''));
  };
  return (
    <>
      <HouseBar at="rack" />
      <Room>
        <Head>
          <h1>Rack</h1>
          <span role="status">{told}</span>
          <Button onPress={() => setOpen({ kind: 'history' })}>History</Button>
          <Button $strong onPress={() => setOpen({ kind: 'receive' })}>
            <Plus size={16} aria-hidden /> Bars came in
          </Button>
        </Head>
        <Figuring served={progress} most={0} />
        {short.length > 0 && (
          <Short aria-label="Short">
            <h2>Short</h2>
            <ul>{shown.slice(0, AT_FIRST).map(line)}</ul>
            {short.length > AT_FIRST && (
              <details>
                <summary>{short.length - AT_FIRST} more sections are short</summary>
                <ul>{shown.slice(AT_FIRST).map(line)}</ul>
              </details>
            )}
          </Short>
        )}
        {counts.all > 0 && (
          <Finder sought={sought} what="Find">
            {sought.find ? `${counts.found} of ${counts.all} bars` : `${counts.all} bars`}
          </Finder>
        )}
        {counts.all > 0 && items.length === 0 ? (
          <Empty>
            <h2>No bar has all of these words</h2>
            <p>Material, section, number, place and batch are looked through. Fewer words find more.</p>
          </Empty>
        ) : items.length === 0 ? (
          <Empty>
            <h2>Nothing on the rack yet</h2>
            <p>Write down the bars and offcuts on hand; runs can then reserve them and the cut list saws them first.</p>
          </Empty>
        ) : (
          lots.map((own) => (
            <Lot key={sectionKey(own[0] as RackItem)} aria-label={nameOf(own[0] as RackItem)}>
              <h2>
                {nameOf(own[0] as RackItem)}
                <small>
                  {metres(own.reduce((total, item) => total + freeLength(item), 0))} free of{' '}
                  {metres(own.reduce((total, { length }) => total + length, 0))}
                </small>
                <Keep onPress={() => setOpen({ kind: 'level', section: own[0] as RackItem })}>
                  {leastOf(own[0] as RackItem) > 0 ? `keep ${metres(leastOf(own[0] as RackItem))}` : 'keep …'}
                  <span className="unseen"> of {nameOf(own[0] as RackItem)}</span>
                </Keep>
              </h2>
              <table>
                <thead>
                  <tr>
                    <th scope="col" style={{ width: 92 }}>
                      Bar
                    </th>
                    <th scope="col" style={{ width: 92, textAlign: 'right' }}>
                      Length, mm
                    </th>
                    <th scope="col" style={{ width: 84, textAlign: 'right' }}>
                      Free
                    </th>
                    <th scope="col">What of it is reserved</th>
                    <th scope="col" style={{ width: 190 }}>
                      Place, batch, price
                    </th>
                    <th scope="col" style={{ width: 190 }} aria-label="Do" />
                  </tr>
                </thead>
                <tbody>
                  {own.map((item) => (
                    <tr key={item.id}>
                      <td>
                        {item.id} <small>{item.offcut ? 'offcut' : 'bar'}</small>
                      </td>
                      <td className="figure">{item.length.toFixed(1)}</td>
                      <td className="figure">{freeLength(item).toFixed(1)}</td>
                      <td>
                        <Strip aria-hidden style={{ width: `${(100 * item.length) / longestOf(own)}%` }}>
                          {item.reserved.map(({ run, length }) => (
                            <i key={run} style={{ width: `${(100 * length) / item.length}%` }} />
                          ))}
                        </Strip>
                        {item.reserved.map(({ run, length }) => (
                          <small key={run} style={{ marginRight: 10 }}>
                            {runOf(run)} {length.toFixed(1)} mm{' '}
                            <Link
                              onClick={() => void release(item, run)}
                              aria-label={`Release ${runOf(run)} from bar ${item.id}`}
                            >
                              release
                            </Link>
                          </small>
                        ))}
                      </td>
                      <td>
                        {[item.place, item.batch, item.price !== undefined && `${item.price.toFixed(2)} ${currency}`]
                          .filter(Boolean)
                          .join(' · ')}
                      </td>
                      <td>
                        <Button
                          aria-label={`Reserve of bar ${item.id}`}
                          onPress={() => setOpen({ kind: 'reserve', item })}
                        >
                          Reserve
                        </Button>
                        <Button aria-label={`Bar ${item.id} is used`} onPress={() => setOpen({ kind: 'use', item })}>
                          Used
                        </Button>
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </Lot>
          ))
        )}
        <Pages sought={sought} pages={pages} />
      </Room>
      {open?.kind === 'receive' && (
        <ReceiveWindow materials={materials} onClose={() => setOpen(undefined)} onDone={done} />
      )}
      {open?.kind === 'reserve' && (
        <ReserveWindow item={open.item} runs={runs} onClose={() => setOpen(undefined)} onDone={done} />
      )}
      {open?.kind === 'use' && (
        <UseWindow item={open.item} runs={runs} keepFrom={keepFrom} onClose={() => setOpen(undefined)} onDone={done} />
      )}
      {open?.kind === 'level' && (
        <LevelWindow
          section={open.section}
          name={nameOf(open.section)}
          least={leastOf(open.section)}
          onClose={() => setOpen(undefined)}
          onDone={done}
        />
      )}
      {open?.kind === 'history' && (
        <Window title="History of the rack" open onClose={() => setOpen(undefined)}>
          <p style={{ marginBottom: 8 }}>What stands here is never changed or taken out.</p>
          <ol>
            {history.map(({ id, item, run, what, length, note, at }) => (
              <li key={id} style={{ fontSize: 14, marginBottom: 3 }}>
                {format(new Date(at), 'd MMM HH:mm')} · bar {item} · {what} {length.toFixed(1)} mm
                {run !== undefined && ` · ${runOf(run)}`}
                {note && ` · ${note}`}
              </li>
            ))}
          </ol>
        </Window>
      )}
    </>
  );
}

const Keep = styled(Button)`
  float: right;
  min-height: 30px;
  font-size: 14px;
  font-weight: 400;
`;

const Link = styled.button`
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  cursor: pointer;
`;
