import { sayPpm, type Gearing } from '../model/plan/gearing';
import { formatLength } from '../model/units/length';
import type { PlannedSetup } from '../plan/times/planTimes';

/** What drives a thread, as every surface says it. */
export interface GearsView {
  operation: number;
  name: string;
  gearing: Gearing;
  /** `20, idler 25, 40` from the spindle on, or how the levers stand. */
  wheels: string;
  /** `exact`, or how far it is off in itself and over the thread. */
  error: string;
  nuts: string;
}

/** Wheels from the spindle to the leadscrew; what shares a stud is joined by a plus. */
export function sayWheels({ train, levers }: Gearing): string {
  if (!train) return `gearbox ${levers ?? ''}`;
  const [first = 0, second] = train.drivers;
  const [onto = 0, last] = train.driven;
  const stud = second === undefined ? `${onto}` : `${onto} + ${second} on one stud`;
  return [
    `${first}`,
    ...train.idlers.map((teeth) => `idler ${teeth}`),
    stud,
    ...(last === undefined ? [] : [`${last}`]),
  ].join(', ');
}

const nth = (n: number): string => `${n}${n === 2 ? 'nd' : n === 3 ? 'rd' : 'th'}`;

/** What the half-nuts do between the passes of a thread. */
export function sayNuts({ nuts }: Gearing): string {
  if (nuts.open === 'anywhere') return 'half-nuts out after each pass, in again anywhere';
  if (nuts.open === 'never') return 'half-nuts stay shut, the spindle runs back';
  const marks = nuts.same
    ? 'always at the same mark'
    : nuts.every === 1
      ? 'at any mark'
      : `at every ${nth(nuts.every)} mark`;
  return `half-nuts out after each pass, in again ${marks} of the thread dial`;
}

/** How far a pitch is off: `exact`, or ppm and over the length of the thread. */
function sayError({ error, over }: Gearing, units: PlannedSetup['setup']['run']['units']): string {
  const off = sayPpm(error);
  return off === 'exact' ? off : `${off}, ${over > 0 ? '+' : ''}${formatLength(over, units, true)} over the thread`;
}

/** What drives the threads of a set-up, one after the other. */
export const gearsOf = ({ operations, setup }: PlannedSetup): GearsView[] =>
  operations.flatMap(({ number, name, gearing }) =>
    gearing
      ? [
          {
            operation: number,
            name,
            gearing,
            wheels: sayWheels(gearing),
            error: sayError(gearing, setup.run.units),
            nuts: sayNuts(gearing),
          },
        ]
      : [],
  );
