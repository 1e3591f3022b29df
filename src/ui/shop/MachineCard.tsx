'use client';
import { sayEntry, sayFigure } from '@/core/model/units/mark';
import type { Dial, Machine, Shop } from '@/core/model/shop/shop';
import type { UsedBy } from '@/core/ask/usedBy';
import type { FormField } from './FiguresForm';
import { freeId } from './freeId';
import { ListCard } from './ListCard';

const FIELDS: readonly FormField[] = [
  { key: 'name', label: 'Name', takes: 'text', needed: true },
  { key: 'swing', label: 'Swing over the slide', takes: 'length', needed: true },
  { key: 'betweenCentres', label: 'Between centres', takes: 'length', needed: true },
  { key: 'spindleBore', label: 'Spindle bore', takes: 'length', needed: true },
  { key: 'longestBar', label: 'Longest bar', takes: 'length' },
  { key: 'bushAt', label: 'Bush behind, from the jaws', takes: 'length' },
  { key: 'tubeUpTo', label: 'Tube for bars, up to', takes: 'length' },
  { key: 'tubeSpeed', label: 'Its most, rev/min', takes: 'number' },
  { key: 'quillTravel', label: 'Quill travel', takes: 'length', needed: true },
  { key: 'compoundTravel', label: 'Compound travel', takes: 'length' },
  { key: 'compoundAhead', label: 'Compound stands ahead', takes: 'length' },
  { key: 'motorKilowatts', label: 'Motor, kW', takes: 'number', needed: true },
  { key: 'pace', label: 'Pace', takes: ['careful', 'usual', 'brisk'] },
  { key: 'efficiency', label: 'Efficiency', takes: 'number', needed: true },
  { key: 'stations', label: 'Screws of the stop', takes: 'number', needed: true },
  { key: 'spacers', label: 'Spacers, mm', takes: 'numbers' },
  { key: 'feelers', label: 'Feelers, mm', takes: 'numbers' },
  { key: 'presets', label: 'Presets of the read-out', takes: 'number' },
  { key: 'indicator', label: 'Indicator as stop, travel', takes: 'length' },
  { key: 'crossStops', label: 'Stops of the cross-slide', takes: 'number' },
  { key: 'quillStops', label: 'Stops of the quill', takes: 'number' },
  { key: 'postKind', label: 'Tool post', takes: ['quick-change', 'turret'] },
  { key: 'postPlaces', label: 'Tools ready in it', takes: 'number', needed: true },
  { key: 'postStep', label: 'A step of it, °', takes: 'number' },
  { key: 'protractor', label: 'Protractor counts from', takes: ['axis', 'square'] },
  { key: 'readOut', label: 'Read-out', takes: ['diameter', 'radius', 'none'] },
  { key: 'crossDial', label: 'Cross dial: a turn, divisions', takes: 'numbers', counts: [2] },
  { key: 'carriageDial', label: 'Carriage dial: a turn, divisions', takes: 'numbers', counts: [2] },
  { key: 'compoundDial', label: 'Compound dial: a turn, divisions', takes: 'numbers', counts: [2] },
  { key: 'quillDial', label: 'Quill dial: a turn, divisions', takes: 'numbers', counts: [2] },
  { key: 'backlash', label: 'Play of the cross-slide', takes: 'length' },
  { key: 'trips', label: 'Feed trips at a stop', takes: 'yes' },
  { key: 'runsBack', label: 'Spindle runs back', takes: 'yes' },
  { key: 'leadscrewPitch', label: 'Leadscrew, pitch', takes: 'length' },
  { key: 'gears', label: 'Change gears, teeth', takes: 'numbers' },
  { key: 'pairs', label: 'Two in mesh: teeth at least, at most, past a shaft', takes: 'numbers', counts: [3] },
  { key: 'tumbler', label: 'Tumbler turns the leadscrew round', takes: 'yes' },
  { key: 'threadDial', label: 'Thread dial: teeth, lines', takes: 'numbers', counts: [2] },
  { key: 'box', label: 'Gearbox: pitch = levers; …', takes: 'text' },
  { key: 'feedLevers', label: 'Levers of each feed; …', takes: 'text' },
  { key: 'follow', label: 'Follow rest: from, up to, width', takes: 'numbers', counts: [3] },
  { key: 'fixed', label: 'Fixed rest: from, up to, width', takes: 'numbers', counts: [3] },
  {
    key: 'jaws',
    label: 'Jaws: from, up to, length, run-out, over all',
    takes: 'numbers',
    counts: [4, 5],
    needed: true,
  },
  {
    key: 'collets',
    label: 'Collets: from, up to, length, run-out, over all',
    takes: 'numbers',
    counts: [4, 5],
    needed: true,
  },
  { key: 'speeds', label: 'Speeds, rev/min', takes: 'numbers', needed: true },
  { key: 'feeds', label: 'Feeds, mm/rev', takes: 'numbers', needed: true },
];

const words = ({ swing, betweenCentres, spindleBore, speeds, stations }: Machine): string =>
  `swings ${sayFigure(swing)} mm, ${sayFigure(betweenCentres)} mm between centres, bore ${sayFigure(spindleBore)} mm · ${sayEntry(speeds[0] ?? '–')} to ${sayEntry(speeds.at(-1) ?? '–')} rev/min · ${stations} ${stations === 1 ? 'station' : 'stations'}`;

