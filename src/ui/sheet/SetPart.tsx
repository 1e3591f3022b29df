import { formatLength } from '@/core/model/units/length';
import { show } from '@/core/model/units/show';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { stateChanges } from '@/core/present/machineState';
import type { OperationView } from '@/core/present/operation';
import { Line, Part } from './panelParts';
import { FigureButton } from './Working';

const EDGE: Record<string, string> = {
  left: 'Carriage, left edge touched',
  right: 'Carriage, right edge touched',
  tip: 'Carriage',
};

interface Props {
  planned: PlannedSetup;
  operation: TimedOperation;
  view: OperationView;
}

/** What the machine is set to: stop, dial, cross-slide, speed and feed. */
export function SetPart({ planned, operation, view: { stop, target, cross, crossStop, byHand, fluid } }: Props) {
  const { units } = planned.setup.run;
  const changes = stateChanges(planned, operation);
  return (
    <Part>
      <h3>Set</h3>
      {changes.length > 0 && (
        <p style={{ margin: '0 0 6px', fontSize: 13 }}>
          <b>Before it:</b> {changes.join(' · ')}
        </p>
      )}
      <dl>
        {stop?.settings.map(({ edge, figure }, index) => (
          <Line
            key={edge}
            name={
              stop.axis === 'quill'
                ? `Quill, from the face${stop.means === 'quill' ? '' : `, ${stop.words}`}`
                : `${EDGE[edge]}${index === 0 ? `, ${stop.words}` : ''}`
            }
            className={index === 0 ? 'big first' : 'big'}
          >
            <FigureButton figure={figure} units={units} fine={stop.fine} />
          </Line>
        ))}
        {stop?.dial && <Line name="Carriage dial, turns + div">{stop.dial}</Line>}
        {target !== undefined && (
          <Line name={`Cross-slide, ${cross.name}${crossStop ? `, ${crossStop.words}` : ''}`} className="big">
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
        {fluid && <Line name="Fluid">{fluid}</Line>}
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
  );
}
