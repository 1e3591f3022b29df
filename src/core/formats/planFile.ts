import { setupData } from './setupData';
import { missingFrom } from '../present/missing';
import { kitOf } from '../present/kit';
import { toGetFor } from '../present/toGet';
import { sayLost, sayRoute } from '../present/route';
import { crossOvers, type Line } from '../money/lines';
import { costOfRun } from '../plan/cost/runCost';
import type { Plan } from '../plan/plan';
import type { RunningWay } from '../ask/running';
import type { Proof } from '../plan/proof/faults';
import type { WrittenSetup } from '../plan/proof/written';
import { rounded, writtenPlan } from '../plan/written';
import { criticalDimensions } from '../model/part/critical';
import { massOf } from '../model/part/mass';
import type { ResultingLengths } from '../plan/stops/resultingLengths';

/** A length of the drawing as it comes out: its limits, the errors that add up in it, and what they come to. */
const workedOf = ({
  path,
  size,
  errors,
  allowed,
  resulting,
  measured,
}: ResultingLengths['links' | 'places'][number]) => ({
  path,
  lower: rounded(size.nominal + size.lower),
  upper: rounded(size.nominal + size.upper),
  errors,
  allowed: rounded(allowed),
  resulting: rounded(resulting),
  ...(measured ? { measured } : {}),
});

const lineOf = ({ once, each }: Line) => ({ once: rounded(once), each: rounded(each) });

function partData({ run }: Plan) {
  const mass = massOf(run.part, run.shop.material.density);
  return {
    length: rounded(run.part.length),
    massGrams: rounded(mass.grams, 3),
    volume: rounded(mass.volume),
    surface: rounded(mass.surface),
    centreOfGravity: rounded(mass.centre),
    critical: criticalDimensions(run.part, run.units),
  };
}

function stockData({ stock, setups, chosenBecause }: Plan) {
  const fromBar = stock.way === 'from-bar';
  return {
    way: stock.way,
    form: stock.form,
    size: rounded(stock.size),
    ...(stock.form === 'tube' ? { bore: rounded(stock.bore) } : {}),
    condition: stock.condition,
    barLength: rounded(stock.barLength),
    pitch: fromBar ? rounded(stock.each.value) : null,
    blankLength: fromBar ? null : rounded(stock.each.value),
    bladeWidth: stock.blade ? rounded(stock.blade.width) : null,
    gripRemnant: rounded(stock.gripRemnant.value),
    piecesPerBar: stock.piecesPerBar.value,
    piecesToMake: stock.toMake.value,
    bars: stock.bars.value,
    cost: rounded(stock.cost.material.value, 2),
    leftOver: rounded(stock.leftOver.value),
    stickOut: rounded(setups[0]?.setup.stickOut.value ?? 0),
    massKilograms: rounded(stock.mass.value, 3),
    reasons: [...stock.reasons, chosenBecause],
  };
}

const overruleData = (plan: Plan) =>
  plan.overrules.map(({ overrule, state, breaks, minutes }) => ({
    ...overrule,
    state,
    breaks: breaks.map(({ rule, because }) => ({ rule, because })),
    ...(minutes === undefined ? {} : { minutes: rounded(minutes, 3) }),
  }));

const lengthData = ({ lengths: { faces, links, places } }: Plan) => ({
  faces: faces.map(({ face, setup, from, distance, within }) => ({
    face,
    setup,
    from,
    distance: rounded(distance),
    within: rounded(within),
  })),
  drawn: links.map((link) => ({ from: link.from, to: link.to, ...workedOf(link) })),
  places: places.map((place) => ({ face: place.face, ...workedOf(place) })),
});

/** What the run wants and the shop has not. */
const toGetData = (plan: Plan) => toGetFor(plan).map((one) => ({ ...one, cost: rounded(one.cost, 2) }));

/** What the drawing asks for and no operation makes. */
function completeData(plan: Plan) {
  const missing = missingFrom(plan);
  return { complete: missing.length === 0, missing };
}

const routeData = ({ route, risks, run }: Plan) => ({
  proven: route.proven,
  ...(route.gap === undefined ? {} : { gap: rounded(route.gap) }),
  setups: route.setups,
  compared: route.tried,
  risks: risks.map(({ because, minutes }) => ({ because, minutes: rounded(minutes) })),
  runnersUp: route.runnersUp.map((runnerUp) => ({
    words: sayRoute(runnerUp),
    ...(runnerUp.pieceMinutes === undefined ? {} : { pieceMinutes: rounded(runnerUp.pieceMinutes) }),
    ...(runnerUp.batchMinutes === undefined ? {} : { batchMinutes: rounded(runnerUp.batchMinutes) }),
    lostBy: sayLost(runnerUp, run.units),
  })),
});

