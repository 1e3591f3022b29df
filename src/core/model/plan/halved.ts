import type { Step } from '../part/part';
import type { Setup } from './setup';

/** The diameter that set-ups turn half from each side, with the last of either; undefined where none is. */
export function halved(setups: readonly Setup[]): { step: Step; first: Setup; second: Setup } | undefined {
  const [first, second] = [1, 2].map((side) => setups.findLast((setup) => setup.side === side));
  const step = first?.part.steps.find(({ path }) =>
    [first, second].every((setup) => setup?.turned.some((turned) => turned.path === path)),
  );
  return step && first && second ? { step, first, second } : undefined;
}
