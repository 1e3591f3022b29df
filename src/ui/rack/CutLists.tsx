'use client';
import { wrap, proxy } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import styled from 'styled-components';
import type { RackItem } from '@/core/rack/rack';
import { sectionKey, type Section } from '@/core/rack/rack';
import type { Cuts } from '@/core/saw/cutList';
import { cutListsOf, type SawNeed, type SectionCuts } from '@/core/saw/fromRack';
import type { SawProgress } from '@/core/saw/solveCuts';
import { withoutSearch } from '@/core/saw/withoutSearch';
import type { Result } from '@/core/result';
import { nameOfBar } from '@/core/stock/nameOfBar';
import type { SawApi } from '@/workers/saw.worker';
import { Empty } from '../primitives/Card';
import { Button } from '../primitives/Button';
import { HouseBar } from '../primitives/HouseBar';
import { SawSheet } from './SawSheet';

const Room = styled.main`
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 18px;
  max-width: 1240px;
  margin: 0 auto;
  padding: 18px 20px 40px;
  h1 {
    grid-column: 1 / -1;
    font-size: 21px;
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

const Told = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  margin-bottom: 10px;
`;

type Need = SawNeed & { name: string };

/** What is known of one section's list. */
type Answer = { kind: 'done'; cuts: Cuts } | { kind: 'refused'; words: string };

const answerOf = (result: Result<Cuts>): Answer =>
  result.ok
    ? { kind: 'done', cuts: result.value }
    : { kind: 'refused', words: result.problems.map(({ path, message }) => `${path} ${message}`).join('; ') };

/** Which bars to open for the runs that are ticked, and what to saw from each, in the order of the saw. */
export function CutLists({
  needs,
  items,
  materials,
  keepFrom,
}: {
  needs: Need[];
  items: RackItem[];
  materials: { id: string; name: string }[];
  keepFrom: number;
}) {
  const [chosen, setChosen] = useState<number[]>(() => needs.map(({ run }) => run));
  const lists = useMemo(
    () =>
      cutListsOf(
        needs.filter(({ run }) => chosen.includes(run)),
        items,
      ),
    [needs, chosen, items],
  );
  const nameOf = (section: Section) =>
    `${materials.find(({ id }) => id === section.material)?.name ?? section.material} ${nameOfBar(section, 'mm')}`;
  // Most lists need no search: they are there with the page.
  const settled = useMemo(
    () => lists.map(({ section, list }) => ({ section, list, result: withoutSearch(list) })),
    [lists],
  );
  const open = useMemo(() => settled.filter(({ result }) => !result), [settled]);
  const { answers, progress, cancel, again, cancelled } = useSaw(open);
  return (
    <>
      <HouseBar at="cuts" />
      <Room>
        <h1>Cut list</h1>
        <h1 className="on-paper">
          Saw sheet for{' '}
          {needs
            .filter(({ run }) => chosen.includes(run))
            .map(({ number }) => number)
            .join(', ')}
        </h1>
        <Choose className="choose" aria-label="Runs">
          <h2>Open runs</h2>
          {needs.length === 0 && <p>No run has a plan yet: what it needs is known when it has.</p>}
          {needs.map(({ run, number, name, each, count, section, turned }) => (
            <label key={run}>
              <input
                type="checkbox"
                checked={chosen.includes(run)}
                onChange={(event) =>
                  setChosen((before) => (event.target.checked ? [...before, run] : before.filter((own) => own !== run)))
                }
              />
              <span>
                {number} {name}
              </span>
              <small>
                {count} {turned ? 'from the bar' : 'blanks'}, {each.toFixed(2)} mm each · {nameOf(section)}
              </small>
            </label>
          ))}
        </Choose>
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
          {settled.map((own) => {
            const answer = own.result ? answerOf(own.result) : answers.get(sectionKey(own.section));
            if (!answer) return null;
            if (answer.kind === 'refused')
              return (
                <Told key={sectionKey(own.section)} role="alert" style={{ color: 'var(--oxide)' }}>
                  {nameOf(own.section)}: {answer.words}. Untick a run, put more of it on the rack, or name a bar that is
                  sold.
                </Told>
              );
            return (
              <SawSheet
                key={sectionKey(own.section)}
                title={nameOf(own.section)}
                list={own.list}
                cuts={answer.cuts}
                keepFrom={keepFrom}
              />
            );
          })}
        </div>
      </Room>
    </>
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
    const worker = new Worker(new URL('../../workers/saw.worker.ts', import.meta.url), { type: 'module' });
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
