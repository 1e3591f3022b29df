'use client';
import { capital } from '@/core/model/words';
import styled from 'styled-components';
import type { Compared } from '@/core/ask/sequences';
import { canTake, takeRoute } from '@/core/ask/takeRoute';
import type { Stock } from '@/core/model/plan/stock';
import type { UnitSystem } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import { WAY_WORDS } from '@/core/model/way';
import type { Plan } from '@/core/plan/plan';
import { stockView } from '@/core/present/stock';
import { drawnSmall } from '@/core/plan/drawnSmall';
import { keyOf } from '@/core/plan/skeleton';
import { sayLost, sayRisk, sayRoute, sayTried } from '@/core/present/route';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { useWindow } from '../primitives/useWindow';
import { PlaceLink } from '../run/PlaceLink';
import { useWorkspace } from '../run/WorkspaceContext';
import { Line, Part } from './panelParts';
import { RouteDrawn } from './RouteDrawn';
import { useAsked } from './useAsked';
import { FigureButton } from './Working';

const SequencesWindow = later(() => import('./SequencesWindow').then((loaded) => loaded.SequencesWindow));

const MachinesWindow = later(() => import('./MachinesWindow').then((loaded) => loaded.MachinesWindow));

const ChoiceWindow = later(() => import('./ChoiceWindow').then((loaded) => loaded.ChoiceWindow));

/** Questions keep their identity, so that what answers them is planned once. */
const ROUTE_QUESTIONS = { setups: { route: 'setups' }, left: { route: 'left' } } as const;

/** How long nothing is changed before sequences are compared, ms. */
const QUIET = 1200;

/** How many sequences can be planned, of those that were tried, in words. */
const countOf = ({ sequences }: Compared): string =>
  `${sequences.filter(({ figures }) => figures).length} of ${sequences.length} sequences can be planned`;

/** What it is made from. */
export function StockPart({ stock, units }: { stock: Stock; units: UnitSystem }) {
  const view = stockView(stock, units);
  return (
    <Part>
      <h3>Stock</h3>
      <dl>
        <Line name={`${view.kind}, ${view.condition}`}>{view.section}</Line>
        <Line name={view.isBar ? 'Smallest that cleans up' : 'Cleans up with, a side'}>
          <FigureButton figure={stock.need} units={units} />
        </Line>
        <Line name={view.each}>
          <FigureButton figure={stock.each} units={units} />
        </Line>
        {stock.way === 'from-bar' && (
          <Line name="Grip remnant">
            <FigureButton figure={stock.gripRemnant} units={units} />
          </Line>
        )}
      </dl>
    </Part>
  );
}

const Others = styled.ul`
  && li {
    display: block;
    margin-top: 5px;
  }
`;

/** Small, in a line of words, and still large enough for a finger where there is one. */
const TakeIt = styled.button`
  padding: 2px 4px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline;
  cursor: pointer;
  @media (pointer: coarse) {
    min-height: 44px;
  }
`;

/** How many routes were tried, and what those that were not taken lost by. */
function Routes({ plan }: { plan: Plan }) {
  const { route, run } = plan;
  const { edit } = useWorkspace();
  return (
    <details style={{ fontSize: 14, margin: '4px 0' }}>
      <summary style={{ cursor: 'pointer' }}>{sayTried(route)}</summary>
      {plan.risks.length > 0 && (
        <Others aria-label="Risks of this route">
          {plan.risks.map((risk) => (
            <li key={risk.because}>{sayRisk(risk)}</li>
          ))}
        </Others>
      )}
      <p style={{ margin: '6px 0 0' }}>This one:</p>
      <RouteDrawn setups={drawnSmall(plan.setups)} />
      <Others>
        {route.runnersUp.map((runnerUp) => (
          <li key={keyOf(runnerUp.skeleton)}>
            <strong>{sayRoute(runnerUp)}</strong>: {sayLost(runnerUp, run.units)}{' '}
            {canTake(runnerUp) && (
              <TakeIt
                type="button"
                aria-label={`Take ${sayRoute(runnerUp)}`}
                onClick={() => edit(undefined, (file) => void Object.assign(file, takeRoute(file, plan, runnerUp)))}
              >
                take it
              </TakeIt>
            )}
            {runnerUp.drawn && <RouteDrawn setups={runnerUp.drawn} />}
          </li>
        ))}
      </Others>
    </details>
  );
}

/** The ways that were planned, the routes that were tried, and the sequences that can be. */
export function WaysPart({ plan }: { plan: Plan }) {
  const { stock } = plan;
  const [shown, show] = useWindow('sequences', 'lathes', 'setups', 'left');
  const { id, shop, sequences } = useWorkspace();
  const compared = useAsked(sequences, QUIET);
  return (
    <Part>
      <h3>Ways</h3>
      <dl>
        {plan.ways.map(({ way, times, stock: bar, problem, unsound }) => (
          <Line
            key={way}
            name={`${WAY_WORDS[way]}${way === stock.way ? ', chosen' : ''}${unsound ? ', not sound' : ''}`}
          >
            {times && bar
              ? `${sayMinutes(times.batch.value)} · ${bar.bars.value} ${bar.piece ? 'piece' : 'bar'}${bar.bars.value === 1 ? '' : 's'}`
              : problem && 'cannot be'}
          </Line>
        ))}
      </dl>
      <Routes plan={plan} />
      <p role="status" style={{ color: 'var(--ink-soft)', fontSize: 14, minHeight: 42 }}>
        {compared ? `${capital(countOf(compared))}. ${compared.because}` : 'Comparing …'}
      </p>
      <div style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 8, margin: '6px 0' }}>
        <Button onPress={() => show('sequences')}>Compare sequences …</Button>
        {shop.machines.length > 1 && <Button onPress={() => show('lathes')}>On each lathe …</Button>}
        <Button onPress={() => show('setups')}>Set-ups …</Button>
        {stock.way !== 'as-it-arrives' && <Button onPress={() => show('left')}>Left on …</Button>}
        <PlaceLink id={id} place="times">
          Times and money
        </PlaceLink>
      </div>
      {shown === 'lathes' && <MachinesWindow onClose={() => show(undefined)} />}
      {(shown === 'setups' || shown === 'left') && (
        <ChoiceWindow
          title={shown === 'setups' ? 'In how many set-ups' : 'What is left on'}
          question={ROUTE_QUESTIONS[shown]}
          onClose={() => show(undefined)}
        />
      )}
      {shown === 'sequences' && <SequencesWindow onClose={() => show(undefined)} />}
    </Part>
  );
}
