import type { Run } from '../../model/run';
import type { PlannedSetup } from '../times/planTimes';
import { chain } from './chain';
import type { Doubt, Look } from './doubt';
import { fineFit, thinWall, threadEnd, undercut } from './limits';
import { noOperation } from './noOperation';
import { sameSetup } from './sameSetup';

const looks: readonly Look[] = [noOperation, threadEnd, undercut, fineFit, thinWall, sameSetup, chain];

/** Everything that the plan cannot promise. */
export const doubtsOf = (run: Run, setups: readonly PlannedSetup[], made: ReadonlySet<string>): Doubt[] =>
  looks.flatMap((look) => look(run, setups, made));
