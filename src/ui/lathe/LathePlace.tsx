'use client';
import { ArrowLeft, ArrowRight, CircleEllipsis, Hand, Waves } from 'lucide-react';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Happening } from '@/core/lathe/events';
import { madeBy, stepsOf, type LatheStep } from '@/core/lathe/steps';
import type { Plan } from '@/core/plan/plan';
import type { PlannedCheck, PlannedSetup } from '@/core/plan/times/planTimes';
import { sizeChart } from '@/core/present/planActual';
import { sayEvent } from '@/core/present/saidEvent';
import { Empty } from '../primitives/Card';
import { later } from '../primitives/later';
import { NoPlan } from '../run/NoPlan';
import { PlaceLink } from '../run/PlaceLink';
import { useShortcuts } from '../run/useShortcuts';
import { useWorkspace } from '../run/WorkspaceContext';
import { GoOn } from './GoOn';
import { MakeReady } from './MakeReady';
import { Big } from './parts';
import { RunStrip } from './RunStrip';
import { StepShown } from './StepShown';
import { useHand, useStaysAwake } from './useHand';
import { useHappened, type AtTheLathe } from './useHappened';

const MeasureWindow = later(() => import('./MeasureWindow').then((loaded) => loaded.MeasureWindow));
const BadlyWindow = later(() => import('./BadlyWindow').then((loaded) => loaded.BadlyWindow));
const HappenedWindow = later(() => import('./HappenedWindow').then((loaded) => loaded.HappenedWindow));

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

const Bar = styled.div`
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 0 -16px;
  padding: 10px 16px;
  border-top: 1px solid var(--line);
  background: var(--paper);
  &[data-hand='left'] {
    flex-direction: row-reverse;
  }
  > :last-child {
    flex: 2 1 200px;
    min-height: 72px;
    font-size: 22px;
  }
  > :not(:last-child) {
    flex: 0 1 auto;
    min-height: 72px;
  }
  @media (max-width: 600px) {
    gap: 8px;
    > :not(:last-child) {
      flex: 1 1 0;
      min-width: 0;
      min-height: 56px;
      padding: 0 6px;
      font-size: 15px;
    }
    > :last-child {
      flex-basis: 100%;
    }
  }
`;

/** The run that is open, at the lathe; it has to be saved and planned. */
export function LathePlace() {
  const { id, planned } = useWorkspace();
  const { answer, lastPlan } = planned;
  const plan = answer?.plan ?? lastPlan;
  if (id === 'new')
    return (
      <Empty>
        <h2>The run is not saved yet</h2>
        <p>What happens at the lathe is kept with a run: save it first.</p>
      </Empty>
    );
  if (!plan) return answer ? <NoPlan /> : <main style={{ padding: 24 }}>Planning …</main>;
  return <Running id={id} plan={plan} />;
}

type Doing = { check: PlannedCheck } | 'badly' | 'happened' | undefined;

/** Which step is shown: the next one, or one that is looked back at. */
function useShown(steps: readonly LatheStep[], { progress, append }: AtTheLathe) {
  const { at } = progress;
  const [back, setBack] = useState(0);
  const index = steps.findIndex(({ key }) => key === at?.operation);
  const shown = Math.max(0, index - back);
  const next = () => {
    if (back > 0) return setBack(back - 1);
    if (!at) return;
    void append({ kind: 'done' }, { piece: at.piece, operation: at.operation });
  };
  return {
    step: steps[shown],
    isBack: back > 0,
    isFirst: shown === 0,
    next,
    before: () => shown > 0 && setBack(back + 1),
  };
}

/** What is being done: made ready, worked, or stopped. */
function stageOf(steps: readonly LatheStep[], { progress, events }: AtTheLathe): 'ready' | 'works' | 'stopped' {
  if (progress.paused) return 'stopped';
  const isHere = (operation: string | undefined) => steps.some(({ key }) => key === operation);
  return events.some(({ kind, operation }) => (kind === 'begun' || kind === 'done') && isHere(operation))
    ? 'works'
    : 'ready';
}

