import type { RemedyKind } from './remedy';

/** What the run itself fixes is left to the planner. */
export const leaveOpen: RemedyKind = ({ way, firstEnd, stock, allowances, overrules }) => [
  ...(way && way !== 'choose'
    ? [{ path: 'way', value: 'choose', words: 'Leave the way open: from the bar or sawn' }]
    : []),
  ...(firstEnd && firstEnd !== 'choose'
    ? [{ path: 'firstEnd', value: 'choose', words: 'Leave open which end is worked first' }]
    : []),
  ...(Object.keys(allowances ?? {}).length > 0
    ? [{ path: 'allowances', value: {}, words: 'Take the allowances of the shop' }]
    : []),
  ...(stock && stock !== 'choose' ? [{ path: 'stock', value: 'choose', words: 'Leave the stock open' }] : []),
  ...((overrules ?? []).length > 0
    ? [{ path: 'overrules', value: [], words: 'Give up what was decided against the planner' }]
    : []),
];
