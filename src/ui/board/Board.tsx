'use client';
import { Plus, Upload } from 'lucide-react';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import type { Problem } from '@/core/model/result';
import { RUN_STATES, STATE_WORDS } from '@/core/model/runState';
import type { ListedRun } from '@/core/present/listedRun';
import { Empty } from '../primitives/Card';
import { Button, ButtonLink } from '../primitives/Button';
import { Figuring, type Progress } from '../primitives/Figuring';
import { addressOf, Finder, Pages, type Narrowing, type Sought } from '../primitives/Finder';
import { Mark } from '../primitives/Mark';
import { Notice } from '../primitives/Notice';
import { SkipLink } from '../primitives/SkipLink';
import { TextButton } from '../primitives/TextButton';
import { later } from '../primitives/later';
import { Window } from '../primitives/Window';
import { useWindow } from '../primitives/useWindow';
import { DeviceButton } from '../device/DeviceButton';
import { importRun } from '../run/api';
import { ThemeToggle } from '../theme/ThemeToggle';
import { ChosenBar, SaidNotice, useChosenRuns } from './ChosenRuns';
import { DraftList } from './DraftList';
import { RunRow } from './RunRow';

const ListWindow = later(() => import('./ListWindow').then((loaded) => loaded.ListWindow));
const TogetherWindow = later(() => import('./TogetherWindow').then((loaded) => loaded.TogetherWindow));

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

const Group = styled.section`
  h2 {
    margin: 16px 0 8px;
    font-size: 16px;
  }
`;

/** Runs lie over one another like shingles: each row's lower edge over the next one. */
const List = styled.ol`
  display: grid;
  gap: 8px;
`;

export interface BoardProps {
  runs: ListedRun[];
  sought: Sought;
  pages: number;
  found: number;
  progress: Progress;
  damaged: string[];
  /** Numbers that are one number and are kept as several parts. */
  twice: string[][];
  today: string;
  /** What they stand together by. */
  group: 'none' | 'customer' | 'material' | 'machine' | 'state' | 'family';
  /** Lathes of the shop, id and name. */
  machines: (readonly [string, string])[];
}

/** A file that was not taken in, and why. */
interface Refused {
  name: string;
  problems: Problem[];
}

/** A list of runs that was brought, as text. */
interface BroughtFile {
  name: string;
  text: string;
}

