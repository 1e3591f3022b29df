import { isAdd, keyOfAdded } from '../../model/overrule';
import { good } from '../../model/result';
import { BY_HAND, type OperationKind } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { toolFor } from './tools';

const addedTo = ({ run, end }: Setup) => run.overrules.filter(isAdd).filter(({ add }) => add.end === end);

/** Work that whoever plans adds in their own words: by hand, with the minutes that they say. */
export const ownWork: OperationKind = {
  kind: 'by-hand',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  byHand: 'stopped',
  demand(setup) {
    const added = addedTo(setup);
    if (added.length === 0) return good([]);
    const tool = toolFor(setup, 'by-hand', 'overrules');
    if (!tool.ok) return tool;
    return good(
      added.map(({ add }) => ({
        ...BY_HAND,
        key: keyOfAdded(add),
        kind: 'by-hand',
        feature: 'part',
        name: add.name,
        tool: tool.value,
        from: 0,
        to: setup.part.length,
      })),
    );
  },
  cut({ key }, _, setup) {
    const work = addedTo(setup).find(({ add }) => keyOfAdded(add) === key)?.add;
    return good({ diameter: 0, passes: [], byHand: work ? [{ name: work.name, minutes: work.minutes }] : [] });
  },
  cautions: [
    {
      kind: 'danger',
      text: 'By hand at the lathe: the spindle stopped and out of gear, unless the work itself says otherwise.',
    },
  ],
};
