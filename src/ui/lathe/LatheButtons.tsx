'use client';
import { ArrowLeft, ArrowRight, CircleEllipsis, Hand, Waves } from 'lucide-react';
import styled from 'styled-components';
import { Big } from './parts';
import { useHand } from './useHand';
import type { stageOf, useShown } from './useShown';

const Bar = styled.div`
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 0 -16px;
  padding: 10px 16px;
  border-top: 1px solid var(--line);
  background: var(--paper);
  &[data-hand='left'] {
    flex-direction: row-reverse;
  }
  > :last-child {
    flex: 2 1 200px;
    min-height: 72px;
    font-size: 22px;
  }
  > :not(:last-child) {
    flex: 0 1 auto;
    min-height: 72px;
  }
  @media (max-width: 600px) {
    gap: 8px;
    > :not(:last-child) {
      /* Its word under its sign: side by side they run into the next. */
      flex: 1 1 auto;
      flex-direction: column;
      gap: 2px;
      min-height: 60px;
      padding: 0 5px;
      font-size: 14px;
    }
    > :last-child {
      flex-basis: 100%;
    }
  }
`;

interface Props {
  stage: ReturnType<typeof stageOf>;
  shown: ReturnType<typeof useShown>;
  piece: number;
  onDoing: (doing: 'badly' | 'happened') => void;
  onGoOn: () => void;
  onBegin: () => void;
}

/** Under the thumbs: what is done next is the largest, at the side of the hand that presses. */
export function LatheButtons({ stage, shown, piece, onDoing, onGoOn, onBegin }: Props) {
  const hand = useHand();
  return (
    <Bar data-hand={hand.side}>
      {stage === 'works' && (
        <>
          <Big onPress={shown.before} isDisabled={shown.isFirst}>
            <ArrowLeft size={22} aria-hidden /> Back
          </Big>
          {shown.step?.operation && (
            <Big onPress={() => onDoing('badly')}>
              <Waves size={20} aria-hidden /> It cuts badly
            </Big>
          )}
          <Big onPress={() => onDoing('happened')}>
            <CircleEllipsis size={20} aria-hidden /> What happened
          </Big>
        </>
      )}
      <Big aria-label={`Buttons for the ${hand.other} hand`} onPress={hand.change}>
        <Hand size={20} aria-hidden />
      </Big>
      {stage === 'stopped' && (
        <Big $strong onPress={onGoOn}>
          Go on
        </Big>
      )}
      {stage === 'works' && (
        <Big $strong onPress={shown.next}>
          {shown.isBack ? 'Forward' : 'Done, next'} <ArrowRight size={24} aria-hidden />
        </Big>
      )}
      {stage === 'ready' && (
        <Big $strong onPress={onBegin}>
          Begin with piece {piece}
        </Big>
      )}
    </Bar>
  );
}
