'use client';
import { LIMITS, CHIPS } from '@/core/model/plan/passLoad';
import { ArrowDown, ArrowUp, Check, CircleSlash, FlipHorizontal2, Gauge, Wrench } from 'lucide-react';
import dynamic from 'next/dynamic';
import { memo, Fragment, useMemo, useState } from 'react';
import styled from 'styled-components';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { operationView, type CheckView } from '@/core/present/operation';
import { listedId } from '@/core/model/shop/tool';
import type { Plan } from '@/core/plan/plan';
import { formatLength } from '@/core/model/units/length';
import { show } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Overrules } from './Overrules';
import { Card, Item, Line, Mind, Part } from './panelParts';
import { SetupPanel } from './SetupPanel';
import type { OrderEdits } from './useOrder';
import { FigureButton } from './Working';

const TryWindow = dynamic(() => import('./TryWindow').then((own) => own.TryWindow), { ssr: false });
const ChoiceWindow = dynamic(() => import('./ChoiceWindow').then((own) => own.ChoiceWindow), { ssr: false });

const Moves = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 6px;
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
  edits: OrderEdits;
}

/** Everything about the selected operation, always in the same five parts: Set, Cut, Check, Why, Mind. */
export const Panel = memo(function Panel({ plan, planned, operation, pass, onPass, edits }: Props) {
  const { units, shop } = planned.setup.run;
  const [choosing, setChoosing] = useState<'tool' | 'end' | 'try'>();
  const { key = '', feature = '' } = operation ?? {};
  const questions = useMemo(() => ({ tool: { operation: key }, end: { feature } }), [key, feature]);
  if (!operation) return <SetupPanel plan={plan} planned={planned} edits={edits} />;
  const { stop, cross, target, passes, checks } = operationView(planned, operation);
  const byHand = operation.stop.means === 'none';
  const shown = operation.passes[pass ?? operation.passes.length - 1];
  const load = shown?.load;
  return (
    <Card aria-label="Selected operation">
      <header>
        <h2>
          {operation.number} {operation.name}
        </h2>
        <p>
          set-up {planned.setup.number} · {operation.tool.name}
          {operation.tool.place !== undefined && `, place ${operation.tool.place}`}
        </p>
      </header>
      <Part>
        <h3>Set</h3>
        <dl>
          {stop?.settings.map(({ edge, figure }, index) => (
            <Line
              key={edge}
              name={
                stop.axis === 'quill' ? 'Quill, from the face' : `${EDGE[edge]}${index === 0 ? `, ${stop.words}` : ''}`
              }
              className={index === 0 ? 'big first' : 'big'}
            >
              <FigureButton figure={figure} units={units} fine={stop.fine} />
            </Line>
          ))}
          {stop?.dial && <Line name="Carriage dial, turns + div">{stop.dial}</Line>}
          {target !== undefined && (
            <Line name={`Cross-slide, ${cross.name}`} className="big">
              {target}
            </Line>
          )}
          {operation.clearances[0] && (
            <Line name={`Clear, ${operation.clearances[0].what}`}>
              {formatLength(operation.clearances[0].distance, units)}
            </Line>
          )}
          <Line name="Speed, rev/min">
            {operation.speed.value > 0 ? <FigureButton figure={operation.speed} units={units} /> : 'stopped'}
          </Line>
          {!byHand && (
            <>
              <Line name={`Feed, ${show(0, 'mm/rev', units).unit}`}>
                <FigureButton figure={operation.feed} units={units} />
              </Line>
              <Line name={`Cutting speed, ${show(0, 'm/min', units).unit}`}>
                <FigureButton figure={operation.achieved} units={units} />
              </Line>
            </>
          )}
        </dl>
      </Part>
      <Part>
        <h3>Cut</h3>
        {operation.does?.map((words) => (
          <p key={words}>{words}</p>
        ))}
        {!byHand && (
          <table>
            <thead>
              <tr>
                <th scope="col">pass</th>
                <th scope="col">depth</th>
                <th scope="col">
                  {passes.some(({ on }) => on === 'cross') ? (cross.dial ? 'turns + div' : 'read-out') : 'to z'}
                </th>
                <th scope="col">min</th>
              </tr>
            </thead>
            <tbody>
              {passes.map(({ pass: own, depth, to, turns }, index) => (
                <Fragment key={index}>
                  <tr aria-current={index === (pass ?? passes.length - 1)} onClick={() => onPass(index)}>
                    <td>{index + 1}</td>
                    <td>{depth}</td>
                    <td>{turns ?? to}</td>
                    <td>{own.minutes.value.toFixed(2)}</td>
                  </tr>
                  {own.note && (
                    <tr className="note">
                      <td colSpan={4}>{own.note}</td>
                    </tr>
                  )}
                </Fragment>
              ))}
            </tbody>
          </table>
        )}
        {shown && shown.limitedBy !== 'shape' && (
          <p style={{ marginTop: 4, color: 'var(--ink-soft)', fontSize: 13 }}>
            Pass {operation.passes.indexOf(shown) + 1} is no deeper: {LIMITS[shown.limitedBy]}.
          </p>
        )}
        <dl style={{ marginTop: 4 }}>
          {shown && shown.achieved !== operation.achieved && (
            <Line name={`It reaches, ${show(0, 'm/min', units).unit}`}>
              <FigureButton figure={shown.achieved} units={units} />
            </Line>
          )}
          {load && (
            <>
              {load.force && (
                <Line name="Force, N">
                  <FigureButton figure={load.force} units={units} />
                </Line>
              )}
              {load.torque && (
                <Line name="Torque, N·m">
                  <FigureButton figure={load.torque} units={units} />
                </Line>
              )}
              {load.thrust && (
                <Line name="Thrust, N">
                  <FigureButton figure={load.thrust} units={units} />
                </Line>
              )}
              <Line name={`Power, kW of ${(shop.machine.motorKilowatts * shop.machine.efficiency).toFixed(2)}`}>
                <FigureButton figure={load.power} units={units} />
              </Line>
              {load.bends && (
                <Line name={`Gives way, ${units}`}>
                  <FigureButton figure={load.bends} units={units} fine />
                </Line>
              )}
              {load.roughness && (
                <Line name="Leaves Ra, µm">
                  <FigureButton figure={load.roughness} units={units} />
                </Line>
              )}
              {load.chip && <Line name="Its chip">{CHIPS[load.chip]}</Line>}
            </>
          )}
          {!byHand && (
            <Line name="Cutting, min">
              <FigureButton figure={operation.cutting} units={units} />
            </Line>
          )}
          <Line name="Handling, min">
            <FigureButton figure={operation.hand} units={units} />
          </Line>
        </dl>
      </Part>
      <Part>
        <h3>Check</h3>
        {checks.length === 0 ? (
          <p style={{ color: 'var(--ink-soft)' }}>Nothing of the drawing is finished here.</p>
        ) : (
          checks.map((check) => <CheckLines key={check.what} check={check} />)
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
        <Overrules plan={plan} of={operation.key} edits={edits} />
        <Moves>
          <Button onPress={() => edits.shift(operation.key, -1)} isDisabled={planned.operations[0] === operation}>
            <ArrowUp size={15} aria-hidden /> Earlier
          </Button>
          <Button onPress={() => edits.shift(operation.key, 1)} isDisabled={planned.operations.at(-1) === operation}>
            <ArrowDown size={15} aria-hidden /> Later
          </Button>
        </Moves>
        <Moves>
          <Button onPress={() => setChoosing('try')} isDisabled={byHand}>
            <Gauge size={15} aria-hidden /> Try otherwise …
          </Button>
          <Button onPress={() => setChoosing('tool')} isDisabled={byHand}>
            <Wrench size={15} aria-hidden /> Other tool …
          </Button>
          <Button onPress={() => setChoosing('end')} isDisabled={byHand || !feature.startsWith('part.')}>
            <FlipHorizontal2 size={15} aria-hidden /> Other end …
          </Button>
          <Button onPress={() => edits.skip(operation.key)}>
            <CircleSlash size={15} aria-hidden /> Leave out
          </Button>
        </Moves>
      </Part>
      <Mind warnings={operation.warnings} cautions={operation.cautions} />
      {choosing === 'try' && (
        <TryWindow
          tile={{ key, setup: planned.setup.number === 1 ? 1 : 2 }}
          operation={{
            number: operation.number,
            name: operation.name,
            tool: listedId(operation.tool),
            kind: operation.kind,
          }}
          onClose={() => setChoosing(undefined)}
        />
      )}
      {choosing && choosing !== 'try' && (
        <ChoiceWindow
          title={`${choosing === 'tool' ? 'A tool' : 'The end'} for ${operation.number} ${operation.name}`}
          question={questions[choosing]}
          onClose={() => setChoosing(undefined)}
        />
      )}
    </Card>
  );
});

function CheckLines({ check: { what, limits, gauge, often, fineEnough } }: { check: CheckView }) {
  return (
    <>
      <dl>
        <Line name={what}>{limits}</Line>
      </dl>
      <p style={{ color: 'var(--ink-soft)', fontSize: 13 }}>
        {gauge
          ? `${gauge}, ${often || 'every'} piece${fineEnough ? '' : '; too coarse for this tolerance'}`
          : 'no gauge in the list measures this'}
      </p>
    </>
  );
}
