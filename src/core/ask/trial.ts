import { isCut, isStickOut, isTool, type CutWish, type Overrule } from '../model/overrule';

/** What is tried at an operation: how it cuts, with which tool of the list, and how far the work stands out, mm. */
export interface Trial {
  cut: CutWish;
  tool?: string;
  stickOut?: number;
}

/** An operation by its key, and the set-up that it is in. */
export interface Tile {
  key: string;
  setup: 1 | 2;
}

/** Whether an overrule decides what a trial would decide anew. */
export const isAbout =
  ({ key, setup }: Tile, { tool, stickOut }: Trial) =>
  (overrule: Overrule): boolean =>
    ((isCut(overrule) || (tool !== undefined && isTool(overrule))) && overrule.operation === key) ||
    (stickOut !== undefined && isStickOut(overrule) && overrule.setup === setup);

/** The overrules of a run with a trial kept, in place of what was decided of that before. */
export function withTrial(overrules: readonly Overrule[], tile: Tile, trial: Trial): Overrule[] {
  const { key, setup } = tile;
  const { cut, tool, stickOut } = trial;
  const about = isAbout(tile, trial);
  return [
    ...overrules.filter((overrule) => !about(overrule)),
    ...(tool === undefined ? [] : [{ operation: key, tool }]),
    ...(Object.keys(cut).length > 0 ? [{ operation: key, cut }] : []),
    ...(stickOut === undefined ? [] : [{ setup, stickOut }]),
  ];
}
