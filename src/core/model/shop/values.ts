import type { UnitSystem } from '../units/length';
import type { BarCondition } from './material';

/** Lengths that are left, lost or kept clear, mm (trade: Stock, Order, Cutting, Time). */
export interface Allowances {
  facingSawn: number;
  facingParted: number;
  firstEnd: number;
  kerf: number;
  /** An offcut of this length or more is worth keeping. */
  offcutFrom: number;
  /** What is left on for a centre, at least. */
  centreEndLeast: number;
  gripRemnantTimes: number;
  gripRemnantLeast: number;
  jawClearance: number;
  /** A hand stays so far from turning jaws. */
  handClear: number;
  /** How much deeper than a back edge the blade goes before that edge is broken. */
  partIn: number;
  /** Nearer than this to anything a tool comes with a warning. */
  closest: number;
  /** The chuck from the spindle nose to its jaws' ends, and a drill chuck in the quill. */
  chuckLength: number;
  drillHolder: number;
  /** Between the jaws and where an edge ends in the second set-up. */
  toolClearance: number;
  breakthrough: number;
  bladeSpare: number;
  /** How far a measured width may be from the blade that the list names. */
  bladeWithin: number;
  skin: Record<BarCondition, number>;
  /** What a diameter that the drawing leaves open is rounded to, mm, by what a run is drawn in. */
  roundFigure: Record<UnitSystem, number>;
  /** Tolerance grade below nominal that bars are sold to; a bar of none is never used as it is. */
  barGrade: Partial<Record<BarCondition, number>>;
  finishPerSide: number;
  shoulder: number;
  /** The tip of a drill stops so far short of a flat bottom. */
  tipShort: number;
  /** What a tool keeps clear of the cone of a centre. */
  centreClear: number;
  /** Rounds that are on no list are ordered in such steps. */
  orderStep: number;
  approach: number;
  overrun: number;
  /** A spigot or a centre end is at least this long. */
}

/** How large tools, holders and what holds the work are, where they do not say so themselves (trade: Clearance), mm. */
export interface Bodies {
  /** The edge of a turning tool is so long, and rises behind its tip by so many degrees from the axis. */
  edge: number;
  trail: number;
  /** A shank is so wide, and reaches so far out from its edge. */
  shank: number;
  post: number;
  /** Diameters over a drill chuck, a centre's body, a die's holder, a chuck. */
  drillChuck: number;
  centre: number;
  dieHolder: number;
  chuck: number;
  /** Jaws begin with a step of so much length and height over what they grip; behind it they are as large as they say. */
  jawStep: number;
  jawHeight: number;
  /** A rest over all, and how much thinner than the bore a rod is that catches a parted ring. */
  rest: number;
  catcherPlay: number;
  /** A spindle stop behind the work: over all, and the hole in it. */
  stop: number;
  stopBore: number;
  /** The end of a boring bar lies so far behind its edge: it faces a floor in layers no deeper. */
  barEnd: number;
  /** The lead of a reamer takes no more a side. */
  reamerLead: number;
  /** Tools in the tailstock without a flute of their own reach so many diameters in. */
  flutes: number;
  /** A knurling wheel and a die are so wide. */
  wheel: number;
}

/** Speeds, feeds and their limits (trade: Order, Cutting). */
/** What a pace makes of speeds, feeds and depths of cut, and of the minutes by hand: factors. */
export interface PaceFactors {
  speed: number;
  feed: number;
  depth: number;
  hand: number;
}

