import { startMachines } from './startMachines';
import { startLathe } from './latheValues';
import { startStops } from './stopValues';
import { startRules } from './houseRules';
import { startMaterials } from './startMaterials';
import { startTools } from './startTools';
import type { Shop } from './shop';

/**
 * The start values of a new shop, in one place (trade: Stock, Holding, Cutting, Time, Stops, Schools). They are seeded into the database and edited
 * there; the command line plans with them as they stand. Values that docs/trade.md does not give are marked “ours”.
 */
export const startValues: Shop = {
  materials: startMaterials,
  machines: startMachines,
  tools: startTools,
  allowances: {
    facingSawn: 1,
    facingParted: 0.3,
    firstEnd: 0.5,
    kerf: 2.5,
    offcutFrom: 150, // ours
    centreEndLeast: 6,
    gripRemnantTimes: 1.5,
    gripRemnantLeast: 20,
    jawClearance: 5,
    handClear: 20,
    partIn: 0.5, // ours
    closest: 1, // ours
    chuckLength: 90, // ours
    drillHolder: 80, // ours
    toolClearance: 2, // ours
    tipShort: 0.2,
    centreClear: 0.3, // ours
    orderStep: 5, // ours
    breakthrough: 1,
    bladeSpare: 1,
    bladeWithin: 0.3, // ours
    roundFigure: { mm: 0.1, in: 0.127 }, // ours: 0.1 mm, 0.005 in
    skin: { drawn: 0, ground: 0, 'hot-rolled': 1, sawn: 1 },
    barGrade: { drawn: 11, ground: 8 },
    finishPerSide: 0.25,
    shoulder: 0.1,
    approach: 2,
    overrun: 1,
  },
  // Ours: small tools in a post of a small lathe.
  bodies: {
    edge: 8,
    trail: 30,
    shank: 16,
    post: 60,
    drillChuck: 40,
    centre: 20,
    dieHolder: 38,
    chuck: 160,
    jawStep: 8,
    jawHeight: 18,
    rest: 120,
    catcherPlay: 1.5,
    wheel: 8,
    reamerLead: 0.4,
    flutes: 8,
    stop: 16,
    stopBore: 10,
    barEnd: 1, // ours
  },
  cutting: {
    speedFactor: {
      face: 1,
      'turn-rough': 1,
      'turn-finish': 1,
      groove: 0.5,
      chamfer: 1,
      'wide-chamfer': 0.5,
      'part-off': 0.5,
      'part-in': 0.5,
      drill: 0.8,
      centre: 0.8,
      ream: 0.4,
      countersink: 0.25,
      'lead-in': 0.25,
      bore: 0.8,
      counterbore: 0.8,
      tap: 0.25,
      'inner-groove': 0.5,
      'face-groove': 0.5,
      taper: 0.8,
      'turn-behind': 0.8, // ours
      thread: 0.3,
      'inner-thread': 0.3,
      die: 0.2,
      knurl: 0.3,
      vee: 0.3,
      form: 0.3,
      deburr: 1, // ours; its speed is limited
      polish: 1, // ours; its speed is limited
    },
    feed: {
      face: 0.1,
      'turn-rough': 0.2,
      'turn-finish': 0.08,
      groove: 0.04,
      chamfer: 0.05,
      'wide-chamfer': 0.05,
      'part-off': 0.04,
      'part-in': 0.04,
      centre: 0.05,
      countersink: 0.05, // ours
      bore: 0.08,
      counterbore: 0.08,
      'inner-groove': 0.03,
      'face-groove': 0.03,
      taper: 0.08,
      'turn-behind': 0.08, // ours
      vee: 0.03,
      form: 0.03,
      knurl: 0.2, // ours
    },
    fixedSpeed: { cutting: 560, byHand: 250 }, // ours
    speedOver: 0.25, // ours
    speedDrop: 4, // ours
    // All ours; the mark on the chuck comes first.
    holdingSpeed: {
      '3-jaw': 2000,
      '4-jaw': 1200,
      'soft-jaws': 2000,
      'split-bush': 1600,
      sleeve: 1200,
      'between-centres': 1200,
    },
    mostSpeed: {
      countersink: 250,
      'lead-in': 250,
      deburr: 250,
      polish: 800,
      thread: 200,
      'inner-thread': 200,
      tap: 200,
      die: 100,
    }, // threads: ours
    plungeStep: 0.9,
    leverSpeed: 0.5, // ours
    leverFeed: 0.75, // ours
    sawArea: 30, // ours: 900 mm² a minute of mild steel
    atOnce: 0.5, // ours
    polishFrom: 0.4, // ours
    polishLeft: 0.01, // ours
    grits: 3, // ours
    windings: 40,
    whipShare: 0.5,
    shoulderFeed: 250,
    shoulderLast: 1,
    shoulderByHand: 60,
    chamferUpTo: 1.5,
    wideChamferUpTo: 3,
    reamFeedTimes: 2.5,
    reamLeast: { 6: 0.15, 12: 0.2, 25: 0.25 },
    reamMost: { 6: 0.3, 12: 0.4, 25: 0.5 },
    mostDrillFeed: 0.3,
    overhangTimes: 3,
    overhangFactor: 0.7,
    interruptedFactor: 0.7,
    equalCutsFinerThan: 8,
    firstPeckTimes: 3,
    peckTimes: 1,
    deepestBore: 0.5,
    finishBore: 0.15,
    // Estimates of ours.
    gripForce: {
      '3-jaw': 20000,
      '4-jaw': 20000,
      collet: 15000,
      'soft-jaws': 12000,
      'split-bush': 8000,
      sleeve: 8000,
      mandrel: 5000,
    },
    gripFriction: {
      '3-jaw': 0.25,
      '4-jaw': 0.25,
      collet: 0.15,
      'soft-jaws': 0.18,
      'split-bush': 0.15,
      sleeve: 0.2,
      mandrel: 0.12,
    },
    gripSafety: 2,
    gripTips: {
      '3-jaw': 0.58,
      '4-jaw': 0.5,
      collet: 0.64,
      'soft-jaws': 0.64,
      'split-bush': 0.64,
      sleeve: 0.58,
      mandrel: 0.64,
    },
    gripLeast: { '3-jaw': 5, '4-jaw': 5, collet: 4, 'soft-jaws': 2, 'split-bush': 4, sleeve: 5 },
    gripLeastTimes: { 'threaded-holder': 1, mandrel: 0.7 },
    gripEasy: 6, // ours
    gripEasyTimes: 0.25, // ours
    seatLeast: 1, // ours
    centreSeat: 0.4,
    feedForce: 0.5,
    chiselTimes: 1.5,
    leastDrillFeed: 0.4,
    roughBend: 0.5, // ours
    mostSprings: 2, // ours
    radialForce: 0.4,
    barElasticity: 210_000,
    dieUpTo: 12, // ours
    dieRuns: 2, // ours
    threadPasses: 4, // ours
    threadPassesPerMm: 3, // ours
    leastThreadCut: 0.02,
    threadSprings: 1,
    threadLighter: 1.25, // ours
    threadSpringEvery: 3, // ours
    threadCompound: 29.5,
    pitchErrorAtMost: 1000,
    threadErrorAtMost: 0.02,
    wheelLeast: 18, // ours
    wheelMost: 127, // ours
    knurlGrows: 0.5,
    knurlTracks: 0.1, // ours
    silentCorner: 0.4, // ours
    leanTimes: 4,
    filletWithin: 0.05, // ours
    formScallop: 0.2,
    handTapUpTo: 3, // ours
    chipFeed: 0.1, // ours
    chipDepthTimes: 0.5, // ours
    warmedBy: 20, // ours
    tapTeeth: 12, // ours
    tapCore: 0.5, // ours
    tapShear: 600, // ours
    tapNear: 0.75, // ours
    tapLead: 3, // ours
    tapDrillOver: 0.22,
    compoundWithin: 0.25,
    pilotOver: 12,
    pilotFraction: 0.35,
    pilotWithin: 2, // ours
    stoutDrill: 8, // ours
    orificeTimes: 10, // ours
    flankStep: 0.5, // ours
    threadEndTimes: 2, // ours
    threadEndByHand: 1, // ours
    drawnByHand: 0.25, // ours
    finestGrade: 6, // ours
    stopRepeats: 0.02, // ours
    drillGrade: 12,
    sharpFrom: 65, // ours
    bladeReachPerWidth: 8,
    approachAngle: 90,
    restTimes: 10,
    thinWall: 0.1,
    holdNear: 0.8,
  },
  // Sizes, and minutes that docs/trade.md does not give, are ours; the soft jaws take 0.4 min a piece.
  holdings: [
    { kind: '4-jaw', from: 5, upTo: 120, length: 25, runOut: 0.02, load: 4, change: 8 },
    { kind: 'soft-jaws', from: 5, upTo: 100, length: 20, runOut: 0.03, load: 0.4, change: 12 },
    { kind: 'split-bush', from: 4, upTo: 60, length: 25, runOut: 0.05, load: 0.7, change: 15 },
    { kind: 'sleeve', from: 3, upTo: 100, length: 25, runOut: 0.15, load: 0.8, change: 7 },
    { kind: 'threaded-holder', from: 4, upTo: 30, length: 20, runOut: 0.05, load: 0.8, change: 15 },
    { kind: 'between-centres', from: 4, upTo: 100, length: 12, runOut: 0.01, load: 1, change: 4 },
    { kind: 'mandrel', from: 6, upTo: 80, length: 60, runOut: 0.01, load: 0.7, change: 6 },
  ],
  holders: [],
  handMinutes: {
    loadJaws: 0.6,
    loadCollet: 0.25,
    unload: 0.25,
    pullBar: 0.3,
    compoundAgain: 1.5, // ours
    rest: 0.5, // ours
    sawBlank: 0.7, // ours: the bar to the stop of the saw, the burr off the blank
    changePost: 0.15,
    changeTurret: 0.05,
    turnPost: 0.5, // ours
    lockCarriage: 0.03, // ours
    swapTool: 0.5, // ours
    changeTailstock: 0.35,
    tailstock: 0.15,
    speedChange: 0.1,
    feedChange: 0.08,
    approach: 0.12,
    quill: 0.06,
    station: 0.05,
    readOut: 0.2,
    setStop: 0.5,
    peckReturn: 0.04, // ours
    tapTurn: 0.05, // ours
    halfNut: 0.05, // ours
    deburrEdge: 0.15,
    fileNib: 0.3, // ours
    polish: 0.3, // ours
    oil: 0.04,
    formStep: 0.1,
    formBlend: 0.5,
    clear: 0.1,
    clearStringy: 0.2,
    clearEvery: 15,
  },
  setupMinutes: {
    fetchAndRead: 5,
    jawsChange: 6,
    colletChange: 2,
    toolOnHeight: 1,
    tailstockTool: 1,
    setStop: 1,
    touchOff: 0.3,
    changeGears: 15,
    scratch: 0.5, // ours
    rest: 5, // ours
    compound: 5,
    keptHolder: 3, // ours
  },
  // Minutes are ours; what is left to grind and to hone is that of trade: Shop arithmetic.
  outside: {
    load: 0.5,
    again: 3,
    millSetup: 20,
    millFlat: 1.2,
    drillSetup: 10,
    crossHole: 1.2,
    grindSetup: 25,
    grind: 3,
    honeSetup: 10,
    hone: 1.5,
    trimSetup: 3,
    trim: 2,
    sendOut: 20,
    handle: 0.2,
    leaveToGrind: 0.2,
    leaveToHone: 0.03,
    leaveToTrim: 0.3, // ours
    leftWithin: 0.25, // ours
  },
  timeAllowance: 0.12,
  gauges: [
    { name: 'caliper', repeats: 0.03, minutes: 0.15, measures: ['outside', 'inside', 'length'] },
    { name: 'micrometer', repeats: 0.005, minutes: 0.3, measures: ['outside'] },
    { name: 'depth micrometer', repeats: 0.01, minutes: 0.3, measures: ['length'] },
    { name: 'bore gauge', repeats: 0.01, minutes: 0.6, measures: ['inside'] },
    { name: 'thread gauge', repeats: 0.005, minutes: 0.4, measures: ['thread'] },
    { name: 'dial indicator', repeats: 0.002, minutes: 0.6, measures: ['run-out'] }, // ours
  ],
  checkEvery: { general: 5, toleranced: 1 },
  houseRules: startRules,
  spares: { firstOff: 1, scrapShare: 0.02, noneUpTo: 3 }, // ours, but for the last
  rates: { currency: '€', machineHour: 45, order: 12 }, // ours
  // Ours; a blade is ground in a quarter of an hour.
  toGet: {
    drill: 8,
    ream: 30,
    tap: 16,
    die: 20,
    thread: 15,
    'inner-thread': 25,
    bore: 45,
    groove: 12,
    'face-groove': 15,
    gauge: 40,
    wheel: 25,
  },
  // Exponents are the usual ones of textbooks; the rest is ours.
  edges: {
    hss: { life: 60, exponent: 0.125, cost: 2.5, change: 3, thinnest: 0.05 },
    carbide: { life: 20, exponent: 0.25, cost: 3.5, change: 1.5, thinnest: 0.1 },
  },
  programmed: { programming: 60, proving: 40, setup: 45, cuttingShare: 0.6, handShare: 0.2, hour: 75 }, // ours
  // Ours: a light lathe takes half its depth.
  paces: {
    careful: { speed: 0.8, feed: 0.8, depth: 0.5, hand: 1.25 },
    usual: { speed: 1, feed: 1, depth: 1, hand: 1 },
    brisk: { speed: 1.15, feed: 1.15, depth: 1.2, hand: 0.85 },
  },
  stops: startStops,
  riskPrices: {
    softRule: 0.5,
    rechucked: 0.3,
    nearHold: 0.5,
    thinWall: 0.5,
    tiedApart: 0.2,
    measuredOnly: 0.5,
    wrongStop: 0.002,
  },
  lathe: startLathe,
  spreads: {
    cutting: { down: 0.1, up: 0.2 }, // ours
    hand: { down: 0.25, up: 0.5 }, // ours
    setup: { down: 0.25, up: 0.6 }, // ours
  },
  // Purposes and pairs are ours, in the letters of the tables (trade: Tables).
  fits: [
    {
      purpose: 'running',
      means: 'turns freely on a film of oil',
      pairs: [
        { hole: 'H8', shaft: 'f7', when: 'the usual bearing of a pin or a spindle' },
        { hole: 'H9', shaft: 'd9', when: 'loose: dirt, weather, long bearings' },
        { hole: 'H8', shaft: 'e8', when: 'between the two: fast, or several bearings in line' },
      ],
    },
    {
      purpose: 'sliding',
      means: 'moved by hand along or around, without play to feel',
      pairs: [
        { hole: 'H7', shaft: 'g6', when: 'the usual guide or sleeve' },
        { hole: 'H8', shaft: 'h7', when: 'now and then moved, cheaper to make' },
      ],
    },
    {
      purpose: 'location',
      means: 'puts one part where it belongs on another, and comes apart again',
      pairs: [
        { hole: 'H7', shaft: 'h6', when: 'put together by hand' },
        { hole: 'H7', shaft: 'k6', when: 'light taps; sits without play' },
        { hole: 'H8', shaft: 'h8', when: 'a cover or a spigot where little play does no harm' },
      ],
    },
    {
      purpose: 'press',
      means: 'stays where it was pressed',
      pairs: [
        { hole: 'H7', shaft: 'p6', when: 'the usual press fit; a bush, a pin' },
        { hole: 'H7', shaft: 'n6', when: 'light: thin walls, or held otherwise as well' },
      ],
    },
  ],
};
