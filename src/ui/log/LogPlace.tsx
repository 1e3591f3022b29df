'use client';
import { sayFixed } from '@/core/model/units/mark';
import { format } from 'date-fns';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import { logTable } from '@/core/formats/logTable';
import type { LatheEvent } from '@/core/lathe/events';
import type { Ordered } from '@/core/lathe/events';
import { edgesIn } from '@/core/lathe/edges';
import { observedSteps, readyMinutes } from '@/core/lathe/observed';
import { costTaught } from '@/core/money/earlier';
import { reallyCost } from '@/core/money/really';
import { stepsOf } from '@/core/lathe/steps';
import type { Plan } from '@/core/plan/plan';
import { sizeCharts } from '@/core/present/planActual';
import { sayEvent } from '@/core/present/saidEvent';
import { strikeOnRack } from '../lathe/strikeOnRack';
import { useHappened, type AtTheLathe } from '../lathe/useHappened';
import { Button } from '../primitives/Button';
import { Card, Empty } from '../primitives/Card';
import { useGiveTable } from '../device/useGiveTable';
import { download } from '../primitives/download';
import { Field } from '../primitives/Field';
import { TextButton } from '../primitives/TextButton';
import { NoPlan } from '../run/NoPlan';
import { useWorkspace } from '../run/WorkspaceContext';
import { SizeChart } from './SizeChart';
import { TimesTook } from './TimesTook';
import { WhatItCost } from './WhatItCost';

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
  padding: 14px 16px 24px;
  > div {
    display: grid;
    gap: 14px;
  }
  @media (max-width: 1020px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Happenings = styled.ol`
  max-height: 60vh;
  overflow: auto;
  li {
    display: grid;
    grid-template-columns: 92px 74px minmax(0, 1fr) auto;
    gap: 2px 10px;
    padding: 4px 0;
    border-top: 1px solid var(--line);
    font-size: 14px;
  }
  time,
  li > span:nth-child(2) {
    color: var(--ink-soft);
  }
`;

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: end;
  margin-bottom: 8px;
`;

/** What happened in the run that is open: minutes, sizes, and every single thing. */
export function LogPlace() {
  const { id, planned } = useWorkspace();
  const plan = planned.answer?.plan ?? planned.lastPlan;
  if (id === 'new')
    return (
      <main style={{ padding: 16 }}>
        <Empty>
          <h2>Nothing happened yet</h2>
          <p>What happens at the lathe is kept with a run that is saved.</p>
        </Empty>
      </main>
    );
  if (!plan) return <NoPlan />;
  return <Logged id={id} plan={plan} />;
}

function Logged({ id, plan }: { id: string; plan: Plan }) {
  const lathe = useHappened(plan);
  const { events, progress } = lathe;
  const observed = useMemo(() => observedSteps(events), [events]);
  const { file } = useWorkspace();
  const cost = useMemo(() => {
    const steps = observed.reduce((sum, { minutes }) => sum + minutes, 0);
    return reallyCost(plan, steps + readyMinutes(events), progress, file.quote?.accepted);
  }, [plan, events, observed, progress, file.quote?.accepted]);
  const last = format(new Date(events.at(-1)?.at ?? 0), 'yyyy-MM-dd');
  const charts = sizeCharts(plan, progress);
  const { good, toMake, scrapped } = progress;
  const { units } = plan.run;
  if (events.length === 0)
    return (
      <main style={{ padding: 16 }}>
        <Empty>
          <h2>Nothing happened yet</h2>
          <p>What is pressed at the lathe is kept here: steps with their minutes, sizes, corrections, scrap, notes.</p>
        </Empty>
      </main>
    );
  return (
    <Room>
      <div>
        <TimesTook {...{ id, plan, observed, events }} cost={costTaught(cost, good, last)} />
        <WhatItCost {...{ id, plan, progress, cost }} />
      </div>
      <div>
        <Card aria-labelledby="sizes">
          <h2 id="sizes">
            Sizes · {good} of {toMake} good{scrapped.length > 0 ? `, ${scrapped.length} scrap` : ''}
          </h2>
          {charts.length === 0 && <p>Nothing was measured yet.</p>}
          {charts.map((chart) => (
            <SizeChart key={chart.key} chart={chart} units={units} />
          ))}
        </Card>
        <Edges plan={plan} events={events} />
        <Everything plan={plan} lathe={lathe} />
      </div>
    </Room>
  );
}

/** How long edges lasted, where one was changed; nothing before that. */
function Edges({ plan, events }: { plan: Plan; events: readonly Ordered[] }) {
  const tools = useMemo(() => {
    const operations = plan.setups.flatMap((planned) => planned.operations);
    const toolOf = (key: string) => operations.find((operation) => operation.key === key)?.tool.id;
    const nameOf = (id: string) => operations.find(({ tool }) => tool.id === id)?.tool.name ?? id;
    return edgesIn(events, toolOf).map((one) => ({ ...one, name: nameOf(one.tool) }));
  }, [plan, events]);
  if (tools.length === 0) return null;
  return (
    <Card aria-labelledby="edges">
      <h2 id="edges">Pieces an edge</h2>
      <ul>
        {tools.map(({ tool, name, edges, now, mean }) => (
          <li key={tool}>
            {name}: {edges.map(({ pieces, ended }) => `${pieces} (${ended})`).join(', ')}; {now} by the one that is in
            {mean !== undefined && (
              <>
                . On average <b>{sayFixed(mean, 0)}</b> pieces an edge
              </>
            )}
          </li>
        ))}
      </ul>
    </Card>
  );
}

/** Everything that happened, the newest first: found by its words, struck out, taken out as a file. */
function Everything({ plan, lathe: { events, append } }: { plan: Plan; lathe: AtTheLathe }) {
  const [find, setFind] = useState('');
  const giveTable = useGiveTable();
  const { id } = useWorkspace();
  const [problem, setProblem] = useState<string>();
  const strike = async (event: LatheEvent) => {
    const inTheWay = await strikeOnRack(event, Number(id));
    setProblem(inTheWay);
    if (inTheWay === undefined) void append({ kind: 'struck', event: event.id });
  };
  const { units, part } = plan.run;
  const names = useMemo(
    () =>
      new Map(
        stepsOf(plan)
          .flat()
          .map(({ key, operation }) => [key, operation ? `${operation.number} ${operation.name}` : 'load and unload']),
      ),
    [plan],
  );
  const said = (event: Ordered) => sayEvent(event, units, (key) => names.get(key) ?? key);
  const shown = events
    .toReversed()
    .map((event) => ({ event, words: said(event) }))
    .filter(({ words }) => words.toLowerCase().includes(find.trim().toLowerCase()));
  return (
    <Card aria-labelledby="everything">
      <h2 id="everything">Everything that happened</h2>
      <Tools>
        <Field label="Find" plain value={find} onChange={setFind} />
        <Button onPress={() => giveTable(`${part.number}-log`, logTable(events))}>CSV</Button>
        <Button
          onPress={() =>
            download(`${part.number}-log.json`, `${JSON.stringify({ events }, null, 2)}\n`, 'application/json')
          }
        >
          JSON
        </Button>
        <span role="status">{find && `${shown.length} of ${events.length}`}</span>
      </Tools>
      {problem && (
        <p role="alert" style={{ color: 'var(--oxide)' }}>
          {problem}
        </p>
      )}
      <Happenings aria-label="Everything that happened">
        {shown.map(({ event, words }) => (
          <li key={event.id}>
            <time dateTime={event.at}>{format(new Date(event.at), 'd MMM HH:mm')}</time>
            <span>{event.piece ? `piece ${event.piece}` : ''}</span>
            <span>{words}</span>
            <TextButton type="button" aria-label={`Strike out: ${words}`} onClick={() => void strike(event)}>
              strike out
            </TextButton>
          </li>
        ))}
      </Happenings>
    </Card>
  );
}
