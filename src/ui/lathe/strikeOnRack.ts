import type { LatheEvent } from '@/core/lathe/events';
import { actOn } from '../rack/api';

/**
 * What striking an event out does on the rack: a bar that it wrote off is brought back; the one that came on for it stays reserved.
 * @returns what stands in the way, in which case the event is not to be struck out
 */
export async function strikeOnRack(event: LatheEvent, run: number): Promise<string | undefined> {
  if (event.kind !== 'bar' || event.finished === undefined) return undefined;
  const back = await actOn(event.finished, { do: 'bring-back', run });
  return back.ok ? undefined : back.problems.map(({ message }) => message).join('; ');
}
