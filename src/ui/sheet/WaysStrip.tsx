'use client';
import { WAY_WORDS } from '@/core/model/way';
import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { sayMinutes } from '@/core/model/units/show';
import { PlaceLink } from '../run/PlaceLink';

/** Of a bar, px. */
const WIDE = 100;

const Strip = styled.section`
  margin-left: auto;
  font-size: 13px;
  display: grid;
  grid-template-columns: auto auto;
  gap: 2px 14px;
  align-items: center;
  ul {
    display: grid;
    grid-template-columns: auto ${WIDE}px auto;
    gap: 1px 8px;
    align-items: center;
    list-style: none;
  }
  li {
    display: contents;
  }
  li[aria-current] {
    font-weight: 700;
  }
  li > span:last-child {
    font-family: var(--mono);
  }
  a {
    display: inline-grid;
    align-items: center;
    min-height: 24px;
  }
  @media (pointer: coarse) {
    a {
      min-height: 44px;
    }
  }
`;

/** The batch by each way on one axis of minutes, what is done once told apart; in bold the way that is planned. */
export function WaysStrip({ id, plan }: { id: string; plan: Plan }) {
  const most = Math.max(1, ...plan.ways.map(({ times }) => times?.batch.value ?? 0));
  const x = scaleLinear([0, most], [0.5, WIDE - 0.5]);
  return (
    <Strip aria-label="Ways of running">
      <ul>
        {plan.ways.map(({ way, times, unsound }) => {
          const chosen = way === plan.way;
          const [once, end] = [x(times?.setup.value ?? 0), x(times?.batch.value ?? 0)];
          return (
            <li key={way} aria-current={chosen || undefined}>
              <span>{WAY_WORDS[way]}</span>
              <svg width={WIDE} height={12} aria-hidden>
                {times && (
                  <g stroke="var(--ink-soft)" strokeWidth={0.8}>
                    <rect x={x(0)} y={1} width={once - x(0)} height={10} fill="var(--metal)" />
                    <rect x={once} y={1} width={end - once} height={10} fill={chosen ? 'var(--brass)' : 'none'} />
                  </g>
                )}
              </svg>
              <span>{!times ? 'cannot be' : unsound && !chosen ? 'not sound' : sayMinutes(times.batch.value)}</span>
            </li>
          );
        })}
      </ul>
      <PlaceLink id={id} place="times">
        More ways
      </PlaceLink>
    </Strip>
  );
}