const listed = ({ from, upTo, length, runOut, over }: Machine['jaws']) => [
  from,
  upTo,
  length,
  runOut,
  ...(over === undefined ? [] : [over]),
];
const holdingOf = (value: unknown): Machine['jaws'] => {
  const [from = NaN, upTo = NaN, length = NaN, runOut = NaN, over] = value as number[];
  return { from, upTo, length, runOut, ...(over === undefined ? {} : { over }) };
};

const numbersOf = (dial: Dial | undefined) => dial && [dial.travel, dial.divisions];

/** A dial under its name; none where there are no numbers. */
const dialOf = (key: string, value: unknown) => {
  if (!Array.isArray(value)) return {};
  const [travel = NaN, divisions = NaN] = value as number[];
  return { [key]: { travel, divisions } };
};

/** What the form asks of a machine, each a field of its own. */
const valuesOf = ({
  post,
  leadscrew,
  crossDial,
  carriageDial,
  compoundDial,
  quillDial,
  rests,
  feedLevers,
  ...machine
}: Machine) => ({
  ...machine,
  jaws: listed(machine.jaws),
  collets: listed(machine.collets),
  // What stands nowhere is as usual, and is shown so.
  pace: machine.pace ?? 'usual',
  postKind: post?.kind ?? 'quick-change',
  postPlaces: post?.places,
  postStep: post?.step,
  crossDial: numbersOf(crossDial),
  carriageDial: numbersOf(carriageDial),
  compoundDial: numbersOf(compoundDial),
  quillDial: numbersOf(quillDial),
  leadscrewPitch: leadscrew?.pitch,
  ...Object.fromEntries((rests ?? []).map(({ kind, from, upTo, width }) => [kind, [from, upTo, width]])),
  gears: leadscrew?.gears,
  pairs: leadscrew?.pairs && [leadscrew.pairs.least, leadscrew.pairs.most, leadscrew.pairs.clear],
  tumbler: leadscrew?.tumbler,
  threadDial: leadscrew?.dial && [leadscrew.dial.wheel, leadscrew.dial.lines],
  box: leadscrew?.box?.map(({ pitch, levers }) => `${sayFigure(pitch)} = ${levers}`).join('; '),
  feedLevers: feedLevers?.join('; '),
});

/** What stands between semicolons. */
const parted = (text: unknown): string[] =>
  typeof text === 'string'
    ? text
        .split(';')
        .map((one) => one.trim())
        .filter((one) => one !== '')
    : [];

/** The leadscrew of what its fields say; none without its pitch. */
function leadscrewOf({ leadscrewPitch, gears, pairs, tumbler, threadDial, box }: Record<string, unknown>) {
  if (leadscrewPitch === undefined) return {};
  const [least, most, clear] = Array.isArray(pairs) ? (pairs as number[]) : [];
  const [wheel, lines] = Array.isArray(threadDial) ? (threadDial as number[]) : [];
  const rows = parted(box).map((row) => {
    const [pitch = '', levers = ''] = row.split('=');
    return { pitch: Number(pitch.trim().replace(',', '.')), levers: levers.trim() };
  });
  return {
    leadscrew: {
      pitch: leadscrewPitch,
      gears: gears ?? [],
      ...(least === undefined ? {} : { pairs: { least, most, clear } }),
      ...(tumbler === true ? { tumbler } : {}),
      ...(wheel === undefined ? {} : { dial: { wheel, lines } }),
      ...(rows.length > 0 ? { box: rows } : {}),
    },
  };
}

/** A rest of three numbers; none where there are none. */
const restOf = (kind: 'follow' | 'fixed', value: unknown) => {
  if (!Array.isArray(value)) return [];
  const [from = NaN, upTo = NaN, width = NaN] = value as number[];
  return [{ kind, from, upTo, width }];
};

/** And back. */
function machineOf({
  postKind,
  postPlaces,
  postStep,
  crossDial,
  carriageDial,
  compoundDial,
  quillDial,
  leadscrewPitch,
  gears,
  pairs,
  tumbler,
  threadDial,
  box,
  feedLevers,
  follow,
  fixed,
  ...values
}: Record<string, unknown>) {
  return {
    ...values,
    jaws: holdingOf(values['jaws']),
    collets: holdingOf(values['collets']),
    post: { kind: postKind, places: postPlaces, ...(postStep === undefined ? {} : { step: postStep }) },
    rests: [...restOf('follow', follow), ...restOf('fixed', fixed)],
    ...dialOf('crossDial', crossDial),
    ...dialOf('carriageDial', carriageDial),
    ...dialOf('compoundDial', compoundDial),
    ...dialOf('quillDial', quillDial),
    ...leadscrewOf({ leadscrewPitch, gears, pairs, tumbler, threadDial, box }),
    ...(parted(feedLevers).length > 0 ? { feedLevers: parted(feedLevers) } : {}),
  } as unknown as Machine;
}

/** The machines. Runs that name none are planned on the first. */
export function MachineCard({ shop, used, onChange }: { shop: Shop; used: UsedBy; onChange: (shop: Shop) => void }) {
  const { machines } = shop;
  return (
    <ListCard<Machine>
      id="machines"
      title="Machines"
      items={machines}
      name={({ name }) => name}
      words={(machine) => [
        words(machine),
        used.machines[machine.id] ? `used by ${used.machines[machine.id]?.join(', ')}` : 'no run is planned on it',
      ]}
      fields={FIELDS}
      values={valuesOf}
      made={(_, values) => machineOf(values)}
      another={{
        noun: 'machine',
        like: (machine) => ({ ...machine, id: freeId(machine.id, machines), name: `${machine.name}, another` }),
      }}
      onChange={(changed) => onChange({ ...shop, machines: changed })}
    />
  );
}
