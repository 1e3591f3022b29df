import { holdOf } from '../present/hold';
import type { WrittenOperation, WrittenPass, WrittenSetup } from '../plan/proof/written';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';
import { rounded, toPart } from '../plan/written';
import type { DialMove } from '../model/shop/dial';
import type { StopMeans } from '../plan/stops/devices';
import { settingOf } from '../plan/stops/setting';
import type { CrossReading } from '../present/cross';
import { stateOf } from '../present/machineState';
import { operationView, type PassView } from '../present/operation';
import { settingSheet } from '../present/settingSheet';
import type { StopView } from '../present/stop';

/** What the machine shows for a diameter, mm, as its read-out counts, or the way of its dial. */
const reads = ({ shown, dial, hasReadOut }: CrossReading, diameter: number, { pass, reading }: PassView) => ({
  ...(hasReadOut ? { readOut: rounded(shown(diameter)) } : {}),
  ...(dial && reading ? { dial: { from: reading.from, to: reading.to, ...dialOf(dial(pass.depth)) } } : {}),
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
    const { stop, cross, crossStop, note, passes } = operationView(planned, operation);
    return {
      ...written,
      cuttingSpeed: rounded(operation.achieved.value, 1),
      spindleSpeed: operation.speed.value,
      feed: rounded(operation.feed.value),
      ...(operation.fluid ? { fluid: operation.fluid } : {}),
      from: { z: z(operation.from) },
      to: { z: z(operation.to) },
      ...(operation.fullDepth === undefined ? {} : { fullDepth: rounded(operation.fullDepth) }),
      passes: passes.map(({ pass, ...view }, place) => ({
        ...(written.passes[place] as WrittenPass),
        ...(pass.diameter === undefined
          ? {}
          : { diameter: rounded(pass.diameter), ...reads(cross, pass.diameter, { pass, ...view }) }),
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
      ...(crossStop ? { crossStop: crossStop.place } : {}),
      ...(note === undefined ? {} : { note }),
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

/** A set-up with everything of its operations, as the plan file has it. */
export const setupData = (planned: PlannedSetup, written: WrittenSetup) => ({
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
