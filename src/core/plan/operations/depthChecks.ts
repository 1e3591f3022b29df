import type { Size } from '../../model/part/size';
import type { Check } from '../../model/plan/operation';
import { say } from '../../model/words';
import type { Setup } from '../../model/plan/setup';

/** A depth that the drawing gives limits of its own is measured; others come with the stop. */
export const depthChecks = ({ deep }: { deep?: Size }, { run }: Setup): Check[] =>
  deep ? [{ what: `depth ${say(deep.nominal, run.units)}`, measures: 'length', size: deep }] : [];
