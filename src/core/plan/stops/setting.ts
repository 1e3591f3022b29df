import type { Figure } from '../../model/figure';
import type { Operation } from '../../model/plan/operation';

/** The setting of an operation's own edge; work by hand has none. */
export const settingOf = ({ stop }: Pick<Operation, 'stop'>): Figure => {
  const first = stop.settings[0];
  if (!first) throw new Error('an operation without a stop');
  return first.setting;
};
