import { KEPT_MARK, sayKept } from '@/core/model/units/mark';

/** Has a process say its figures for any device: what it makes is kept, and read by many. */
export const sayForAll = (): void => void (globalThis.decimalMark = () => KEPT_MARK);

/** Reads what such a process kept, its figures as the device that asks wants them. */
export const readKept = <Kept>(text: string): Kept => JSON.parse(sayKept(text)) as Kept;
