import type { Problem } from '../model/result';
import type { Refusal } from '../ask/refusal';
import { rounded } from '../plan/written';

/** Why a run has no plan, as data: `shingle-refusal/1` (docs/run-file.md). */
export const refusalFileOf = ({ problems, tried, remedies }: Refusal) => ({
  format: 'shingle-refusal/1' as const,
  problems: problems.map(({ path, message }: Problem) => ({ path, message })),
  tried,
  remedies: remedies.map(({ path, value, words, pieceMinutes }) => ({
    path,
    value,
    words,
    pieceMinutes: rounded(pieceMinutes),
  })),
});
