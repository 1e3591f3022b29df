import { lengths, numbers, type FigureGroup, type ShopFigure } from './figureGroup';
import { stopFigures } from './stopValues';
import { PACES } from './machine';
import { EDGES } from './material';
import type { Shop } from './shop';

/** Tables by a key of their own, whose keys are names already: kinds of operation, sizes, conditions of a bar. */
const table = (keys: readonly string[]): ShopFigure[] =>
  keys.map((key) => ({ key, label: key.replace(/-/g, ' '), takes: 'number' }));

/** Lengths left on, lost or kept clear. */
const leftOn = (shop: Shop): FigureGroup[] => [
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
const bodies: FigureGroup[] = [
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

/** Minutes by element, and what other machines take. */
const minutes = [
  {
    of: 'handMinutes',
    title: 'Minutes at the lathe',
    hint: 'each time',
    figures: numbers({
      loadJaws: 'Load in jaws',
      loadCollet: 'Load in a collet',
      unload: 'Unload and wipe',
      pullBar: 'Pull the bar to its stop',
      compoundAgain: 'Compound to an angle again',
      rest: 'Bring up a rest',
      sawBlank: 'Bar to the stop of the saw',
      changePost: 'Change a tool in the post',
      changeTurret: 'The same in a turret',
      swapTool: 'Put a tool in place of another',
      changeTailstock: 'Change a tool in the tailstock',
      tailstock: 'Tailstock in or out',
      speedChange: 'Change speed',
      feedChange: 'Change feed',
      approach: 'Come to the read-out',
      quill: 'Quill to its depth',
      station: 'Move the stop',
      readOut: 'Carriage to a figure of the read-out',
      setStop: 'Set a stop anew',
      peckReturn: 'Return to clear a drill',
      tapTurn: 'A turn of a tap by hand',
      halfNut: 'Half-nuts out, back, and in',
      deburrEdge: 'Break an edge',
      fileNib: 'File a nib off',
      polish: 'One grit, and measure',
      oil: 'Oil a cut',
      formStep: 'A step of a form',
      formBlend: 'Blend a form',
      clear: 'Clear swarf',
      clearStringy: 'Clear long swarf',
      clearEvery: 'Swarf between two clearings, cm³',
    }),
  },
  {
    of: 'setupMinutes',
    title: 'Minutes of setting up',
    hint: 'once for a batch',
    figures: numbers({
      fetchAndRead: 'Fetch and read',
      jawsChange: 'Change chuck or jaws',
      colletChange: 'Change the collet',
      toolOnHeight: 'A tool on height',
      tailstockTool: 'A tool in the tailstock',
      setStop: 'Set a stop',
      touchOff: 'Touch off a tool',
      changeGears: 'Change gears',
      scratch: 'Scratch a thread, and measure it',
      rest: 'Mount and set a rest',
      compound: 'Compound to an angle, proved',
    }),
  },
  {
    of: 'outside',
    title: 'Work elsewhere',
    hint: 'minutes, and mm left for it on the diameter',
    figures: [
      ...numbers({
        load: 'A piece in and out',
        again: 'Something more in the same holding',
        millSetup: 'Set up the mill',
        millFlat: 'Mill a flat',
        drillSetup: 'Set up to drill across',
        crossHole: 'Drill a hole across',
        grindSetup: 'Set up the grinder',
        grind: 'Grind a diameter',
        honeSetup: 'Set up the hone',
        hone: 'Hone a bore',
        trimSetup: 'Make ready to trim at assembly',
        trim: 'Trim an end',
        sendOut: 'Send out and fetch',
        handle: 'Handle a piece',
      }),
      ...lengths({
        leaveToGrind: 'Left to grind',
        leaveToHone: 'Left to hone',
        leaveToTrim: 'Left to trim at assembly',
      }),
      ...numbers({ leftWithin: 'Turned within, share of that' }),
    ],
  },
] satisfies FigureGroup[];

/** Limits and rules of thumb of cutting. */
const cutting = [
  {
    of: 'cutting',
    title: 'Cutting',
    hint: 'limits and rules of thumb',
    figures: [
      ...lengths({
        deepestBore: 'Deepest cut of a boring bar',
        finishBore: 'Finish of a bore, a side',
        dieUpTo: 'Threads by die, up to',
        threadErrorAtMost: 'Error over a thread, at most',
        dieRuns: 'A die run on, times at most',
        handTapUpTo: 'Tapped by hand, up to',
        leastThreadCut: 'Least cut of a thread',
        formScallop: 'Scallop left by steps',
        flankStep: 'Pass of a vee’s flank, wide',
        silentCorner: 'Left in a silent inner corner, R',
        pilotOver: 'Pilot before drills over',
        pilotWithin: 'Pilot wider by, at most',
        chamferUpTo: 'Chamfer at turning speed, contact up to',
        wideChamferUpTo: 'Slower, up to; wider it is a form',
        shoulderLast: 'Before a shoulder the feed is dropped',
        stoutDrill: 'A stout drill, from',
        orificeTimes: 'Thin hole from its own end, × diameter',
        gripEasy: 'A grip is easy from',
        stopRepeats: 'A stop repeats to, ±',
      }),
      ...numbers({
        mostDrillFeed: 'Drill feed, at most',
        leanTimes: 'Stands out, × what is gripped, at most',
        overhangTimes: 'Overhang counts from, × diameter',
        overhangFactor: 'Speed at overhang, ×',
        speedOver: 'A fixed speed is too fast over, share',
        speedDrop: 'A slower speed is told from, ×',
        interruptedFactor: 'Speed of an interrupted cut, ×',
        equalCutsFinerThan: 'Equal last cuts finer than IT',
        firstPeckTimes: 'First peck, × diameter',
        peckTimes: 'Further pecks, × diameter',
        shoulderFeed: 'Power feed into a shoulder, mm/min, at most',
        shoulderByHand: 'The last of it by hand, mm/min',
        whipShare: 'A bar behind turns, share of where it whips',
        leverSpeed: 'Slower to save moving a lever, share at least',
        leverFeed: 'Finer fed to save moving a lever, share at least',
        sawArea: 'Sawn for each m/min of HSS, mm² a minute',
        atOnce: 'Taken in one cut to a usual size, a side',
        polishFrom: 'Polished where smoother than Ra, µm',
        polishLeft: 'Left to polish, on the diameter',
        grits: 'Grits to polish by',
        windings: 'A hand turns a wheel, a minute, at most',
        plungeStep: 'Step of a plunge, × blade',
        reamFeedTimes: 'Reaming feed, × a drill’s',
        gripSafety: 'Grips so many times too much',
        gripEasyTimes: 'A grip is easy from, × diameter',
        seatLeast: 'Shoulder that a step of the jaws bears on, mm a side',
        centreSeat: 'Seat of a centre, at most, × diameter',
        feedForce: 'Feed force, share of the main',
        leastDrillFeed: 'A drill is fed no less than, × the usual',
        chiselTimes: 'A drill in full metal pushes, × its lips',
        roughBend: 'Roughing may bend, share of the finish',
        mostSprings: 'Spring passes, at most',
        radialForce: 'Radial force, share of the main',
        barElasticity: 'Elasticity of a boring bar, N/mm²',
        threadPasses: 'Passes of a thread',
        threadPassesPerMm: 'More for each mm of pitch',
        threadLighter: 'Tough or slender thread: passes, times',
        threadSpringEvery: 'Tough or slender thread: cuts between two without infeed',
        threadSprings: 'Spring passes of a thread',
        threadCompound: 'Compound for threads, °',
        pitchErrorAtMost: 'Error of a pitch, at most, ppm',
        wheelLeast: 'Fewest teeth of a wheel to get',
        wheelMost: 'Most teeth of a wheel to get',
        knurlGrows: 'A knurl grows by, × pitch',
        knurlTracks: 'A knurl tracks within, pitches',
        filletWithin: 'Nose from its fillet, share',
        chipFeed: 'Long chips break from a feed of',
        chipDepthTimes: 'And a depth, × nose radius',
        warmedBy: 'A long cut warms by, K',
        tapTeeth: 'Teeth of a tap that share its chip',
        tapCore: 'Core of a tap, × diameter',
        tapShear: 'A tap is sheared at, N/mm²',
        tapNear: 'Near to that is told from, share',
        tapLead: 'Lead of a tap, pitches',
        tapDrillOver: 'Tap drill wider by, pitches',
        compoundWithin: 'Compound set to, ±°',
        pilotFraction: 'Pilot, × drill',
        threadEndTimes: 'Room at a thread’s end, pitches',
        finestGrade: 'Finest grade held, IT',
        drillGrade: 'A drill holds IT',
        sharpFrom: 'An edge is sharp from, °',
        bladeReachPerWidth: 'Blade reach, × width',
        approachAngle: 'Approach angle, °',
        restTimes: 'A rest from, × diameter',
        thinWall: 'A thin wall, share of diameter',
        holdNear: 'Near its hold, share of what that bears',
      }),
    ],
  },
] satisfies FigureGroup[];

/** Tables of cutting, by kind of operation, holding or size. */
const cuttingTables = (shop: Shop): FigureGroup[] => [
  {
    of: 'cutting.speedFactor',
    title: 'Cutting speed by kind of operation',
    hint: '× the speed of the material',
    figures: table(Object.keys(shop.cutting.speedFactor)),
  },
  {
    of: 'cutting.feed',
    title: 'Feed by kind of operation',
    hint: 'mm/rev',
    figures: table(Object.keys(shop.cutting.feed)),
  },
  {
    of: 'cutting.mostSpeed',
    title: 'Never faster than',
    hint: 'rev/min',
    figures: table(Object.keys(shop.cutting.mostSpeed)),
  },
  {
    of: 'cutting.holdingSpeed',
    title: 'Never faster in',
    hint: 'rev/min; the mark on the chuck comes first',
    figures: table(Object.keys(shop.cutting.holdingSpeed)),
  },
  {
    of: 'cutting.gripForce',
    title: 'What grips the work',
    hint: 'N; what has none does not slip',
    figures: table(Object.keys(shop.cutting.gripForce)),
  },
  {
    of: 'cutting.gripFriction',
    title: 'Friction in what grips',
    hint: 'share of what it presses with',
    figures: table(Object.keys(shop.cutting.gripFriction)),
  },
  {
    of: 'cutting.gripTips',
    title: 'What bears tipping',
    hint: 'share of what it presses with, by how its jaws stand',
    figures: table(Object.keys(shop.cutting.gripTips)),
  },
  {
    of: 'cutting.gripLeast',
    title: 'Shortest grip',
    hint: 'mm',
    figures: table(Object.keys(shop.cutting.gripLeast)),
  },
  {
    of: 'cutting.gripLeastTimes',
    title: 'Shortest grip by the diameter',
    hint: '× the diameter that is gripped',
    figures: table(Object.keys(shop.cutting.gripLeastTimes)),
  },
  {
    of: 'cutting.fixedSpeed',
    title: 'Fixed speeds of the house',
    hint: 'rev/min, where the house rule says so',
    figures: numbers({ cutting: 'Cutting', byHand: 'By hand' }),
  },
  {
    of: 'cutting.reamLeast',
    title: 'Left to a reamer, at least',
    hint: 'mm on the diameter, by the size that it is up to',
    figures: table(Object.keys(shop.cutting.reamLeast)),
  },
  {
    of: 'cutting.reamMost',
    title: 'Left to a reamer, at most',
    hint: 'mm on the diameter, by the size that it is up to',
    figures: table(Object.keys(shop.cutting.reamMost)),
  },
];

/** What the pace of a machine makes of the tables. */
const paces: readonly FigureGroup[] = PACES.map((pace): FigureGroup => ({
  of: `paces.${pace}`,
  title: `Pace: ${pace}`,
  hint: 'factors on what the tables say, for a machine of this pace',
  figures: numbers({
    speed: 'Cutting speeds',
    feed: 'Feeds',
    depth: 'Depths of cut',
    hand: 'Minutes by hand',
  }),
}));

/** What is made beyond the quantity, what things cost, and how far off all that may be. */
const money = (shop: Shop): FigureGroup[] => [
  {
    of: '',
    title: 'Allowance',
    hint: 'for what no element covers',
    figures: numbers({ timeAllowance: 'Share of a piece' }),
  },
  {
    of: 'spares',
    title: 'Made beyond the quantity',
    hint: 'pieces',
    figures: numbers({
      firstOff: 'For the first-off',
      scrapShare: 'For scrap, share of the quantity',
      noneUpTo: 'None of either up to',
    }),
  },
  {
    of: 'rates',
    title: 'What things cost',
    hint: `in ${shop.rates.currency}`,
    figures: numbers({ machineHour: 'An hour at the lathe', order: 'Having bars come in' }),
  },
  {
    of: 'toGet',
    title: 'What a run has got or made',
    hint: `about, in ${shop.rates.currency}`,
    figures: table(Object.keys(shop.toGet)),
  },
  ...(['hss', 'carbide'] as const).map((edge) => ({
    of: `edges.${edge}`,
    title: `Edges of ${EDGES[edge]}`,
    hint: 'Taylor’s law from the speed of the material’s table',
    figures: numbers({
      life: 'Lasts at that speed, min',
      exponent: 'Exponent n',
      cost: 'A new edge costs',
      change: 'Changed and set, min',
      thinnest: 'Thinnest cut, mm a side',
    }),
  })),
  {
    of: 'riskPrices',
    title: 'What a risk weighs',
    hint: 'minutes a piece that it is worth to be without; they are in no time',
    figures: numbers({
      softRule: 'A soft rule of the order broken',
      rechucked: 'Held by a surface with limits of its own',
      nearHold: 'Cut to what the hold bears',
      thinWall: 'Cut with a thin wall',
      tiedApart: 'Finished apart, to run true: share of the piece',
      measuredOnly: 'A length that is only measured and cut to',
      wrongStop: 'A wrong stop that spoils the piece: share of it at each use',
    }),
  },
  {
    of: 'programmed',
    title: 'A programmed machine',
    hint: 'minutes once, shares of the time by hand, an hour of it',
    figures: numbers({
      programming: 'Programming',
      proving: 'Proving',
      setup: 'Setting up',
      cuttingShare: 'Cutting, share of it here',
      handShare: 'Handling, share of it here',
      hour: 'An hour of it costs',
    }),
  },
  ...(['cutting', 'hand', 'setup'] as const).map((of) => ({
    of: `spreads.${of}`,
    title: `How far off: ${{ cutting: 'cutting', hand: 'handling', setup: 'setting up' }[of]}`,
    hint: 'shares of what is planned',
    figures: numbers({ down: 'Less by, at most', up: 'More by, at most' }),
  })),
];

/** Every figure of the shop that is neither a machine, a material, a tool nor a gauge, in the order of the page. */
export const figureGroups = (shop: Shop): readonly FigureGroup[] => [
  ...leftOn(shop),
  ...bodies,
  ...minutes,
  stopFigures,
  ...cutting,
  ...cuttingTables(shop),
  ...paces,
  ...money(shop),
];

type Values = Record<string, unknown>;

const stepsOf = (of: string): string[] => of.split('.').filter(Boolean);

/** The figures of a group as they stand in a shop. */
export const figuresAt = (shop: Shop, { of }: FigureGroup): Record<string, number> =>
  stepsOf(of).reduce<unknown>((values, key) => (values as Values)[key], shop) as Record<string, number>;

/** A shop with the figures of a group changed. */
export function withFigures(shop: Shop, { of }: FigureGroup, figures: Values): Shop {
  const put = (values: Values, [key, ...rest]: string[]): Values =>
    key === undefined ? { ...values, ...figures } : { ...values, [key]: put(values[key] as Values, rest) };
  return put(shop as unknown as Values, stepsOf(of)) as unknown as Shop;
}
