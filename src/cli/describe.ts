import { sayFixed } from '@/core/model/units/mark';
import { describeSetting } from './describeStops';
import { holdOf, sayStrain } from '@/core/present/hold';
import { crossOvers } from '@/core/money/lines';
import { costOfRun } from '@/core/plan/cost/runCost';
import type { Plan } from '@/core/plan/plan';
import type { RunningWay } from '@/core/ask/running';
import type { Compared } from '@/core/ask/sequences';
import { sayWorkStop } from '@/core/plan/stops/planStops';
import { crossReadingOf } from '@/core/present/cross';
import { operationView } from '@/core/present/operation';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { WAY_WORDS } from '@/core/model/way';
import { nameOfBar } from '@/core/plan/stock/nameOfBar';
import { stockView } from '@/core/present/stock';
import { formatLength } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import { KIT_FOR, kitOf, type KitItem } from '@/core/present/kit';
import { missingFrom } from '@/core/present/missing';
import { sayFluids } from '@/core/present/fluid';
import { sayToGet, toGetFor } from '@/core/present/toGet';
import { sayLost, sayRisk, sayRoute, sayTried } from '@/core/present/route';
import { describeLoads } from './describeLoads';
import { describeProof } from './describeProof';

const column = (text: string, width: number) => text.padEnd(width);
const right = (text: string, width: number) => text.padStart(width);

/** A plan for people, as lines of text. */
export function describe(plan: Plan, { sequences, because }: Compared, ways: readonly RunningWay[]): string {
  const { run, stock, times } = plan;
  const { units, part } = run;
  const length = (mm: number) => `${formatLength(mm, units)} ${units}`;
  const view = stockView(stock, units);
  const missing = missingFrom(plan);
  const toGet = toGetFor(plan);
  const head = [
    `${part.number}${part.revision ? ` revision ${part.revision}` : ''}  ${part.name}`,
    `${run.quantity} off in ${run.shop.material.name} on ${run.shop.machine.name}`,
    ...missing.map(
      ({ path, because: words }, index) => `${index === 0 ? 'INCOMPLETE  ' : '            '}${path}: ${words}`,
    ),
    '',
    `Stock   ${nameOfBar(stock, units)}, ${WAY_WORDS[stock.way]}`,
    `        ${view.each.toLowerCase()} ${length(stock.each.value)}, ${view.isBar ? `${stock.piecesPerBar.value} a bar, ` : ''}${stock.bars.value} ${view.counted}, ${sayFixed(stock.mass.value, 2)} kg`,
    ...[...stock.reasons, plan.chosenBecause].map(({ because }) => `        ${because}`),
    ...toGet.map((one, index) => `${index === 0 ? 'To get  ' : '        '}${sayToGet(one, run.shop.rates.currency)}`),
    ...describeKit(plan),
    ...describeRoutes(plan),
    ...describeProof(plan.proof, run).map((line, index) => (index === 0 ? `Proof   ${line}` : `      ${line}`)),
    '',
    `Order   ${sequences.filter(({ figures }) => figures).length} of ${sequences.length} sequences can be planned. ${because}`,
    `Time    ${sayMinutes(times.piece.value)} a piece, setting up ${sayMinutes(times.setup.value)}, batch ${sayMinutes(times.batch.value)}`,
  ];
  const warnings = plan.warnings.length === 0 ? [] : ['', 'Mind', ...plan.warnings.map((text) => `  ${text}`)];
  return [
    ...head,
    ...plan.setups.flatMap((setup) => describeSetup(setup)),
    ...(plan.outside.length > 0 ? ['', 'On other machines'] : []),
    ...plan.outside.map(
      ({ name, after, setup, piece, notes }) =>
        `  After set-up ${after}, ${name}: ${notes.join(' ')} Setting up ${sayFixed(setup.value, 1)}, a piece ${sayFixed(piece.value, 2)} min`,
    ),
    ...describeLoads(plan.setups),
    ...describeWays(ways, run.quantity),
    ...describeCost(plan),
    ...warnings,
    '',
    'The shop’s rules, the machine’s manual and local law come first.',
  ].join('\n');
}

