import { holdOf } from '../present/hold';
import { missingFrom } from '../present/missing';
import { kitOf } from '../present/kit';
import { toGetFor } from '../present/toGet';
import { sayLost, sayRoute } from '../present/route';
import { crossOvers, type Line } from '../money/lines';
import { costOfRun } from '../plan/cost/runCost';
import type { Plan } from '../plan/plan';
import type { RunningWay } from '../ask/running';
import type { Proof } from '../plan/proof/faults';
import type { WrittenOperation, WrittenPass, WrittenSetup } from '../plan/proof/written';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import { rounded, toPart, writtenPlan } from '../plan/written';
import type { DialMove } from '../model/shop/dial';
import { criticalDimensions } from '../model/part/critical';
import { massOf } from '../model/part/mass';
import type { StopMeans } from '../plan/stops/devices';
import { settingOf } from '../plan/stops/setting';
import type { CrossReading } from '../present/cross';
import { stateOf } from '../present/machineState';
import { operationView } from '../present/operation';
import { settingSheet } from '../present/settingSheet';
import type { StopView } from '../present/stop';
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

/** What the machine shows for a diameter, mm, as its read-out counts, or the way of its dial. */
const reads = ({ shown, dial, hasReadOut }: CrossReading, diameter: number, depth: number) => ({
  ...(hasReadOut ? { readOut: rounded(shown(diameter)) } : {}),
  ...(dial ? { dial: dialOf(dial(depth)) } : {}),
});

const dialOf = ({ turns, divisions, rest }: DialMove) => ({ turns, divisions, rest: rounded(rest) });

const dialData = ({ turns, divisions, rest }: DialMove) => ({ turns, divisions, remainder: rounded(rest) });

/** The setting sheet of a set-up. mm */
export const settingData = (planned: PlannedSetup) =>
  settingSheet(planned).map(({ step, tool, what, over, value, stack }) => ({
    step,
    ...(tool === undefined ? {} : { tool }),
    what,
    ...(over === undefined ? {} : { over }),
    ...(value === undefined ? {} : { value: rounded(value) }),
    ...(stack ? { stack: stack.map((mm) => rounded(mm)) } : {}),
  }));

/** How a stop stands in the file. mm */
interface StopData {
  means: StopMeans | 'none';
  station?: number;
  spacers?: number[];
  made?: true;
  feeler?: number;
  scale?: true;
  dial?: { from: number; to: number; turns: number; divisions: number; remainder: number };
  setting?: number;
  edges: Record<string, number>;
}

/** Where an operation stops and by which means. */
function stopData(operation: TimedOperation, stop: StopView | undefined): StopData {
  if (!stop) return { means: 'none', edges: {} };
  return {
    means: stop.means,
    ...(stop.place === undefined ? {} : { [stop.means]: stop.place }),
    ...(stop.spacers ? { spacers: stop.spacers.map((length) => rounded(length)) } : {}),
    ...(stop.made ? { made: true } : {}),
    ...(stop.feeler === undefined ? {} : { feeler: rounded(stop.feeler) }),
    ...(stop.scale ? { scale: true } : {}),
    ...(stop.move ? { dial: { from: 0, to: rounded(settingOf(operation).value), ...dialData(stop.move) } } : {}),
    setting: rounded(settingOf(operation).value),
    edges: Object.fromEntries(stop.settings.map(({ edge, figure }) => [edge, rounded(figure.value)])),
  };
}

