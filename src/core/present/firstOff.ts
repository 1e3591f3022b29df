import type { Plan } from '../plan/plan';
import { operationView } from './operation';

/** A size of the first piece, as it is looked for after the operation that makes it. */
export interface FirstOffSize {
  setup: number;
  /** Key, number and name of that operation. */
  key: string;
  operation: number;
  after: string;
  what: string;
  limits: string;
  /** Without one nothing in the list measures it. */
  gauge: string | undefined;
}

/** Every size that is measured on the first piece, in the order in which it comes to be (trade: Measuring). */
export const firstOffSizes = ({ setups }: Pick<Plan, 'setups'>): FirstOffSize[] =>
  setups.flatMap((planned) =>
    planned.operations.flatMap((operation) => {
      const { number, name, checks } = operationView(planned, operation);
      return checks
        .filter(({ again }) => !again)
        .map(({ what, limits, gauge }) => ({
          setup: planned.setup.number,
          key: operation.key,
          operation: number,
          after: name,
          what,
          limits,
          gauge,
        }));
    }),
  );
