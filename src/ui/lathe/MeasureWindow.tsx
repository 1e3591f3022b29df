'use client';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import styled from 'styled-components';
import type { Happening } from '@/core/lathe/events';
import { coldSize, nextCut, type Measured, type NextCut } from '@/core/lathe/nextCut';
import { measuredFor } from '@/core/lathe/steps';
import { formatLength, parseLength, type UnitSystem } from '@/core/model/units/length';
import type { PlannedCheck, PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { sayLimits } from '@/core/present/limits';
import type { SizeChart as SizeChartOf } from '@/core/present/planActual';
import { correctionOf, nextView, type NextView } from '@/core/present/nextCut';
import { SizeChart } from '../log/SizeChart';
import { FigureButton } from '../sheet/Working';
import { Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { Big, Danger } from './parts';
import { useDevices } from './useDevices';

const Form = styled.form`
  display: grid;
  gap: 12px;
  .readings {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto 120px;
    gap: 12px;
    align-items: end;
  }
  input {
    min-height: 60px;
    font-size: 30px;
  }
  .warm input {
    font-size: 22px;
  }
`;

const Next = styled.section`
  display: grid;
  gap: 8px;
  padding: 14px 16px;
  border: 2px solid var(--ink);
  border-radius: 8px;
  &[data-kind='spoilt'] {
    border-color: var(--oxide);
    background: var(--oxide-soft);
  }
  h3 {
    font-size: 30px;
    line-height: 1.1;
  }
  li {
    font: 700 26px/1.3 var(--mono);
  }
  dl {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 24px;
  }
  dt {
    color: var(--ink-soft);
    font-size: 14px;
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;

interface Props {
  planned: PlannedSetup;
  operation: TimedOperation;
  check: PlannedCheck;
  /** What the pieces before were. */
  chart: SizeChartOf | undefined;
  onHappened: (happening: Happening) => void;
  onClose: () => void;
}

/** What was read is kept; the last cut that was reckoned says what the next reading ought to be. */
function useReadings(
  known: Omit<Measured, 'readings'> | undefined,
  { setup }: PlannedSetup,
): {
  text: string;
  setText: (text: string) => void;
  warm: string;
  warmProblem: string | undefined;
  setWarm: (warm: string) => void;
  problem: string | undefined;
  readings: number[];
  add: () => void;
  next: NextCut | undefined;
  measured: Measured | undefined;
  cutDone: () => void;
} {
  const { units, shop } = setup.run;
  const [text, setText] = useState('');
  const [warm, setWarm] = useState('');
  const [kept, setKept] = useState<number[]>([]);
  const [expected, setExpected] = useState<Measured['expected']>(
    known && { size: known.limits.target, spread: shop.lathe.unmeasured },
  );
  const typed = text.trim() === '' ? undefined : parseLength(text, units);
  const over = warm.trim() === '' ? 0 : Number(warm.replace(',', '.'));
  const isDegrees = Number.isFinite(over);
  const cold = (mm: number) =>
    coldSize(mm, { over, expansion: shop.material.expansion ?? 0 }, { over: 0, expansion: shop.lathe.gaugeExpansion });
  // Nothing is told of a size as long as it is not known how warm it is.
  const last = typed?.ok && isDegrees ? [cold(typed.value)] : [];
  const readings = [...kept, ...last];
  const measured = known && readings.length > 0 ? { ...known, readings, ...(expected ? { expected } : {}) } : undefined;
  const next = measured && nextCut(measured, shop.lathe);
  return {
    text,
    setText,
    warm,
    warmProblem: isDegrees ? undefined : `“${warm}” is no number of degrees`,
    setWarm,
    problem: typed && !typed.ok ? typed.problems[0]?.message : undefined,
    readings,
    add: () => {
      setKept(readings);
      setText('');
    },
    next,
    measured,
    cutDone: () => {
      const to = next?.outcome.kind === 'cut' ? next.outcome.passes.at(-1)?.to : undefined;
      if (to === undefined || !next) return;
      setExpected({ size: to, spread: Math.hypot(next.spread.value, shop.lathe.cutSpread) });
      setKept([]);
      setText('');
    },
  };
}

/** A size is read, and what comes next is told: cut, leave, rub, read again, or it is spoilt. */
export function MeasureWindow({ planned, operation, check, chart, onHappened, onClose }: Props) {
  const { units } = planned.setup.run;
  const known = useMemo(() => measuredFor(planned, operation, check), [planned, operation, check]);
  const read = useReadings(known, planned);
  const { next, measured, readings } = read;
  const [from, setFrom] = useState('');
  useDevices(({ device, size, axes }) => {
    // A read-out measures a diameter by its cross-slide, and a length by its carriage.
    const mm = size ?? (check.measures === 'length' ? axes?.['Z'] : axes?.['X']);
    if (mm === undefined) return;
    read.setText(formatLength(Math.abs(mm), units, true));
    setFrom(device);
  });
  const keep = (happening?: Happening) => {
    if (next && readings.length > 0)
      onHappened({
        kind: 'measured',
        what: check.what,
        readings,
        size: Number(next.size.value.toFixed(5)),
        ...(check.gauge ? { gauge: check.gauge.name } : {}),
      });
    if (happening) onHappened(happening);
  };
  return (
    <Window title={`${check.what}, ${sayLimits(check.size, units)}`} open onClose={onClose}>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          if (!next) return;
          // What is doubted is read once more before it is kept.
          if (next.outcome.kind === 'again') return read.add();
          keep();
          if (next.outcome.kind === 'cut') read.cutDone();
          else onClose();
        }}
      >
        {known ? (
          <ReadingFields read={read} label={`Reading, ${check.gauge?.name ?? ''}, ${units}`} />
        ) : (
          <GoNoGo
            check={check}
            onSaid={(size) => {
              onHappened({ kind: 'measured', what: check.what, readings: [size], size });
              onClose();
            }}
          />
        )}
        {from && <p role="status">Read from {from}.</p>}
        {readings.length > 1 && <p>Readings: {readings.map((mm) => formatLength(mm, units, true)).join(', ')}</p>}
        {next && measured && (
          <Told
            {...{ next, measured, planned, operation, check }}
            onKeep={keep}
            onCut={read.cutDone}
            onClose={onClose}
          />
        )}
        {chart && chart.readings.length > 1 && <SizeChart chart={chart} units={units} />}
      </Form>
    </Window>
  );
}

/** What was read, once or several times, and how warm the piece is. */
function ReadingFields({ read, label }: { read: ReturnType<typeof useReadings>; label: string }) {
  return (
    <div className="readings">
      <Field label={label} value={read.text} problem={read.problem} autoFocus onChange={read.setText} />
      <Big onPress={read.add} isDisabled={read.text === ''}>
        <Plus size={20} aria-hidden /> Another
      </Big>
      <div className="warm">
        <Field
          label="Over 20 °C by"
          value={read.warm}
          problem={read.warmProblem}
          onChange={read.setWarm}
          placeholder="0"
        />
      </div>
    </div>
  );
}

/** A gauge that only goes or does not: 1 is kept for what is right, 0 for what is not. */
function GoNoGo({ check, onSaid }: { check: PlannedCheck; onSaid: (size: number) => void }) {
  return (
    <Row>
      <p style={{ width: '100%', fontSize: 17 }}>
        {check.gauge ? `By ${check.gauge.name}:` : 'No gauge of the list measures it:'}
      </p>
      <Big onPress={() => onSaid(1)}>It is right</Big>
      <Big onPress={() => onSaid(0)}>It is not</Big>
    </Row>
  );
}

interface ToldProps extends Omit<Props, 'onHappened' | 'chart'> {
  next: NextCut;
  measured: Measured;
  onKeep: (happening?: Happening) => void;
  onCut: () => void;
}

/** What comes next, large, with its reasons and the figures that it comes from. */
function NextShown({ next, view, units }: { next: NextCut; view: NextView; units: UnitSystem }) {
  return (
    <Next data-kind={view.kind} aria-live="polite">
      <h3>{view.what}</h3>
      {view.passes.length > 0 && (
        <ol aria-label="Cuts to take">
          {view.passes.map(({ depth, to, dial }) => (
            <li key={to}>
              {dial ? `dial ${dial}` : `to ${to}`}{' '}
              <small>
                {depth} deep{dial ? `, to ${to}` : ''}
              </small>
            </li>
          ))}
        </ol>
      )}
      {view.because.map((words) => (
        <p key={words}>{words}</p>
      ))}
      {view.coarseDial && (
        <Danger data-mild>The dial leaves more than a third of the limits: read between its lines.</Danger>
      )}
      <dl>
        {[next.size, next.left, next.aim].map((figure) => (
          <div key={figure.name}>
            <dt>{figure.name}</dt>
            <dd>
              <FigureButton figure={figure} units={units} fine />
            </dd>
          </div>
        ))}
      </dl>
    </Next>
  );
}

function Told({ next, measured, planned, operation, check, onKeep, onCut, onClose }: ToldProps) {
  const { units } = planned.setup.run;
  const view = nextView(next, planned, measured);
  const correction =
    view.kind === 'again'
      ? undefined
      : correctionOf(planned, operation, measured, next.size.value - measured.limits.target);
  return (
    <>
      <NextShown {...{ next, view, units }} />
      {correction && (
        <p style={{ fontSize: 17 }}>
          For the pieces to come, {correction.words}.{' '}
          {correction.also.length > 0 && <b>It moves as well: {correction.also.join(', ')}.</b>}
        </p>
      )}
      <Row>
        {view.kind === 'cut' && (
          <Big
            $strong
            onPress={() => {
              onKeep();
              onCut();
            }}
          >
            Cut, then measure again
          </Big>
        )}
        <Big
          $strong={view.kind !== 'cut'}
          onPress={() => {
            onKeep();
            onClose();
          }}
        >
          Keep it
        </Big>
        {correction && (
          <Big
            onPress={() => {
              onKeep({
                kind: 'corrected',
                place: correction.place,
                by: Number(correction.by.toFixed(4)),
                what: check.what,
              });
              onClose();
            }}
          >
            It is moved by so much
          </Big>
        )}
      </Row>
    </>
  );
}
