import type { Plan } from '../plan/plan';

/** What minutes are of: how far they may be off goes by it. */
export type ElementKind = 'cutting' | 'hand' | 'setup';

/** Everything of one name in a batch, in minutes over all of it, with the allowance where it gets one. */
export interface BatchElement {
  name: string;
  kind: ElementKind;
  minutes: number;
}

/** Hand elements that differ only by what they are about are estimated alike: caliper, read-out, swarf. */
const plainName = (name: string): string =>
  name.replace(/^(caliper|.*gauge|.*micrometer): .*/, '$1').replace(/ (\d+ [×x]|[\d.]+ cm³)| ?, \d+ ×/g, '');

/**
 * A batch taken apart into its elements (trade: Time): each minute of it is in one of them, so that they add up to the
 * time for the batch.
 */
export function elementsOf({ run, times, setups, outside, stock }: Plan): BatchElement[] {
  const all = new Map<string, BatchElement>();
  const add = (name: string, kind: ElementKind, minutes: number) => {
    if (minutes <= 0) return;
    const plain = plainName(name);
    const element = all.get(`${kind} ${plain}`) ?? { name: plain, kind, minutes: 0 };
    all.set(`${kind} ${plain}`, { ...element, minutes: element.minutes + minutes });
  };
  const pieces = run.quantity * (1 + run.shop.timeAllowance);
  for (const { operations, loading, setting } of setups) {
    for (const { cutting, hand, name } of operations) {
      add(name, 'cutting', pieces * cutting.value);
      for (const term of hand.terms) add(term.name, 'hand', pieces * term.value);
    }
    for (const term of loading.terms) add(term.name, 'hand', pieces * term.value);
    for (const term of setting.terms) add(term.name.replace(/^\d+ /, ''), 'setup', term.value);
  }
  for (const { name, setup, piece } of outside) {
    add(name, 'hand', pieces * piece.value);
    add(name, 'setup', setup.value);
  }
  add('inspect the first-off', 'setup', times.firstOff.value);
  const first = setups[0];
  if (stock.blade && first) add('load and true a bar', 'hand', stock.bars.value * first.setup.holding.load);
  return [...all.values()].sort((a, b) => b.minutes - a.minutes);
}
