'use client';
import type { Happening } from '@/core/lathe/events';
import { madeBy, type LatheStep } from '@/core/lathe/steps';
import type { Plan } from '@/core/plan/plan';
import type { PlannedCheck, PlannedSetup } from '@/core/plan/times/planTimes';
import { sizeChart } from '@/core/present/planActual';
import { sayEvent } from '@/core/present/saidEvent';
import { later } from '../primitives/later';
import type { AtTheLathe } from './useHappened';

const MeasureWindow = later(() => import('./MeasureWindow').then((loaded) => loaded.MeasureWindow));
const BadlyWindow = later(() => import('./BadlyWindow').then((loaded) => loaded.BadlyWindow));
const AsItIsWindow = later(() => import('./AsItIsWindow').then((loaded) => loaded.AsItIsWindow));
const BarWindow = later(() => import('./BarWindow').then((loaded) => loaded.BarWindow));
const OtherwiseWindow = later(() => import('./OtherwiseWindow').then((loaded) => loaded.OtherwiseWindow));
const OrderWindow = later(() => import('./OrderWindow').then((loaded) => loaded.OrderWindow));
const HappenedWindow = later(() => import('./HappenedWindow').then((loaded) => loaded.HappenedWindow));

/** What is opened over a step: a size that is measured, what goes badly, what happened, a new bar, another order, how it is cut otherwise, what the piece is like. */
export type Doing =
  { check: PlannedCheck } | 'badly' | 'happened' | 'otherwise' | 'as-it-is' | 'bar' | 'order' | undefined;

/** What was written down last, so that a press too many is taken back. */
export function lastOf({ events }: AtTheLathe, steps: readonly LatheStep[], { run }: Plan) {
  const last = events.at(-1);
  const nameOf = (key: string) => {
    const operation = steps.find((step) => step.key === key)?.operation;
    return operation ? `${operation.number} ${operation.name}` : 'load and unload';
  };
  return last && { event: last, words: sayEvent(last, run.units, nameOf) };
}

interface Props {
  plan: Plan;
  doing: Doing;
  planned: PlannedSetup;
  step: LatheStep;
  progress: AtTheLathe['progress'];
  piece: number;
  last: ReturnType<typeof lastOf>;
  /** It happened at the step that is shown, or at another operation by its key. */
  onHappened: (happening: Happening, operation?: string) => void;
  onOpen: (doing: Doing) => void;
  onClose: () => void;
}

/** What is opened over a step. */
export function LatheWindows({
  plan,
  doing,
  planned,
  step: { operation },
  progress,
  piece,
  last,
  onHappened,
  onOpen,
  onClose,
}: Props) {
  const shared = { onHappened, onClose };
  if (doing === 'happened') return <HappenedWindow {...{ piece, operation, last, onOpen, ...shared }} />;
  if (doing === 'bar') return <BarWindow {...{ plan, ...shared }} bar={progress.bar} />;
  if (doing === 'order') return <OrderWindow {...{ planned, ...shared }} />;
  if (doing === 'as-it-is') {
    const done = operation && planned.operations[planned.operations.indexOf(operation) - 1];
    return <AsItIsWindow {...{ plan, planned, done, piece, ...shared }} />;
  }
  if (!operation || doing === undefined) return null;
  if (doing === 'badly') return <BadlyWindow {...{ planned, operation, ...shared }} helped={progress.helped} />;
  if (doing === 'otherwise')
    return <OtherwiseWindow setup={planned.setup.number} {...{ operation, ...shared }} changed={progress.changed} />;
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
