import { sayFixed } from '@/core/model/units/mark';
import { Fragment } from 'react';
import { CHIPS, LIMITS, type PassLoad } from '@/core/model/plan/passLoad';
import type { Run } from '@/core/model/run';
import { show } from '@/core/model/units/show';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import type { OperationView } from '@/core/present/operation';
import { Line, Part } from './panelParts';
import { FigureButton } from './Working';

interface Chosen {
  view: OperationView;
  /** The pass that is looked at; without one the last. */
  pass: number | undefined;
  onPass: (pass: number) => void;
}

interface Props extends Chosen {
  planned: PlannedSetup;
  operation: TimedOperation;
}

/** The passes, what each asks of machine and work, and the minutes. */
export function CutPart({ planned, operation, view, pass, onPass }: Props) {
  const { units } = planned.setup.run;
  const { byHand } = view;
  const shown = operation.passes[pass ?? operation.passes.length - 1];
  return (
    <Part>
      <h3>Cut</h3>
      {operation.does?.map((words) => (
        <p key={words}>{words}</p>
      ))}
      {!byHand && <Passes view={view} pass={pass} onPass={onPass} />}
      {shown && shown.limitedBy !== 'shape' && (
        <p style={{ marginTop: 4, color: 'var(--ink-soft)', fontSize: 13 }}>
          Pass {operation.passes.indexOf(shown) + 1} is no{' '}
          {/* What goes straight in is as deep as its hole: a limit holds back how fast it is fed. */}
          {shown.limitedBy === 'winding' || operation.tool.mount === 'tailstock' ? 'faster' : 'deeper'}:{' '}
          {LIMITS[shown.limitedBy]}.
        </p>
      )}
      <dl style={{ marginTop: 4 }}>
        {shown && shown.achieved !== operation.achieved && (
          <Line name={`Actual speed, ${show(0, 'm/min', units).unit}`}>
            <FigureButton figure={shown.achieved} units={units} />
          </Line>
        )}
        {shown?.load && <Load load={shown.load} run={planned.setup.run} />}
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
  );
}

function Passes({ view: { passes, cross }, pass, onPass }: Chosen) {
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">pass</th>
          <th scope="col">depth</th>
          <th scope="col">
            {passes.some(({ on }) => on === 'cross') ? (cross.dial ? 'dial, from 0' : 'read-out') : 'to z'}
          </th>
          <th scope="col">min</th>
        </tr>
      </thead>
      <tbody>
        {passes.map(({ pass: cut, depth, to, dial }, index) => (
          <Fragment key={index}>
            <tr aria-current={index === (pass ?? passes.length - 1)} onClick={() => onPass(index)}>
              <td>{index + 1}</td>
              <td>{depth}</td>
              <td>{dial ?? to}</td>
              <td>{sayFixed(cut.minutes.value, 2)}</td>
            </tr>
            {cut.note && (
              <tr className="note">
                <td colSpan={4}>{cut.note}</td>
              </tr>
            )}
          </Fragment>
        ))}
      </tbody>
    </table>
  );
}

/** What a pass asks for. */
function Load({ load, run: { units, shop } }: { load: PassLoad; run: Run }) {
  return (
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
      <Line name={`Power, kW of ${sayFixed(shop.machine.motorKilowatts * shop.machine.efficiency, 2)}`}>
        <FigureButton figure={load.power} units={units} />
      </Line>
      {load.bends && (
        <Line name={`Deflection, ${units}`}>
          <FigureButton figure={load.bends} units={units} fine />
        </Line>
      )}
      {load.roughness && (
        <Line name="Leaves Ra, µm">
          <FigureButton figure={load.roughness} units={units} />
        </Line>
      )}
      {load.chip && <Line name="Chips">{CHIPS[load.chip]}</Line>}
    </>
  );
}
