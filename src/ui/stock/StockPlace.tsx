'use client';
import { asLeft } from '@/core/plan/operations/leftForElsewhere';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Plan, WayOutcome } from '@/core/plan/plan';
import { WAY_BEGINS, type Way } from '@/core/model/way';
import { onLastBar } from '@/core/plan/stock/barLayout';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { ByRules } from '../primitives/ByRules';
import { Card, Empty } from '../primitives/Card';
import { entryName } from '../run/entryName';
import { NoPlan } from '../run/NoPlan';
import { useWorkspace } from '../run/WorkspaceContext';
import { FigureButton } from '../sheet/Working';
import { WholeBar } from './BarDrawing';
import { FirstEnd } from './FirstEnd';
import { FromTheRack } from './FromTheRack';
import { PieceDrawing } from './PieceDrawing';
import type { Run } from '@/core/model/run';
import type { Stock } from '@/core/model/plan/stock';
import type { Times } from '@/core/plan/times/planTimes';
import { stockView } from '@/core/present/stock';

const Room = styled.main`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px;
  align-items: start;
  padding: 14px 16px 24px;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const WayCard = styled(Card)`
  &[data-chosen] {
    border: 2px solid var(--ink);
  }
  header {
    display: flex;
    align-items: baseline;
    gap: 10px;
    margin-bottom: 8px;
  }
  header h2 {
    margin: 0;
    font-size: 17px;
  }
  header span {
    margin-right: auto;
    color: var(--ink-soft);
  }
  dl {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 8px 14px;
    margin-top: 12px;
  }
  dt {
    color: var(--ink-soft);
    font-size: 13px;
  }
  dd {
    font: 600 16px var(--mono);
  }
  h3 {
    margin: 10px 0 2px;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
`;

const Reasons = styled.ul`
  li {
    margin-top: 4px;
  }
  code {
    color: var(--ink-soft);
    font-size: 12px;
  }
`;

/** What the run is made from: both ways side by side, as figures and as the bar, and what of it is on the rack. */
export function StockPlace() {
  const { planned, file, edit } = useWorkspace();
  const plan = planned.answer?.plan;
  if (!plan) return <NoPlan />;
  const { units } = plan.run;
  return (
    <Room>
      {plan.ways.map((outcome) => (
        <OneWay
          key={outcome.way}
          plan={plan}
          outcome={outcome}
          pinned={file.way === outcome.way}
          onPin={(way) => edit(undefined, (run) => void (run.way = way))}
        />
      ))}
      <Card aria-labelledby="why-stock">
        <h2 id="why-stock">
          Why {plan.stock.piece ? '' : `${nameOfBar(plan.stock, units)}, `}
          {WAY_BEGINS[plan.way].toLowerCase()}
        </h2>
        <Reasons>
          {[plan.chosenBecause, ...plan.stock.reasons].map(({ rule, because }) => (
            <li key={rule + because}>{because}</li>
          ))}
        </Reasons>
        <ByRules of={[plan.chosenBecause, ...plan.stock.reasons]} />
      </Card>
      {!plan.stock.piece && <FromTheRack plan={plan} />}
    </Room>
  );
}

function OneWay({
  plan,
  outcome: { way, stock, times, problem },
  pinned,
  onPin,
}: {
  plan: Plan;
  outcome: WayOutcome;
  pinned: boolean;
  onPin: (way: 'choose' | Way) => void;
}) {
  const chosen = plan.way === way;
  const title = (
    <header>
      <h2>{WAY_BEGINS[way]}</h2>
      <span>{chosen ? (pinned ? 'named by the run' : 'chosen') : ''}</span>
      {pinned ? (
        <Button onPress={() => onPin('choose')}>Let Shingle choose</Button>
      ) : (
        stock &&
        !stock.piece && <Button onPress={() => onPin(way)}>{chosen ? 'Keep it this way' : 'Make it this way'}</Button>
      )}
    </header>
  );
  if (!stock || !times)
    return (
      <WayCard aria-label={WAY_BEGINS[way]}>
        {title}
        <Empty>
          Cannot be: {problem?.path ? `${entryName(problem.path)} ` : ''}
          {problem?.message}
        </Empty>
      </WayCard>
    );
  return (
    <WayCard aria-label={WAY_BEGINS[way]} {...(chosen ? { 'data-chosen': '' } : {})}>
      {title}
      {stock.piece ? (
        <PieceDrawing run={asLeft(plan.run)} piece={stock.piece} size={stock.size} />
      ) : (
        <Bars run={asLeft(plan.run)} stock={stock} name={WAY_BEGINS[way]} />
      )}
      <StockFacts stock={stock} times={times} run={plan.run} />
    </WayCard>
  );
}

/** The bars that are alike, and the last one where it is not. */
function Bars({ run, stock, name }: { run: Run; stock: Stock; name: string }) {
  const last = onLastBar(stock);
  const alike = last === stock.piecesPerBar.value;
  const onFirst = stock.bars.value === 1 ? last : stock.piecesPerBar.value;
  return (
    <>
      <h3>{whichBars(stock.bars.value, alike)}</h3>
      <WholeBar run={run} stock={stock} pieces={onFirst} name={name} />
      <FirstEnd run={run} stock={stock} pieces={onFirst} />
      {!alike && stock.bars.value > 1 && (
        <>
          <h3>the last bar</h3>
          <WholeBar run={run} stock={stock} pieces={last} name={`${name}, the last bar`} />
        </>
      )}
    </>
  );
}

function StockFacts({ stock, times, run: { units, shop } }: { stock: Stock; times: Times; run: Run }) {
  const view = stockView(stock, units);
  return (
    <dl>
      <Fact name={view.kind} text={view.isBar ? nameOfBar(stock, units) : view.section} />
      <Fact name={`${view.kind}s`}>
        <FigureButton figure={stock.bars} units={units} />
      </Fact>
      {view.isBar && (
        <Fact name="Pieces from a bar">
          <FigureButton figure={stock.piecesPerBar} units={units} />
        </Fact>
      )}
      <Fact name={`A piece takes, ${units}`}>
        <FigureButton figure={stock.each} units={units} />
      </Fact>
      {view.isBar && (
        <Fact name={`Left of the last, ${units}`}>
          <FigureButton figure={stock.leftOver} units={units} />
        </Fact>
      )}
      <Fact name="Mass, kg">
        <FigureButton figure={stock.mass} units={units} />
      </Fact>
      <Fact name={`Stock, ${shop.rates.currency}`}>
        <FigureButton figure={stock.cost.material} units={units} />
      </Fact>
      <Fact name="A piece" text={sayMinutes(times.piece.value)} />
      <Fact name="The batch" text={sayMinutes(times.batch.value)} />
    </dl>
  );
}

/** Which bars a drawing stands for, in words. */
function whichBars(bars: number, alike: boolean): string {
  if (bars === 1) return 'the bar';
  if (alike) return `all ${bars} bars`;
  return bars === 2 ? 'the first bar' : `the first ${bars - 1} bars`;
}

function Fact({ name, text, children }: { name: string; text?: string; children?: ReactNode }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{text ?? children}</dd>
    </div>
  );
}
