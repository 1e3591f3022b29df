/** How briskly a machine is driven; what that does to its cuts and to work by hand is a table of the shop. */
export const PACES = ['careful', 'usual', 'brisk'] as const;
export type Pace = (typeof PACES)[number];

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
  /** Where a bush behind the spindle guides a bar, from the jaws, mm; without it the jaws do. */
  bushAt?: number;
  /** A tube that holds bars over all their length: the largest over corners, mm, and its own most rev/min. */
  tubeUpTo?: number;
  tubeSpeed?: number;
  /** rev/min and mm/rev that the gearbox has, rising. */
  speeds: number[];
  feeds: number[];
  motorKilowatts: number;
  /** How briskly it is driven, and by whom: without it as usual. */
  pace?: Pace;
  efficiency: number;
  /** The tool post: how it changes, how many tools stand ready in it, and the angle of one of its steps, degrees. */
  post?: ToolPost;
  /** Screws of the carriage stop. */
  stations: number;
  /** Lengths of the spacers and feelers that go on its stop, mm; a length twice where there are two. */
  spacers?: number[];
  feelers?: number[];
  /** Figures that its read-out stores. */
  presets?: number;
  /** Travel of the indicator that serves as a stop of the carriage, mm. */
  indicator?: number;
  /** Stops of the cross-slide. */
  crossStops?: number;
  /** Stops of the quill; it has its scale in any case. */
  quillStops?: number;
  /** Without it threads are not cut by tool. */
  leadscrew?: Leadscrew;
  /** How its levers stand for each of its feeds, in their order. */
  feedLevers?: string[];
  /** Whether the feed trips by itself at a stop; without it a hand drops it before a shoulder. */
  trips?: boolean;
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
  /** The dials of the cross-slide, of the carriage's handwheel, of the compound and of the quill's wheel. */
  crossDial?: Dial;
  carriageDial?: Dial;
  compoundDial?: Dial;
  quillDial?: Dial;
  /** Play of the cross-slide's screw, mm. */
  backlash?: number;
  /** Rests on hand: what they take, and how wide they stand on the work, mm. */
  rests?: Rest[];
  jaws: Holding;
  collets: Holding;
}

/** The leadscrew and what drives it. */
export interface Leadscrew {
  /** mm */
  pitch: number;
  /** Wheels on hand, in teeth; one twice where there are two. */
  gears: number[];
  /** Teeth of two wheels in mesh together, at least and at most; and how many more than the wheel on the next stud they must have to clear its shaft. */
  pairs?: { least: number; most: number; clear: number };
  /** A lever turns it the other way, for the other hand. */
  tumbler?: boolean;
  /** The thread dial: teeth of its wheel on the leadscrew, and its lines. */
  dial?: { wheel: number; lines: number };
  /** What a gearbox cuts by itself: how its levers stand for a pitch, mm. */
  box?: { pitch: number; levers: string }[];
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

/** Means of holding that are made for what they hold, and may be kept. */
export const MADE_HOLDERS = ['soft-jaws', 'split-bush', 'sleeve', 'threaded-holder'] as const;

/** What the shop made once to hold by and keeps: jaws bored to a size, a bush, a threaded holder. */
export interface KeptHolder {
  name: string;
  kind: (typeof MADE_HOLDERS)[number];
  /** What it holds, mm; of a thread its major diameter, with its name. */
  diameter: number;
  thread?: string;
  /** Where it is kept. */
  place?: string;
}

/** A means of holding work that is made or kept for it; the minutes are those of a piece, and of making it ready. */
export interface HoldingMeans extends Holding {
  kind: string;
  load: number;
  change: number;
}
