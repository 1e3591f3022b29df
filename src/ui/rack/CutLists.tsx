'use client';
import { sayFixed } from '@/core/model/units/mark';
import { begun } from '../device/begun';
import { wrap, proxy } from 'comlink';
import { ChevronRight } from 'lucide-react';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import type { RackItem } from '@/core/rack/rack';
import { sectionKey, type Section } from '@/core/rack/rack';
import type { Cuts } from '@/core/saw/cutList';
import { cutListsOf, type SawNeed, type SectionCuts } from '@/core/saw/fromRack';
import type { SawProgress } from '@/core/saw/solveCuts';
import { withoutSearch } from '@/core/saw/withoutSearch';
import type { Result } from '@/core/model/result';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import type { SawApi } from '@/workers/saw.worker';
import { Empty } from '../primitives/Card';
import { Button } from '../primitives/Button';
import { Figuring, type Progress } from '../primitives/Figuring';
import { HouseBar } from '../primitives/HouseBar';
import { SawSheet } from './SawSheet';

const Room = styled.main`
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 18px;
  max-width: 1240px;
  margin: 0 auto;
  padding: 18px 20px 40px;
  h1,
  .told {
    grid-column: 1 / -1;
  }
  h1 {
    font-size: 21px;
  }
  .told:empty {
    display: none;
  }
  .on-paper {
    display: none;
  }
  @media (max-width: 860px) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
    padding: 0;
    .choose,
    .told,
    h1 {
      display: none;
    }
    h1.on-paper {
      display: block;
      margin-bottom: 10px;
    }
  }
`;

const Choose = styled.section`
  align-self: start;
  padding: 12px 14px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  h2 {
    margin-bottom: 6px;
    font-size: 15px;
  }
  label {
    display: grid;
    grid-template-columns: 22px minmax(0, 1fr);
    gap: 2px 6px;
    padding: 6px 0;
    border-top: 1px solid var(--line);
  }
  input {
    width: 17px;
    height: 17px;
    accent-color: var(--ink);
  }
  small {
    grid-column: 2;
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

const Folded = styled.details`
  margin-bottom: 6px;
  border-top: 1px solid var(--line);
  summary {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 36px;
    cursor: pointer;
  }
  summary svg {
    flex: none;
  }
  &[open] > summary svg {
    transform: rotate(90deg);
  }
  @media (pointer: coarse) {
    summary {
      min-height: 44px;
    }
  }
`;

const Told = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-bottom: 10px;
`;

type Need = SawNeed & { name: string };

/** With more runs than this, the lists are folded, and what is unfolded is drawn. */
const MANY = 40;

interface Ticking {
  leftOut: ReadonlySet<number>;
  /** Ticks runs, or not. */
  onTick: (runs: readonly number[], ticked: boolean) => void;
  nameOf: (section: Section) => string;
}

/** A run that is to be sawn, or not. */
const Tick = ({ need, leftOut, onTick, nameOf }: Ticking & { need: Need }) => (
  <label>
    <input
      type="checkbox"
      checked={!leftOut.has(need.run)}
      onChange={(event) => onTick([need.run], event.target.checked)}
    />
    <span>
      {need.number} {need.name}
    </span>
    <small>
      {need.count} {need.turned ? 'from the bar' : 'blanks'}, {sayFixed(need.each, 2)} mm each · {nameOf(need.section)}
    </small>
  </label>
);

/** All runs of one section at once. */
const GroupTick = ({ group, leftOut, onTick, nameOf }: Ticking & { group: readonly [Need, ...Need[]] }) => {
  const ticked = tickedOf(group, leftOut);
  return (
    <label>
      <input
        type="checkbox"
        checked={ticked === group.length}
        ref={(box) => void (box && (box.indeterminate = ticked > 0 && ticked < group.length))}
        onChange={(event) =>
          onTick(
            group.map(({ run }) => run),
            event.target.checked,
          )
        }
      />
      <b>all of them</b>
      <small>{nameOf(group[0].section)}</small>
    </label>
  );
};