function Running({ id, plan }: { id: string; plan: Plan }) {
  const { revision } = useWorkspace();
  const lathe = useHappened(id, revision, plan);
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
  if (!at) return <AllMade id={id} lathe={lathe} />;
  const planned = plan.setups[at.setup - 1];
  if (!planned || !step) return null;
  const where = { piece: at.piece, operation: step.key };
  const happened = (happening: Happening, operation = step.key) => void append(happening, { ...where, operation });
  return (
    <Whole>
      <RunStrip plan={plan} lathe={lathe} />
      <section>
        {stage === 'stopped' && <GoOn plan={plan} planned={planned} lathe={lathe} />}
        {stage === 'works' && (
          <StepShown step={step} piece={at.piece} progress={progress} onMeasure={(check) => setDoing({ check })} />
        )}
        {stage === 'ready' && (
          <MakeReady
            plan={plan}
            planned={planned}
            progress={progress}
            onTick={(text, done) => void append({ kind: 'ready', step: text, done })}
          />
        )}
      </section>
      <Buttons
        {...{ stage, shown }}
        piece={at.piece}
        onDoing={setDoing}
        onGoOn={() => void append({ kind: 'went-on' })}
        onBegin={() => happened({ kind: 'begun' })}
      />
      <Windows
        {...{ doing, planned, step, progress }}
        piece={at.piece}
        last={lastOf(lathe, steps, plan)}
        onHappened={happened}
        onClose={() => setDoing(undefined)}
      />
    </Whole>
  );
}

const NO_KEYS = {};

/** What was written down last, so that a press too many is taken back. */
function lastOf({ events }: AtTheLathe, steps: readonly LatheStep[], { run }: Plan) {
  const last = events.at(-1);
  const nameOf = (key: string) => {
    const operation = steps.find((step) => step.key === key)?.operation;
    return operation ? `${operation.number} ${operation.name}` : 'load and unload';
  };
  return last && { id: last.id, words: sayEvent(last, run.units, nameOf) };
}

interface ButtonsProps {
  stage: ReturnType<typeof stageOf>;
  shown: ReturnType<typeof useShown>;
  piece: number;
  onDoing: (doing: Doing) => void;
  onGoOn: () => void;
  onBegin: () => void;
}

/** Under the thumbs: what is done next is the largest, at the side of the hand that presses. */
function Buttons({ stage, shown, piece, onDoing, onGoOn, onBegin }: ButtonsProps) {
  const hand = useHand();
  return (
    <Bar data-hand={hand.side}>
      {stage === 'works' && (
        <>
          <Big onPress={shown.before} isDisabled={shown.isFirst}>
            <ArrowLeft size={22} aria-hidden /> Back
          </Big>
          {shown.step?.operation && (
            <Big onPress={() => onDoing('badly')}>
              <Waves size={20} aria-hidden /> It cuts badly
            </Big>
          )}
          <Big onPress={() => onDoing('happened')}>
            <CircleEllipsis size={20} aria-hidden /> What happened
          </Big>
        </>
      )}
      <Big aria-label={`Buttons for the ${hand.other} hand`} onPress={hand.change}>
        <Hand size={20} aria-hidden />
      </Big>
      {stage === 'stopped' && (
        <Big $strong onPress={onGoOn}>
          Go on
        </Big>
      )}
      {stage === 'works' && (
        <Big $strong onPress={shown.next}>
          {shown.isBack ? 'Forward' : 'Done, next'} <ArrowRight size={24} aria-hidden />
        </Big>
      )}
      {stage === 'ready' && (
        <Big $strong onPress={onBegin}>
          Begin with piece {piece}
        </Big>
      )}
    </Bar>
  );
}

interface WindowsProps {
  doing: Doing;
  planned: PlannedSetup;
  step: LatheStep;
  progress: AtTheLathe['progress'];
  piece: number;
  last: ReturnType<typeof lastOf>;
  /** It happened at the step that is shown, or at another operation by its key. */
  onHappened: (happening: Happening, operation?: string) => void;
  onClose: () => void;
}

/** What is opened over a step. */
function Windows({ doing, planned, step: { operation }, progress, piece, last, onHappened, onClose }: WindowsProps) {
  const shared = { onHappened, onClose };
  if (doing === 'happened') return <HappenedWindow {...{ piece, operation, last, ...shared }} />;
  if (!operation || doing === undefined) return null;
  if (doing === 'badly') return <BadlyWindow {...{ planned, operation, ...shared }} helped={progress.helped} />;
  const { check } = doing;
  const made = madeBy(planned, operation, check);
  return (
    <MeasureWindow
      {...{ planned, operation, check, onClose }}
      chart={sizeChart(made, check, progress)}
      onHappened={(happening) => onHappened(happening, made)}
    />
  );
}

function AllMade({ id, lathe: { progress, unsent } }: { id: string; lathe: AtTheLathe }) {
  const { good, scrapped } = progress;
  return (
    <Empty>
      <h2>
        All made: {good} good{scrapped.length > 0 ? `, ${scrapped.length} scrap` : ''}
      </h2>
      <p>
        {unsent > 0
          ? `${unsent} things are kept on this device, and are sent when the server answers.`
          : 'Everything is kept.'}
      </p>
      <PlaceLink id={id} place="log">
        What it took, and what was learned
      </PlaceLink>
    </Empty>
  );
}
