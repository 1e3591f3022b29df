'use client';
import { capital } from '@/core/model/words';
import { useState } from 'react';
import type { Setup } from '@/core/model/plan/setup';
import { formatLength } from '@/core/model/units/length';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { Line, Part } from './panelParts';

const ChoiceWindow = later(() => import('./ChoiceWindow').then((loaded) => loaded.ChoiceWindow));
const OwnWorkWindow = later(() => import('./OwnWorkWindow').then((loaded) => loaded.OwnWorkWindow));

/** Questions keep their identity, so that what answers them is planned once. */
const FIRST_HELD = { setup: 1 } as const;
const SECOND_HELD = { setup: 2 } as const;

/** How the work is held, and what may be decided of it. */
export function HeldPart({ setup }: { setup: Setup }) {
  const [holding, setHolding] = useState(false);
  const [adding, setAdding] = useState(false);
  return (
    <Part>
      <h3>Held</h3>
      <dl>
        <Line name={capital(setup.holding.words)}>{setup.holding.on}</Line>
        <Line name="Runs true to">{formatLength(setup.holding.runOut, setup.run.units)}</Line>
      </dl>
      <div style={{ display: 'flex', gap: 8, margin: '6px 0' }}>
        <Button onPress={() => setHolding(true)}>Hold it otherwise …</Button>
        <Button onPress={() => setAdding(true)}>Add work …</Button>
      </div>
      {holding && (
        <ChoiceWindow
          title={setup.side === 1 ? 'What holds the stock' : 'What holds the second side'}
          question={setup.side === 1 ? FIRST_HELD : SECOND_HELD}
          onClose={() => setHolding(false)}
        />
      )}
      {adding && <OwnWorkWindow end={setup.end} onClose={() => setAdding(false)} />}
    </Part>
  );
}
