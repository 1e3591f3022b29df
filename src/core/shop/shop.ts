import type { UnitSystem } from '../units/length';

/** Whatever the shop says is data: what is on the rack, in the drawer and on the wall, and how this house does things. */
export interface Shop {
  materials: Material[];
  machines: Machine[];
  tools: Tool[];
  allowances: Allowances;
  cutting: CuttingValues;
  /** Means of holding the second side beside the chuck and the collets of the machines. */
  holdings: HoldingMeans[];
  handMinutes: HandMinutes;
  setupMinutes: SetupMinutes;
  outside: OutsideValues;
  /** Added to a piece for everything that no element covers, as a fraction. */
  timeAllowance: number;
  gauges: Gauge[];
  /** How many pieces between two measurements, by where the tolerance comes from. */
  checkEvery: { general: number; toleranced: number };
  houseRules: HouseRules;
  /** What is made beyond the quantity: for the first-off, and as a share for scrap. */
  spares: { firstOff: number; scrapShare: number };
  rates: Rates;
  /** Fits by what they are for. */
  fits: FitPurpose[];
  /** What is on the rack and free for the run; without it nothing is known of the rack, and it is not asked. */
  rack?: OnHand[];
}

/** Work on other machines and at other firms: minutes to set up and for a piece, and what the lathe leaves for it, mm. */
export interface OutsideValues {
  /** A piece in and out of any of them. */
  load: number;
  millSetup: number;
  millFlat: number;
  drillSetup: number;
  crossHole: number;
  grindSetup: number;
  grind: number;
  honeSetup: number;
  hone: number;
  /** A batch packed, sent and fetched, and each piece of it handled. */
  sendOut: number;
  handle: number;
  /** On the diameter. */
  leaveToGrind: number;
  leaveToHone: number;
  /** How closely that is turned, as a share of it either way. */
  leftWithin: number;
}

/** A section that is on the rack: how much of it is free, and the longest bar. Lengths mm. */
export interface OnHand {
  material: string;
  form: StockForm;
  size: number;
  bore: number;
  condition: BarCondition;
  free: number;
  longest: number;
}

/** What two mates are to do together, and the pairs of fits that serve, the usual one first. */
export interface FitPurpose {
  purpose: string;
  /** In words, for who does not know the letters. */
  means: string;
  pairs: FitPair[];
}

/** A hole and a shaft by their letters, and when to take them. */
export interface FitPair {
  hole: string;
  shaft: string;
  when: string;
}

/** What things cost. */
export interface Rates {
  /** As it is written behind an amount. */
  currency: string;
  /** An hour of the machine with whoever runs it. */
  machineHour: number;
  /** What it costs to have bars come in: asking, paying, putting away. */
  order: number;
}

export type StockForm = 'round' | 'hex' | 'square' | 'tube';

/** Sawn pieces are bought cut, one piece to a “bar”. */
export type BarCondition = 'drawn' | 'ground' | 'hot-rolled' | 'sawn';

/** Bars that can be had of one condition in one system of sizes. Sizes as they are sold: `"3/8 in"`, `"12 mm"`, a tube as `"30 mm × 20 mm"`. */
export interface BarList {
  form: StockForm;
  condition: BarCondition;
  units: UnitSystem;
  sizes: string[];
  barLength: string;
  pricePerKilogram: number;
}

export interface Material {
  id: string;
  name: string;
  /** g/cm³ */
  density: number;
  /** Cutting speed by edge, m/min. */
  speed: Record<EdgeMaterial, number>;
  /** Specific cutting force kc1.1, N/mm², and its exponent m. */
  force: { kc: number; m: number };
  /** Modulus of elasticity, N/mm²; without it nothing is said of bending. */
  elasticity?: number;
  /** Deepest roughing cut per side on a small lathe, mm. */
  deepestCut: number;
  /** Drill feed per rev as a fraction of the drill diameter. */
  drillFeed: number;
  /** Tough materials want a pilot before a large drill and a stiffer blade. */
  tough: boolean;
  /** Long chips must be cleared more often. */
  stringy: boolean;
  /** What to mind with this material. */
  caution?: string;
  bars: BarList[];
}

export type EdgeMaterial = 'hss' | 'carbide';

