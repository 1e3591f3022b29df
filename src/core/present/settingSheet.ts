import { dialMove, sayDial } from '../model/shop/dial';
import { formatLength, type UnitSystem } from '../model/units/length';
import { sayWorkStop, standsAt, type Pin } from '../plan/stops/planStops';
import { gearsOf } from './gears';
import { sayCrossStop } from './operation';
import { meansWords } from './stop';
import { madeReady } from './toolMadeReady';
import type { PlannedSetup, TimedOperation } from '../plan/times/planTimes';

/** One step of setting a machine for a set-up, in the order that they are done (trade: Stops). */
export interface SettingStep {
  step: number;
  /** The tool that it is about. */
  tool?: string;
  what: string;
  /** What is laid between: paper. */
  over?: string;
  /** To set or to enter, mm; from the face, towards what holds the work. */
  value?: number;
  /** The same as it is shown: in the units of the run, turns and divisions where the dial has it. */
  text?: string;
  /** Blocks or spacers of a stack, mm. */
  stack?: number[];
}

type Unnumbered = Omit<SettingStep, 'step'>;

/** Kinds whose tool makes a diameter: it is told to the read-out as it was measured. */
const SIZED: readonly string[] = ['turn-rough', 'turn-finish', 'bore', 'counterbore'];

const withText = (step: Unnumbered, units: UnitSystem, fine = false): Unnumbered =>
  step.value === undefined ? step : { ...step, text: formatLength(step.value, units, fine) };

/** The first operation of each tool of a mount. */
const firstOfEach = ({ operations }: PlannedSetup, mount: 'post' | 'tailstock'): TimedOperation[] =>
  operations.filter(
    ({ tool }, index) => tool.mount === mount && operations.findIndex((other) => other.tool.id === tool.id) === index,
  );

/** The tool that sets the zero, and every other one told to it. */
function touchedOff(planned: PlannedSetup): Unnumbered[] {
  const { run } = planned.setup;
  const { units, shop } = run;
  const { stops, machine } = shop;
  const shows = machine.readOut === 'none' ? 'the dial of the carriage' : 'the read-out';
  const tools = firstOfEach(planned, 'post');
  const faced = planned.operations.find(({ kind }) => kind === 'face');
  const master = tools.find(({ tool }) => tool.id === faced?.tool.id) ?? tools[0];
  const paper = `paper ${formatLength(stops.paper, units)}`;
  const along = tools.map((operation): Unnumbered => {
    const edge = operation.stop.settings[0]?.edge;
    const by = edge === 'left' || edge === 'right' ? `, its ${edge} edge` : '';
    if (operation === master && faced)
      return {
        tool: operation.tool.name,
        what: `master: clean the face up, leave the carriage there, ${shows} to`,
        value: faced.stop.settings[0]?.setting.value ?? 0,
      };
    return {
      tool: operation.tool.name,
      what: `${operation === master ? `master, ${shows} to what is written: ` : ''}touch the face${by}`,
      over: paper,
      value: operation.tool.offset - stops.paper,
    };
  });
  const sized = tools.filter(({ tool }) =>
    planned.operations.some(({ kind, tool: other }) => other.id === tool.id && SIZED.includes(kind)),
  );
  const across: Unnumbered[] =
    sized.length > 0
      ? [
          {
            tool: sized.map(({ tool }) => tool.name).join('; '),
            what: `${sized.length > 1 ? 'with each ' : ''}clean up with a light cut, measure, enter the diameter that it is; then cut the rest`,
          },
        ]
      : [];
  // What is set in the post before anything is touched.
  const ready = tools.flatMap(({ tool }): Unnumbered[] => {
    const words = madeReady(planned, tool.id);
    return words.length > 0 ? [{ tool: tool.name, what: words.join(', ') }] : [];
  });
  return [...ready, ...along, ...across].map((step) => withText(step, units));
}

/** What is laid in before a stop, each to its length. */
function sayStack({ spacers = [], feeler, made }: Pick<Pin, 'spacers' | 'feeler' | 'made'>, units: UnitSystem): string {
  const one = (mm: number) => formatLength(mm, units);
  if (feeler !== undefined) return `a feeler ${one(feeler)}`;
  if (made) return `a spacer made to ${spacers.map(one).join(' + ')}`;
  return `${spacers.length > 1 ? 'spacers' : 'a spacer'} ${spacers.map(one).join(' + ')}`;
}

