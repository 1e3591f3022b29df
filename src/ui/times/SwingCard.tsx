'use client';
import { sayFigure, sayFixed } from '@/core/model/units/mark';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import type { Swing } from '@/core/ask/sensitivity';
import { sayMinutes } from '@/core/model/units/show';
import type { EdgeUse } from '@/core/plan/cost/edgeLife';
import { Card } from '../primitives/Card';
import { Heads, Table } from '../primitives/Table';
import { FigureButton } from '../sheet/Working';

const Bar = styled.td`
  width: 34%;
  svg {
    display: block;
    width: 100%;
    height: 18px;
  }
`;

const MOST = 5;
const WIDE = 200;

const signed = (minutes: number): string => `${minutes < 0 ? '−' : '+'}${sayMinutes(Math.abs(minutes))}`;

/** The figures that are worth measuring: how far the batch goes when each is off within its honest range. */
export function SwingCard({ swings }: { swings: readonly Swing[] | undefined }) {
  const shown = swings?.slice(0, MOST) ?? [];
  const far = Math.max(1e-9, ...shown.flatMap(({ minutes }) => minutes.map(Math.abs)));
  const x = scaleLinear()
    .domain([-far, far])
    .range([2, WIDE - 2]);
  return (
    <Card aria-labelledby="swings">
      <h2 id="swings">What moves the batch most</h2>
      {!swings && <p role="status">Trying each figure at both ends of its range …</p>}
      {swings?.length === 0 && <p>Without a plan nothing moves.</p>}
      {shown.length > 0 && (
        <>
          <Table>
            <Heads of={['Figure', { figures: 'is, may be' }, { said: 'Less and more' }, { figures: 'batch' }]} />
            <tbody>
              {shown.map(({ name, of, value, range, minutes }) => {
                const [low, high] = [Math.min(...minutes), Math.max(...minutes)];
                return (
                  <tr key={name}>
                    <th scope="row">
                      {name}
                      <br />
                      <small style={{ color: 'var(--ink-soft)', fontWeight: 400 }}>{of}</small>
                    </th>
                    <td className="figure">
                      {sayFigure(value, 3)}
                      <br />
                      {sayFigure(range[0], 3)} – {sayFigure(range[1], 3)}
                    </td>
                    <Bar>
                      <svg viewBox={`0 0 ${WIDE} 18`} preserveAspectRatio="none" aria-hidden>
                        <rect
                          x={x(low)}
                          width={Math.max(1, x(0) - x(low))}
                          y={4}
                          height={10}
                          fill="var(--metal)"
                          stroke="var(--ink-soft)"
                        />
                        <rect
                          x={x(0)}
                          width={Math.max(1, x(high) - x(0))}
                          y={4}
                          height={10}
                          fill="var(--brass)"
                          stroke="var(--ink-soft)"
                        />
                        <line x1={x(0)} x2={x(0)} y1={0} y2={18} stroke="var(--ink)" />
                      </svg>
                    </Bar>
                    <td className="figure">
                      {signed(low)}
                      <br />
                      {signed(high)}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </Table>
          <p style={{ marginTop: 6, color: 'var(--ink-soft)', fontSize: 13 }}>
            Time these first:{' '}
            {swings && swings.length > MOST
              ? `the other ${swings.length - MOST} move it less.`
              : 'nothing else moves it.'}
          </p>
        </>
      )}
    </Card>
  );
}

/** Edges that the batch takes, and the speed at which each would cost least. */
export function EdgeCard({ edges }: { edges: readonly EdgeUse[] }) {
  return (
    <Card aria-labelledby="edges">
      <h2 id="edges">Edges</h2>
      <Table>
        <Heads
          of={[
            'Tool',
            { figures: 'edges' },
            { figures: 'lasts, min' },
            { figures: 'm/min' },
            { figures: 'costs least at' },
          ]}
        />
        <tbody>
          {edges.map(({ tool, edges: used, life, speed, economic }) => (
            <tr key={tool.id}>
              <th scope="row">{tool.name}</th>
              <td className="figure">
                <FigureButton figure={used} units="mm" />
              </td>
              <td className="figure">{life > 1000 ? 'over 1000' : sayFixed(life, 0)}</td>
              <td className="figure">{sayFixed(speed, 0)}</td>
              <td className="figure">{sayFixed(economic, 0)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Card>
  );
}