export interface Machine {
  id: string;
  name: string;
  /** Largest diameter over the cross-slide, mm. */
  swing: number;
  /** Longest work between chuck and tailstock, mm. */
  betweenCentres: number;
  spindleBore: number;
  /** The longest bar that the spindle and the support behind it take, mm; without it, any. */
  longestBar?: number;
  /** rev/min and mm/rev that the gearbox has, rising. */
  speeds: number[];
  feeds: number[];
  motorKilowatts: number;
  efficiency: number;
  /** The tool post: how it changes, how many tools stand ready in it, and the angle of one of its steps, degrees. */
  post?: ToolPost;
  /** Screws of the carriage stop. */
  stations: number;
  /** Pitch of the leadscrew, mm, and the change gears on hand, in teeth; without it threads are not cut by tool. */
  leadscrew?: { pitch: number; gears: number[] };
  /** Whether the spindle runs backward safely, so that a thread can be cut away from the chuck. */
  runsBack?: boolean;
  quillTravel: number;
  /** Of the compound slide, mm; without it any cone is within its reach. */
  compoundTravel?: number;
  /** How far its slide stands towards the chuck beyond the tool when it lies along the axis, mm. */
  compoundAhead?: number;
  /** From which line the compound's protractor counts. */
  protractor?: 'axis' | 'square';
  readOut: 'diameter' | 'radius' | 'none';
  /** The dials of the cross-slide, of the carriage's handwheel and of the compound. */
  crossDial?: Dial;
  carriageDial?: Dial;
  compoundDial?: Dial;
  /** Play of the cross-slide's screw, mm. */
  backlash?: number;
  /** Rests on hand: what they take, and how wide they stand on the work, mm. */
  rests?: Rest[];
  jaws: Holding;
  collets: Holding;
}

/** A post that takes one tool after the other from its holders, or that carries them and turns. */
export interface ToolPost {
  kind: 'quick-change' | 'turret';
  places: number;
  step?: number;
}

/** A dial: how far the slide goes in a turn, mm, and its divisions. */
export interface Dial {
  travel: number;
  divisions: number;
}

/** A rest that bears on slender work: it goes with the tool, or stands. */
export interface Rest {
  kind: 'follow' | 'fixed';
  from: number;
  upTo: number;
  width: number;
}

/** What a chuck or a set of collets takes, mm. */
export interface Holding {
  from: number;
  upTo: number;
  /** Length that the jaws cover. */
  length: number;
  runOut: number;
  /** Diameter over all of it: what stays outside of that is clear of it. */
  over?: number;
}

/** A means of holding work that is made or kept for it; the minutes are those of a piece, and of making it ready. */
export interface HoldingMeans extends Holding {
  kind: string;
  load: number;
  change: number;
}

export interface Tool {
  id: string;
  name: string;
  /** Kinds of operation it is used for. */
  does: string[];
  edge: EdgeMaterial;
  /** Put aside: kept with what it did, and planned with no more. */
  archived?: boolean;
  mount: 'post' | 'tailstock' | 'hand';
  /** Turning tools: a left-hand one cuts away from the chuck, any other towards it. And the place in the post that is its own. */
  hand?: 'right' | 'left';
  place?: number;
  /** Along z from the tool that set the zero, mm. */
  offset: number;
  /** How far it stands towards the chuck beyond what it cuts, mm. */
  ahead?: number;
  /** Blades: how far their holder stands beside the cut, from where the reach ends, mm. */
  holder?: number;
  /** Nose radius, mm. */
  nose?: number;
  /** The thinnest cut per side that the edge takes, mm. */
  thinnestCut?: number;
  /** Drills: diameter, point angle in degrees, length of flute, mm. */
  diameter?: number;
  point?: number;
  flute?: number;
  /** Tools that go into a bore: the narrowest that they clear, and how deep they go, mm; `diameter` is the bar's. */
  least?: number;
  deep?: number;
  /** The steepest flank that falls towards the chuck behind the edge, degrees from the axis. */
  slope?: number;
  /** Taps, dies and knurls: the pitch, mm; knurls: what they roll. */
  pitch?: number;
  pattern?: 'straight' | 'diamond';
  /** Form tools for corners: the radius of their hollow edge, mm. */
  hollowEdge?: number;
  /** Blades: width, how far they reach in, and the edge that is touched on the face; straight edges: their length. */
  width?: number;
  reach?: number;
  touched?: 'left' | 'right';
}

/** Lengths that are left, lost or kept clear, mm (handbook 3, 5, 6, 7). */
export interface Allowances {
  facingSawn: number;
  facingParted: number;
  firstEnd: number;
  kerf: number;
  /** An offcut of this length or more is worth keeping. */
  offcutFrom: number;
  gripRemnantTimes: number;
  gripRemnantLeast: number;
  jawClearance: number;
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
  /** Tolerance grade below nominal that bars are sold to; a bar of none is never used as it is. */
  barGrade: Partial<Record<BarCondition, number>>;
  finishPerSide: number;
  shoulder: number;
  approach: number;
  overrun: number;
  /** A spigot or a centre end is at least this long. */
  leftOnLeast: number;
  gripTimes: number;
  gripLeast: number;
}

