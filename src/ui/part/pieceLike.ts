import type { PieceFile, RunFile } from '@/core/read/runFile';

/** A piece to begin with: as the part is, its steps plain; what differs is then changed. */
export const pieceLike = ({ part }: RunFile): PieceFile => ({
  form: 'piece',
  outside: part.outside.map((step) =>
    step.shape === 'cylinder' ? { shape: 'cylinder', diameter: step.diameter, length: step.length ?? '' } : { ...step },
  ),
  bores: [],
});
