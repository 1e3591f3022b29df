'use client';
import { sayFigure, sayFixed } from '@/core/model/units/mark';
import { useState } from 'react';
import { Check } from 'lucide-react';
import { at, crossOvers, type CrossOver, type Line } from '@/core/money/lines';
import type { RunningWay } from '@/core/ask/running';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { Heads, Table } from '../primitives/Table';
import { Choice } from '../primitives/Field';
import { LineChart, Stroke, type Mark } from './LineChart';

type Measured = 'minutes' | 'money';

const POINTS = 40;

/** Quantities around the run's own and the nearer cross-overs, closer together where they are small. */
function quantitiesAround(quantity: number, crosses: readonly CrossOver[]): number[] {
  const near = crosses
    .map((cross) => cross.quantity)
    .filter((figure) => figure > quantity / 20 && figure < quantity * 20);
  const least = Math.max(1, Math.min(quantity / 4, ...near.map((figure) => figure / 1.5)));
  const most = Math.max(least * 8, quantity * 4, ...near.map((figure) => figure * 1.5));
  return Array.from({ length: POINTS }, (_, index) => least * (most / least) ** (index / (POINTS - 1)));
}

interface Props {
  ways: readonly RunningWay[];
  quantity: number;
  currency: string;
  onChoose: (change: NonNullable<RunningWay['change']>) => void;
}

/** A way as a line over the quantity. */
type WayLine = Line & Pick<RunningWay, 'id' | 'name' | 'planned'>;

/** The ways as lines over the quantity, with what is told at places of them. */
function chartOf(
  lines: readonly WayLine[],
  crosses: readonly CrossOver[],
  quantity: number,
  say: (value: number) => string,
  nameOf: (id: string) => string,
) {
  const xs = quantitiesAround(quantity, crosses);
  const [first = 1, most = quantity] = [xs[0], xs.at(-1)];
  const series = lines.map((line) => ({
    id: line.id,
    name: line.name,
    strong: line.planned,
    // A piece's share: over a quantity that grows a hundredfold the whole tells nothing apart.
    points: xs.map((x): [number, number] => [x, at(line, x) / x]),
  }));
  const marks: Mark[] = [
    ...lines.map((line) => ({
      x: quantity,
      y: at(line, quantity) / quantity,
      words: `${line.name}: ${say(at(line, quantity) / quantity)} a piece of ${quantity}`,
    })),
    ...crosses
      .filter((cross) => cross.quantity >= first && cross.quantity <= most)
      .map((cross) => ({ x: cross.quantity, y: cross.value / cross.quantity, words: sayCross(cross, nameOf) })),
  ];
  const shares = series.flatMap(({ points }) => points.map(([, share]) => share));
  const wayLine = lines.find(({ planned }) => planned) ?? lines[0];
  const here = wayLine ? at(wayLine, quantity) / quantity : 0;
  // What is dear in small numbers would press the rest together.
  const shown: [number, number] = [0.85 * Math.min(...shares), Math.min(1.02 * Math.max(...shares), 1.9 * here)];
  return { series, marks, shown };
}

/** The batch itself opens whole bars; its line has a share of one for each piece. */
const batchOf = (way: RunningWay, measured: Measured) => (measured === 'minutes' ? way.batchMinutes : way.batchMoney);

