/** What one diameter is cut by: depths per side in the order they are taken, mm. */
export interface Division {
  rough: number[];
  finish: number[];
}

/** Limits of dividing, mm per side. */
export interface DivisionLimits {
  /** Deepest roughing pass. */
  deepest: number;
  /** The thinnest pass the roughing and the finishing edge take. */
  thinnestRough: number;
  thinnestFinish: number;
  /** Left for finishing. */
  finish: number;
  /** Whether the last two cuts are to be equal. */
  equalLastTwo: boolean;
}

const equal = (total: number, count: number): number[] => Array.from({ length: count }, () => total / count);

/**
 * Divides what is to come off one side into equal roughing passes and the finish (trade: Cutting). No pass is thinner than
 * its edge will cut: rather than that, a remainder goes into the finish.
 * @returns undefined when the whole is thinner than the finishing edge cuts
 */
export function dividePasses(perSide: number, limits: DivisionLimits): Division | undefined {
  const { deepest, thinnestRough, thinnestFinish, finish, equalLastTwo } = limits;
  if (perSide < thinnestFinish - 1e-9) return undefined;
  const forRoughing = perSide - finish;
  const roughs = forRoughing >= thinnestRough - 1e-9;
  const rough = roughs ? equal(forRoughing, Math.ceil(forRoughing / deepest - 1e-9)) : [];
  const rest = roughs ? finish : perSide;
  const two = equalLastTwo && rest / 2 >= thinnestFinish - 1e-9;
  return { rough, finish: equal(rest, two ? 2 : Math.max(1, Math.ceil(rest / deepest - 1e-9))) };
}