const tickedOf = (group: readonly Need[], leftOut: ReadonlySet<number>): number =>
  group.filter(({ run }) => !leftOut.has(run)).length;

/** Something long under one line; only what is unfolded is drawn. */
function Fold({ summary, children }: { summary: ReactNode; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <Folded onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>
        <ChevronRight size={16} aria-hidden /> {summary}
      </summary>
      {open && children}
    </Folded>
  );
}

/** Needs by their section, in the order they come. */
function bySections(needs: readonly Need[]): [Need, ...Need[]][] {
  const groups = new Map<string, [Need, ...Need[]]>();
  for (const need of needs) {
    const group = groups.get(sectionKey(need.section));
    if (group) group.push(need);
    else groups.set(sectionKey(need.section), [need]);
  }
  return [...groups.values()];
}

/** What is known of one section's list. */
type Answer = { kind: 'done'; cuts: Cuts } | { kind: 'refused'; words: string };

const answerOf = (result: Result<Cuts>): Answer =>
  result.ok
    ? { kind: 'done', cuts: result.value }
    : { kind: 'refused', words: result.problems.map(({ path, message }) => `${path} ${message}`).join('; ') };

interface CutListsProps {
  needs: Need[];
  /** What runs need is known when they are planned. */
  progress: Progress;
  items: RackItem[];
  materials: { id: string; name: string }[];
  keepFrom: number;
}

/** Which bars to open for the runs that are ticked, and what to saw from each, in the order of the saw. */
export function CutLists({ needs, progress: planning, items, materials, keepFrom }: CutListsProps) {
  // What is not ticked; a run that is planned later is ticked as well.
  const [leftOut, setLeftOut] = useState<ReadonlySet<number>>(new Set());
  const chosen = useMemo(() => needs.filter(({ run }) => !leftOut.has(run)), [needs, leftOut]);
  const lists = useMemo(() => cutListsOf(chosen, items), [chosen, items]);
  const many = needs.length > MANY;
  const ticking = {
    leftOut,
    onTick: (runs: readonly number[], ticked: boolean) =>
      setLeftOut((before) => {
        const after = new Set(before);
        for (const run of runs)
          if (ticked) after.delete(run);
          else after.add(run);
        return after;
      }),
  };
  const nameOf = (section: Section) =>
    `${materials.find(({ id }) => id === section.material)?.name ?? section.material} ${nameOfBar(section, 'mm')}`;
  // Most lists need no search: they are there with the page.
  const settled = useMemo(
    () => lists.map(({ section, list }) => ({ section, list, result: withoutSearch(list) })),
    [lists],
  );
  // As text, so that a search goes on when the page is made anew and its lists are the same.
  const open = JSON.stringify(settled.filter(({ result }) => !result).map(({ section, list }) => ({ section, list })));
  const searched = useMemo(() => JSON.parse(open) as SectionCuts[], [open]);
  const { answers, progress, cancel, again, cancelled } = useSaw(searched);
  return (
    <>
      <HouseBar at="cuts" />
      <Room>
        <h1>Cut list</h1>
        <div className="told">
          <Figuring served={planning} most={0} />
        </div>
        <h1 className="on-paper">Saw sheet for {chosen.map(({ number }) => number).join(', ')}</h1>
        <ChooseRuns needs={needs} many={many} {...ticking} nameOf={nameOf} />
        <div>
          {lists.length === 0 && <Empty>Tick the runs that are to be sawn together.</Empty>}
          {progress && (
            <Told role="status">
              Looking for the fewest bars
              {progress.rounds > 0 &&
                `: round ${progress.rounds}, ${progress.bars} so far, at least ${progress.bound}`}{' '}
              … <Button onPress={cancel}>Cancel</Button>
            </Told>
          )}
          {cancelled && (
            <Told role="status">
              Cancelled; lists that were ready stay. <Button onPress={again}>Look again</Button>
            </Told>
          )}
          {settled.map(({ section, list, result }) => (
            <SectionSheet
              key={sectionKey(section)}
              name={nameOf(section)}
              list={list}
              answer={result ? answerOf(result) : answers.get(sectionKey(section))}
              keepFrom={keepFrom}
              folded={many}
            />
          ))}
        </div>
      </Room>
    </>
  );
}

