import type { Stock } from '../../model/plan/stock';
import type { Feature } from '../../model/part/feature';
import type { Chamfer, Part, Step } from '../../model/part/part';
import type { Turned } from '../../model/plan/setup';
import { CLOSE } from '../../model/tolerances';

/** A feature of the bore or of a face that a tool enters from the face of the view; one that goes in at the other end is not. */
const opensHere = ({ bore, inFace, from, z0 }: Feature): boolean =>
  (bore !== undefined || inFace !== undefined) && (from ? from === 'front' : z0 < CLOSE);

/** Whether a bore goes right through. */
export const goesThrough = ({ z0, z1 }: Feature, { length }: Part): boolean => z0 < CLOSE && z1 > length - CLOSE;

/** What a set-up has to do with the steps of its view. */
export interface Reach {
  /** The steps that it turns, how far, and those that the bar brought (paths). */
  turned: readonly Turned[];
  asDrawn: readonly string[];
  /** Where the jaws begin. */
  jaws: number;
}

/** A flank that falls towards the chuck wants room behind it: a tool comes out where the next step is turned too. */
function hasRoomBehind({ outside = [], z1 }: Feature, { steps }: Part, turned: readonly Turned[]): boolean {
  const [first, last] = [outside[0], outside.at(-1)];
  if (!first || !last || last.r1 >= first.r0 - CLOSE) return true;
  return steps.some(({ path, zFrom }) => Math.abs(zFrom - z1) < CLOSE && turned.some((one) => one.path === path));
}

/**
 * Features that a set-up gets at: what opens in its face, and what lies on the steps that it turns, or that the bar
 * brought, before its jaws. z of the view.
 */
export function reachedFeatures(view: Part, { turned, asDrawn, jaws }: Reach): string[] {
  return view.features
    .filter((feature) => {
      if (feature.bore || feature.inFace) return opensHere(feature);
      if (asDrawn.includes(feature.path) && !feature.flats) return false;
      if (feature.z1 > jaws + CLOSE || !hasRoomBehind(feature, view, turned)) return false;
      const under = view.steps.filter(({ zFrom, zTo }) => zFrom < feature.z1 - CLOSE && zTo > feature.z0 + CLOSE);
      // Of a step that is turned half from each side, only the half that is turned here.
      const isTurned = ({ path, zTo }: Step) => turned.some((one) => one.path === path && one.to >= zTo - CLOSE);
      return under.length > 0 && under.every((step) => isTurned(step) || asDrawn.includes(step.path));
    })
    .map(({ path }) => path);
}

/** Features that some operation makes. */
export function madeFeatures(part: Part, operations: readonly { makes?: string[] }[]): Feature[] {
  const done = new Set(operations.flatMap(({ makes = [] }) => makes));
  return part.features.filter(({ path }) => done.has(path));
}

/** Chamfers of plain steps that some operation cuts. */
export const madeChamfers = ({ chamfers }: Part, operations: readonly { feature: string }[]): Chamfer[] =>
  chamfers.filter(({ path }) => operations.some(({ feature }) => feature === path));

/** Features that are there without any tool: flats that the bar brings with it, the bore of a tube, what is cut into a piece. */
export const bringsWithIt = ({ features }: Part, { form, asDrawn }: Pick<Stock, 'form' | 'asDrawn'>): Feature[] =>
  features.filter(
    ({ kind, bore, path }) => (kind === form || form === 'piece' || bore !== undefined) && asDrawn.includes(path),
  );
