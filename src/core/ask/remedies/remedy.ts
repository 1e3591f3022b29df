import type { Problem } from '../../model/result';
import type { Shop } from '../../model/shop/shop';
import type { RunFile } from '../../read/runFile';

/** A change of the run that may make it possible: where in its file, to what, and in words. */
export interface Change {
  path: string;
  value: unknown;
  words: string;
}

/**
 * A way out of a refusal, tried before it is offered. A new one is one new file in `ask/remedies`, listed in its index, the
 * mildest first.
 */
export type RemedyKind = (file: RunFile, shop: Shop, problems: readonly Problem[]) => Change[];