function operationsOf(planned: PlannedSetup, { operations }: WrittenSetup) {
  const z = toPart(planned);
  return planned.operations.map((operation, index) => {
    const written = operations[index] as WrittenOperation;
    const { stop, cross, passes } = operationView(planned, operation);
    return {
      ...written,
      cuttingSpeed: rounded(operation.achieved.value, 1),
      spindleSpeed: operation.speed.value,
      feed: rounded(operation.feed.value),
      ...(operation.fluid ? { fluid: operation.fluid } : {}),
      from: { z: z(operation.from) },
      to: { z: z(operation.to) },
      ...(operation.fullDepth === undefined ? {} : { fullDepth: rounded(operation.fullDepth) }),
      passes: passes.map(({ pass }, place) => ({
        ...(written.passes[place] as WrittenPass),
        ...(pass.diameter === undefined
          ? {}
          : { diameter: rounded(pass.diameter), ...reads(cross, pass.diameter, pass.depth) }),
        ...(pass.z === undefined ? {} : { z: z(pass.z) }),
        minutes: rounded(pass.minutes.value),
        cuttingSpeed: rounded(pass.achieved.value, 1),
        limitedBy: pass.limitedBy,
        ...(pass.load
          ? {
              ...(pass.load.force ? { force: rounded(pass.load.force.value, 1) } : {}),
              ...(pass.load.torque ? { torque: rounded(pass.load.torque.value, 3) } : {}),
              ...(pass.load.thrust ? { thrust: rounded(pass.load.thrust.value, 1) } : {}),
              power: rounded(pass.load.power.value, 3),
              ...(pass.load.bends ? { deflection: rounded(pass.load.bends.value, 5) } : {}),
              ...(pass.load.roughness ? { roughness: rounded(pass.load.roughness.value, 3) } : {}),
              ...(pass.load.chip ? { chip: pass.load.chip } : {}),
            }
          : {}),
      })),
      ...(operation.pecks > 1 ? { pecks: operation.pecks } : {}),
      ...(operation.does ? { does: operation.does } : {}),
      stop: stopData(operation, stop),
      state: stateOf(planned, operation),
      clearances: operation.clearances.map(({ what, distance }) => ({ what, distance: rounded(distance) })),
      minutes: { cutting: rounded(operation.cutting.value), hand: rounded(operation.hand.value) },
      checks: operation.checks.map(({ what, size, gauge, every }) => ({
        what,
        ...(size ? { from: rounded(size.nominal + size.lower), upTo: rounded(size.nominal + size.upper) } : {}),
        ...(gauge ? { gauge: gauge.name } : {}),
        every,
      })),
      reasons: operation.reasons,
      cautions: operation.cautions.map(({ text }) => text),
      warnings: operation.warnings,
    };
  });
}

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

/** What its hardest cuts ask of a hold, and what that bears. */
function holdData(planned: PlannedSetup) {
  const { setup } = planned;
  const { gripLength, slip, tipping } = holdOf(planned);
  return {
    device: setup.holding.kind,
    surface: setup.holding.grip,
    gripLength: rounded(gripLength),
    stickOut: rounded(setup.stickOut.value),
    support: setup.rest?.kind ?? (setup.supported ? 'centre' : 'none'),
    ...(slip
      ? { slip: { operation: slip.operation, force: rounded(slip.asks.value, 1), limit: rounded(slip.bears.value, 1) } }
      : {}),
    ...(tipping
      ? {
          tipping: {
            operation: tipping.operation,
            moment: rounded(tipping.asks.value, 2),
            limit: rounded(tipping.bears.value, 2),
          },
        }
      : {}),
  };
}

/** What drives the threads of a set-up: wheels from the spindle on, or levers; ppm and mm. */
const gearsData = ({ operations }: PlannedSetup) =>
  operations.flatMap(({ number, gearing }) =>
    gearing
      ? [
          {
            operation: number,
            ...(gearing.train
              ? {
                  wheels: {
                    drivers: gearing.train.drivers,
                    idlers: gearing.train.idlers,
                    driven: gearing.train.driven,
                  },
                }
              : {}),
            ...(gearing.toGet === undefined ? {} : { toGet: gearing.toGet }),
            ...(gearing.levers ? { levers: gearing.levers } : {}),
            pitch: rounded(gearing.pitch),
            error: rounded(gearing.error, 1),
            over: rounded(gearing.over, 5),
            halfNuts: gearing.nuts.open,
          },
        ]
      : [],
  );

const setupData = (planned: PlannedSetup, written: WrittenSetup) => ({
  ...written,
  hold: holdData(planned),
  holding: {
    ...written.holding,
    runOut: planned.setup.holding.runOut,
    stickOut: rounded(planned.setup.stickOut.value),
  },
  workStop: { ...written.workStop, setting: rounded(planned.workStop.setting.value) },
  order: { proven: planned.order.proven, gapMinutes: rounded(planned.order.gapMinutes) },
  reasons: planned.setup.reasons,
  cautions: planned.setup.cautions.map(({ text: words }) => words),
  operations: operationsOf(planned, written),
  settingSheet: settingData(planned),
  gears: gearsData(planned),
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