/** The stops of the carriage, the deepest first: each screw by the read-out, or by a stack from the face. */
function carriageStops({ pins, setup }: PlannedSetup): Unnumbered[] {
  const { units, shop } = setup.run;
  const { machine } = shop;
  const byPlace = new Map<number, Pin[]>();
  for (const pin of pins)
    if (pin.means === 'station') byPlace.set(pin.place ?? 0, [...(byPlace.get(pin.place ?? 0) ?? []), pin]);
  const stations = [...byPlace].map(([place, served]) => ({ place, served, at: Math.max(...served.map(standsAt)) }));
  const screws = stations
    .sort((a, b) => b.at - a.at)
    .map(({ place, served, at }): Unnumbered => {
      const laid = served.filter(({ spacers, feeler }) => spacers ?? feeler);
      const then = laid.map(({ letter, ...laidIn }) => `; ${letter} with ${sayStack(laidIn, units)}`);
      return {
        what: `station ${place}: screw against the carriage${then.join('')}`,
        value: at,
        ...(machine.readOut === 'none' ? { over: 'a stack of blocks from the face', stack: [at] } : {}),
      };
    });
  const by = (means: Pin['means'], step: (pin: Pin) => Unnumbered): Unnumbered[] =>
    pins.filter((pin) => pin.means === means).map(step);
  const [shown] = pins.filter(({ means }) => means === 'indicator').sort((a, b) => b.setting - a.setting);
  const read = pins.filter((pin) => pin.means === 'indicator' && pin !== shown);
  const dial = machine.carriageDial;
  return [
    ...screws,
    ...(shown
      ? [
          {
            what: `indicator against the carriage, to nought${read.map(({ letter, setting }) => `; ${letter} at ${formatLength(shown.setting - setting, units, true)} before it`).join('')}`,
            value: shown.setting,
          },
        ]
      : []),
    ...by('preset', ({ place, letter, setting }) => ({ what: `preset ${place}, ${letter}`, value: setting })),
    ...(dial && pins.some(({ means }) => means === 'dial')
      ? [{ what: 'dial of the carriage to nought at the face', value: 0 }]
      : []),
  ].map((step) => withText(step, units, true));
}

/** The stops of the cross-slide, each against the slide where the tool has just cut its diameter. */
const crossStops = ({ crossStops: stops, operations, setup }: PlannedSetup): Unnumbered[] =>
  stops.map((stop) => {
    const tool = operations.find(({ key }) => stop.operations.includes(key))?.tool.name;
    return withText(
      {
        ...(tool === undefined ? {} : { tool }),
        what: `${sayCrossStop(stop)}: screw against the slide once it has cut ⌀`,
        value: stop.diameter,
      },
      setup.run.units,
      true,
    );
  });

/** What stops the quill: its stop, its scale or a mark, each from its own start. */
function quillStops(planned: PlannedSetup): Unnumbered[] {
  const { units } = planned.setup.run;
  return planned.pins
    .filter(({ axis }) => axis === 'quill')
    .map(({ operations, means, setting, scale, fine }) => {
      const tool = planned.operations.find(({ key }) => key === operations[0])?.tool.name;
      const words =
        means === 'mark'
          ? 'mark on the tool, from its tip'
          : `tip to the face, read the quill; ${scale ? 'read on' : means === 'measured' ? 'near its depth, then measured: on' : 'its stop on'} by`;
      return withText({ ...(tool ? { tool } : {}), what: words, value: setting }, units, fine);
    });
}

/** Wheels put on, or levers set, for each thread; and the scratch that proves them. */
const gears = (planned: PlannedSetup): Unnumbered[] =>
  gearsOf(planned).map(({ name, wheels, error, nuts, gearing }) => ({
    what: `${name}: ${gearing.train ? `wheels ${wheels}` : wheels}, ${error}; ${nuts}; a scratch, and its pitch measured${gearing.toGet === undefined ? '' : `; the wheel of ${gearing.toGet} is to get`}`,
  }));

/** What is looked at before the first piece goes on: close lengths, and stops of which a wrong one spoils it. */
function proved({ pins, setup }: PlannedSetup): Unnumbered[] {
  const { units, shop } = setup.run;
  const close = pins.filter(({ fine, means }) => fine || means === 'measured');
  const wrong = pins.filter(({ spoils }) => spoils !== undefined);
  const dial = shop.machine.carriageDial;
  return [
    ...close.map(({ letter, setting, means, axis }): Unnumbered => ({
      what: `prove ${letter} on the first piece, ${meansWords(means, axis)}${dial && means === 'dial' ? `: ${sayDial(dialMove(setting, dial))}` : ''}`,
      value: setting,
    })),
    ...(wrong.length > 0
      ? [
          {
            what: `${wrong.map(({ letter }) => letter).join(', ')}: a wrong station or a spacer forgotten cuts into the work; the first piece by hand up to each`,
          },
        ]
      : []),
  ].map((step) => withText(step, units, true));
}

/** How the machine is set for a set-up, step by step: work, master tool, every other tool, stops, quill, what to prove. */
export function settingSheet(planned: PlannedSetup): SettingStep[] {
  const { workStop, setup } = planned;
  const { units } = setup.run;
  return [
    withText({ what: `${sayWorkStop(workStop)} to`, value: workStop.setting.value }, units),
    ...touchedOff(planned),
    ...carriageStops(planned),
    ...crossStops(planned),
    ...quillStops(planned),
    ...gears(planned),
    ...proved(planned),
  ].map((step, index) => ({ step: index + 1, ...step }));
}
