'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { boughtIn } from '@/core/ask/boughtIn';
import { LearnedCard } from '../learned/LearnedCard';
import { NoPlan } from '../run/NoPlan';
import { useWorkspace } from '../run/WorkspaceContext';
import { CostCard } from './CostCard';
import { PromiseCard } from './PromiseCard';
import { EdgeCard, SwingCard } from './SwingCard';
import { useTimes } from './useTimes';
import { WaysCard } from './WaysCard';

const Room = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 14px;
  align-items: start;
  padding: 14px 16px 24px;
  > div {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
    padding: 0;
    section {
      break-inside: avoid;
    }
    .screen-only {
      display: none !important;
    }
  }
`;

const Doing = styled.p`
  grid-column: 1 / -1;
  min-height: 22px;
  color: var(--ink-soft);
  font-size: 14px;
`;

/** Times and money of the run: ways of running it, what to promise, what it costs, and what is worth measuring. */
export function TimesPlace() {
  const { planned, file, edit } = useWorkspace();
  const [seed, setSeed] = useState(1);
  const { account, range, ways, breaks, swings, doing } = useTimes(seed);
  const plan = planned.answer?.plan;
  if (!plan) return <NoPlan />;
  const { quantity, shop } = plan.run;
  return (
    <Room aria-busy={!swings}>
      <Doing role="status">
        {swings
          ? 'Worked out from the plan, the minutes and the rates of the shop.'
          : `${doing?.what ?? 'Planning every way'}${doing?.share ? `, ${Math.round(100 * doing.share)} %` : ''} …`}
      </Doing>
      <div>
        {ways && (
          <WaysCard
            ways={[...ways, ...boughtIn(file.offer, quantity)]}
            quantity={quantity}
            currency={shop.rates.currency}
            onChoose={({ way, batchOrder }) =>
              edit(undefined, (run) => {
                run.way = way;
                run.rules = { ...run.rules, batchOrder };
              })
            }
          />
        )}
        <SwingCard swings={swings} />
        {account && <EdgeCard edges={account.edges} />}
      </div>
      <div>
        {account && (
          <PromiseCard
            elements={account.elements}
            range={range}
            seed={seed}
            onAgain={() => setSeed((before) => before + 1)}
          />
        )}
        <LearnedCard plan={plan} />
        {account && (
          <CostCard
            plan={plan}
            account={account}
            breaks={breaks}
            offer={file.offer}
            onOffer={(offer) =>
              edit('offer', (run) => {
                if (offer) run.offer = offer;
                else delete run.offer;
              })
            }
          />
        )}
      </div>
    </Room>
  );
}
