/**
 * What of the parts in examples/parts is not as it is expected yet: refused, not proved, open, or otherwise than a machinist
 * would do it. It may only shrink: what comes fails in the test, and so does what is gone and still listed.
 */
export const NOT_YET: Record<string, string[]> = {
  '13-knob.awkward': ['before: knurl, turn-finish'],
  '13-knob.usual': ['before: knurl, turn-finish'],
  '15-toggle.awkward': ['holdings: 3'],
  // Its thread ends so near to its head that only the head can be held for the other side: the outlet comes first.
  '21-jet.awkward': ['before: part.bores[0], part.bores[2]', 'before: part.bores[1], part.bores[2]'],
  '14-idler.small': ['not true enough: part.runout[0]'],
  '16-pulley.awkward': ['together: part.details[0], part.bores[1]'],
};
