import { lengths, numbers, table, type FigureGroup } from '../figureGroup';
import type { Shop } from '../shop';

/** Lengths left on, lost or kept clear. */
export const leftOn = (shop: Shop): FigureGroup[] => [
  {
    of: 'allowances',
    title: 'Lengths left on, lost, or kept clear',
    hint: 'mm',
    figures: [
      ...lengths({
        facingSawn: 'Facing a sawn end',
        facingParted: 'Facing a parted end',
        firstEnd: 'First end of a fresh bar',
        kerf: 'Saw kerf',
        offcutFrom: 'Offcut worth keeping, from',
        centreEndLeast: 'Centre end, at least',
        gripRemnantLeast: 'Grip remnant, at least',
        jawClearance: 'Blade to jaws',
        handClear: 'Hand to jaws',
        partIn: 'Parted in deeper than the edge',
        toolClearance: 'Tool to jaws',
        tipShort: 'Drill short of a flat bottom',
        closest: 'Nearer than this is warned of',
        chuckLength: 'Chuck and jaws, long',
        drillHolder: 'Drill chuck, long',
        breakthrough: 'Drill through by',
        bladeSpare: 'Blade longer than needed',
        bladeWithin: 'Blade from its listed width',
        finishPerSide: 'Finish allowance, a side',
        shoulder: 'Roughing short of a shoulder',
        centreClear: 'A tool clear of a centre, or of a wall behind it, by',
        orderStep: 'Bars to order, in steps of',
        approach: 'Approach',
        overrun: 'Overrun',
      }),
      ...numbers({
        gripRemnantTimes: 'Grip remnant, × diameter',
      }),
    ],
  },
  {
    of: 'allowances.skin',
    title: 'Skin of a bar',
    hint: 'mm a side, by condition',
    figures: table(Object.keys(shop.allowances.skin)),
  },
  {
    of: 'allowances.roundFigure',
    title: 'Round figures',
    hint: 'mm that a diameter which is left open is rounded to, drawn in mm or in inches',
    figures: table(Object.keys(shop.allowances.roundFigure)),
  },
];

/** What stands round an edge and round the work. */
export const bodies: FigureGroup[] = [
  {
    of: 'bodies',
    title: 'How large tools and holders are',
    hint: 'for the proof that nothing meets, where they do not say so themselves',
    figures: [
      ...lengths({
        edge: 'Edge of a turning tool',
        shank: 'Shank, wide',
        post: 'Shank and post, out from the edge',
        drillChuck: 'Drill chuck, ⌀',
        centre: 'Body of a centre, ⌀',
        dieHolder: 'Die holder, ⌀',
        chuck: 'Chuck, ⌀',
        jawStep: 'First step of a jaw, long',
        jawHeight: 'First step of a jaw, over what it grips',
        rest: 'Rest, ⌀ over all',
        catcherPlay: 'Rod that catches a ring, ⌀ under the bore by',
        wheel: 'Knurling wheel or die, wide',
        reamerLead: 'A reamer takes, a side, at most',
        stop: 'Spindle stop, ⌀',
        stopBore: 'Hole in the spindle stop, ⌀',
        barEnd: 'End of a boring bar, behind its edge',
      }),
      ...numbers({ trail: 'Rises behind its tip by, °', flutes: 'Flute where none is given, × diameter' }),
    ],
  },
];
