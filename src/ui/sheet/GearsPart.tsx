import styled from 'styled-components';
import { drawTrain, type DrawnWheel } from '@/core/drawing/gearTrain';
import { gearsOf, type GearsView } from '@/core/present/gears';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { Part } from './panelParts';

/** Width of the drawing, px, and what its rim and words want around it. */
const WIDTH = 260;
const RIM = 6;
const WORDS = 20;

const Train = styled.figure`
  margin: 0 0 8px;
  svg {
    display: block;
    width: 100%;
    max-width: 300px;
    margin: 4px auto;
  }
  text {
    font-size: 11px;
    text-anchor: middle;
    fill: var(--ink);
  }
  text.on {
    fill: var(--ink-soft);
  }
  figcaption {
    font-size: 13px;
  }
  figcaption b {
    font-weight: 650;
  }
`;

/** A wheel by its pitch circle and as many teeth as it has. */
function Wheel({ x, y, r, teeth, shared }: DrawnWheel & { shared: boolean }) {
  const tooth = (Math.PI * r) / teeth;
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={r - 1.5}
        fill="var(--sheet)"
        fillOpacity={shared ? 0 : 1}
        stroke="var(--ink)"
        strokeWidth="1"
      />
      <circle
        cx={x}
        cy={y}
        r={r}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="3.5"
        strokeDasharray={`${tooth.toFixed(3)} ${tooth.toFixed(3)}`}
      />
      <circle cx={x} cy={y} r="2.5" fill="var(--ink)" />
    </g>
  );
}

function DrawnGears({ view }: { view: GearsView }) {
  const { train } = view.gearing;
  if (!train) return null;
  const { width, height, wheels } = drawTrain(train, WIDTH);
  const places = [...new Set(wheels.map(({ x }) => x))];
  return (
    <svg
      viewBox={`${-RIM} ${-RIM} ${width + 2 * RIM} ${height + 2 * RIM + 2 * WORDS}`}
      role="img"
      aria-label={`Wheels from spindle to leadscrew: ${view.wheels}`}
    >
      {wheels
        .toSorted((a, b) => b.r - a.r)
        .map((wheel, index) => (
          <Wheel
            key={index}
            {...wheel}
            shared={wheels.some((other) => other !== wheel && other.x === wheel.x && other.r > wheel.r)}
          />
        ))}
      {places.map((x) => {
        const here = wheels.filter((wheel) => wheel.x === x);
        return (
          <g key={x}>
            <text x={x} y={height + RIM + 12}>
              {here.map(({ teeth }) => teeth).join(' + ')}
            </text>
            <text x={x} y={height + RIM + 27} className="on">
              {here[0]?.on}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The wheels, or the levers, that the threads of a set-up are cut by. */
export function GearsPart({ planned }: { planned: PlannedSetup }) {
  const gears = gearsOf(planned);
  if (gears.length === 0) return null;
  return (
    <Part>
      <h3>Wheels for threads</h3>
      {gears.map((view) => (
        <Train key={view.operation}>
          <DrawnGears view={view} />
          <figcaption>
            <b>{view.name}</b>: {view.wheels}, {view.error}; {view.nuts}.
          </figcaption>
        </Train>
      ))}
    </Part>
  );
}