/** What the proof found: nothing is rounded away that would be a fault. */
export const proofData = ({ passed, faults, clearances, segments, worst }: Proof) => ({
  passed,
  faults: faults.map(({ z, diameter, amount, is, asked, ...fault }) => ({
    ...fault,
    ...(is === undefined ? {} : { is: rounded(is) }),
    ...(asked === undefined ? {} : { asked: rounded(asked) }),
    ...(z === undefined ? {} : { z: rounded(z) }),
    ...(diameter === undefined ? {} : { diameter: rounded(diameter) }),
    ...(amount === undefined ? {} : { amount: rounded(amount) }),
  })),
  clearances: clearances.map(({ distance, ...near }) => ({ ...near, distance: rounded(distance) })),
  segments,
  ...(worst ? { worst: { ...worst, size: rounded(worst.size), left: rounded(worst.left) } } : {}),
});

const runningData = ({ id, name, planned, minutes, money, batchMinutes, batchMoney, problem, risks }: RunningWay) => ({
  id,
  name,
  planned,
  ...(minutes ? { minutes: lineOf(minutes) } : {}),
  ...(money ? { money: lineOf(money) } : {}),
  ...(batchMinutes === undefined ? {} : { batchMinutes: rounded(batchMinutes) }),
  ...(batchMoney === undefined ? {} : { batchMoney: rounded(batchMoney, 2) }),
  ...(problem === undefined ? {} : { problem }),
  risks,
});

function costData(plan: Plan) {
  const cost = costOfRun(plan);
  return {
    currency: plan.run.shop.rates.currency,
    material: rounded(cost.material.value, 2),
    labour: rounded(cost.labour.value, 2),
    edges: rounded(cost.edges.value, 2),
    order: rounded(cost.order.value, 2),
    batch: rounded(cost.batch.value, 2),
    piece: rounded(cost.piece.value),
  };
}

function timeData(plan: Plan, running: readonly RunningWay[]) {
  const { times } = plan;
  return {
    setupMinutes: rounded(times.setup.value),
    pieceMinutes: rounded(times.piece.value),
    batchMinutes: rounded(times.batch.value),
    ways: plan.ways.map((way) => ({
      way: way.way,
      ...(way.times
        ? { batchMinutes: rounded(way.times.batch.value), pieceMinutes: rounded(way.times.piece.value) }
        : {}),
      ...(way.stock ? { bars: way.stock.bars.value } : {}),
      ...(way.problem ? { problem: { path: way.problem.path, message: way.problem.message } } : {}),
    })),
    running: running.map(runningData),
    crossovers: crossOvers(running.flatMap(({ id, minutes }) => (minutes ? [{ id, ...minutes }] : []))).map(
      ({ from, to, quantity, value }) => ({ from, to, quantity: rounded(quantity), minutes: rounded(value) }),
    ),
    cost: costData(plan),
  };
}

/**
 * The plan as data, `shingle-plan/1`: numbers in mm, rev/min, m/min, mm/rev, minutes, grams and kilograms. Every z is of
 * the drawing, from the finished front face; a stop's setting is from the face that its set-up finishes.
 * @param running the ways of running the batch, where they were compared
 */
export function planFileOf(plan: Plan, running: readonly RunningWay[] = []) {
  const { run } = plan;
  const written = writtenPlan(plan);
  return {
    format: 'shingle-plan/1' as const,
    run: { part: run.part.number, revision: run.part.revision, quantity: run.quantity },
    part: partData(plan),
    stock: stockData(plan),
    edges: plan.edges.map(({ z, r, inside, brokenBy }) => ({
      z: rounded(z),
      diameter: rounded(2 * r),
      inside,
      brokenBy: brokenBy ?? null,
    })),
    overrules: overruleData(plan),
    lengths: lengthData(plan),
    outside: plan.outside.map(({ kind, after, feature, name, setup, piece, notes }) => ({
      kind,
      after,
      feature,
      name,
      minutes: { setup: rounded(setup.value, 3), piece: rounded(piece.value, 3) },
      notes,
    })),
    setups: plan.setups.map((planned, index) => setupData(planned, written.setups[index] as WrittenSetup)),
    ...completeData(plan),
    toGet: toGetData(plan),
    kit: kitOf(plan).map(({ what, place, has }) => ({ what, ...(place === undefined ? {} : { place }), has })),
    route: routeData(plan),
    proof: proofData(plan.proof),
    time: timeData(plan, running),
    doubts: plan.doubts,
    warnings: plan.warnings,
  };
}

export type PlanFile = ReturnType<typeof planFileOf>;
