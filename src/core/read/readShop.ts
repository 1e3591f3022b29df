import type { Shop } from '../model/shop/shop';
import type { Result } from '../model/result';
import { checkShape } from './problems';
import { shopSchema } from './shopSchema';

/** Checks a shop that comes from outside: a database row, a file. */
export const readShop = (value: unknown): Result<Shop> => checkShape(shopSchema, value);