/** Speeds, feeds and their limits (handbook 5, 6). */
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
  /** Spindle speed at most, by kind of operation, rev/min. */
  mostSpeed: Record<string, number>;
  /** How far a blade moves on between two plunges at most, as a share of its width. */
  plungeStep: number;
  /** Feed of a reamer as a multiple of a drill's. */
  reamFeedTimes: number;
  /** What a reamer is left at most, on the diameter, by the size that it is up to, mm. */
  reamAllowance: Record<string, number>;
  /** And how many times that where the house leaves more. */
  reamLarger: number;
  /** Deepest cut of a boring bar and what it leaves for its last, mm per side. */
  deepestBore: number;
  finishBore: number;
  /** Share of the main force that pushes a tool off the work, and elasticity of a bar, N/mm². */
  radialForce: number;
  barElasticity: number;
  /** Threads are cut with a die up to this diameter, mm, where there is one. */
  dieUpTo: number;
  /** Passes of a thread: so many, and so many more for each mm of pitch; any takes at least so much, mm per side. */
  threadPasses: number;
  threadPassesPerMm: number;
  leastThreadCut: number;
  /** Passes again without infeed at its end. */
  threadSprings: number;
  /** The compound's angle for infeed, degrees from square to the axis. */
  threadCompound: number;
  /** How far the pitch that gears give may be off, parts per million. */
  pitchErrorAtMost: number;
  /** What a diameter grows by when it is knurled, as a share of the pitch. */
  knurlGrows: number;
  /** How far from a whole number of pitches round a knurl still tracks. */
  knurlTracks: number;
  /** How far a nose may be from the fillet that it leaves, as a share of it. */
  filletWithin: number;
  /** What steps may leave of a round form before it is blended, mm. */
  formScallop: number;
  /** Threads are tapped by hand up to this diameter, mm. */
  handTapUpTo: number;
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
  /** Room that a threading tool needs at the end, in pitches. */
  threadEndTimes: number;
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
}

/** Minutes of one hand element (handbook 7). */
export interface HandMinutes {
  loadJaws: number;
  loadCollet: number;
  unload: number;
  pullBar: number;
  /** The compound back to an angle that was proved before. */
  compoundAgain: number;
  /** A rest brought up to the work and oiled. */
  rest: number;
  sawBlank: number;
  changePost: number;
  /** The same where the post is a turret. */
  changeTurret: number;
  /** A tool put into the post in place of another, where it has no place of its own. */
  swapTool: number;
  changeTailstock: number;
  tailstock: number;
  speedChange: number;
  feedChange: number;
  approach: number;
  station: number;
  setStop: number;
  peckReturn: number;
  /** A turn of a tap by hand, in and out. */
  tapTurn: number;
  /** One sharp edge broken by hand. */
  deburrEdge: number;
  clear: number;
  clearStringy: number;
  /** Swarf between two clearings, cm³. */
  clearEvery: number;
}

/** Minutes of one element of setting up (handbook 7). */
export interface SetupMinutes {
  fetchAndRead: number;
  jawsChange: number;
  colletChange: number;
  toolOnHeight: number;
  tailstockTool: number;
  setStop: number;
  touchOff: number;
  changeGears: number;
  /** A rest mounted and set. */
  rest: number;
  /** The compound to an angle, and proved. */
  compound: number;
}

/** A gauge: what it repeats to (mm either way) and what a reading takes. The coarsest one that serves is planned. */
export interface Gauge {
  name: string;
  repeats: number;
  minutes: number;
  measures: ('outside' | 'inside' | 'length' | 'thread')[];
  /** What it reads from and up to, mm; open where it is left out. */
  from?: number;
  upTo?: number;
}

/** Schools (handbook 12): each a setting with both reasons. */
export interface HouseRules {
  centreDrill: 'always' | 'slender-only';
  pilot: 'tough-over-12' | 'never';
  stickOut: '1.5d' | '4d';
  nib: 'face-after' | 'as-parted';
  reamAllowance: 'small' | 'large';
  roughing: 'all-first' | 'by-feature';
  holeFirst: 'least-changes' | 'hole' | 'outside';
  threading: 'towards' | 'away';
  springPass: 'measured' | 'on-fits';
  stock: 'quicker' | 'bar' | 'blanks';
  speed: 'formula' | 'fixed';
  lastLength: 'read-out' | 'measure';
}

/** The shop as one run sees it: the machine and the material it names, and the run's own rules. */
export interface ShopForRun extends Omit<Shop, 'materials' | 'machines'> {
  machine: Machine;
  material: Material;
}
