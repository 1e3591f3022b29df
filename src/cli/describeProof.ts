import type { Run } from '@/core/model/run';
import { say } from '@/core/model/words';
import { sayFault } from '@/core/present/fault';
import type { Proof } from '@/core/plan/proof/faults';

/** Distances under this are told, mm. */
const NEAR = 2;

/** What a proof found, as lines of text. */
export function describeProof({ passed, faults, clearances, segments, worst }: Proof, { units }: Run): string[] {
  const near = clearances.filter(({ distance }) => distance < NEAR).sort((a, b) => a.distance - b.distance);
  return [
    passed ? 'Proved' : 'NOT PROVED: do not cut by this plan as it is',
    ...faults.map((fault) => `  ${sayFault(fault, units)}`),
    ...(worst
      ? [
          `  ${segments} diameters read off the finished piece; ${say(Number(worst.left.toFixed(3)), units)} to the nearest limit (${worst.path})`,
        ]
      : []),
    ...near.map(
      ({ operation, what, distance }) => `  ${operation}: ${say(Number(distance.toFixed(2)), units)} to the ${what}`,
    ),
  ];
}