export interface CuttingValues {
  /** Factor on the cutting speed by kind of operation. */
  speedFactor: Record<string, number>;
  /** Feed by kind of operation, mm/rev; drills go by their diameter. */
  feed: Record<string, number>;
  mostDrillFeed: number;
  overhangTimes: number;
  overhangFactor: number;
  interruptedFactor: number;
  /** Tolerances finer than this grade get two equal last cuts. */
  equalCutsFinerThan: number;
  firstPeckTimes: number;
  peckTimes: number;
  /** Speeds of a house that has fixed ones, for cutting and for work by hand, rev/min. */
  fixedSpeed: Record<string, number>;
  /** How much faster than wanted a fixed speed may cut, as a share, before it is told. */
  speedOver: number;
  /** From so many times slower a change of speed is told: the last one is easily left in. */
  speedDrop: number;
  /** Spindle speed at most, by kind of operation and by kind of holding, rev/min. */
  mostSpeed: Record<string, number>;
  holdingSpeed: Record<string, number>;
  /** Contact of a chamfer up to which it is turned at the speed of turning, and of one that is turned slower; wider it is a form, mm. */
  chamferUpTo: number;
  wideChamferUpTo: number;
  /** A bar that stands free behind the spindle turns no faster than this share of the speed at which it whips. */
  whipShare: number;
  /** A hand turns a wheel so many times a minute at most while it cuts. */
  /** No slower, nor finer fed, than this share of the usual to save moving a lever. */
  leverSpeed: number;
  leverFeed: number;
  /** So much a side comes off in one cut where the drawing asks for nothing closer than usual, mm. */
  atOnce: number;
  /** Smoother than this, Ra µm, is polished; what is left for it on the diameter, mm, and how many grits one after the other. */
  polishFrom: number;
  polishLeft: number;
  grits: number;
  windings: number;
  /** Area that is sawn in a minute for each m/min of HSS speed, mm². */
  sawArea: number;
  /**
   * Into a shoulder without a trip: fed by power no faster, mm/min, dropped so far before it, mm, and the rest by hand, mm/min.
   */
  shoulderFeed: number;
  shoulderLast: number;
  shoulderByHand: number;
  /** How far a blade moves on between two plunges at most, as a share of its width. */
  plungeStep: number;
  /** Feed of a reamer as a multiple of a drill's. */
  reamFeedTimes: number;
  /** What a reamer is left at least and at most, on the diameter, by the size that it is up to, mm. */
  reamLeast: Record<string, number>;
  reamMost: Record<string, number>;
  /** Deepest cut of a boring bar and what it leaves for its last, mm per side. */
  deepestBore: number;
  finishBore: number;
  /** What a holding presses with in all, N, by its kind, its friction, and how many times too much it must be. */
  gripForce: Record<string, number>;
  gripFriction: Record<string, number>;
  gripSafety: number;
  /** How much of what it presses with times half of its grip bears tipping: by where its jaws stand. */
  gripTips: Record<string, number>;
  /** The shortest grip by the kind of holding, mm, and of some as a multiple of the diameter. */
  gripLeast: Record<string, number>;
  gripLeastTimes: Record<string, number>;
  /** A grip shorter than this, mm or × its diameter, is taken only where none is longer. */
  gripEasy: number;
  gripEasyTimes: number;
  /** A shoulder stands so far out at least that a step of the jaws bears on it, mm. */
  seatLeast: number;
  /** The seat of a centre is at most this share of the diameter it stands in. */
  centreSeat: number;
  /** Feed force as a share of the main force; a drill in full metal pushes so many times its lips, for its chisel edge. */
  feedForce: number;
  chiselTimes: number;
  /** A drill that is too much for its holding is fed down to this share of the usual. */
  leastDrillFeed: number;
  /** How much of the finish allowance a roughing cut may bend the work into, as a share. */
  roughBend: number;
  /** Passes again without infeed at most, where the work gives way. */
  mostSprings: number;
  /** Share of the main force that pushes a tool off the work, and elasticity of a bar, N/mm². */
  radialForce: number;
  barElasticity: number;
  /** Threads are cut with a die up to this diameter, mm, where there is one. */
  dieUpTo: number;
  /** How often a die is run on at most: opened first, then closed. */
  dieRuns: number;
  /** Passes of a thread: so many, and so many more for each mm of pitch; any takes at least so much, mm per side. */
  threadPasses: number;
  threadPassesPerMm: number;
  leastThreadCut: number;
  /** Passes again without infeed at its end. */
  threadSprings: number;
  /** On tough material, and where it stands out far: so many passes more, and one without infeed after so many cuts. */
  threadLighter: number;
  threadSpringEvery: number;
  /** The compound's angle for infeed, degrees from square to the axis. */
  threadCompound: number;
  /** How far the pitch that gears give may be off, parts per million. */
  pitchErrorAtMost: number;
  /** The same over the length of the thread, mm. */
  threadErrorAtMost: number;
  /** Fewest and most teeth that a wheel to get may have. */
  wheelLeast: number;
  wheelMost: number;
  /** What a diameter grows by when it is knurled, as a share of the pitch. */
  knurlGrows: number;
  /** How far from a whole number of pitches round a knurl still tracks. */
  knurlTracks: number;
  /** Without a centre work stands out at most so many times what is gripped of it. */
  leanTimes: number;
  /** What a nose may leave in an inner corner of which the drawing says nothing, its radius, mm. */
  silentCorner: number;
  /** How far a nose may be from the fillet that it leaves, as a share of it. */
  filletWithin: number;
  /** How wide a pass of a vee's flank is at most, along the axis, mm. */
  flankStep: number;
  /** What steps may leave of a round form before it is blended, mm. */
  formScallop: number;
  /** Threads are tapped by hand up to this diameter, mm. */
  handTapUpTo: number;
  /** Long chips break from this feed, mm/rev, and from a depth of so many nose radii. */
  chipFeed: number;
  chipDepthTimes: number;
  /** How much warmer work gets in a long cut, K. */
  warmedBy: number;
  /** A tap: teeth that share its chip, its core as a share of the diameter, what it is sheared by, N/mm², and how near to that is told. */
  tapTeeth: number;
  tapCore: number;
  tapShear: number;
  tapNear: number;
  /** Lead of a tap before its full thread, and how much over d − P its hole may be; both in pitches. */
  tapLead: number;
  tapDrillOver: number;
  /** How closely the compound is set by its protractor, degrees either way. */
  compoundWithin: number;
  pilotOver: number;
  pilotFraction: number;
  /** How much wider than wanted a pilot may be, mm. */
  pilotWithin: number;
  /** A drill of this diameter is stout enough to start without a centre, where the house says so, mm. */
  stoutDrill: number;
  /** A hole longer than so many of its diameters, and no longer from its own end, is drilled from there after what opens it. */
  orificeTimes: number;
  /** Room that a threading tool needs at the end, in pitches. */
  threadEndTimes: number;
  /** The same where the last turn is made by hand, in pitches. */
  threadEndByHand: number;
  /** In how much of a turn by hand a threading tool is drawn out. */
  drawnByHand: number;
  /** The finest grade that turning and boring hold here. */
  finestGrade: number;
  /** How closely a carriage stop repeats, mm either way. */
  stopRepeats: number;
  /** The grade that a twist drill holds. */
  drillGrade: number;
  /** An edge that turns by more than this is sharp, degrees: a chamfer of 45° has none. */
  sharpFrom: number;
  bladeReachPerWidth: number;
  /** Approach angle of turning tools, degrees. */
  approachAngle: number;
  /** Stick-out as a multiple of the diameter beyond which even a centre does not do. */
  restTimes: number;
  /** A wall thinner than this fraction of its diameter gives way to heavy cuts. */
  thinWall: number;
  /** A cut that asks for more than this share of what its hold bears is near it. */
  holdNear: number;
}

/** What a risk weighs at each piece, minutes (trade: Safe holds): it takes none, and is worth so many to be without. */
export interface RiskPrices {
  /** A soft rule of the order is broken. */
  softRule: number;
  /** A surface with limits of its own is held by. */
  rechucked: number;
  /** A cut goes to what its hold bears. */
  nearHold: number;
  /** Work whose wall is thin is still cut. */
  thinWall: number;
  /** Surfaces that are to run true to each other are finished in two holdings: a share of the time for a piece. */
  tiedApart: number;
  /** A length that no stop holds. */
  measuredOnly: number;
  /** Of a piece at each use of a stop: a wrong one of those that are set spoils it once in so many. */
  wrongStop: number;
}
