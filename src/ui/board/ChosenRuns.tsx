'use client';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { RUN_STATES, STATE_WORDS, type RunState } from '@/core/model/runState';
import type { ListedRun } from '@/core/present/listedRun';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';
import { duplicateRun, sayStates, type States } from './stateApi';

const Bar = styled.div`
  position: sticky;
  top: 0;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  margin-bottom: 10px;
  padding: 8px 12px;
  border: 1px solid var(--blue);
  border-radius: 8px;
  background: var(--blue-soft);
  > b {
    margin-right: 6px;
  }
`;

const runsWords = (count: number): string => `${count} ${count === 1 ? 'run' : 'runs'}`;

type Said = { words: string; before: States } | 'trouble';

/** What can be done with the runs that are chosen, and what was done last, to be taken back. */
export function useChosenRuns(runs: readonly ListedRun[]) {
  const router = useRouter();
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [said, setSaid] = useState<Said>();
  const here = runs.filter(({ id }) => chosen.has(id));
  const choose = (id: number, isChosen: boolean) =>
    setChosen((before) => new Set(isChosen ? [...before, id] : [...before].filter((other) => other !== id)));
  const change = async (states: States, words?: string) => {
    const before = await sayStates(states);
    setSaid(before === undefined ? 'trouble' : words === undefined ? undefined : { words, before });
    if (before === undefined) return;
    setChosen(new Set());
    router.refresh();
  };
  const make = (state: RunState) =>
    void change(
      here.map(({ id }) => ({ id, state })),
      `${runsWords(here.length)} ${STATE_WORDS[state].is}.`,
    );
  const duplicate = async (id: number) => {
    const copy = await duplicateRun(id);
    if (copy === undefined) setSaid('trouble');
    else router.push(`/runs/${copy}/part`);
  };
  /** What the run made holds others from now on: a possession of the shop. */
  const keepAsHolder = (id: number) => router.push(`/shop?page=machines&holder=${id}&window=holders:offered`);
  return { chosen, here, said, choose, clear: () => setChosen(new Set()), change, make, duplicate, keepAsHolder };
}

/** The bar over the list while runs are chosen. */
export function ChosenBar({ here, make, duplicate, keepAsHolder, clear }: ReturnType<typeof useChosenRuns>) {
  const [only, more] = here;
  if (!only) return null;
  return (
    <Bar role="group" aria-label="Runs that are chosen">
      <b>{runsWords(here.length)} chosen</b>
      {RUN_STATES.filter((state) => here.some((run) => run.state !== state)).map((state) => (
        <Button key={state} onPress={() => make(state)}>
          {STATE_WORDS[state].make}
        </Button>
      ))}
      {!more && <Button onPress={() => void duplicate(only.id)}>Duplicate</Button>}
      {!more && <Button onPress={() => keepAsHolder(only.id)}>Keep as a holder …</Button>}
      <Button onPress={clear}>Choose none</Button>
    </Bar>
  );
}

/** What was done last, with the way back. */
export function SaidNotice({ said, change }: Pick<ReturnType<typeof useChosenRuns>, 'said' | 'change'>): ReactNode {
  if (said === undefined) return null;
  if (said === 'trouble') return <Notice danger>The server does not answer; nothing was changed. Try again.</Notice>;
  return <Notice actions={<Button onPress={() => void change(said.before)}>Take it back</Button>}>{said.words}</Notice>;
}
