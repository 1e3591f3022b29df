'use client';
import { sayFixed } from '@/core/model/units/mark';
import { capital } from '@/core/model/words';
import { sayToGet, toGetFor } from '@/core/present/toGet';
import { Check, ShoppingBag } from 'lucide-react';
import type { Plan } from '@/core/plan/plan';
import { sayWorkStop } from '@/core/plan/stops/planStops';
import type { PlannedSetup } from '@/core/plan/times/planTimes';
import { ByRules } from '../primitives/ByRules';
import { ElsewherePart } from './ElsewherePart';
import { GearsPart } from './GearsPart';
import { HeldPart } from './HeldPart';
import { Overrules } from './Overrules';
import { Card, Item, Line, Mind, Part } from './panelParts';
import { SettingPart } from './SettingPart';
import { StockPart, WaysPart } from './StockAndWays';
import type { OrderEdits } from './useOrder';
import { FigureButton } from './Working';

/** What is got or made before the run begins. */
function GetPart({ plan }: { plan: Plan }) {
  const toGet = toGetFor(plan);
  if (toGet.length === 0) return null;
  return (
    <Part>
      <h3>To get</h3>
      <ul>
        {toGet.map((one) => (
          <Item key={one.what} icon={<ShoppingBag size={15} color="var(--brass)" aria-hidden />}>
            {sayToGet(one, plan.run.shop.rates.currency)}
          </Item>
        ))}
      </ul>
    </Part>
  );
}

/** Before any operation is selected: what it is made from, how the work is held, and why. */
export function SetupPanel({ plan, planned, edits }: { plan: Plan; planned: PlannedSetup; edits: OrderEdits }) {
  const { setup, workStop, setting, loading, order } = planned;
  const { stock } = plan;
  const { units } = setup.run;
  const first = setup.number === 1;
  const reasons = [...(first ? [plan.chosenBecause, ...stock.reasons] : []), ...setup.reasons];
  const outside = plan.outside.filter(({ after }) => after === setup.number);
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
          <Line name="Load and unload, min">
            <FigureButton figure={loading} units={units} />
          </Line>
        </dl>
      </Part>
      {first && <StockPart stock={stock} units={units} />}
      {first && <GetPart plan={plan} />}
      {first && <WaysPart plan={plan} />}
      <HeldPart planned={planned} />
      <GearsPart planned={planned} />
      <SettingPart key={setup.number} planned={planned} />
      <Part>
        <h3>Why</h3>
        <ul>
          {reasons.map(({ rule, because }) => (
            <Item key={rule + because} icon={<Check size={15} color="var(--brass)" aria-hidden />}>
              {because}
            </Item>
          ))}
          <Item icon={<Check size={15} color="var(--brass)" aria-hidden />}>
            {order.proven
              ? 'No order that keeps the rules takes less for tools, tailstock, compound, speeds and stops.'
              : `At most ${sayFixed(order.gapMinutes, 2)} min a piece could be saved by another order.`}
          </Item>
        </ul>
        <ByRules of={[...reasons, { rule: 'ORDER' }]} />
      </Part>
      {outside.length > 0 && <ElsewherePart plan={plan} after={setup.number} edits={edits} />}
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
