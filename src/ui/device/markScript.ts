import type { DecimalMark } from '@/core/model/deviceSettings';

/** Says to the page how its figures are written, before anything on it says one. */
export const markScript = (mark: DecimalMark): string => `globalThis.decimalMark=()=>'${mark === 'comma' ? ',' : '.'}'`;