/** Runs to tick; of many the sections they want are folded. */
function ChooseRuns({ needs, many, ...ticking }: { needs: Need[]; many: boolean } & Ticking) {
  const { leftOut, nameOf } = ticking;
  const sections = useMemo(() => bySections(needs), [needs]);
  return (
    <Choose className="choose" aria-label="Runs">
      <h2>Open runs</h2>
      {needs.length === 0 && <p>No run has a plan yet: what it needs is known when it has.</p>}
      {many
        ? sections.map((group) => (
            <Fold
              key={sectionKey(group[0].section)}
              summary={`${nameOf(group[0].section)}: ${tickedOf(group, leftOut)} of ${group.length}`}
            >
              <GroupTick group={group} {...ticking} />
              {group.map((need) => (
                <Tick key={need.run} need={need} {...ticking} />
              ))}
            </Fold>
          ))
        : needs.map((need) => <Tick key={need.run} need={need} {...ticking} />)}
    </Choose>
  );
}

/** What is sawn of one section, or why nothing is; nothing while it is looked for. */
function SectionSheet({
  name,
  list,
  answer,
  keepFrom,
  folded,
}: {
  name: string;
  list: SectionCuts['list'];
  answer: Answer | undefined;
  keepFrom: number;
  folded: boolean;
}) {
  if (!answer) return null;
  if (answer.kind === 'refused')
    return (
      <Told role="alert" style={{ color: 'var(--oxide)' }}>
        {name}: {answer.words}. Untick a run, put more of it on the rack, or name a bar that is sold.
      </Told>
    );
  const sheet = <SawSheet title={name} list={list} cuts={answer.cuts} keepFrom={keepFrom} />;
  if (!folded) return sheet;
  const { barsOpened: bars } = answer.cuts;
  return (
    <Fold
      summary={
        <span>
          <b>{name}</b>: {bars} bar{bars === 1 ? '' : 's'} to open for {list.pieces.length} runs
        </span>
      }
    >
      {sheet}
    </Fold>
  );
}

/** Solves lists in a worker, one after the other; a change ends the search and starts it anew. */
function useSaw(lists: SectionCuts[]) {
  const [answers, setAnswers] = useState<ReadonlyMap<string, Answer>>(new Map());
  const [progress, setProgress] = useState<SawProgress>();
  const [cancelled, setCancelled] = useState(false);
  const [turn, setTurn] = useState(0);
  const end = useRef<() => void>(() => undefined);
  useEffect(() => {
    if (lists.length === 0) return;
    const worker = begun(new Worker(new URL('../../workers/saw.worker.ts', import.meta.url), { type: 'module' }));
    const saw = wrap<SawApi>(worker);
    let over = false;
    end.current = () => {
      over = true;
      worker.terminate();
      setProgress(undefined);
    };
    const solveAll = async () => {
      setAnswers(new Map());
      setCancelled(false);
      setProgress({ rounds: 0, bars: 0, bound: 0 });
      // The short ones first: they are ready at once, and nobody waits for them behind a long one.
      for (const { section, list } of [...lists].sort((a, b) => a.list.pieces.length - b.list.pieces.length)) {
        const result = await saw.solve(
          list,
          proxy((told) => void (over || setProgress(told))),
        );
        if (over) return;
        setAnswers((before) => new Map(before).set(sectionKey(section), answerOf(result)));
      }
      setProgress(undefined);
      worker.terminate();
    };
    void solveAll();
    return () => end.current();
  }, [lists, turn]);
  return {
    answers,
    progress,
    cancelled,
    cancel: () => {
      end.current();
      setCancelled(true);
    },
    again: () => setTurn((before) => before + 1),
  };
}
