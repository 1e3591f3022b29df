/** What is done in one set-up, and what it is held by where that is said. */
interface Expected {
  end: 'front' | 'back';
  route: string[];
  held?: string;
}

/**
 * For tests only. Routes of parts of the shop as the drawing and the rules want them (trade: Order): what is done in each set-up, in which order, and
 * why so. A slash stands between operations whose order is free.
 */
export const ROUTES: [name: string, because: string, setups: Expected[], elsewhere?: string[]][] = [
  [
    'valve-needle',
    // The head is the bar. The needle is a cone out of a cylinder of 8, so that is turned first; the fillet at the guide
    // stays where the finishing nose of 0.4 leaves it. What is on the head and behind it is for the second side;
    // the only edge that the drawing leaves there is the mouth of the tapped hole, which its lead-in breaks.
    'front first: the guide is what the second side is held by, in a collet that does not mark it',
    [
      {
        end: 'front',
        route: ['face', 'turn-rough', 'turn-rough', 'turn-finish', 'turn-finish', 'taper', 'deburr', 'inspect'],
      },
      {
        end: 'back',
        route: [
          'face',
          'vee/chamfer/centre/drill/lead-in/tap',
          'vee/chamfer/centre/drill/lead-in/tap',
          'vee/chamfer/centre/drill/lead-in/tap',
          'vee/chamfer/centre/drill/lead-in/tap',
          'vee/chamfer/centre/drill/lead-in/tap',
          'vee/chamfer/centre/drill/lead-in/tap',
          'inspect',
        ],
      },
    ],
  ],
  [
    'clamp-nut',
    // The hexagon comes with the bar. Through M10: core hole, its mouth, then the tap, all before the part-off; the edge
    // and the mouth at the back are reached when it is turned round, held on its flats.
    'from the bar: nothing has to be held but the hexagon',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough',
          'centre',
          'drill',
          'countersink',
          'tap',
          'turn-finish',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', route: ['face', 'chamfer/countersink', 'chamfer/countersink'] },
    ],
  ],
  [
    'bearing-cup',
    // The boss must be turned from the back, and only the rim can be held afterwards. The hole is drilled at once, so that
    // its mouth at the back can be sunk; reaming waits for the side of the seat, since both must run true, and is done
    // before the spindle goes down for the edges.
    'back first, seat and shaft bore in one holding',
    [
      {
        end: 'back',
        route: ['face', 'turn-rough', 'centre', 'drill', 'countersink', 'turn-finish', 'form', 'deburr', 'part-off'],
      },
      {
        end: 'front',
        route: ['face', 'bore', 'chamfer', 'inner-groove', 'ream', 'deburr', 'inspect'],
      },
    ],
  ],
  [
    'thumb-screw',
    // The grip is the bar. Knurl before its neighbours are finished, its front edge after it; relief and lead chamfer
    // before the die; the rounded back edge when the piece is off.
    'from the bar',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough',
          'turn-rough',
          'knurl',
          'turn-finish',
          'turn-finish',
          'form/chamfer',
          'form/chamfer',
          'form/chamfer',
          'die',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', route: ['face', 'form'] },
    ],
  ],
  [
    'wind-shaft',
    // 96 long and 8 thick: turned under a centre, in an end that goes afterwards; then the edge that it covered. Faced and
    // centred short of the jaws, and the end off short of them too: I had it done while 92 stood out, which is not safe. The
    // cone in the back wants its pilot.
    'front first, under the centre, in an end that goes last',
    [
      {
        end: 'front',
        route: ['face', 'centre'],
      },
      {
        end: 'front',
        route: ['turn-rough', 'turn-rough', 'turn-finish', 'turn-finish', 'groove', 'deburr', 'inspect'],
      },
      { end: 'back', route: ['face', 'centre/chamfer', 'drill/chamfer', 'taper/chamfer', 'chamfer/taper', 'deburr'] },
      { end: 'front', route: ['face', 'chamfer'] },
    ],
  ],
  [
    'gland-body',
    // The hexagon comes with the bar and is held for the second side. Hole and seat before finishing; relief and lead
    // before the thread; the reamer last in its bore, while the spindle is still fast. Knurl before the nose is finished,
    // the mouth sunk at the same low speed; cone and vee out of its cylinder.
    'front first: the flats are safe to hold',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough',
          'turn-rough',
          'centre',
          'drill',
          'counterbore',
          'turn-finish',
          'turn-finish',
          'chamfer',
          'inner-groove',
          'ream',
          'form',
          'thread',
          'deburr',
          'inspect',
        ],
      },
      {
        end: 'back',
        route: [
          'face',
          'turn-rough',
          'turn-rough',
          'turn-finish',
          'countersink',
          'knurl',
          'turn-finish',
          'taper/vee/chamfer',
          'taper/vee/chamfer',
          'taper/vee/chamfer',
          'deburr',
          'inspect',
        ],
      },
    ],
  ],
  // The six that follow were written before the planner had seen them.
  [
    'vent-ring',
    // Rim and throat must run true, so both are made at once. Roughing and drilling before any finishing; the bar bores
    // what the drill leaves. A mandrel would hold 7 of the throat and wants 0.7 of its ⌀16; a step of soft jaws takes the rim.
    'both surfaces in one holding, the back in a step of soft jaws',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough/centre/drill',
          'turn-rough/centre/drill',
          'turn-rough/centre/drill',
          'bore/turn-finish/chamfer',
          'bore/turn-finish/chamfer',
          'bore/turn-finish/chamfer',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', held: 'soft-jaws', route: ['face', 'deburr'] },
    ],
  ],
  [
    'gauge-spindle',
    // The collar is the bar. The journal is left for grinding after the hardening, and its relief is cut when it is
    // finished; sharp edges crack in the bath, so all of them are broken here.
    'turned soft with 0.2 left, hardened, ground',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough',
          'turn-finish',
          'groove/chamfer',
          'groove/chamfer',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', held: 'collet', route: ['face', 'deburr'] },
    ],
    ['Harden to 50 HRC', 'Grind journal'],
  ],
  [
    'terminal-post',
    // Led in and tapped before the post is finished. The hole across is for the drill press, and before the plating, which is last.
    'from the bar, drilled across, plated',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough/centre/drill',
          'turn-rough/centre/drill',
          'turn-rough/centre/drill',
          'lead-in/tap/turn-finish/chamfer',
          'lead-in/tap/turn-finish/chamfer',
          'lead-in/tap/turn-finish/chamfer',
          'lead-in/tap/turn-finish/chamfer',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', held: 'collet', route: ['face', 'deburr'] },
    ],
    ['Drill ⌀3 across, through', 'Plate with nickel, 0.008 mm'],
  ],
  [
    'sensor-cap',
    // Nothing is behind: parted in part way, the back edge chamfered through the gap, then off. I took the rim for the
    // bar; ⌀24 is not sold drawn in aluminium, so it is turned as well: half a
    // millimetre a side to a usual size, in one cut.
    'one holding, finished as it is parted',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough/centre/drill',
          'turn-rough/centre/drill',
          'turn-rough/centre/drill',
          'turn-finish',
          'turn-finish',
          'chamfer',
          'part-in',
          'chamfer',
          'deburr',
          'part-off',
        ],
      },
    ],
  ],
  [
    'clamp-block',
    // The square comes with the bar. Its back is tapped when it is held on its flats, in four jaws.
    'from square bar, the back held on the flats',
    [
      { end: 'front', route: ['face', 'turn-rough', 'turn-finish', 'chamfer', 'deburr', 'part-off'] },
      { end: 'back', held: '4-jaw', route: ['face', 'centre', 'drill', 'lead-in', 'tap', 'deburr', 'inspect'] },
    ],
  ],
  [
    'setting-wheel',
    // The grip is the bar, or turned; knurled before the hub is finished. The reamer last in its hole. The hub is too short
    // to hold: soft sheet round the knurl.
    'from the bar, the back in a sleeve over the knurl',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough/centre/drill/knurl',
          'turn-rough/centre/drill/knurl',
          'turn-rough/centre/drill/knurl',
          'turn-rough/centre/drill/knurl',
          'ream/turn-finish/chamfer',
          'ream/turn-finish/chamfer',
          'ream/turn-finish/chamfer',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', held: 'sleeve', route: ['face', 'deburr'] },
    ],
  ],
  [
    'mast-stud',
    // The hexagon is the bar and is held for the second side; each thread by its die, after its lead chamfer.
    'from hex bar, the second thread held on the flats',
    [
      {
        end: 'front',
        route: ['face', 'turn-rough', 'turn-finish', 'chamfer', 'die', 'deburr', 'inspect', 'part-off'],
      },
      {
        end: 'back',
        held: '3-jaw',
        route: ['face', 'turn-rough', 'turn-finish', 'chamfer', 'die', 'deburr', 'inspect'],
      },
    ],
  ],
  // The plans of those that follow were known when their routes were written down.
  [
    'sensor-spacer',
    // Flange and spigot in one holding with the hole; the back edge when it is turned round.
    'from the bar, the back in soft jaws on the flange',
    [
      {
        end: 'front',
        route: [
          'face',
          'turn-rough',
          'turn-rough',
          'centre',
          'drill',
          'turn-finish',
          'turn-finish',
          'chamfer',
          'deburr',
          'inspect',
          'part-off',
        ],
      },
      { end: 'back', held: 'soft-jaws', route: ['face', 'chamfer', 'deburr'] },
    ],
  ],
  [
    'pivot-pin',
    // The head is the bar. The pivot is held in a collet that does not mark it.
    'from the bar',
    [
      { end: 'front', route: ['face', 'turn-rough', 'turn-finish', 'chamfer', 'deburr', 'inspect', 'part-off'] },
      { end: 'back', held: 'collet', route: ['face', 'deburr'] },
    ],
  ],
  [
    'terminal-pillar',
    // In inches; the head is the bar.
    'from the bar',
    [
      {
        end: 'front',
        route: ['face', 'turn-rough', 'centre', 'drill', 'turn-finish', 'chamfer', 'deburr', 'inspect', 'part-off'],
      },
      { end: 'back', held: 'collet', route: ['face', 'chamfer'] },
    ],
  ],
  [
    'valve-needle-blank',
    // The head in front is the bar and larger than the stem, so that the stem is turned first, from the back: it is slender
    // by the time it is finished, so that its end is centred before it is drawn out.
    'back first: the stem is what the head is held by',
    [
      { end: 'back', route: ['face', 'centre'] },
      { end: 'back', route: ['turn-rough', 'turn-finish', 'chamfer', 'deburr', 'inspect'] },
      { end: 'front', held: 'collet', route: ['face', 'chamfer'] },
    ],
  ],
  [
    'vane-spindle',
    // A journal at each end of a body: the second is turned when the first and the body are done, held on the body.
    'from blanks',
    [
      {
        end: 'front',
        route: ['face', 'turn-rough', 'turn-rough', 'turn-finish', 'turn-finish', 'chamfer', 'deburr', 'inspect'],
      },
      {
        end: 'back',
        held: 'collet',
        route: ['face', 'turn-rough', 'turn-finish', 'chamfer', 'deburr', 'inspect'],
      },
    ],
  ],
  [
    'mast-collar',
    // Steel over 12 mm: a pilot before the drill. The outside is turned through to the blade, half a millimetre a
    // side to a usual size in one cut.
    'from the bar, the back in soft jaws',
    [
      {
        end: 'front',
        route: ['face', 'centre', 'drill', 'drill', 'turn-finish', 'chamfer', 'deburr', 'part-off'],
      },
      { end: 'back', held: 'soft-jaws', route: ['face', 'chamfer', 'deburr'] },
    ],
  ],
  [
    'cup-arm-hub',
    // Too thick for the spindle, so blanks. The narrow hole through, then the wider one; the boss before the hub, which is
    // turned when it is held on the boss.
    'from blanks, the hub turned from the back',
    [
      {
        end: 'front',
        route: ['face', 'turn-rough', 'centre', 'drill', 'drill', 'turn-finish', 'chamfer', 'deburr', 'inspect'],
      },
      { end: 'back', held: 'collet', route: ['face', 'turn-finish', 'chamfer', 'deburr'] },
    ],
  ],
];
