'use client';
import { Check, CircleAlert, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { PlannedCheck, PlannedSetup, TimedOperation } from '@/core/time/planTimes';
import { pinOf } from '@/core/stops/planStops';
import type { Plan } from '@/core/plan';
import { formatLength, formatNominal } from '@/core/units/length';
import { sayMinutes, show } from '@/core/units/show';
import type { Caution } from '@/core/words';
import { FigureButton } from './Working';

const Card = styled.aside`
  display: flex;
  flex-direction: column;
  min-height: 0;
  max-height: calc(100vh - 152px);
  @media (max-width: 980px) {
    max-height: none;
  }
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  overflow: auto;
  > header {
    position: sticky;
    top: 0;
    padding: 10px 16px;
    border-bottom: 3px solid var(--blue);
    background: var(--blue-soft);
  }
  > header h2 {
    color: var(--blue);
    font-size: 18px;
  }
  > header p {
    color: var(--ink-soft);
    font-size: 13px;
  }
  > p {
    padding: 10px 16px 14px;
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

const Part = styled.section`
  padding: 10px 16px 2px;
  h3 {
    display: flex;
    align-items: center;
    gap: 10px;
    margin-bottom: 4px;
    font-size: 14px;
  }
  h3::after {
    content: '';
    flex: 1;
    border-top: 1px solid var(--line);
  }
  dl {
    display: grid;
    grid-template-columns: 1fr auto;
    gap: 3px 10px;
    align-items: baseline;
  }
  dt {
    color: var(--ink-soft);
  }
  dd {
    font-family: var(--mono);
    text-align: right;
  }
  dd.big {
    font-size: 19px;
    font-weight: 700;
  }
  dd.big.first {
    color: var(--blue);
    font-size: 22px;
  }
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: right;
  }
  th:first-child,
  td:first-child {
    text-align: left;
  }
  td {
    padding: 2px 0;
    font-family: var(--mono);
    text-align: right;
  }
  td.words {
    font-family: var(--sans);
    color: var(--ink-soft);
    font-size: 13px;
  }
  tr[aria-current='true'] {
    background: var(--blue-soft);
    color: var(--blue);
    font-weight: 700;
  }
  tr {
    cursor: pointer;
  }
  li {
    display: flex;
    gap: 8px;
    margin: 4px 0;
    line-height: 1.35;
  }
  li svg {
    flex: none;
    margin-top: 2px;
  }
  li code {
    color: var(--ink-soft);
    font: 12px var(--mono);
  }
