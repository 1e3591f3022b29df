import { good, type Result } from '../model/result';
import type { CutList, Cuts } from './cutList';
import { cutsOf, firstWay, listedOf } from './listed';
import { possible } from './possible';

/**
 * What needs no search: a list that cannot be sawn, and one of bars all alike that first fit saws from as few as the
 * metal alone wants.
 * @returns undefined where a search may find better
 */
export function withoutSearch(list: CutList): Result<Cuts> | undefined {
  const able = possible(list);
  if (!able.ok) return able;
  const listed = listedOf(list);
  const { way } = firstWay(listed);
  const { alike, metal } = listed.bars;
  return alike && way?.opened === metal ? good(cutsOf(list, listed, way, metal)) : undefined;
}
