'use client';
import { useMemo, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Happening } from '@/core/lathe/events';
import { stepsOf } from '@/core/lathe/steps';
import type { Plan } from '@/core/plan/plan';
import { Empty } from '../primitives/Card';
import { NoPlan } from '../run/NoPlan';
import { PlaceLink } from '../run/PlaceLink';
import { useShortcuts } from '../run/useShortcuts';
import type { Planned } from '../run/usePlanner';
import { useWorkspace } from '../run/WorkspaceContext';
import { BarWindow } from './BarWindow';
import { EarlierRun } from './EarlierRun';
import { Big } from './parts';
import { GoOn } from './GoOn';
import { MakeReady } from './MakeReady';
import { DoubledPieces } from './DoubledPieces';
import { LatheButtons } from './LatheButtons';
import { lastOf, LatheWindows, type Doing } from './LatheWindows';
import { RunStrip } from './RunStrip';
import { StepShown } from './StepShown';
import { WhatNext } from './WhatNext';
import { useStaysAwake } from './useHand';
import { useFromSetup } from './useFromSetup';
import { useHappened, type AtTheLathe } from './useHappened';
import { stageOf, useShown } from './useShown';

const Whole = styled.main`
  display: flex;
  flex-direction: column;
  gap: 12px;
  min-height: calc(100vh - 58px);
  padding: 12px 16px 0;
  > section {
    display: flex;
    flex: 1;
    flex-direction: column;
  }
`;

/** The plan that is worked by: while another one is being planned, the one before it. */
function useSettledPlan({ answer, lastPlan, settled }: Planned): Plan | undefined {
  const newest = settled ? (answer?.plan ?? lastPlan) : undefined;
  const [plan, setPlan] = useState(newest);
  if (newest && newest !== plan) setPlan(newest);
  return newest ?? plan;
}

/** The run that is open, at the lathe; it has to be saved and planned. */
export function LathePlace() {
  const { id, planned } = useWorkspace();
  const plan = useSettledPlan(planned);
  if (id === 'new')
    return (
      <main style={{ padding: 16 }}>
        <Empty>
          <h2>The run is not saved yet</h2>
          <p>What happens at the lathe is kept with a run: save it first.</p>
        </Empty>
      </main>
    );
  if (!plan) return <NoPlan />;
  return <Running id={id} plan={plan} />;
}

function Running({ id, plan }: { id: string; plan: Plan }) {
  const { from, change } = useFromSetup(id, plan.setups.length);
  const lathe = useHappened(plan, from);
  const { progress, append } = lathe;
  const all = useMemo(() => stepsOf(plan), [plan]);
  const { at } = progress;
  const steps = all[(at?.setup ?? 1) - 1] ?? [];
  const shown = useShown(steps, lathe);
  const [doing, setDoing] = useState<Doing>();
  const stage = stageOf(steps, lathe);
  useStaysAwake();
  const { next, before, step } = shown;
  useShortcuts(
    stage === 'works' ? { ' ': next, ArrowRight: next, PageDown: next, ArrowLeft: before, PageUp: before } : NO_KEYS,
  );
  const strip = <RunStrip plan={plan} lathe={lathe} from={from} onFrom={change} />;
  if (progress.waits) return <Waits from={from}>{strip}</Waits>;
  if (!at) return <AllMade {...{ id, plan, lathe }} />;
  const planned = plan.setups[at.setup - 1];
  if (!planned || !step) return null;
  const where = { piece: at.piece, operation: step.key };
  const happened = (happening: Happening, operation = step.key) => void append(happening, { ...where, operation });
  return (
    <Whole>
      {strip}
      <DoubledPieces lathe={lathe} />
      <section>
        {stage === 'stopped' && <GoOn plan={plan} planned={planned} lathe={lathe} />}
        {stage === 'works' && (
          <StepShown step={step} piece={at.piece} progress={progress} onMeasure={(check) => setDoing({ check })} />
        )}
        {stage === 'ready' && (
          <>
            <EarlierRun
              id={id}
              planned={planned}
              onHappened={(happening, operation) => void append(happening, { operation })}
            />
            <MakeReady
              plan={plan}
              planned={planned}
              progress={progress}
              onTick={(text, done) => void append({ kind: 'ready', step: text, done })}
            />
          </>
        )}
      </section>
      <LatheButtons
        {...{ stage, shown }}
        piece={at.piece}
        onDoing={setDoing}
        onGoOn={() => void append({ kind: 'went-on' })}
        onBegin={() => happened({ kind: 'begun' })}
      />
      <LatheWindows
        {...{ plan, doing, planned, step, progress }}
        piece={at.piece}
        last={lastOf(lathe, steps, plan)}
        onHappened={happened}
        onOpen={setDoing}
        onClose={() => setDoing(undefined)}
      />
    </Whole>
  );
}

/** No piece is there to go on with: they come from the lathe that makes the set-ups before. */
const Waits = ({ from, children }: { from: number; children: ReactNode }) => (
  <Whole>
    {children}
    <Empty>
      <h2>No piece is here yet</h2>
      <p role="status">
        The next is gone on with as soon as it is through set-up {from - 1} on the other lathe; this page hears of it by
        itself.
      </p>
    </Empty>
  </Whole>
);

const NO_KEYS = {};

function AllMade({ id, plan, lathe }: { id: string; plan: Plan; lathe: AtTheLathe }) {
  const [isBack, setIsBack] = useState(false);
  const { progress, unsent } = lathe;
  const { good, scrapped, bar } = progress;
  return (
    <Whole>
      <DoubledPieces lathe={lathe} />
      <Empty>
        <h2>
          All made: {good} good{scrapped.length > 0 ? `, ${scrapped.length} scrap` : ''}
        </h2>
        <p>
          {unsent > 0
            ? `${unsent} things are kept on this device, and are sent when the server answers.`
            : 'Everything is kept.'}
        </p>
        {bar !== undefined && <Big onPress={() => setIsBack(true)}>What is left of bar {bar} goes back …</Big>}
        <WhatNext run={id} machine={plan.run.shop.machine} />
        <PlaceLink id={id} place="log">
          What it took, and what was learned
        </PlaceLink>
      </Empty>
      {isBack && (
        <BarWindow
          {...{ plan, bar }}
          onHappened={(happening) => void lathe.append(happening)}
          onClose={() => setIsBack(false)}
        />
      )}
    </Whole>
  );
}
