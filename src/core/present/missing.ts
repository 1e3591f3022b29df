import type { Plan } from '../plan/plan';

/** What the drawing asks for and no operation makes: a plan with any of it is incomplete, and says so at its head. */
export const missingFrom = ({ doubts }: Pick<Plan, 'doubts'>): { path: string; because: string }[] =>
  doubts.filter(({ rule }) => rule === 'NO-OPERATION').map(({ path, because }) => ({ path, because }));