/** From the board on: to rack and shop, a run brought in, a new one. */
function BoardBar({
  onRefused,
  onList,
}: {
  onRefused: (refused: Refused) => void;
  onList: (list: BroughtFile) => void;
}) {
  const router = useRouter();
  const chooser = useRef<HTMLInputElement>(null);

  const bring = async (file: File | undefined) => {
    if (!file) return;
    if (/\.(csv|tsv|txt)$/i.test(file.name)) return onList({ name: file.name, text: await file.text() });
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
      <SkipLink />
      <strong>
        <Mark /> Shingle
      </strong>
      <input
        ref={chooser}
        type="file"
        accept=".json,application/json,.csv,.tsv,.txt,text/csv"
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
      <ButtonLink as={Link} href="/days" prefetch={false}>
        Days
      </ButtonLink>
      <ButtonLink as={Link} href="/rack" prefetch={false}>
        Rack
      </ButtonLink>
      <ButtonLink as={Link} href="/log" prefetch={false}>
        Log
      </ButtonLink>
      <Button onPress={() => chooser.current?.click()}>
        <Upload size={16} aria-hidden /> Bring in a run or a list
      </Button>
      <ButtonLink as={Link} href="/runs/new/part" $strong prefetch={false}>
        <Plus size={16} aria-hidden /> New run
      </ButtonLink>
      <DeviceButton />
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
      <h2>No run is so</h2>
      <p>
        Number, name, revision, material, customer, order, note and family are looked through, in the state that is
        shown. Fewer words find more, and <em>all but deleted</em> shows what was put away.
      </p>
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

/** What the list is narrowed by, beside words. */
const narrowingsOf = (machines: BoardProps['machines']): Narrowing[] => [
  {
    name: 'state',
    label: 'State',
    options: [
      ['work', 'at work'],
      ...RUN_STATES.map((state) => [state, STATE_WORDS[state].is] as const),
      ['all', 'all but deleted'],
    ],
  },
  {
    name: 'due',
    label: 'Promised',
    options: [
      ['any', 'any day'],
      ['late', 'late'],
      ['week', 'within 7 days'],
      ['month', 'within a month'],
      ['none', 'for no day'],
    ],
  },
  ...(machines.length > 1 ? [{ name: 'machine', label: 'Lathe', options: [['', 'any'] as const, ...machines] }] : []),
  {
    name: 'stock',
    label: 'Stock',
    options: [
      ['', 'any'],
      ['short', 'short of it'],
    ],
  },
  {
    name: 'group',
    label: 'Together by',
    options: [
      ['none', 'nothing'],
      ['customer', 'customer'],
      ['material', 'material'],
      ['machine', 'lathe'],
      ['state', 'state'],
      ['family', 'family'],
    ],
  },
];

/** Runs that stand together, under what they have alike. */
function inGroups(runs: readonly ListedRun[], group: BoardProps['group']): { head: string; runs: ListedRun[] }[] {
  if (group === 'none') return [{ head: '', runs: [...runs] }];
  const groups: { head: string; runs: ListedRun[] }[] = [];
  for (const run of runs) {
    const head =
      group === 'state' ? STATE_WORDS[run.state].is : run[group] || `no ${group === 'machine' ? 'lathe yet' : group}`;
    const last = groups.at(-1);
    if (last?.head === head) last.runs.push(run);
    else groups.push({ head, runs: [run] });
  }
  return groups;
}

/** The runs that are looked for: how many of what, by when, and what they take. */
export function Board(props: BoardProps) {
  const { runs, sought, pages, found, progress, damaged, twice, today, group, machines } = props;
  const [refused, setRefused] = useState<Refused>();
  const [list, setList] = useState<BroughtFile>();
  const [shown, show] = useWindow('together');
  const chosen = useChosenRuns(runs);
  return (
    <>
      <BoardBar onRefused={setRefused} onList={setList} />
      <Room>
        <h1>Board</h1>
        <DraftList />
        <div className="told">
          <Told damaged={damaged} twice={twice} />
          <Figuring served={progress} most={2} />
          <SaidNotice {...chosen} />
        </div>
        {progress.all > 0 && (
          <Finder sought={sought} what="Find" orders={ORDERS} narrowings={narrowingsOf(machines)}>
            <span>{found < progress.all ? `${found} of ${progress.all} runs` : `${progress.all} runs`}</span>
            {progress.all > 1 && (
              <TextButton type="button" style={{ marginLeft: 14 }} onClick={() => show('together')}>
                Made one after the other …
              </TextButton>
            )}
            <a href={addressOf('/api/runs/table', { ...sought, page: 1 })} download style={{ marginLeft: 14 }}>
              As a table
            </a>
          </Finder>
        )}
        <ChosenBar {...chosen} />
        {runs.length === 0 ? (
          <NoRuns sought={progress.all > 0} />
        ) : (
          inGroups(runs, group).map(({ head, runs: members }) => (
            <Group key={head} aria-label={head || undefined}>
              {head && <h2>{head}</h2>}
              <List aria-label={head ? `Runs, ${head}` : 'Runs'}>
                {members.map((run) => (
                  <RunRow
                    key={run.id}
                    run={run}
                    today={today}
                    chosen={chosen.chosen.has(run.id)}
                    onChoose={(isChosen) => chosen.choose(run.id, isChosen)}
                  />
                ))}
              </List>
            </Group>
          ))
        )}
        <Pages sought={sought} pages={pages} />
      </Room>
      {list && <ListWindow {...list} onClose={() => setList(undefined)} />}
      {shown && <TogetherWindow onClose={() => show(undefined)} />}
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
