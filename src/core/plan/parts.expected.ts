/**
 * What an experienced machinist would expect of the plans of parts that small shops really make (examples/parts), three of
 * each kind: as data, written from practice before any of them was planned.
 */
export interface PartExpected {
  /** In a sentence. */
  expect: string;
  /** Holdings, at least and at most. */
  holdings?: [number, number];
  /** Made in one holding: paths of the drawing. */
  together?: string[][];
  /** What comes before what: paths of the drawing, or kinds of operation. */
  before?: [string, string][];
  /** One of these holds the work in one of its set-ups. */
  by?: string[];
  /** Surfaces that no hard jaws touch once they are made (paths). */
  notOn?: string[];
  /** Something is cut under a centre. */
  centred?: boolean;
  /** Kinds of operation that are there, one of which is there, and that are not. */
  kinds?: string[];
  kindsAny?: string[];
  never?: string[];
}

export const PARTS: Record<string, PartExpected> = {
  '01-rod-to-length.awkward': {
    expect:
      'The drawn skin stays; a short hold is no reason to refuse; both ends faced, the first cut light, measured.',
    holdings: [1, 2],
    kinds: ['face'],
    never: ['turn-rough'],
  },
  '01-rod-to-length.small': {
    expect:
      'The drawn skin stays; a short hold is no reason to refuse; both ends faced, the first cut light, measured.',
    holdings: [1, 2],
    kinds: ['face'],
    never: ['turn-rough'],
  },
  '01-rod-to-length.usual': {
    expect:
      'The drawn skin stays; a short hold is no reason to refuse; both ends faced, the first cut light, measured.',
    holdings: [1, 2],
    kinds: ['face'],
    never: ['turn-rough'],
  },
  '02-spacer.awkward': {
    expect: 'One holding from the bar, the thin one too; the inner back edge by a turned-back bar or by hand.',
    holdings: [1, 1],
  },
  '02-spacer.small': {
    expect: 'One holding from the bar, the thin one too; the inner back edge by a turned-back bar or by hand.',
    holdings: [1, 1],
  },
  '02-spacer.usual': {
    expect: 'One holding from the bar, the thin one too; the inner back edge by a turned-back bar or by hand.',
    holdings: [1, 1],
  },
  '03-acetal-washer.awkward': {
    expect: 'One holding: part in, chamfer behind, part off over a catcher; or a mandrel, whichever is less.',
    holdings: [1, 2],
  },
  '03-acetal-washer.small': {
    expect: 'One holding: part in, chamfer behind, part off over a catcher; or a mandrel, whichever is less.',
    holdings: [1, 2],
  },
  '03-acetal-washer.usual': {
    expect: 'One holding: part in, chamfer behind, part off over a catcher; or a mandrel, whichever is less.',
    holdings: [1, 2],
  },
  '04-disc.awkward': {
    expect: 'Stepped soft jaws or a mandrel; both faces tied by run-out.',
    holdings: [2, 3],
    by: ['soft-jaws', 'mandrel', '4-jaw'],
  },
  '04-disc.small': {
    expect: 'Stepped soft jaws or a mandrel; both faces tied by run-out.',
    holdings: [2, 3],
    by: ['soft-jaws', 'mandrel', '4-jaw'],
  },
  '04-disc.usual': {
    expect: 'Stepped soft jaws or a mandrel; both faces tied by run-out.',
    holdings: [2, 3],
    by: ['soft-jaws', 'mandrel', '4-jaw'],
  },
  '05-flange-with-spigot.awkward': {
    expect: 'The large end is held, or bar is left at one end; never refused for want of hold.',
    holdings: [1, 3],
  },
  '05-flange-with-spigot.small': {
    expect: 'The large end is held, or bar is left at one end; never refused for want of hold.',
    holdings: [1, 3],
  },
  '05-flange-with-spigot.usual': {
    expect: 'The large end is held, or bar is left at one end; never refused for want of hold.',
    holdings: [1, 3],
  },
  '06-flanged-bush.awkward': {
    expect: 'Bore and outside in one holding; reamed after drilling (or boring); the flange behind.',
    together: [['part.outside[0]', 'part.bores[1]']],
    before: [['part.bores[0]', 'part.bores[1]']],
    holdings: [1, 2],
  },
  '06-flanged-bush.small': {
    expect: 'Bore and outside in one holding; reamed after drilling (or boring); the flange behind.',
    together: [['part.outside[0]', 'part.bores[1]']],
    before: [['part.bores[0]', 'part.bores[1]']],
    holdings: [1, 2],
  },
  '06-flanged-bush.usual': {
    expect: 'Bore and outside in one holding; reamed after drilling (or boring); the flange behind.',
    together: [['part.outside[0]', 'part.bores[1]']],
    before: [['part.bores[0]', 'part.bores[1]']],
    holdings: [1, 2],
  },
  '07-odd-ream.awkward': {
    expect: 'The reamer is a line to get, or the hole is bored to size; what is less is taken, and the price told.',
    kindsAny: ['ream', 'bore'],
  },
  '07-odd-ream.small': {
    expect: 'The reamer is a line to get, or the hole is bored to size; what is less is taken, and the price told.',
    kindsAny: ['ream', 'bore'],
  },
  '07-odd-ream.usual': {
    expect: 'The reamer is a line to get, or the hole is bored to size; what is less is taken, and the price told.',
    kindsAny: ['ream', 'bore'],
  },
  '08-three-step-pin.awkward': {
    expect: 'A shoulder is the datum; a lead chamfer before the thread; the second side on a finished diameter.',
    holdings: [2, 3],
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]'],
  },
  '08-three-step-pin.small': {
    expect: 'A shoulder is the datum; a lead chamfer before the thread; the second side on a finished diameter.',
    holdings: [2, 3],
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]'],
  },
  '08-three-step-pin.usual': {
    expect: 'A shoulder is the datum; a lead chamfer before the thread; the second side on a finished diameter.',
    holdings: [2, 3],
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]'],
  },
  '09-slender-screw.awkward': {
    expect:
      'A centre end is left and turned below the core beyond the thread, faced off last; knurl early; relief before the thread.',
    centred: true,
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '09-slender-screw.small': {
    expect:
      'A centre end is left and turned below the core beyond the thread, faced off last; knurl early; relief before the thread.',
    centred: true,
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '09-slender-screw.usual': {
    expect:
      'A centre end is left and turned below the core beyond the thread, faced off last; knurl early; relief before the thread.',
    centred: true,
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '10-two-thread-stud.awkward': {
    expect: 'No jaw on a thread: a threaded holder, a collet or the plain middle.',
    holdings: [2, 3],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '10-two-thread-stud.small': {
    expect: 'No jaw on a thread: a threaded holder, a collet or the plain middle.',
    holdings: [2, 3],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '10-two-thread-stud.usual': {
    expect: 'No jaw on a thread: a threaded holder, a collet or the plain middle.',
    holdings: [2, 3],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '11-hexagon-nut.awkward': {
    expect: 'The hexagon stays as drawn; its edges at 30°; the back held by the flats.',
    holdings: [2, 3],
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]'],
  },
  '11-hexagon-nut.small': {
    expect: 'The hexagon stays as drawn; its edges at 30°; the back held by the flats.',
    holdings: [1, 2],
    never: ['turn-rough'],
  },
  '11-hexagon-nut.usual': {
    expect: 'The hexagon stays as drawn; its edges at 30°; the back held by the flats.',
    holdings: [1, 2],
    never: ['turn-rough'],
  },
  '12-forged-blank.awkward': {
    expect: 'Planned from the piece as it arrives: light and interrupted until round; only what differs is made.',
    holdings: [1, 2],
  },
  '12-forged-blank.small': {
    expect: 'Planned from the piece as it arrives: light and interrupted until round; only what differs is made.',
    holdings: [1, 2],
  },
  '12-forged-blank.usual': {
    expect: 'Planned from the piece as it arrives: light and interrupted until round; only what differs is made.',
    holdings: [1, 2],
  },
  '13-knob.awkward': {
    expect: 'The knurl early, bands tracked; the second side over the knurl in a sleeve, or one holding.',
    holdings: [1, 3],
    before: [['knurl', 'turn-finish']],
    notOn: ['part.details[1]'],
  },
  '13-knob.small': {
    expect: 'The knurl early, bands tracked; the second side over the knurl in a sleeve, or one holding.',
    holdings: [1, 3],
    before: [['knurl', 'turn-finish']],
    notOn: ['part.details[1]'],
  },
  '13-knob.usual': {
    expect: 'The knurl early, bands tracked; the second side over the knurl in a sleeve, or one holding.',
    holdings: [1, 3],
    before: [['knurl', 'turn-finish']],
    notOn: ['part.details[1]'],
  },
  '14-idler.awkward': {
    expect: 'Between centres or held on the thick middle; the knurl under support.',
    notOn: ['part.details[2]'],
    holdings: [2, 4],
  },
  '14-idler.small': {
    expect: 'Between centres or held on the thick middle; the knurl under support.',
    notOn: ['part.details[2]'],
    holdings: [2, 4],
  },
  '14-idler.usual': {
    expect: 'Between centres or held on the thick middle; the knurl under support.',
    notOn: ['part.details[2]'],
    holdings: [2, 4],
  },
  '15-toggle.awkward': {
    expect:
      "Held across the grooves by a sleeve or collet, or in one holding; the grooves' stops told by the tool's own edge.",
    holdings: [1, 2],
  },
  '15-toggle.small': {
    expect:
      "Held across the grooves by a sleeve or collet, or in one holding; the grooves' stops told by the tool's own edge.",
    holdings: [1, 2],
  },
  '15-toggle.usual': {
    expect:
      "Held across the grooves by a sleeve or collet, or in one holding; the grooves' stops told by the tool's own edge.",
    holdings: [1, 2],
  },
  '16-pulley.awkward': {
    expect: 'Plunged, widened, both flanks; bore and vee tied in one holding.',
    together: [['part.details[0]', 'part.bores[1]']],
  },
  '16-pulley.small': {
    expect: 'Plunged, widened, both flanks; bore and vee tied in one holding.',
    together: [['part.details[0]', 'part.bores[1]']],
  },
  '16-pulley.usual': {
    expect: 'Plunged, widened, both flanks; bore and vee tied in one holding.',
    together: [['part.details[0]', 'part.bores[1]']],
  },
  '17-thin-cup.awkward': {
    expect: "Roughed first, the thin wall last; the drill's tip short of the floor; the floor faced outwards.",
    kinds: ['bore'],
  },
  '17-thin-cup.small': {
    expect: "Roughed first, the thin wall last; the drill's tip short of the floor; the floor faced outwards.",
    kinds: ['bore'],
  },
  '17-thin-cup.usual': {
    expect: "Roughed first, the thin wall last; the drill's tip short of the floor; the floor faced outwards.",
    kinds: ['bore'],
  },
  '18-wide-cup.awkward': { expect: 'Faced outwards in layers, not bored in forty passes.' },
  '18-wide-cup.small': { expect: 'Faced outwards in layers, not bored in forty passes.' },
  '18-wide-cup.usual': { expect: 'Faced outwards in layers, not bored in forty passes.' },
  '19-conical-seat.awkward': {
    expect:
      "By compound, one setting; the small end's pilot clears the bar's back; never a countersink in the tailstock for such a tie.",
    kinds: ['taper'],
    together: [['part.outside[0]', 'part.outside[1]']],
  },
  '19-conical-seat.small': {
    expect:
      "By compound, one setting; the small end's pilot clears the bar's back; never a countersink in the tailstock for such a tie.",
    kinds: ['taper'],
    never: ['countersink'],
    together: [['part.outside[0]', 'part.bores[0]']],
  },
  '19-conical-seat.usual': {
    expect:
      "By compound, one setting; the small end's pilot clears the bar's back; never a countersink in the tailstock for such a tie.",
    kinds: ['taper'],
    never: ['countersink'],
    together: [['part.outside[0]', 'part.bores[0]']],
  },
  '20-needle.awkward': {
    expect: 'The cone last in its holding; one compound setting for needle and seat.',
    kinds: ['taper'],
  },
  '20-needle.small': {
    expect: 'The cone last in its holding; one compound setting for needle and seat.',
    kinds: ['taper'],
  },
  '20-needle.usual': {
    expect: 'The cone last in its holding; one compound setting for needle and seat.',
    kinds: ['taper'],
    before: [['part.outside[1]', 'part.outside[0]']],
  },
  '21-jet.awkward': {
    expect: 'The outlet from its own end after the wide holes; a centre no wider than the hole.',
    before: [
      ['part.bores[0]', 'part.bores[2]'],
      ['part.bores[1]', 'part.bores[2]'],
    ],
    notOn: ['part.details[0]'],
  },
  '21-jet.small': {
    expect: 'The outlet from its own end after the wide holes; a centre no wider than the hole.',
    before: [
      ['part.bores[0]', 'part.bores[2]'],
      ['part.bores[1]', 'part.bores[2]'],
    ],
    notOn: ['part.details[1]'],
  },
  '21-jet.usual': {
    expect: 'The outlet from its own end after the wide holes; a centre no wider than the hole.',
    before: [
      ['part.bores[0]', 'part.bores[2]'],
      ['part.bores[1]', 'part.bores[2]'],
    ],
    notOn: ['part.details[1]'],
  },
  '22-tapped-blind.awkward': {
    expect: "Drilled beyond the thread for the tap's lead; lead-in; power start, finished by hand.",
    kinds: ['tap'],
    before: [['part.bores[0]', 'part.bores[1]']],
  },
  '22-tapped-blind.small': {
    expect: "Drilled beyond the thread for the tap's lead; lead-in; power start, finished by hand.",
    kindsAny: ['tap', 'hand-tap'],
    before: [['part.bores[0]', 'part.bores[1]']],
  },
  '22-tapped-blind.usual': {
    expect: "Drilled beyond the thread for the tap's lead; lead-in; power start, finished by hand.",
    kinds: ['tap'],
    before: [['part.bores[0]', 'part.bores[1]']],
  },
  '23-tube-to-length.awkward': {
    expect: 'Tube stays; both ends faced; edges in and out by bar or chamfer tool at any diameter.',
    never: ['turn-rough', 'bore'],
  },
  '23-tube-to-length.small': {
    expect: 'Tube stays; both ends faced; edges in and out by bar or chamfer tool at any diameter.',
    never: ['turn-rough', 'bore'],
  },
  '23-tube-to-length.usual': {
    expect: 'Tube stays; both ends faced; edges in and out by bar or chamfer tool at any diameter.',
    never: ['turn-rough', 'bore'],
  },
  '24-tube-with-registers.awkward': { expect: 'Three holdings or a mandrel; the tie kept.', holdings: [2, 3] },
  '24-tube-with-registers.small': { expect: 'Three holdings or a mandrel; the tie kept.', holdings: [2, 3] },
  '24-tube-with-registers.usual': { expect: 'Three holdings or a mandrel; the tie kept.', holdings: [2, 3] },
  '25-square-block.awkward': {
    expect: 'Four jaws, gripped by the depth of the jaw on the flats; interrupted until round.',
    by: ['4-jaw'],
    together: [['part.outside[0]', 'part.bores[0]']],
  },
  '25-square-block.small': {
    expect: 'Four jaws, gripped by the depth of the jaw on the flats; interrupted until round.',
    by: ['4-jaw'],
  },
  '25-square-block.usual': {
    expect: 'Four jaws, gripped by the depth of the jaw on the flats; interrupted until round.',
    by: ['4-jaw'],
    together: [['part.outside[0]', 'part.bores[1]']],
  },
  '27-mast-foot.awkward': {
    expect: 'A blank to order; the radius walked; the register faced outwards; left for honing.',
    holdings: [2, 3],
  },
  '27-mast-foot.small': {
    expect: 'A blank to order; the radius walked; the register faced outwards; left for honing.',
    holdings: [2, 3],
  },
  '27-mast-foot.usual': {
    expect: 'A blank to order; the radius walked; the register faced outwards; left for honing.',
    holdings: [2, 3],
  },
  '28-long-lever.awkward': {
    expect: 'Drawn out in two holdings, or under a centre; the knurl between supports; the relief before the thread.',
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '28-long-lever.small': {
    expect: 'Drawn out in two holdings, or under a centre; the knurl between supports; the relief before the thread.',
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '28-long-lever.usual': {
    expect: 'Drawn out in two holdings, or under a centre; the knurl between supports; the relief before the thread.',
    before: [['part.details[1]', 'part.details[2]']],
    notOn: ['part.details[2]', 'part.details[3]'],
  },
  '29-test-arbor.awkward': {
    expect: 'An edge that cuts thin, or the next bar; under a centre; a spring pass; its mate named.',
    centred: true,
  },
  '29-test-arbor.small': {
    expect: 'An edge that cuts thin, or the next bar; under a centre; a spring pass; its mate named.',
  },
  '29-test-arbor.usual': {
    expect: 'An edge that cuts thin, or the next bar; under a centre; a spring pass; its mate named.',
    centred: true,
  },
  '30-ball.awkward': {
    expect: 'A form tool where one fits, else walked; the neck before or after by stiffness.',
    notOn: ['part.details[0]'],
  },
  '30-ball.small': {
    expect: 'A form tool where one fits, else walked; the neck before or after by stiffness.',
  },
  '30-ball.usual': {
    expect: 'A form tool where one fits, else walked; the neck before or after by stiffness.',
  },
  '31-square-end.awkward': { expect: 'Outside work in one indexed holding with its angle, before the knurl.' },
  '31-square-end.small': { expect: 'Outside work in one indexed holding with its angle, before the knurl.' },
  '31-square-end.usual': { expect: 'Outside work in one indexed holding with its angle, before the knurl.' },
  '32-hood.awkward': {
    expect: "The brow's angle one that the next holding can repeat; the slanted port as outside work with its holding.",
  },
  '32-hood.small': {
    expect: "The brow's angle one that the next holding can repeat; the slanted port as outside work with its holding.",
  },
  '32-hood.usual': {
    expect: "The brow's angle one that the next holding can repeat; the slanted port as outside work with its holding.",
  },
  '33-black-collar.awkward': {
    expect: 'The skin stays; it is gripped as it is.',
    never: ['turn-rough', 'turn-finish'],
  },
  '33-black-collar.small': { expect: 'The skin stays; it is gripped as it is.', never: ['turn-rough', 'turn-finish'] },
  '33-black-collar.usual': { expect: 'The skin stays; it is gripped as it is.', never: ['turn-rough', 'turn-finish'] },
  '34-weldment.awkward': {
    expect: 'A piece as it arrives; dialled true; two walls broken through.',
    together: [['part.outside[0]', 'part.bores[1]']],
    by: ['4-jaw', 'soft-jaws'],
  },
  '34-weldment.small': {
    expect: 'A piece as it arrives; dialled true; two walls broken through.',
    together: [['part.outside[0]', 'part.bores[1]']],
    by: ['4-jaw', 'soft-jaws'],
  },
  '34-weldment.usual': {
    expect: 'A piece as it arrives; dialled true; two walls broken through.',
    together: [['part.outside[0]', 'part.bores[1]']],
    by: ['4-jaw', 'soft-jaws'],
  },
  '35-skimmed-cylinder.awkward': {
    expect: 'Half turned from each side, the second dialled true to the first; the mark between them told.',
    holdings: [1, 3],
  },
  '35-skimmed-cylinder.small': {
    expect: 'Half turned from each side, the second dialled true to the first; the mark between them told.',
    holdings: [1, 3],
  },
  '35-skimmed-cylinder.usual': {
    expect: 'Half turned from each side, the second dialled true to the first; the mark between them told.',
    holdings: [1, 3],
  },
  '36-face-groove.awkward': { expect: 'A face-grooving tool by its window of radii.' },
  '36-face-groove.small': { expect: 'A face-grooving tool by its window of radii.' },
  '36-face-groove.usual': { expect: 'A face-grooving tool by its window of radii.' },
  '37-recess-behind.awkward': {
    expect: 'A blade makes room, a tool goes along behind the larger diameter: one holding.',
    holdings: [1, 2],
  },
  '37-recess-behind.small': {
    expect: 'A blade makes room, a tool goes along behind the larger diameter: one holding.',
    holdings: [1, 2],
  },
  '37-recess-behind.usual': {
    expect: 'A blade makes room, a tool goes along behind the larger diameter: one holding.',
    holdings: [1, 2],
  },
  '38-family.awkward': {
    expect: 'One set-up for the family; a spacer or a station for each length.',
    holdings: [1, 2],
  },
  '38-family.small': { expect: 'One set-up for the family; a spacer or a station for each length.', holdings: [1, 2] },
  '38-family.usual': { expect: 'One set-up for the family; a spacer or a station for each length.', holdings: [1, 2] },
  '39-tough-slender.awkward': { expect: 'Held back by power and deflection; chips told.', centred: true },
  '39-tough-slender.small': { expect: 'Held back by power and deflection; chips told.' },
  '39-tough-slender.usual': { expect: 'Held back by power and deflection; chips told.', centred: true },
  '40-narrow-slot.awkward': {
    expect: 'A blade is ground, listed among what to make, and measured.',
  },
  '40-narrow-slot.small': {
    expect: 'A blade is ground, listed among what to make, and measured.',
  },
  '40-narrow-slot.usual': {
    expect: 'A blade is ground, listed among what to make, and measured.',
  },
  '41-free-lid.awkward': {
    expect: 'What is free follows the stock, a tool, a round dial; a gauge only for the one size that counts.',
  },
  '41-free-lid.small': {
    expect: 'What is free follows the stock, a tool, a round dial; a gauge only for the one size that counts.',
  },
  '41-free-lid.usual': {
    expect: 'What is free follows the stock, a tool, a round dial; a gauge only for the one size that counts.',
  },
  '42-half-finished.awkward': { expect: 'Planned on from what it now is.' },
  '42-half-finished.small': { expect: 'Planned on from what it now is.', centred: true },
  '42-half-finished.usual': { expect: 'Planned on from what it now is.' },
  '43-many-steps.awkward': { expect: 'Settles within its time; a readable sheet.' },
  '43-many-steps.small': { expect: 'Settles within its time; a readable sheet.' },
  '43-many-steps.usual': { expect: 'Settles within its time; a readable sheet.' },
};