`;

const EDGE: Record<string, string> = {
  left: 'Carriage, left edge touched',
  right: 'Carriage, right edge touched',
  tip: 'Carriage',
};

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  operation: TimedOperation | undefined;
  pass: number | undefined;
  onPass: (pass: number) => void;
}

/** Everything about the selected operation, always in the same five parts: Set, Cut, Check, Why, Mind. */
export function Panel({ plan, planned, operation, pass, onPass }: Props) {
  const { units, shop } = planned.setup.run;
  if (!operation) return <SetupPanel plan={plan} planned={planned} />;
  const pin = pinOf(planned, operation.key);
  const means = pin?.means === 'station' ? `station ${pin.station}` : pin?.means === 'each-time' ? 'set each time' : '';
  const radius = shop.machine.readOut === 'radius';
  const readOut = (diameter: number) => formatLength(radius ? diameter / 2 : diameter, units, true);
  const lastDiameter = operation.passes.at(-1)?.diameter;
  return (
    <Card aria-label="Selected operation">
      <header>
        <h2>
          {operation.number} {operation.name}
        </h2>
        <p>
          set-up {planned.setup.number} · {operation.tool.name}
        </p>
      </header>
      <Part>
        <h3>Set</h3>
        <dl>
          {operation.stop.settings.map(({ edge, setting }, index) => (
            <Line
              key={edge}
              name={
                operation.stop.means === 'quill'
                  ? 'Quill, from the face'
                  : `${EDGE[edge]}${index === 0 && means ? `, ${means}` : ''}`
              }
              className={index === 0 ? 'big first' : 'big'}
            >
              <FigureButton figure={setting} units={units} fine={pin?.fine ?? false} />
            </Line>
          ))}
          {lastDiameter !== undefined && (
            <Line name={`Cross-slide, read-out ${radius ? 'radius' : '⌀'}`} className="big">
              {readOut(lastDiameter)}
            </Line>
          )}
          <Line name="Speed, rev/min">
            <FigureButton figure={operation.speed} units={units} />
          </Line>
          <Line name={`Feed, ${show(0, 'mm/rev', units).unit}`}>
            <FigureButton figure={operation.feed} units={units} />
          </Line>
          <Line name={`Cutting speed, ${show(0, 'm/min', units).unit}`}>
            <FigureButton figure={operation.achieved} units={units} />
          </Line>
        </dl>
      </Part>
      <Part>
        <h3>Cut</h3>
        <table>
          <thead>
            <tr>
              <th scope="col">pass</th>
              <th scope="col">depth</th>
              <th scope="col">
                {operation.passes.some(({ diameter }) => diameter !== undefined) ? 'read-out' : 'to z'}
              </th>
              <th scope="col">min</th>
            </tr>
          </thead>
          <tbody>
            {operation.passes.map((own, index) => (
              <tr
                key={index}
                aria-current={index === (pass ?? operation.passes.length - 1)}
                onClick={() => onPass(index)}
              >
                <td>
                  {index + 1} {own.note && <span className="words">{own.note}</span>}
                </td>
                <td>{formatLength(own.depth, units, true)}</td>
                <td>{own.diameter === undefined ? formatLength(own.z ?? 0, units) : readOut(own.diameter)}</td>
                <td>{own.minutes.value.toFixed(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <dl style={{ marginTop: 4 }}>
          <Line name="Cutting, min">
            <FigureButton figure={operation.cutting} units={units} />
          </Line>
          <Line name="Handling, min">
            <FigureButton figure={operation.hand} units={units} />
          </Line>
        </dl>
      </Part>
      <Part>
        <h3>Check</h3>
        {operation.checks.length === 0 ? (
          <p style={{ color: 'var(--ink-soft)' }}>Nothing of the drawing is finished here.</p>
        ) : (
          operation.checks.map((check) => <CheckLines key={check.what} check={check} units={units} />)
        )}
      </Part>
      <Part>
        <h3>Why</h3>
        <ul>
          {operation.reasons.map(({ rule, because }) => (
            <Item key={rule + because} icon={<Check size={15} color="var(--brass)" aria-hidden />}>
              {because} <code>{rule}</code>
            </Item>
          ))}
        </ul>
      </Part>
      <Mind warnings={operation.warnings} cautions={operation.cautions} />
    </Card>
  );
}

/** Warnings of the plan, then usual cautions and likely mistakes. */
function Mind({ warnings, cautions }: { warnings: string[]; cautions: Caution[] }) {
  return (
    <>
      <Part>
        <h3>Mind</h3>
        <ul>
          {warnings.map((text) => (
            <Item key={text} icon={<CircleAlert size={15} color="var(--oxide)" aria-label="Warning" />}>
              <strong>{text}</strong>
            </Item>
          ))}
          {cautions.map(({ kind, text }) => (
            <Item
              key={text}
              icon={
                kind === 'danger' ? (
                  <TriangleAlert size={15} color="var(--oxide)" aria-label="Danger" />
                ) : (
                  <CircleAlert size={15} color="var(--ink-soft)" aria-label="Likely mistake" />
                )
              }
            >
              {text}
            </Item>
          ))}
        </ul>
      </Part>
      <p>The shop’s rules, the machine’s manual and local law come first.</p>
    </>
  );
}

const WAY = { 'from-bar': 'from the bar', 'sawn-blanks': 'sawn blanks' };

/** Before any operation is selected: what it is made from, how the work is held, and why. */
function SetupPanel({ plan, planned }: { plan: Plan; planned: PlannedSetup }) {
  const { setup, workStop, setting, loading, order } = planned;
  const { stock } = plan;
  const { units } = setup.run;
  const first = setup.number === 1;
  return (
    <Card aria-label="Set-up">
      <header>
        <h2>Set-up {setup.number}</h2>
        <p>Choose an operation with the arrow keys, or in the route.</p>
      </header>
      <Part>
        <h3>Set</h3>
        <dl>
          <Line name="Stick-out">
            <FigureButton figure={setup.stickOut} units={units} />
          </Line>
          <Line name={workStop.means === 'bar-stop' ? 'Bar stop' : 'Spindle stop'}>
            <FigureButton figure={workStop.setting} units={units} />
          </Line>
          <Line name="Setting up, min">
            <FigureButton figure={setting} units={units} />
          </Line>
          <Line name="In and out, min">
            <FigureButton figure={loading} units={units} />
          </Line>
        </dl>
      </Part>
      {first && (
        <Part>
          <h3>Stock</h3>
          <dl>
            <Line name={`Bar, ${stock.condition}`}>⌀{formatNominal(stock.size, units)}</Line>
            <Line name="Smallest that cleans up">
              <FigureButton figure={stock.need} units={units} />
            </Line>
            <Line name={stock.way === 'from-bar' ? 'Pitch' : 'Blank'}>
              <FigureButton figure={stock.each} units={units} />
            </Line>
            {stock.way === 'from-bar' && (
              <Line name="Grip remnant">
                <FigureButton figure={stock.gripRemnant} units={units} />
              </Line>
            )}
          </dl>
        </Part>
      )}
      {first && (
        <Part>
          <h3>Ways</h3>
          <dl>
            {plan.ways.map(({ way, batchMinutes, bars, problem }) => (
              <Line key={way} name={`${WAY[way]}${way === stock.way ? ', chosen' : ''}`}>
                {batchMinutes === undefined
                  ? problem
                    ? 'cannot be'
                    : ''
                  : `${sayMinutes(batchMinutes)} · ${bars} bar${bars === 1 ? '' : 's'}`}
              </Line>
            ))}
          </dl>
        </Part>
      )}
      <Part>
        <h3>Why</h3>
        <ul>
          {[...(first ? [plan.chosenBecause, ...stock.reasons] : []), ...setup.reasons].map(({ rule, because }) => (
            <Item key={rule + because} icon={<Check size={15} color="var(--brass)" aria-hidden />}>
              {because} <code>{rule}</code>
            </Item>
          ))}
          <Item icon={<Check size={15} color="var(--brass)" aria-hidden />}>
            {order.proven
              ? 'No order that keeps the rules changes tools less.'
              : `At most ${order.gapMinutes.toFixed(2)} min a piece could be saved by another order.`}{' '}
            <code>ORDER</code>
          </Item>
        </ul>
      </Part>
      <Mind warnings={planned.broken.map(({ because }) => because)} cautions={setup.cautions} />
    </Card>
  );
}

const Line = ({ name, children, className }: { name: string; children: ReactNode; className?: string }) => (
  <>
    <dt>{name}</dt>
    <dd className={className}>{children}</dd>
  </>
);

const Item = ({ icon, children }: { icon: ReactNode; children: ReactNode }) => (
  <li>
    {icon}
    <span>{children}</span>
  </li>
);

function CheckLines({ check: { what, size, gauge, every }, units }: { check: PlannedCheck; units: 'mm' | 'in' }) {
  const fine = size.upper - size.lower < 0.1;
  return (
    <>
      <dl>
        <Line name={what}>
          {formatLength(size.nominal + size.lower, units, fine)} –{' '}
          {formatLength(size.nominal + size.upper, units, fine)}
        </Line>
      </dl>
      <p style={{ color: 'var(--ink-soft)', fontSize: 13 }}>
        {gauge
          ? `${gauge.name}, ${every === 1 ? 'every piece' : `every ${every}th piece`}${gauge.fineEnough ? '' : '; too coarse for this tolerance'}`
          : 'no gauge in the list measures this'}
      </p>
    </>
  );
}
