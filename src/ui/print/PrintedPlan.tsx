'use client';
import { sayFixed } from '@/core/model/units/mark';
import { stockView } from '@/core/present/stock';
import { crossReadingOf } from '@/core/present/cross';
import { operationView } from '@/core/present/operation';
import type { StopView } from '@/core/present/stop';
import { sayOverrule, toldOf } from '@/core/plan/order/overrules';
import type { Plan } from '@/core/plan/plan';
import type { Proof } from '@/core/plan/proof/faults';
import { sayFault } from '@/core/present/fault';
import { missingFrom } from '@/core/present/missing';
import { sayFluids } from '@/core/present/fluid';
import { sayToGet, toGetFor } from '@/core/present/toGet';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { isBetweenCentres } from '@/core/model/plan/setup';
import { sayWorkStop } from '@/core/plan/stops/planStops';
import { formatLength } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import { entryName } from '../run/entryName';
import { namesIn } from '../sheet/overrulesOf';
import { Cols } from './Cols';
import { Paper } from './Paper';
import { PaperDrawing } from './PaperDrawing';

const COLUMNS = ['10mm', '45mm', '15mm', '14mm', '29mm', '29mm', 'auto'];

/** The paper itself: nothing but the plan. */
export function PrintedPlan({ plan, proof }: { plan: Plan; proof: Proof | undefined }) {
  const { run, stock, times, setups } = plan;
  const { part, units } = run;
  const view = stockView(stock, units);
  const cautions = setups.flatMap(({ setup, operations }) => [
    ...setup.cautions,
    ...operations.flatMap(({ cautions: minded }) => minded),
  ]);
  const dangers = [...new Set(cautions.filter(({ kind }) => kind === 'danger').map(({ text }) => text))];
  const facts = [
    ['Material', run.shop.material.name],
    [view.kind, `${view.section} ${units} ${view.condition}`],
    [view.each, `${formatLength(stock.each.value, units)} ${units}`],
    ['Made from', `${stock.bars.value} ${view.counted}`],
    ...(view.isBar ? [['Pieces a bar', String(stock.piecesPerBar.value)]] : []),
    ['A piece', sayMinutes(times.piece.value)],
    ['Setting up', sayMinutes(times.setup.value)],
    ['Batch', sayMinutes(times.batch.value)],
  ];
  return (
    <Paper>
      <div className="head">
        <div>
          <h1>{part.name || part.number}</h1>
          <p>
            {part.number}
            {part.revision && ` · revision ${part.revision}`} · {run.shop.machine.name} · lengths in {units}, z from the
            finished face
          </p>
        </div>
        <div className="off">{run.quantity} off</div>
      </div>
      <dl className="facts">
        {facts.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <NotWhole plan={plan} proof={proof} />
      <GetFirst plan={plan} />
      <PaperDrawing part={part} units={units} />
      {setups.map((planned) => (
        <PrintedSetup key={planned.setup.number} planned={planned} />
      ))}
      {plan.outside.length > 0 && (
        <section>
          <h2>On other machines</h2>
          <ul className="warnings">
            {plan.outside.map(({ key, name, after, notes, piece }) => (
              <li key={key}>
                After set-up {after}, {name}: {notes.join(' ')} {sayFixed(piece.value, 1)} min a piece.
              </li>
            ))}
          </ul>
        </section>
      )}
      <Minded plan={plan} />
      <div className="foot">{dangers.join(' ')} The shop’s rules, the machine’s manual and local law come first.</div>
    </Paper>
  );
}

/** What is got or made before the run begins. */
function GetFirst({ plan }: { plan: Plan }) {
  const toGet = toGetFor(plan);
  if (toGet.length === 0) return null;
  return (
    <section>
      <h2>To get, or to make, before it begins</h2>
      <ul className="warnings">
        {toGet.map((one) => (
          <li key={one.what}>{sayToGet(one, plan.run.shop.rates.currency)}</li>
        ))}
      </ul>
    </section>
  );
}

/** What heads a sheet that does not make all of the drawing, or that its proof does not bear out. */
function NotWhole({ plan, proof }: { plan: Plan; proof: Proof | undefined }) {
  const missing = missingFrom(plan);
  const { units } = plan.run;
  return (
    <>
      {missing.length > 0 && (
        <section className="unproved">
          <h2>Incomplete: this sheet does not make all of the drawing</h2>
          <ul className="warnings">
            {missing.map(({ path, because }) => (
              <li key={path}>
                {entryName(path)}: {because}
              </li>
            ))}
          </ul>
        </section>
      )}
      {proof && !proof.passed && (
        <section className="unproved">
          <h2>Not proved: do not cut by this sheet as it is</h2>
          <ul className="warnings">
            {proof.faults.map((fault, index) => (
              <li key={index}>{sayFault(fault, units)}</li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** What to mind: what the plan does not make in one line, every other doubt and warning in its own. */
function Minded({ plan }: { plan: Plan }) {
  const { doubts, setups, run, overrules } = plan;
  const names = namesIn(plan);
  const missing = doubts.filter(({ rule }) => rule === 'NO-OPERATION');
  const named = missing.map(
    ({ path }) => run.part.features.find((feature) => feature.path === path)?.name ?? entryName(path),
  );
  const lines = [
    ...(named.length > 0 ? [`No operation yet, left as metal and in none of the figures: ${named.join('; ')}.`] : []),
    ...doubts.filter((doubt) => !missing.includes(doubt)).map(({ path, because }) => `${entryName(path)}: ${because}`),
    ...overrules.flatMap((overrule) => toldOf(overrule).map((words) => `${sayOverrule(overrule, names)}: ${words}`)),
    ...setups.flatMap(({ operations, broken }) => [
      ...operations.flatMap(({ number, name, warnings }) => warnings.map((text) => `${number} ${name}: ${text}`)),
      ...broken.map(({ because }) => because),
    ]),
  ];
  if (lines.length === 0) return null;
  return (
    <>
      <h2>Mind</h2>
      <ul className="warnings">
        {lines.map((text) => (
          <li key={text}>▲ {text}</li>
        ))}
      </ul>
    </>
  );
}

/** What is written by hand below each set-up. */
const WRITTEN = ['set by', 'begun', 'ended', 'good', 'scrap, why'];

function PrintedSetup({ planned }: { planned: PlannedSetup }) {
  const { setup, operations, workStop } = planned;
  const { units } = setup.run;
  const fluids = sayFluids(planned);
  return (
    <section>
      <h2>
        Set-up {setup.number}: {setup.holding.words}, on {setup.holding.on}, from the {setup.end}
      </h2>
      <p>
        Stick-out <b>{formatLength(setup.stickOut.value, units)}</b> · {sayWorkStop(workStop)}{' '}
        <b>{formatLength(workStop.setting.value, units)}</b>
        {setup.supported && !isBetweenCentres(setup) && ' · centre at the free end while turning; out before parting'}
        {fluids && ` · ${fluids}`}
      </p>
      <table>
        <Cols widths={COLUMNS} />
        <thead>
          <tr>
            <th>op</th>
            <th>what, with</th>
            <th className="figure">rev/min</th>
            <th className="figure">feed</th>
            <th className="figure">stop</th>
            <th className="figure">{crossReadingOf(setup.run.shop.machine, units).column}</th>
            <th>check</th>
          </tr>
        </thead>
        <tbody>
          {operations.map((operation) => (
            <PrintedOperation key={operation.key} operation={operation} planned={planned} />
          ))}
        </tbody>
      </table>
      <p className="written">
        {WRITTEN.map((what) => (
          <span key={what}>{what}</span>
        ))}
      </p>
    </section>
  );
}

function PrintedOperation({ operation, planned }: { operation: TimedOperation; planned: PlannedSetup }) {
  const { number, name, byHand, stop, crossStop, note, speed, feed, passes, checks } = operationView(
    planned,
    operation,
  );
  const again = checks.filter((check) => check.again);
  const first = checks.filter((check) => !check.again);
  const onCross = passes.filter(({ on }) => on === 'cross');
  return (
    <tr>
      <td className="figure">{number}</td>
      <td>
        <b>{name}</b>
        <small>{[operation.tool.name, ...(operation.does ?? [])].join(' · ')}</small>
        {note && <small>✎ {note}</small>}
      </td>
      <td className="figure">{speed}</td>
      <td className="figure">{feed}</td>
      <td className="figure big">
        {!byHand && stop && <PrintedStop stop={stop} />}
        {stop?.dial && <small>dial {stop.dial}</small>}
      </td>
      <td className="figure">
        {onCross.map(({ to, dial, pass }, index) => (
          <div key={index} style={index === onCross.length - 1 ? { fontWeight: 700, fontSize: '14pt' } : undefined}>
            {to}
            {dial && <small>dial {dial}</small>}
            {pass.wide !== undefined && pass.note && <small>{pass.note}</small>}
          </div>
        ))}
        {crossStop && <small>{crossStop.words}</small>}
        {operation.pecks > 1 && <small>{operation.pecks} pecks</small>}
      </td>
      <td>
        {again.length > 0 && (
          <small>
            once more{again[0]?.often && `, ${again[0].often}`}: {again.map(({ what }) => what).join(', ')}
          </small>
        )}
        {first.map(({ what, limits, gauge, often }) => (
          <div key={what}>
            <b style={{ whiteSpace: 'nowrap' }}>{limits}</b>
            <small>{[what, gauge ?? 'measure', ...(often ? [often] : [])].join(', ')}</small>
          </div>
        ))}
      </td>
    </tr>
  );
}

/** The setting of the tool's own edge with its means, and that of the other edge where there are two. */
function PrintedStop({ stop: { settings, words } }: { stop: StopView }) {
  const [setting, other] = settings;
  return (
    <>
      {setting?.text}
      <small>
        {other && `${setting?.edge} edge, `}
        {words}
      </small>
      {other && (
        <small>
          {other.edge} edge {other.text}
        </small>
      )}
    </>
  );
}
