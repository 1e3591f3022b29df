import { FINISHING, type Rule } from './rule';

export const knurlEarly: Rule = {
  id: 'KNURL-EARLY',
  strength: 'S',
  first: ['knurl'],
  then: [...FINISHING, 'chamfer'],
  before: (before, after, { part }) => {
    const step = part.steps.find(({ zFrom, zTo }) => zFrom <= before.from + 1e-6 && zTo >= before.to - 1e-6);
    if (FINISHING.includes(after.kind) && after.feature !== step?.path)
      return 'A knurl wants force and pushes metal out: before its neighbours are finished.';
    const edge = after.kind === 'chamfer' && step && after.from >= step.zFrom - 1e-6 && after.to <= step.zTo + 1e-6;
    return edge ? 'The edges of a knurl are broken when it is there: they take off what it pushed out.' : undefined;
  },
};
