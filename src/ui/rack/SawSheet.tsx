'use client';
import { sayFigure } from '@/core/model/units/mark';
import { Printer } from 'lucide-react';
import styled from 'styled-components';
import { cutsOf, uncut, type CutList, type Cuts, type Pattern } from '@/core/saw/cutList';
import { formatLength } from '@/core/model/units/length';
import { Button } from '../primitives/Button';

const Sheet = styled.section`
  margin-bottom: 16px;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: baseline;
    gap: 4px 14px;
    margin-bottom: 8px;
  }
  h2 {
    font-size: 17px;
  }
  header p {
    margin-right: auto;
    font-weight: 600;
  }
  ol > li {
    padding: 10px 0;
    border-top: 1px solid var(--line);
    break-inside: avoid;
  }
  h3 {
    font-size: 15px;
  }
  h3 small {
    margin-left: 8px;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  table {
    width: 100%;
    margin-top: 6px;
    border-collapse: collapse;
  }
  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
  }
  td {
    padding: 2px 12px 2px 0;
    vertical-align: top;
  }
  .figure {
    width: 110px;
    font: 600 17px var(--mono);
  }
  .ticks {
    font-size: 15px;
    letter-spacing: 2px;
    word-break: break-all;
    line-height: 1.15;
  }
  @media print {
    border: 0;
    padding: 0;
    button {
      display: none;
    }
  }
`;

/** A bar to scale: its pieces, the kerfs between them and what is left. */
function BarPicture({ pattern, kerf }: { pattern: Pattern; kerf: number }) {
  const { barLength, pieces } = pattern;
  const cuts = cutsOf(pattern).flatMap(({ label, length, times, pieces: many }) =>
    Array.from({ length: times }, () => ({
      length,
      kind: pieces.findIndex((piece) => piece.label === label),
      turned: many !== undefined,
    })),
  );
  const placed = cuts.map((cut, index) => ({
    ...cut,
    x: cuts.slice(0, index).reduce((total, { length }) => total + length + kerf, 0),
  }));
  return (
    <svg
      viewBox={`0 0 ${barLength} 60`}
      width="100%"
      height="26"
      preserveAspectRatio="none"
      role="img"
      aria-label={`Bar of ${sayFigure(barLength)} mm: ${pieces.map(({ label, count }) => `${count} ${label}`).join(', ')}, ${sayFigure(pattern.remnant)} mm left`}
      style={{ display: 'block', marginTop: 4, background: 'var(--metal)', border: '1px solid var(--ink-soft)' }}
    >
      <defs>
        <pattern id="turned" width="24" height="12" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="12" stroke="var(--ink)" strokeWidth="3" />
        </pattern>
      </defs>
      {placed.map(({ x, length, kind, turned }, index) => (
        <g key={index}>
          <rect x={x} y={0} width={length} height={60} fill={kind % 2 === 0 ? 'var(--brass-soft)' : 'var(--sheet)'} />
          {turned && <rect x={x} y={0} width={length} height={60} fill="url(#turned)" opacity={0.5} />}
          {!uncut(pattern) && <rect x={x + length} y={0} width={kerf} height={60} fill="var(--ink)" />}
        </g>
      ))}
    </svg>
  );
}

/** Boxes to tick, one for each cut. */
const ticks = (many: number): string => '☐'.repeat(Math.min(many, 400));

/** How metal for the lathe leaves the saw. */
const forTheLathe = (pattern: Pattern, pieces: number | undefined): string => {
  if (uncut(pattern)) return 'into the lathe as it is, ';
  return pieces === undefined ? '' : 'for the lathe, ';
};

/** What lengths for the lathe give. */
const lathePieces = (pieces: number, times: number): string => {
  const each = `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}`;
  return times > 1 ? `${times} lengths of ${each} each` : each;
};

const verdict = ({ barsOpened, lowerBound, patterns }: Cuts): string => {
  const sawn = patterns.reduce((total, { times }) => total + times, 0);
  const offcuts = sawn - barsOpened;
  const bars = `${barsOpened} ${barsOpened === 1 ? 'bar' : 'bars'} to open, at least ${lowerBound} needed`;
  return offcuts > 0 ? `${bars}, and ${offcuts} ${offcuts === 1 ? 'offcut' : 'offcuts'}` : bars;
};

/** The sheet for the saw: which bars, the stop for each length, a box for each cut, and what is left. */
export function SawSheet({
  title,
  list,
  cuts,
  keepFrom,
}: {
  title: string;
  list: CutList;
  cuts: Cuts;
  keepFrom: number;
}) {
  return (
    <Sheet aria-label={title}>
      <header>
        <h2>{title}</h2>
        <p>{verdict(cuts)}</p>
        <Button onPress={() => window.print()}>
          <Printer size={16} aria-hidden /> Print
        </Button>
      </header>
      {cuts.because && <p style={{ marginBottom: 6 }}>Not proven best: {cuts.because}</p>}
      <p style={{ color: 'var(--ink-soft)', fontSize: 13 }}>
        Kerf {sayFigure(list.kerf)} mm. Each length is the setting of the saw stop; hatched goes into the lathe. Guards
        on, no gloves near the blade, the bar supported behind; the shop’s rules and the saw’s manual come first.
      </p>
      <ol>
        {cuts.patterns.map((pattern, index) => (
          <li key={index}>
            <h3>
              {pattern.times} × {pattern.bar}
              <small>
                {formatLength(pattern.barLength, 'mm')} mm · left {formatLength(pattern.remnant, 'mm')} mm,{' '}
                {pattern.remnant >= keepFrom ? 'worth keeping' : 'scrap'}
              </small>
            </h3>
            <BarPicture pattern={pattern} kerf={list.kerf} />
            <table>
              <thead>
                <tr>
                  <th scope="col">Saw stop, mm</th>
                  <th scope="col">Piece</th>
                  <th scope="col">A box for each cut</th>
                </tr>
              </thead>
              <tbody>
                {cutsOf(pattern).map(({ label, length, times, pieces }) => (
                  <tr key={`${label} ${length}`}>
                    <td className="figure">{uncut(pattern) ? '–' : formatLength(length, 'mm')}</td>
                    <td style={{ width: 250 }}>
                      {label}, {forTheLathe(pattern, pieces)}
                      {pieces === undefined ? times : lathePieces(pieces, times)}
                      {pattern.times > 1 && !uncut(pattern) ? ' a bar' : ''}
                    </td>
                    <td className="ticks" aria-label={`${times * pattern.times} cuts`}>
                      {ticks(times * pattern.times)}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </li>
        ))}
      </ol>
    </Sheet>
  );
}
