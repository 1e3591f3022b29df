'use client';
import { sayFixed } from '@/core/model/units/mark';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import type { BatchRange } from '@/core/ask/promise';
import type { BatchElement, ElementKind } from '@/core/ask/elements';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Card } from '../primitives/Card';
import { Heads, Table } from '../primitives/Table';
import { useSize } from '../primitives/useSize';

const Figures = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 26px;
  margin: 4px 0 8px;
  dd {
    font: 600 19px var(--mono);
  }
  dt {
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

const KINDS: Record<ElementKind, string> = { cutting: 'cutting', hand: 'handling', setup: 'setting up' };
const FILLS: Record<ElementKind, string> = { cutting: 'var(--brass)', hand: 'url(#hand-strip)', setup: 'var(--metal)' };

const LOOKS: Record<ElementKind, string> = { cutting: 'solid', hand: 'hatched', setup: 'plain' };

/** How many elements are named; what is smaller stands together. */
const NAMED = 7;

interface Props {
  elements: readonly BatchElement[];
  range: BatchRange | undefined;
  seed: number;
  onAgain: () => void;
}

/** Where the minutes of the batch are, and what may be promised on them. */
export function PromiseCard({ elements, range, seed, onAgain }: Props) {
  const total = elements.reduce((sum, { minutes }) => sum + minutes, 0);
  const kinds = (['cutting', 'hand', 'setup'] as const).map((kind) => ({
    kind,
    minutes: elements.filter((element) => element.kind === kind).reduce((sum, { minutes }) => sum + minutes, 0),
  }));
  const named = elements.slice(0, NAMED);
  const rest = elements.slice(NAMED).reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <Card aria-labelledby="promise">
      <h2 id="promise">What may be promised</h2>
      <Figures>
        <div>
          <dd>{sayMinutes(total)}</dd>
          <dt>as planned</dt>
        </div>
        <div>
          <dd>{range ? sayMinutes(range.p50) : '…'}</dd>
          <dt>half of such batches (P50)</dt>
        </div>
        <div>
          <dd>{range ? sayMinutes(range.p80) : '…'}</dd>
          <dt>four of five (P80)</dt>
        </div>
      </Figures>
      {range && <Histogram range={range} />}
      <p style={{ color: 'var(--ink-soft)', fontSize: 13 }}>
        {range && `${range.runs} batches simulated, number ${seed}; `}every element off by a factor of its own, within
        the spreads of the shop. It says nothing of scrap, waiting or illness.{' '}
        <Button className="screen-only" onPress={onAgain} style={{ minHeight: 26, padding: '0 8px' }}>
          Play again
        </Button>
      </p>
      <h2 style={{ marginTop: 12 }}>Where its minutes are</h2>
      <Strip parts={kinds} total={total} />
      <Table>
        <Heads of={['Element', 'of', { figures: 'batch' }, { figures: 'share' }]} />
        <tbody>
          {named.map(({ name, kind, minutes }) => (
            <tr key={kind + name}>
              <th scope="row">{name}</th>
              <td>{KINDS[kind]}</td>
              <td className="figure">{sayMinutes(minutes)}</td>
              <td className="figure">{sayFixed((100 * minutes) / total, 0)} %</td>
            </tr>
          ))}
          {rest > 0 && (
            <tr>
              <th scope="row">{elements.length - NAMED} others</th>
              <td />
              <td className="figure">{sayMinutes(rest)}</td>
              <td className="figure">{sayFixed((100 * rest) / total, 0)} %</td>
            </tr>
          )}
        </tbody>
      </Table>
    </Card>
  );
}

function Strip({ parts, total }: { parts: { kind: ElementKind; minutes: number }[]; total: number }) {
  const [room, { width }] = useSize<HTMLDivElement>({ width: 500, height: 40 });
  const x = scaleLinear().domain([0, total]).range([0, width]);
  const starts = parts.map((_, index) => parts.slice(0, index).reduce((sum, { minutes }) => sum + minutes, 0));
  return (
    <div ref={room}>
      <svg
        width={width}
        height={22}
        role="img"
        aria-label={parts.map(({ kind, minutes }) => `${KINDS[kind]} ${sayMinutes(minutes)}`).join(', ')}
      >
        <defs>
          <pattern id="hand-strip" width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width={6} height={6} fill="var(--sheet)" />
            <line x1={0} x2={0} y1={0} y2={6} stroke="var(--ink-soft)" strokeWidth={2} />
          </pattern>
        </defs>
        {parts.map(({ kind, minutes }, index) => (
          <g key={kind}>
            <rect
              x={x(starts[index] ?? 0)}
              width={Math.max(0, x(minutes))}
              height={20}
              fill={FILLS[kind]}
              stroke="var(--ink-soft)"
            />
          </g>
        ))}
      </svg>
      <p style={{ fontSize: 14 }}>
        {parts
          .map(
            ({ kind, minutes }) =>
              `${KINDS[kind]} (${LOOKS[kind]}) ${sayMinutes(minutes)}, ${sayFixed((100 * minutes) / total, 0)} %`,
          )
          .join(' · ')}
      </p>
    </div>
  );
}

function Histogram({ range: { classes, least, most, p50, p80, planned } }: { range: BatchRange }) {
  const [room, { width }] = useSize<HTMLDivElement>({ width: 500, height: 110 });
  const x = scaleLinear()
    .domain([Math.min(least, planned), most])
    .range([4, width - 4]);
  const y = scaleLinear()
    .domain([0, Math.max(...classes, 1)])
    .range([70, 14]);
  const wide = (most - least) / classes.length;
  const lines = [
    { at: planned, words: 'plan' },
    { at: p50, words: 'P50' },
    { at: p80, words: 'P80' },
  ];
  return (
    <div ref={room}>
      <svg
        width={width}
        height={100}
        role="img"
        aria-label={`From ${sayMinutes(least)} to ${sayMinutes(most)}; planned ${sayMinutes(planned)}, P50 ${sayMinutes(p50)}, P80 ${sayMinutes(p80)}`}
      >
        {classes.map((count, index) => (
          <rect
            key={index}
            x={x(least + index * wide)}
            width={Math.max(1, x(least + wide) - x(least) - 1)}
            y={y(count)}
            height={70 - y(count)}
            fill={least + (index + 1) * wide <= p80 ? 'var(--brass)' : 'var(--line)'}
          />
        ))}
        {lines.map(({ at, words }) => (
          <g key={words}>
            <line
              x1={x(at)}
              x2={x(at)}
              y1={12}
              y2={74}
              stroke="var(--ink)"
              strokeDasharray={words === 'plan' ? '3 3' : ''}
            />
            <text
              x={x(at) + 3}
              y={11}
              fill="var(--ink)"
              fontSize={12}
              textAnchor={words === 'plan' ? 'end' : 'start'}
              dx={words === 'plan' ? -6 : 0}
            >
              {words}
            </text>
          </g>
        ))}
        {x
          .ticks(5)
          .filter((tick) => x(tick) > 28 && x(tick) < width - 28)
          .map((tick) => (
            <text key={tick} x={x(tick)} y={92} fill="var(--ink-soft)" fontSize={12} textAnchor="middle">
              {sayMinutes(tick)}
            </text>
          ))}
      </svg>
    </div>
  );
}