/** What is laid out before it begins, a line for each use. */
function describeKit(plan: Plan): string[] {
  const kit = kitOf(plan);
  const said = ({ what, place, has }: KitItem) =>
    `${what}${place ? ` (${place})` : ''}${has === true ? '' : has === false ? ', not there' : ', to make'}`;
  const groups = Object.entries(KIT_FOR).flatMap(([use, words]) => {
    const items = kit.filter((item) => item.for === use);
    return items.length > 0 ? [`${words.toLowerCase()}: ${items.map(said).join('; ')}`] : [];
  });
  return groups.map((line, index) => `${index === 0 ? 'Kit     ' : '        '}${line}`);
}

function describeWays(ways: readonly RunningWay[], quantity: number): string[] {
  const nameOf = (id: string) => ways.find((way) => way.id === id)?.name ?? id;
  return [
    '',
    `${column(`Ways of running ${quantity}`, 44)}${right('once', 12)}${right('each', 12)}${right('batch', 12)}`,
    ...ways.map(({ name, planned, minutes, batchMinutes = 0, problem }) =>
      minutes
        ? `${planned ? '* ' : '  '}${column(name, 42)}${right(sayMinutes(minutes.once), 12)}${right(sayMinutes(minutes.each), 12)}${right(sayMinutes(batchMinutes), 12)}`
        : `  ${column(name, 42)}${problem ? `cannot be: ${problem}` : 'no minutes of ours'}`,
    ),
    ...crossOvers(ways.flatMap(({ id, minutes }) => (minutes ? [{ id, ...minutes }] : []))).map(
      ({ from, to, quantity: at }) =>
        `  From ${Math.ceil(at - 1e-9)} pieces “${nameOf(to)}” takes less than “${nameOf(from)}”.`,
    ),
  ];
}

/** What was compared with the route that is taken. */
const describeRoutes = ({ route, risks, run }: Plan): string[] => [
  `Routes  ${sayTried(route)}`,
  ...risks.map((risk) => `        ${sayRisk(risk)}`),
  ...route.runnersUp.map((runnerUp) => `        ${sayRoute(runnerUp)}: ${sayLost(runnerUp, run.units)}`),
];

function describeCost(plan: Plan): string[] {
  const { material, labour, edges, order, batch, piece } = costOfRun(plan);
  const { currency } = plan.run.shop.rates;
  const said = [material, labour, edges, order].map(({ name, value }) => `${name} ${sayFixed(value, 2)}`);
  return [
    '',
    `Cost    ${sayFixed(piece.value, 2)} ${currency} a piece, ${sayFixed(batch.value, 2)} the batch: ${said.join(', ')}`,
  ];
}

function describeSetup(planned: PlannedSetup): string[] {
  const { setup, operations, workStop } = planned;
  const { units } = setup.run;
  const { holding } = setup;
  const { slip, tipping } = holdOf(planned);
  const fluids = sayFluids(planned);
  const asked = [...(slip ? [`turned ${sayStrain(slip)}`] : []), ...(tipping ? [`tipped ${sayStrain(tipping)}`] : [])];
  return [
    '',
    `Set-up ${setup.number}, from the ${setup.end}: ${holding.words}, on ${holding.on}, stick-out ${formatLength(setup.stickOut.value, units)} ${units}, ${sayWorkStop(workStop)} at ${formatLength(workStop.setting.value, units)}`,
    ...(asked.length > 0 ? [`  Of what it bears: ${asked.join(', ')}`] : []),
    ...(fluids ? [`  Fluid: ${fluids}`] : []),
    `  ${column('', 34)}${right('rev/min', 8)}${right('feed', 8)}${right('stop', 10)}${column('', 24)}${right(crossReadingOf(setup.run.shop.machine, units).column, 16)}${right('passes', 8)}${right('min', 7)}`,
    ...operations.map((operation) => describeOperation(operation, planned)),
    '  Setting:',
    ...describeSetting(planned),
  ];
}

function describeOperation(operation: TimedOperation, planned: PlannedSetup): string {
  const { number, name, speed, feed, stop, target = '', crossStop, passes } = operationView(planned, operation);
  const minutes = sayFixed(operation.cutting.value + operation.hand.value, 2);
  return `  ${column(`${number} ${name}`, 34)}${right(speed, 8)}${right(feed, 8)}${right(stop?.settings[0]?.text ?? '', 10)}  ${column([stop?.words, crossStop?.words].filter(Boolean).join(', '), 22)}${right(target, 16)}${right(String(passes.length), 8)}${right(minutes, 7)}`;
}
