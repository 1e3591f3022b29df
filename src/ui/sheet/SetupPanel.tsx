'use client';
import { sayLost, sayRoute, sayTried } from '@/core/present/route';
import { WAY_WORDS } from '@/core/model/way';
import { useState } from 'react';
import { sectionName } from '@/core/plan/stock/nameOfBar';
import { Check } from 'lucide-react';
import type { Plan } from '@/core/plan/plan';
import type { Compared } from '@/core/ask/sequences';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { sayWorkStop } from '@/core/plan/stops/planStops';
import { formatLength } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';
import { PlaceLink } from '../run/PlaceLink';
import { useWorkspace } from '../run/WorkspaceContext';
import { Card, Item, Line, Mind, Part } from './panelParts';
import { Overrules } from './Overrules';
import type { OrderEdits } from './useOrder';
import { useSequences } from './useSequences';
import { FigureButton } from './Working';

const SequencesWindow = later(() => import('./SequencesWindow').then((loaded) => loaded.SequencesWindow));

const ChoiceWindow = later(() => import('./ChoiceWindow').then((loaded) => loaded.ChoiceWindow));
const OwnWorkWindow = later(() => import('./OwnWorkWindow').then((loaded) => loaded.OwnWorkWindow));

/** How long nothing is changed before sequences are compared, ms. */
const QUIET = 1200;

/** How many sequences can be, of those that were planned, in words. */
const countOf = ({ sequences }: Compared): string =>
  `${sequences.filter(({ figures }) => figures).length} of ${sequences.length} sequences can be`;

