'use client';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import type { ShopEffect } from '@/core/ask/compareShops';
import type { Shop } from '@/core/model/shop/shop';
import { sayMinutes } from '@/core/model/units/show';
import { Card } from '../primitives/Card';
import { previewShop } from './api';

const Beside = styled(Card)`
  position: sticky;
  top: 12px;
  align-self: start;
  p {
    margin-bottom: 8px;
  }
  li {
    padding: 7px 0;
    border-top: 1px solid var(--line);
  }
  li strong {
    display: block;
  }
  .figure {
    font: 15px var(--mono);
  }
  small {
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

/** How long nothing is changed before the runs are asked, ms. */
const QUIET = 300;

const difference = ({ before = 0, after = 0 }: Pick<ShopEffect, 'before' | 'after'>): string =>
  `${after > before ? '+' : '−'}${sayMinutes(Math.abs(after - before))}`;

/** What it does to all of them together that have a plan before and after. */
function sayInAll(effects: readonly ShopEffect[]): string {
  const more = effects.reduce(
    (sum, { before, after }) => (before === undefined || after === undefined ? sum : sum + after - before),
    0,
  );
  return difference({ before: 0, after: more });
}

/** What the changes would do to the runs, before they are kept. */
export function Effects({ shop, changed }: { shop: Shop; changed: boolean }) {
  const [answer, setAnswer] = useState<{
    for: Shop;
    effects: ShopEffect[];
    of: number;
    begun: number;
    minutes: number;
    problem?: string;
  }>();
  useEffect(() => {
    if (!changed) return;
    const over = new AbortController();
    const wait = setTimeout(() => {
      void previewShop(shop, over.signal).then((result) => {
        if (over.signal.aborted) return;
        setAnswer(
          result.ok
            ? { for: shop, ...result.value }
            : {
                for: shop,
                effects: [],
                of: 0,
                begun: 0,
                minutes: 0,
                problem: result.problems.map(({ path, message }) => `${path} ${message}`).join('; '),
              },
        );
      });
    }, QUIET);
    return () => {
      over.abort();
      clearTimeout(wait);
    };
  }, [shop, changed]);
  const known = changed && answer?.for === shop ? answer : undefined;
  return (
    <Beside aria-label="What would change">
      <h2>What would change</h2>
      <div role="status">
        {!changed && <p>Change something: the runs that it changes are told here, before it is kept.</p>}
        {changed && !known && <p>Planning every run …</p>}
        {known?.problem && <p style={{ color: 'var(--oxide)' }}>{known.problem}</p>}
        {known && !known.problem && known.effects.length === 0 && <p>None of the {known.of} runs.</p>}
        {known && known.effects.length > 0 && (
          <p>
            {known.effects.length} of {known.of} runs, over their batch; total <b>{sayInAll(known.effects)}</b> of{' '}
            {sayMinutes(known.minutes)}:
          </p>
        )}
        {known && known.begun > 0 && (
          <p>{known.begun} more are begun, and keep to the shop that they were begun with.</p>
        )}
      </div>
      <ul>
        {known?.effects.map((effect) => (
          <li key={effect.run}>
            <strong>
              {effect.number} {effect.name}
            </strong>
            {effect.problem ? (
              <span style={{ color: 'var(--oxide)' }}>no plan any more: {effect.problem}</span>
            ) : effect.before === undefined ? (
              <span>has a plan then: {sayMinutes(effect.after ?? 0)}</span>
            ) : (
              <>
                <span className="figure">{difference(effect)}</span>{' '}
                <small>
                  {sayMinutes(effect.before)} → {sayMinutes(effect.after ?? 0)}
                </small>
              </>
            )}
          </li>
        ))}
      </ul>
    </Beside>
  );
}
