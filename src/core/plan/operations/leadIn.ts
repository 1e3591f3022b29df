import { CLOSE } from '../../model/tolerances';
import { tapDrill } from '../../model/part/thread';
import type { Feature } from '../../model/part/feature';
import type { Tool } from '../../model/shop/shop';
import { good } from '../../model/result';
import { say } from '../../model/words';
import { BY_HAND, type Operation, type OperationKind } from '../../model/plan/operation';
import { goesThrough } from '../reach/reached';
import type { Setup } from '../../model/plan/setup';

/** A lead-in stands at 45°, degrees included. */
const INCLUDED = 90;

const sinkFor = ({ run }: Setup, wide: number): Tool | undefined =>
  run.shop.tools.find(
    ({ does, point = 0, diameter = 0 }) =>
      does.includes('lead-in') && Math.abs(point - INCLUDED) < CLOSE && diameter >= wide - CLOSE,
  );

/** What opens a hole at its mouth on the drawing: a cone, or a wider hole in front of it. */
const OPENS = ['countersink', 'conical-bore', 'bore', 'counterbore'];

const isOpened = ({ path, thread }: Feature, { part }: Setup): boolean =>
  part.features.some((other) => other.path !== path && other.z0 < CLOSE && OPENS.includes(other.kind)) ||
  part.holes.some(({ from, diameter }) => from === 'front' && diameter.nominal > (thread?.diameter ?? 0));

/** The lead-in of a tapped hole: one pitch at 45°, so that the tap starts straight and raises no burr (trade: Cutting). */
function leadInto({ feature: path }: Operation, setup: Setup): Operation[] {
  const { part, run } = setup;
  const feature = part.features.find((made) => made.path === path);
  if (!feature?.thread || feature.z0 > CLOSE || isOpened(feature, setup)) return [];
  const { pitch, designation } = feature.thread;
  const core = tapDrill(feature.thread) / 2;
  const tool = sinkFor(setup, 2 * (core + pitch));
  // From the other end nobody gets at the mouth behind, and it is told among the edges.
  const isMine = feature.from === 'front' || goesThrough(feature, part);
  if (!tool || !isMine) return [];
  return [
    {
      ...BY_HAND,
      key: `lead-in:${path}`,
      kind: 'lead-in',
      feature: path,
      name: `Lead-in for ${designation}`,
      tool,
      from: 0,
      to: pitch,
      diameter: 2 * (core + pitch),
      does: [`One pitch, ${say(Number(pitch.toFixed(3)), run.units)} at 45°, though the drawing is silent.`],
      breaks: [{ z: 0, r: core, inside: true, turns: 90 }],
    },
  ];
}

/** Sink the mouth of a hole before it is tapped, where nothing on the drawing opens it. */
export const leadIn: OperationKind = {
  kind: 'lead-in',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  byHand: 'turning',
  mayBeLeft: () => true,
  demand: (setup, others) =>
    good(others.filter(({ kind }) => kind === 'tap' || kind === 'hand-tap').flatMap((tap) => leadInto(tap, setup))),
  cut: ({ diameter = 0 }, _work, { run }) =>
    good({ diameter, passes: [], byHand: [{ name: 'sink the mouth', minutes: run.shop.handMinutes.deburrEdge }] }),
  cautions: [],
};