/** Questions keep their identity, so that what answers them is planned once. */
const FIRST_HELD = { setup: 1 } as const;
const SECOND_HELD = { setup: 2 } as const;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** How many routes were tried, and what those that were not taken lost by. */
function Routes({ plan: { route, run } }: { plan: Plan }) {
  return (
    <details style={{ fontSize: 14, margin: '4px 0' }}>
      <summary style={{ cursor: 'pointer' }}>{sayTried(route)}</summary>
      <ul>
        {route.runnersUp.map((own) => (
          <li key={sayRoute(own)}>
            <strong>{sayRoute(own)}</strong>: {sayLost(own, run.units)}
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Before any operation is selected: what it is made from, how the work is held, and why. */
export function SetupPanel({ plan, planned, edits }: { plan: Plan; planned: PlannedSetup; edits: OrderEdits }) {
  const { setup, workStop, setting, loading, order } = planned;
  const { stock } = plan;
  const { units } = setup.run;
  const first = setup.number === 1;
  const outside = plan.outside.filter(({ after }) => after === setup.number);
  const [comparing, setComparing] = useState(false);
  const [holding, setHolding] = useState(false);
  const [adding, setAdding] = useState(false);
  const compared = useSequences(QUIET);
  const { id } = useWorkspace();
  return (
    <Card aria-label="Set-up">
      <header>
        <h2>Set-up {setup.number}</h2>
        <p>Choose an operation with the arrow keys, or in the route.</p>
      </header>
      <Part>
        <h3>Set</h3>
        <dl>
          <Line name="Stick-out">
            <FigureButton figure={setup.stickOut} units={units} />
          </Line>
          <Line name={capital(sayWorkStop(workStop))}>
            <FigureButton figure={workStop.setting} units={units} />
          </Line>
          <Line name="Setting up, min">
            <FigureButton figure={setting} units={units} />
          </Line>
          <Line name="In and out, min">
            <FigureButton figure={loading} units={units} />
          </Line>
        </dl>
      </Part>
      {first && (
        <Part>
          <h3>Stock</h3>
          <dl>
            <Line name={`Bar, ${stock.condition}`}>{sectionName(stock, units)}</Line>
            <Line name="Smallest that cleans up">
              <FigureButton figure={stock.need} units={units} />
            </Line>
            <Line name={stock.way === 'from-bar' ? 'Pitch' : 'Blank'}>
              <FigureButton figure={stock.each} units={units} />
            </Line>
            {stock.way === 'from-bar' && (
              <Line name="Grip remnant">
                <FigureButton figure={stock.gripRemnant} units={units} />
              </Line>
            )}
          </dl>
        </Part>
      )}
      {first && (
        <Part>
          <h3>Ways</h3>
          <dl>
            {plan.ways.map(({ way, times, stock: own, problem, unsound }) => (
              <Line
                key={way}
                name={`${WAY_WORDS[way]}${way === stock.way ? ', chosen' : ''}${unsound ? ', not sound' : ''}`}
              >
                {times && own
                  ? `${sayMinutes(times.batch.value)} · ${own.bars.value} bar${own.bars.value === 1 ? '' : 's'}`
                  : problem && 'cannot be'}
              </Line>
            ))}
          </dl>
          <Routes plan={plan} />
          <p role="status" style={{ color: 'var(--ink-soft)', fontSize: 14, minHeight: 42 }}>
            {compared ? `${capital(countOf(compared))}. ${compared.because}` : 'Comparing …'}
          </p>
          <div style={{ display: 'flex', alignItems: 'center', gap: 14, margin: '6px 0' }}>
            <Button onPress={() => setComparing(true)}>Compare sequences …</Button>
            <PlaceLink id={id} place="times">
              Times and money
            </PlaceLink>
          </div>
          {comparing && <SequencesWindow onClose={() => setComparing(false)} />}
        </Part>
      )}
      <Part>
        <h3>Held</h3>
        <dl>
          <Line name={capital(setup.holding.words)}>{setup.holding.on}</Line>
          <Line name="Runs true to">{formatLength(setup.holding.runOut, units)}</Line>
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
      <Part>
        <h3>Why</h3>
        <ul>
          {[...(first ? [plan.chosenBecause, ...stock.reasons] : []), ...setup.reasons].map(({ rule, because }) => (
            <Item key={rule + because} icon={<Check size={15} color="var(--brass)" aria-hidden />}>
              {because} <code>{rule}</code>
            </Item>
          ))}
          <Item icon={<Check size={15} color="var(--brass)" aria-hidden />}>
            {order.proven
              ? 'No order that keeps the rules takes less for tools, tailstock, compound, speeds and stops.'
              : `At most ${order.gapMinutes.toFixed(2)} min a piece could be saved by another order.`}{' '}
            <code>ORDER</code>
          </Item>
        </ul>
      </Part>
      {outside.length > 0 && (
        <Part>
          <h3>Then, elsewhere</h3>
          {outside.map(({ key, feature, name, notes, setup: once, piece }) => (
            <div key={key}>
              <p style={{ fontWeight: 600 }}>{name}</p>
              {notes.map((note) => (
                <p key={note} style={{ color: 'var(--ink-soft)', fontSize: 14 }}>
                  {note}
                </p>
              ))}
              <Overrules plan={plan} of={feature} edits={edits} />
              <div style={{ display: 'flex', gap: 8, margin: '6px 0' }}>
                {!first && (
                  <Button
                    aria-label={`${name} before set-up ${setup.number}`}
                    onPress={() => edits.outside(feature, setup.number - 1)}
                  >
                    Before set-up {setup.number}
                  </Button>
                )}
                {setup.number < plan.setups.length && (
                  <Button
                    aria-label={`${name} after set-up ${setup.number + 1}`}
                    onPress={() => edits.outside(feature, setup.number + 1)}
                  >
                    After set-up {setup.number + 1}
                  </Button>
                )}
              </div>
              <dl>
                <Line name="Setting up, min">
                  <FigureButton figure={once} units={setup.run.units} />
                </Line>
                <Line name="A piece, min">
                  <FigureButton figure={piece} units={setup.run.units} />
                </Line>
              </dl>
            </div>
          ))}
        </Part>
      )}
      {first && plan.overrules.length > 0 && (
        <Part>
          <h3>Decided</h3>
          <Overrules plan={plan} edits={edits} />
        </Part>
      )}
      <Mind warnings={planned.broken.map(({ because }) => because)} cautions={setup.cautions} />
    </Card>
  );
}
