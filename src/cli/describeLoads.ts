import type { PassLoad } from '@/core/model/plan/passLoad';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';

/** A column: its head, its unit, how wide, and how many places of what it shows. */
interface Column {
  head: string;
  unit: string;
  wide: number;
  places: number;
  of(load: PassLoad): number | undefined;
}

const COLUMNS: readonly Column[] = [
  { head: 'force', unit: 'N', wide: 8, places: 0, of: ({ force }) => force?.value },
  { head: 'torque', unit: 'N·m', wide: 8, places: 2, of: ({ torque }) => torque?.value },
  { head: 'power', unit: 'kW', wide: 8, places: 3, of: ({ power }) => power.value },
  { head: 'deflection', unit: 'mm', wide: 11, places: 4, of: ({ bends }) => bends?.value },
  { head: 'Ra', unit: 'µm', wide: 7, places: 2, of: ({ roughness }) => roughness?.value },
];
const NAME = 36;

/** The pass of an operation that asks for most. */
const heaviest = ({ passes }: TimedOperation) =>
  passes.reduce<TimedOperation['passes'][number] | undefined>(
    (most, pass) => (pass.load && pass.load.power.value > (most?.load?.power.value ?? -1) ? pass : most),
    undefined,
  );

function rowOf(operation: TimedOperation): string[] {
  const pass = heaviest(operation);
  if (!pass?.load) return [];
  const { load, limitedBy } = pass;
  const cells = COLUMNS.map(({ wide, places, of }) => (of(load)?.toFixed(places) ?? '').padStart(wide));
  const name = `  ${operation.number} ${operation.name}`.padEnd(NAME);
  return [`${name}${cells.join('')}  ${(load.chip ?? '').padEnd(7)} ${limitedBy}`];
}

/** What the heaviest cut of each operation asks for, and what keeps it from being deeper, as a table for people. */
export function describeLoads(setups: readonly PlannedSetup[]): string[] {
  const head = (pick: (column: Column) => string) =>
    COLUMNS.map((column) => pick(column).padStart(column.wide)).join('');
  return [
    '',
    `${'Heaviest cuts'.padEnd(NAME)}${head(({ head: text }) => text)}  chip    held by`,
    `${''.padEnd(NAME)}${head(({ unit }) => unit)}`,
    ...setups.flatMap(({ operations }) => operations.flatMap(rowOf)),
  ];
}
