'use client';
import { sayFigure, sayFixed } from '@/core/model/units/mark';
import { scaleLinear } from 'd3-scale';
import type { CutState, Measure } from '@/core/ask/whatIf';
import { Table } from '../primitives/Table';

const WIDE = 200;

const said = (value: number): string => (value >= 100 ? sayFixed(value, 0) : sayFigure(Number(value.toPrecision(3))));

const isBeyond = ({ value, limit, more }: Measure): boolean =>
  limit !== undefined && (more ? value < limit : value > limit * (1 + 1e-9));

/** What moves when an operation cuts otherwise: as planned and then, as figures and as bars against their limits. */
export function MeasureTable({ now, then }: { now: CutState; then: CutState | undefined }) {
  const row = (name: string, of: (state: CutState) => string) => (
    <tr>
      <th scope="row">{name}</th>
      <td className="figure">{of(now)}</td>
      <td className="figure">{then ? of(then) : '–'}</td>
      <td />
    </tr>
  );
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Of it</th>
          <th scope="col" className="figure">
            as planned
          </th>
          <th scope="col" className="figure">
            then
          </th>
          <th scope="col" style={{ width: '34%' }}>
            against its limit
          </th>
        </tr>
      </thead>
      <tbody>
        {row('passes', ({ passes }) => String(passes))}
        {now.measures.map((measure) => (
          <MeasureRow key={measure.name} now={measure} then={then?.measures.find((one) => one.name === measure.name)} />
        ))}
        {row('a piece, min', ({ pieceMinutes }) => sayFixed(pieceMinutes, 2))}
      </tbody>
    </Table>
  );
}

/** One measure before and then, as bars against their limit. */
function MeasureRow({ now, then }: { now: Measure; then: Measure | undefined }) {
  const limit = then?.limit ?? now.limit;
  const longer = Math.max(now.value, then?.value ?? 0);
  const most = Math.max(longer, Math.min(limit ?? 0, 4 * longer));
  const x = scaleLinear([0, most || 1], [0, WIDE - 4]);
  const beyond = then !== undefined && isBeyond(then);
  return (
    <tr>
      <th scope="row">
        {now.name}, {now.unit}
      </th>
      <td className="figure">{said(now.value)}</td>
      <td className="figure" style={beyond ? { color: 'var(--oxide)', fontWeight: 700 } : {}}>
        {then ? said(then.value) : '–'}
        {beyond && <small> beyond</small>}
      </td>
      <td>
        <svg
          viewBox={`0 0 ${WIDE} 22`}
          preserveAspectRatio="none"
          style={{ display: 'block', width: '100%', height: 22 }}
          role="img"
          aria-label={limit === undefined ? 'without a limit' : `limit ${said(limit)} ${now.unit}`}
        >
          <rect x={1} y={3} width={x(now.value)} height={7} fill="var(--metal)" stroke="var(--ink-soft)" />
          {then && <rect x={1} y={12} width={x(then.value)} height={7} fill="var(--blue)" />}
          {limit !== undefined && limit <= most && (
            <line x1={1 + x(limit)} x2={1 + x(limit)} y1={0} y2={22} stroke="var(--ink)" strokeWidth={2} />
          )}
        </svg>
        <small style={{ color: 'var(--ink-soft)' }}>
          {limit === undefined ? '' : now.more ? `usual ${said(limit)}` : `limit ${said(limit)}`}
        </small>
      </td>
    </tr>
  );
}
