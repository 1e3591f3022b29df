import { sum, term, type Figure } from '../figure';
import type { Feature } from '../part/feature';
import { finishedPart } from '../removal/finishedPart';
import { largestRadius } from '../removal/profile';
import type { Run } from '../run';
import { say, type Caution, type Reason } from '../words';

/** Work on another machine, after the last set-up on this one (handbook 13): its time, and what to set there. */
export interface OutsideOp {
  key: string;
  kind: 'outside-op';
  /** Path of the feature that it makes. */
  feature: string;
  name: string;
  /** Minutes: set up once, and for each piece. */
  setup: Figure;
  piece: Figure;
  notes: string[];
  reasons: Reason[];
  cautions: Caution[];
}

function milled(own: Feature, run: Run): OutsideOp[] {
  const { flats, path, name, z0, z1 } = own;
  if (!flats) return [];
  const { outside } = run.shop;
  const radius = largestRadius(finishedPart(run.part).outside, z0 + 1e-6, z1 - 1e-6);
  const depth = Number((radius - flats.fromAxis).toFixed(3));
  const indexing = flats.count > 1 ? `${flats.count} flats, indexed by ${360 / flats.count}°; ` : '';
  return [
    {
      key: `outside-op:${path}`,
      kind: 'outside-op',
      feature: path,
      name: `Mill ${name}`,
      setup: sum('setting up the mill', 'min', [
        term('s', 'vice or dividing head, cutter', outside.millSetup, 'min', 'start value'),
      ]),
      piece: sum('milling', 'min', [
        term('l', 'in and out', outside.load, 'min', 'start value'),
        term('f', `${flats.count} × a flat`, flats.count * outside.millFlat, 'min', 'start value'),
      ]),
      notes: [
        `${indexing}${say(depth, run.units)} deep from the round, ${say(Number((z1 - z0).toFixed(3)), run.units)} long.`,
      ],
      reasons: [{ rule: 'OUTSIDE', because: 'No turning tool makes a flat, and the bar does not bring it.' }],
      cautions: [
        {
          kind: 'danger',
          text: 'The mill’s manual and the shop’s rules come first: guard on, work clamped, cutter stopped before measuring.',
        },
        {
          kind: 'mistake',
          text: 'Clamp where nothing is marked: soft jaws, and not on a thread, a knurl or a finished fit.',
        },
      ],
    },
  ];
}

/** Flats that neither the bar brings nor anything on the lathe makes, in the order of the drawing. */
export const outsideOps = (run: Run, made: ReadonlySet<string>): OutsideOp[] =>
  run.part.features.filter(({ path }) => !made.has(path)).flatMap((own) => milled(own, run));
