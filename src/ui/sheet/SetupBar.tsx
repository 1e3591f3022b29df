'use client';
import styled from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { isBetweenCentres } from '@/core/model/plan/setup';
import { sayRest } from '@/core/plan/holding/support';
const Setups = styled.div`
  position: absolute;
  left: 0;
  right: 0;
  display: flex;
  align-items: center;
  gap: 4px 8px;
  padding: 0 10px;
  button {
    min-height: 24px;
    padding: 0 8px;
    border: 0;
    border-radius: 5px;
    background: none;
    cursor: pointer;
    font-size: 14px;
    flex: none;
    white-space: nowrap;
  }
  button:hover {
    background: var(--hover);
  }
  button[aria-pressed='true'] {
    font-weight: 700;
    text-decoration: underline 2px;
    text-underline-offset: 4px;
  }
  span {
    color: var(--ink-soft);
    font-size: 13px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  @media (pointer: coarse) {
    button {
      min-height: 40px;
    }
  }
`;

const holdingWords = ({ setup }: PlannedSetup): string => {
  const { holding, end, supported, rest } = setup;
  const bears = [
    ...(supported && !isBetweenCentres(setup) ? ['a centre'] : []),
    ...(rest ? [`a ${sayRest(rest)}`] : []),
  ];
  return `${holding.words}, on ${holding.on}, from the ${end}${bears.length > 0 ? `, with ${bears.join(' and ')}` : ''}`;
};

/** Which set-up is looked at, how it is held, and what may be done with its cuts. */
export function SetupBar({
  plan,
  planned,
  top,
  playing,
  onPlay,
  ordering,
  onOrder,
  onOpen,
}: {
  plan: Plan;
  planned: PlannedSetup;
  top: number;
  playing: boolean;
  onPlay: (playing: boolean) => void;
  ordering: boolean;
  onOrder: (ordering: boolean) => void;
  onOpen: (index: number) => void;
}) {
  return (
    <Setups style={{ top }}>
      {plan.setups.map(({ setup }, index) => (
        <button
          key={setup.number}
          type="button"
          aria-pressed={setup.number === planned.setup.number}
          onClick={() => onOpen(index)}
        >
          Set-up {setup.number}
        </button>
      ))}
      <span>{holdingWords(planned)}</span>
      <button
        type="button"
        aria-pressed={playing}
        onClick={() => onPlay(!playing)}
        style={{ marginLeft: 'auto', background: 'var(--sheet)' }}
      >
        Play the cuts
      </button>
      <button
        type="button"
        aria-pressed={ordering}
        onClick={() => onOrder(!ordering)}
        style={{ background: 'var(--sheet)' }}
      >
        {ordering ? 'Done moving' : 'Move tiles'}
      </button>
    </Setups>
  );
}
