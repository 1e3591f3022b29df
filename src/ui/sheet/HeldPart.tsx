'use client';
import { capital } from '@/core/model/words';
import { holdOf, type Strain } from '@/core/present/hold';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { formatLength } from '@/core/model/units/length';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { useWindow } from '../primitives/useWindow';
import { Line, Part } from './panelParts';
import { FigureButton } from './Working';

const ChoiceWindow = later(() => import('./ChoiceWindow').then((loaded) => loaded.ChoiceWindow));
const OwnWorkWindow = later(() => import('./OwnWorkWindow').then((loaded) => loaded.OwnWorkWindow));

/** Questions keep their identity, so that what answers them is planned once. */
const FIRST_HELD = { setup: 1 } as const;
const SECOND_HELD = { setup: 2 } as const;

/** What the hardest cut asks of the hold, and what that bears: each opens to its working. */
const StrainLine = ({ name, strain: { name: by, asks, bears }, planned }: StrainOf) => (
  <Line name={`${name} by ${by}, ${asks.unit}`}>
    <FigureButton figure={asks} units={planned.setup.run.units} /> of{' '}
    <FigureButton figure={bears} units={planned.setup.run.units} />
  </Line>
);

interface StrainOf {
  name: string;
  strain: Strain;
  planned: PlannedSetup;
}

/** How the work is held, and what may be decided of it. */
export function HeldPart({ planned }: { planned: PlannedSetup }) {
  const { setup } = planned;
  const { slip, tipping, gripLength } = holdOf(planned);
  const [shown, show] = useWindow('hold', 'own-work');
  return (
    <Part>
      <h3>Held</h3>
      <dl>
        <Line name={capital(setup.holding.words)}>{setup.holding.on}</Line>
        <Line name="Grips">{formatLength(gripLength, setup.run.units)}</Line>
        <Line name="Run-out">{formatLength(setup.holding.runOut, setup.run.units)}</Line>
        {slip && <StrainLine name="Turned" strain={slip} planned={planned} />}
        {tipping && <StrainLine name="Tipped" strain={tipping} planned={planned} />}
      </dl>
      <div style={{ display: 'flex', gap: 8, margin: '6px 0' }}>
        <Button onPress={() => show('hold')}>Hold it otherwise …</Button>
        <Button onPress={() => show('own-work')}>Add work …</Button>
      </div>
      {shown === 'hold' && (
        <ChoiceWindow
          title={setup.side === 1 ? 'What holds the stock' : 'What holds the second side'}
          question={setup.side === 1 ? FIRST_HELD : SECOND_HELD}
          onClose={() => show(undefined)}
        />
      )}
      {shown === 'own-work' && <OwnWorkWindow end={setup.end} onClose={() => show(undefined)} />}
    </Part>
  );
}
