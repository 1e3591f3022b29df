import type { Machine } from './machine';

/**
 * The lathes of a new shop: one of each way to stop a length. Screws and a read-out; nothing but dials; one screw and dials; a read-out
 * that stores figures. What a run leaves open is planned for the first.
 */
export const startMachines: Machine[] = [
  {
    id: 'centre-lathe-a',
    name: 'centre lathe A',
    swing: 180,
    betweenCentres: 500,
    spindleBore: 36,
    tubeUpTo: 36, // ours
    tubeSpeed: 2000, // ours
    speeds: [65, 100, 160, 250, 400, 560, 800, 1120, 1600, 2000],
    feeds: [0.04, 0.05, 0.06, 0.08, 0.1, 0.12, 0.15, 0.18, 0.2, 0.25, 0.3],
    motorKilowatts: 1.5,
    efficiency: 0.75,
    stations: 4,
    spacers: [1, 2, 3, 5, 10, 20], // ours
    feelers: [0.05, 0.1, 0.2, 0.3, 0.5], // ours
    indicator: 10, // ours
    quillStops: 1, // ours
    leadscrew: {
      pitch: 3,
      gears: [20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 80, 127],
      pairs: { least: 45, most: 210, clear: 12 },
      dial: { wheel: 14, lines: 7 },
    }, // ours
    quillTravel: 100,
    compoundTravel: 60, // ours
    compoundAhead: 15, // ours
    post: { kind: 'quick-change', places: 12, step: 15 }, // ours
    runsBack: true,
    protractor: 'axis',
    readOut: 'diameter',
    crossDial: { travel: 2.5, divisions: 125 }, // ours
    carriageDial: { travel: 20, divisions: 200 }, // ours
    compoundDial: { travel: 2.5, divisions: 125 }, // ours
    quillDial: { travel: 5, divisions: 100 }, // ours
    backlash: 0.15, // ours
    rests: [
      { kind: 'follow', from: 6, upTo: 40, width: 20 }, // ours
      { kind: 'fixed', from: 10, upTo: 80, width: 20 }, // ours
    ],
    jaws: { from: 3, upTo: 100, length: 25, runOut: 0.1, over: 160 }, // over all: ours
    collets: { from: 3, upTo: 25, length: 25, runOut: 0.03, over: 60 },
  },
  {
    // Ours: a light lathe with dials in inches and nothing that stops its carriage.
    id: 'bench-lathe-b',
    name: 'bench lathe B',
    swing: 150,
    betweenCentres: 350,
    spindleBore: 20,
    speeds: [120, 200, 340, 500, 750, 1100, 1600, 2200],
    feeds: [0.05, 0.08, 0.1, 0.13, 0.2],
    motorKilowatts: 0.75,
    efficiency: 0.7,
    pace: 'careful',
    post: { kind: 'quick-change', places: 6, step: 15 },
    stations: 0,
    quillTravel: 65,
    compoundTravel: 60,
    compoundAhead: 15,
    protractor: 'square',
    readOut: 'none',
    crossDial: { travel: 2.54, divisions: 100 },
    carriageDial: { travel: 19.05, divisions: 150 },
    compoundDial: { travel: 2.54, divisions: 100 },
    quillDial: { travel: 2.54, divisions: 100 },
    backlash: 0.2,
    leadscrew: {
      pitch: 3.175,
      gears: [20, 21, 24, 28, 30, 32, 35, 36, 40, 44, 48, 50, 60, 63, 65],
      pairs: { least: 45, most: 140, clear: 10 },
      dial: { wheel: 16, lines: 8 },
    },
    rests: [{ kind: 'follow', from: 5, upTo: 25, width: 15 }],
    jaws: { from: 3, upTo: 80, length: 20, runOut: 0.08, over: 125 },
    collets: { from: 3, upTo: 16, length: 22, runOut: 0.03, over: 50 },
  },
  {
    // Ours: one screw for the carriage, wheels for threads, no read-out.
    id: 'centre-lathe-c',
    name: 'centre lathe C',
    swing: 220,
    betweenCentres: 700,
    spindleBore: 32,
    speeds: [50, 80, 125, 200, 315, 500, 800, 1250],
    feeds: [0.05, 0.07, 0.1, 0.14, 0.2, 0.28],
    motorKilowatts: 2.2,
    efficiency: 0.75,
    post: { kind: 'turret', places: 4 },
    stations: 1,
    spacers: [1, 2, 5, 10],
    feelers: [0.1, 0.2, 0.3],
    crossStops: 1,
    quillStops: 1,
    trips: true,
    quillTravel: 120,
    compoundTravel: 80,
    compoundAhead: 20,
    protractor: 'axis',
    readOut: 'none',
    crossDial: { travel: 4, divisions: 200 },
    carriageDial: { travel: 24, divisions: 240 },
    compoundDial: { travel: 4, divisions: 200 },
    quillDial: { travel: 5, divisions: 100 },
    backlash: 0.25,
    leadscrew: {
      pitch: 6,
      gears: [20, 24, 28, 30, 32, 35, 40, 45, 48, 50, 55, 60, 65, 70, 80, 100, 127],
      pairs: { least: 50, most: 220, clear: 15 },
      tumbler: true,
      dial: { wheel: 12, lines: 6 },
    },
    rests: [{ kind: 'fixed', from: 12, upTo: 100, width: 25 }],
    jaws: { from: 4, upTo: 130, length: 30, runOut: 0.1, over: 200 },
    collets: { from: 3, upTo: 25, length: 25, runOut: 0.03, over: 60 },
  },
  {
    // Ours: a read-out that stores figures, a gearbox, and no screws.
    id: 'gearbox-lathe-d',
    name: 'gearbox lathe D',
    swing: 190,
    betweenCentres: 600,
    spindleBore: 40,
    speeds: [45, 70, 110, 180, 280, 450, 710, 1120, 1800],
    feeds: [0.05, 0.08, 0.1, 0.125, 0.16, 0.2, 0.25],
    feedLevers: ['A1 slow', 'A2 slow', 'A3 slow', 'A1', 'A2', 'A3', 'A4'],
    motorKilowatts: 2.2,
    efficiency: 0.75,
    post: { kind: 'quick-change', places: 10, step: 15 },
    stations: 0,
    presets: 8,
    quillStops: 1,
    quillTravel: 110,
    compoundTravel: 70,
    compoundAhead: 18,
    runsBack: true,
    protractor: 'axis',
    readOut: 'diameter',
    crossDial: { travel: 4, divisions: 200 },
    carriageDial: { travel: 18, divisions: 180 },
    compoundDial: { travel: 3, divisions: 150 },
    quillDial: { travel: 5, divisions: 100 },
    backlash: 0.1,
    leadscrew: {
      pitch: 6,
      gears: [30, 40, 60, 120, 127],
      pairs: { least: 60, most: 260, clear: 15 },
      tumbler: true,
      box: [
        { pitch: 0.5, levers: 'B1 slow' },
        { pitch: 0.75, levers: 'B3 slow' },
        { pitch: 1, levers: 'B1' },
        { pitch: 1.25, levers: 'B2' },
        { pitch: 1.5, levers: 'B3' },
        { pitch: 1.75, levers: 'B4' },
        { pitch: 2, levers: 'C1' },
        { pitch: 2.5, levers: 'C2' },
        { pitch: 3, levers: 'C3' },
      ],
    },
    rests: [
      { kind: 'follow', from: 6, upTo: 40, width: 20 },
      { kind: 'fixed', from: 10, upTo: 80, width: 20 },
    ],
    jaws: { from: 3, upTo: 110, length: 27, runOut: 0.08, over: 165 },
    collets: { from: 3, upTo: 25, length: 25, runOut: 0.03, over: 60 },
  },
];
