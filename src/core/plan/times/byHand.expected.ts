import type { RunFile } from '../../read/runFile';

/** What the minutes of a piece go to. */
export type Group = 'in and out' | 'changes' | 'to size' | 'cutting' | 'measuring' | 'edges, swarf and fluid';

/** A thing that is done to a piece, how often, and what it takes each time, min. */
type Doing = [what: string, times: number, each: number];

/** A piece as a machinist makes it, element by element, without the allowance for what no element covers. */
export interface ByHand {
  /** How it would be made, and what holds the plan to that way, since elements compare only like with like. */
  so: string;
  held?: Partial<RunFile>;
  minutes: Record<Group, readonly Doing[]>;
}

/**
 * Six runs of the demo worked out by hand, before their plans were looked at: the elements of a piece with the start values of
 * a new shop (trade: Time), each cut from its length, feed and speed. A machinist puts tools of one speed after another, winds
 * the drills, faces and roughs with one tool, and breaks an edge in nine seconds.
 */
export const byHand: Record<string, ByHand> = {
  'mast-collar': {
    so: 'One holding from a bar of 35: faced, drilled, turned, parted in, both edges chamfered, parted off.',
    held: { rules: { nib: 'as-parted' }, overrules: [{ setups: 1 }] },
    minutes: {
      'in and out': [['bar pulled to its stop', 1, 0.3]],
      changes: [
        ['tools of the post: for facing, for the diameter, blade, chamfers, blade again', 5, 0.15],
        ['centre drill, pilot of 6, drill', 3, 0.35],
        ['tailstock in, and out', 2, 0.15],
        ['speed: down for the drill, up, down for the blade, up', 4, 0.1],
      ],
      'to size': [
        ['face, diameter, two chamfers, parted in, parted off', 6, 0.12],
        ['stops: two drills, diameter, part-off', 4, 0.05],
      ],
      cutting: [
        ['face: 20 at 1120 · 0.1', 1, 0.18],
        ['centre: 7 at 100 a minute', 1, 0.07],
        ['pilot: 19 at 1120 · 0.09, one peck', 1, 0.23],
        ['drill: 22 at 400 · 0.24', 1, 0.23],
        ['diameter: 18 at 1120 · 0.08', 1, 0.2],
        ['chamfers: 3 at 56 a minute', 2, 0.05],
        ['blade: 11 at 100 · 0.05', 1, 2.2],
      ],
      measuring: [['diameter, hole and length, every fifth', 3, 0.03]],
      'edges, swarf and fluid': [
        ['both edges of the hole', 2, 0.15],
        ['oil: three drills, diameter, blade', 5, 0.04],
        ['swarf', 1, 0.05],
      ],
    },
  },
  'pivot-pin': {
    so: 'From drawn bar of 10 in a collet, parted off; turned round in a collet on the pivot, the head faced.',
    held: { way: 'from-bar', firstEnd: 'front' },
    minutes: {
      'in and out': [
        ['bar pulled to its stop', 1, 0.3],
        ['collet loaded for the head', 1, 0.25],
        ['unloaded and wiped', 1, 0.25],
      ],
      changes: [
        ['tools of the post: for facing and roughing, for finishing, for the chamfer, blade', 4, 0.15],
        ['speed down for the blade, and up', 2, 0.1],
        ['feed: roughing to finishing, and back', 2, 0.08],
      ],
      'to size': [
        ['face, two roughing and two finishing cuts, chamfer, part-off; face of the head', 8, 0.12],
        ['stops: shoulder roughed and finished, part-off', 3, 0.05],
      ],
      cutting: [
        ['faces: 7.5 at 200 a minute', 2, 0.04],
        ['rough: 20 at 400 a minute', 2, 0.05],
        ['finish: 20 at 160 a minute', 2, 0.125],
        ['shoulder faced out', 1, 0.03],
        ['chamfer', 1, 0.03],
        ['part off: 7 at 22.4 a minute', 1, 0.31],
      ],
      measuring: [
        ['pivot by micrometer, before its last cut and after', 2, 0.3],
        ['two lengths, every fifth', 2, 0.03],
      ],
      'edges, swarf and fluid': [
        ['both edges of the head', 2, 0.15],
        ['oil', 5, 0.04],
        ['swarf', 1, 0.01],
      ],
    },
  },
  'sensor-spacer': {
    so: 'From the bar of 30 in three jaws, parted off; turned round in a collet on the spigot: faced, back edge.',
    minutes: {
      'in and out': [
        ['bar pulled to its stop', 1, 0.3],
        ['collet loaded', 1, 0.25],
        ['unloaded and wiped', 1, 0.25],
      ],
      changes: [
        ['tools of the post: rougher, finisher, chamfer, blade; on the other side rougher and chamfer', 6, 0.15],
        ['centre drill and drill', 2, 0.35],
        ['tailstock in, and out', 2, 0.15],
        ['speed down for the blade, and up', 2, 0.1],
        ['feed: roughing to finishing, and back', 2, 0.08],
      ],
      'to size': [
        ['face, four roughing and two finishing cuts, chamfer, part-off; face and edge of the other side', 11, 0.12],
        ['stops: two depths, shoulder roughed and finished, end of the flange, part-off', 6, 0.05],
      ],
      cutting: [
        ['face: 17.5 at 200 a minute', 1, 0.09],
        ['centre', 1, 0.07],
        ['drill: 30 at 200 a minute, which is as fast as it is wound, one peck', 1, 0.19],
        ['flange: roughed 28 at 400, finished 28 at 160', 1, 0.245],
        ['spigot: roughed three times 11.3 at 400, finished 11 at 160, shoulder 6 at 160', 1, 0.195],
        ['edges', 2, 0.03],
        ['part off: 11.6 at 22.4 a minute', 1, 0.52],
        ['other face', 1, 0.08],
      ],
      measuring: [
        ['spigot by micrometer, each', 1, 0.3],
        ['its length by depth micrometer, each', 1, 0.3],
        ['flange, its length, hole, every fifth', 3, 0.03],
      ],
      'edges, swarf and fluid': [
        ['hole at both ends, front of the flange', 3, 0.15],
        ['light oil', 6, 0.04],
        ['swarf: 9.5 cm³', 1, 0.1],
      ],
    },
  },
  'wind-shaft': {
    so: 'A blank with an end for the centre: faced and centred short, drawn out and turned, turned round for the seat, end off.',
    minutes: {
      'in and out': [
        ['blank sawn off against a stop', 1, 0.6],
        ['collet loaded: for the centre, for the back, for the front', 3, 0.25],
        ['drawn out', 1, 0.3],
        ['unloaded and wiped', 3, 0.25],
      ],
      changes: [
        ['tailstock for the centre drill, in and out; live centre, in and out', 4, 0.15],
        ['tools under the centre: rougher, finisher, blade', 3, 0.15],
        ['at the back: rougher, bar, chamfer', 3, 0.15],
        ['centre drill and drill at the back', 2, 0.35],
        ['tailstock there, in and out', 2, 0.15],
        ['at the front: rougher and chamfer', 2, 0.15],
        ['speed: for the groove and up, for the drill and up', 4, 0.1],
        ['feed: roughing to finishing, and back', 2, 0.08],
      ],
      'to size': [
        ['end faced', 1, 0.12],
        ['under the centre: four roughing and three finishing cuts, groove', 8, 0.12],
        ['stops there: two shoulders roughed and finished, groove', 5, 0.05],
        ['at the back: face, four cuts of the seat, edge', 6, 0.12],
        ['depth of the drill', 1, 0.06],
        ['end off in four cuts, edge', 5, 0.12],
      ],
      cutting: [
        ['end faced and centred', 1, 0.1],
        ['body roughed in two: 93 at 400 a minute', 2, 0.233],
        ['journal roughed in two: 22 at 400', 2, 0.055],
        ['body finished: 72 at 160', 1, 0.45],
        ['journal finished in two: 22 at 160', 2, 0.138],
        ['groove: 3 at 16 a minute', 1, 0.19],
        ['back faced, centred and drilled', 1, 0.2],
        ['seat: four cuts of 7.5 at 100 a minute, as fast as the compound is wound', 4, 0.075],
        ['end off: four cuts of 6 at 200', 4, 0.03],
        ['edges', 2, 0.03],
      ],
      measuring: [
        ['journal by micrometer, before its last cut and after', 2, 0.3],
        ['place of the groove, each', 1, 0.15],
        ['body, groove, length, seat, every fifth', 4, 0.03],
      ],
      'edges, swarf and fluid': [
        ['groove, end of the body, front of the flange, mouth of the seat', 5, 0.15],
        ['oil', 8, 0.04],
        ['swarf: 8.5 cm³', 1, 0.06],
      ],
    },
  },
  'thumb-screw': {
    so: 'From drawn bar of 18 in a collet: all of it, the corner made behind where it is parted in; then the back faced.',
    minutes: {
      'in and out': [
        ['bar pulled to its stop', 1, 0.3],
        ['collet loaded on the neck', 1, 0.25],
        ['unloaded and wiped', 1, 0.25],
      ],
      changes: [
        ['tools of the post: rougher, finisher, chamfers, blade, knurl, corner, parting blade', 7, 0.15],
        ['die in the tailstock', 1, 0.35],
        ['tailstock in, and out', 2, 0.15],
        ['speed: groove, die, knurl and corner, part-off, up', 5, 0.1],
        ['feed: roughing to finishing, and back', 2, 0.08],
      ],
      'to size': [
        ['face, three roughing and two finishing cuts, two chamfers, two plunges', 10, 0.12],
        ['die, knurl, corner, parted in, parted off', 5, 0.12],
        ['stops: two shoulders roughed and finished, groove, part-off', 6, 0.05],
        ['face of the back', 1, 0.12],
      ],
      cutting: [
        ['faces', 2, 0.06],
        ['neck roughed in two: 22 at 400 a minute', 2, 0.055],
        ['thread end roughed: 18 at 400', 1, 0.045],
        ['both finished: 18 and 6 at 160', 1, 0.15],
        ['chamfers', 2, 0.03],
        ['relief: two plunges at 64 a minute, and along its bottom', 1, 0.18],
        ['die: 12 turns in and out at 100 rev/min', 1, 0.24],
        ['knurl: 10 at 50 a minute', 1, 0.2],
        ['corner: 4 at 7.5 a minute', 1, 0.5],
        ['part off: 11 at 22.4 a minute', 1, 0.49],
      ],
      measuring: [
        ['thread gauge, every fifth', 1, 0.08],
        ['neck and lengths, every fifth', 5, 0.03],
      ],
      'edges, swarf and fluid': [
        ['relief, neck', 2, 0.15],
        ['oil for the die', 1, 0.04],
        ['swarf: 5.5 cm³', 1, 0.04],
      ],
    },
  },
  'bearing-cup': {
    so: 'From the bar of 35 in three jaws: bores and rim, parted off; turned round in soft jaws on the rim: boss, corner, mouth.',
    held: { way: 'from-bar', firstEnd: 'front' },
    minutes: {
      'in and out': [
        ['bar pulled to its stop', 1, 0.3],
        ['soft jaws loaded', 1, 0.4],
        ['unloaded and wiped', 1, 0.25],
      ],
      changes: [
        ['tools of the post: rougher, bar, groove inside, finisher, chamfer, blade', 6, 0.15],
        ['centre drill, drill, core drill, reamer', 4, 0.35],
        ['tailstock in, and out', 2, 0.15],
        ['other side: rougher, finisher, corner', 3, 0.15],
        ['countersink', 1, 0.35],
        ['tailstock there, in and out', 2, 0.15],
        ['speed: core drill, reamer, groove, part-off, up; corner, countersink, up', 8, 0.1],
        ['feed: roughing to finishing and back, on both sides', 4, 0.08],
      ],
      'to size': [
        ['face, six cuts of the seat and its floor, groove, two cuts of the rim, edge, part-off', 12, 0.12],
        ['four depths, four stops', 8, 0.05],
        ['other side: face, two roughing and one finishing cut, corner', 5, 0.12],
        ['depth of the countersink, two stops', 3, 0.05],
      ],
      cutting: [
        ['face: 20 at 200 a minute', 1, 0.1],
        ['centre', 1, 0.07],
        ['drill: 26 at 200, one peck', 1, 0.17],
        ['core drill: 15.5 at 200', 1, 0.08],
        ['seat: two roughing and two finishing cuts of 10 at 160, floor twice', 1, 0.39],
        ['ream: 24 at 200', 1, 0.12],
        ['groove inside: 2.5 at 17', 1, 0.15],
        ['edge', 1, 0.03],
        ['rim: 22 at 400, 22 at 160', 1, 0.195],
        ['part off: 14 at 16 a minute', 1, 0.88],
        ['other face, boss roughed in two and finished', 1, 0.22],
        ['corner: 4 at 12', 1, 0.33],
        ['countersink: 2.5 at 12.5', 1, 0.2],
      ],
      measuring: [
        ['seat by bore gauge, before its last cut and after', 2, 0.6],
        ['plug gauge in the shaft bore, each', 1, 0.3],
        ['depth, groove twice, rim, boss, lengths, mouth, every fifth', 8, 0.03],
        ['run-out, every fifth', 1, 0.12],
      ],
      'edges, swarf and fluid': [
        ['mouth of the seat, shaft bore, back of the rim', 3, 0.15],
        ['light oil', 10, 0.04],
        ['swarf: 12 cm³', 1, 0.15],
      ],
    },
  },
};