/** Every way of running the batch: for this quantity, as a line over it, and where the best changes. */
export function WaysCard({ ways, quantity, currency, onChoose }: Props) {
  const [measured, setMeasured] = useState<Measured>('minutes');
  const say = (value: number) =>
    measured === 'minutes' ? sayMinutes(value) : `${sayFixed(value, value < 1000 ? 2 : 0)} ${currency}`;
  const lines = ways.flatMap(({ id, name, planned, [measured]: line }): WayLine[] =>
    line ? [{ id, name, planned, ...line }] : [],
  );
  const nameOf = (id: string) => ways.find((way) => way.id === id)?.name ?? id;
  const crosses = crossOvers(lines);
  const best = Math.min(...ways.flatMap((way) => batchOf(way, measured) ?? []));
  return (
    <Card aria-labelledby="ways">
      <h2 id="ways">
        Ways of running {quantity} {quantity === 1 ? 'piece' : 'pieces'}
      </h2>
      <div className="screen-only" style={{ maxWidth: 200, marginBottom: 6 }}>
        <Choice label="Compared by" value={measured} onChange={(value) => setMeasured(value as Measured)}>
          <option value="minutes">minutes</option>
          <option value="money">cost</option>
        </Choice>
      </div>
      {lines.length > 0 && (
        <LineChart
          title={`A piece by each way over the quantity, in ${measured === 'minutes' ? 'minutes' : currency}`}
          {...chartOf(lines, crosses, quantity, say, nameOf)}
          x="pieces in the batch"
          y={measured === 'minutes' ? 'min a piece' : `${currency} a piece`}
          sayY={(value) => sayFigure(value, 1)}
        />
      )}
      <Table>
        <Heads
          of={[
            { said: 'Line' },
            'Way',
            { figures: 'once' },
            { figures: 'each' },
            { figures: 'batch' },
            { said: 'Choose' },
          ]}
        />
        <tbody>
          {ways.map((way) => (
            <WayRow
              key={way.id}
              way={way}
              measured={measured}
              stroke={lines.findIndex(({ id }) => id === way.id)}
              best={best}
              say={say}
              onChoose={onChoose}
            />
          ))}
        </tbody>
      </Table>
      <p style={{ marginTop: 8, fontSize: 14 }}>
        {crosses.length === 0
          ? 'The least stays the least, whatever the quantity.'
          : crosses.map((cross) => `${sayCross(cross, nameOf)}. `)}
      </p>
      <Risks ways={ways} />
    </Card>
  );
}

/** A way with its figures, or why it cannot be; it can be taken. */
function WayRow({
  way,
  measured,
  stroke,
  best,
  say,
  onChoose,
}: {
  way: RunningWay;
  measured: Measured;
  /** Which line of the chart it is; −1 where it has none. */
  stroke: number;
  best: number;
  say: (value: number) => string;
} & Pick<Props, 'onChoose'>) {
  const { name, planned, change, problem, [measured]: line } = way;
  const batch = batchOf(way, measured);
  return (
    <tr aria-current={planned || undefined}>
      <td>{stroke >= 0 && <Stroke index={stroke} strong={planned} />}</td>
      <th scope="row">{name}</th>
      {line && batch !== undefined ? (
        <>
          <td className="figure">{say(line.once)}</td>
          <td className="figure">{say(line.each)}</td>
          <td className="figure">
            {say(batch)}
            {batch <= best + 1e-9 && <small> least</small>}
          </td>
        </>
      ) : (
        <td colSpan={3}>{problem ? `cannot be: ${problem}` : 'no minutes of ours'}</td>
      )}
      <td style={{ textAlign: 'right' }}>
        {planned ? (
          <span style={{ whiteSpace: 'nowrap' }}>
            <Check size={15} aria-hidden /> the plan
          </span>
        ) : (
          change &&
          !problem && (
            <Button
              className="screen-only"
              aria-label={`Plan it ${name.toLowerCase()}`}
              onPress={() => onChoose(change)}
            >
              Plan it so
            </Button>
          )
        )}
      </td>
    </tr>
  );
}

const Risks = ({ ways }: Pick<Props, 'ways'>) => (
  <details style={{ marginTop: 6, fontSize: 14 }}>
    <summary style={{ cursor: 'pointer' }}>What to know of each</summary>
    <ul>
      {ways.map(({ id, name, risks }) =>
        risks.map((risk) => (
          <li key={id + risk} style={{ marginTop: 4 }}>
            <b>{name}:</b> {risk}
          </li>
        )),
      )}
    </ul>
  </details>
);

const sayCross = ({ from, to, quantity }: CrossOver, nameOf: (id: string) => string): string =>
  `From ${Math.ceil(quantity - 1e-9)} pieces “${nameOf(to)}” takes less than “${nameOf(from)}” (equal at ${sayFixed(quantity, 1)})`;
