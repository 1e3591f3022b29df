import { quietLength } from '../cutting/whip';
import type { Way } from '../../model/way';
import { sectionOf } from '../../model/shop/section';
import { lengthCut, type Bar, type BoughtStock, type Piece } from '../../model/plan/stock';
import { figure, sum, term, termOf, type Figure, type Term } from '../../model/figure';
import { askedStickOut } from '../../model/overrule';
import { andThen, good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import { say } from '../../model/words';
import { turnRound } from '../../model/part/part';
import { metal } from '../../model/workpiece/workpiece';
import { centreDepth, centreDrillFor, endDiameter } from '../cutting/centres';
import { chooseBlade } from './blade';

function gripRemnantOf({ allowances, shop }: Run, size: number): Figure {
  const { gripRemnantTimes, gripRemnantLeast } = shop.allowances;
  if (allowances.gripRemnant !== undefined)
    return figure({
      name: 'grip remnant',
      unit: 'mm',
      value: allowances.gripRemnant,
      formula: 'g',
      terms: [term('g', 'as the run says', allowances.gripRemnant, 'mm', 'run')],
    });
  return figure({
    name: 'grip remnant',
    unit: 'mm',
    value: Math.max(gripRemnantTimes * size, gripRemnantLeast),
    formula: 'max(k · D, g)',
    terms: [
      term('k', 'times the diameter', gripRemnantTimes, '', 'start value'),
      term('D', 'bar', size, 'mm', 'computed'),
      term('g', 'at least', gripRemnantLeast, 'mm', 'start value'),
    ],
  });
}

/** The quantity and its spares: pieces that arrive are counted, others for the first-off, and for the scrap that the shop counts with (trade: Stock, Measuring). */
function toMakeOf({ quantity, spares, shop, stock }: Run): Figure {
  const N = term('N', 'quantity', quantity, '', 'run');
  const asMany = (note: string) =>
    figure({ name: 'pieces to make', unit: '', value: quantity, formula: 'N', terms: [N], note });
  if (spares !== undefined)
    return figure({
      name: 'pieces to make',
      unit: '',
      value: quantity + spares,
      formula: 'N + s',
      terms: [N, term('s', 'spare pieces', spares, '', 'run')],
    });
  if (stock !== 'choose' && stock.piece) return asMany('So many arrive.');
  const { firstOff, scrapShare, noneUpTo } = shop.spares;
  if (quantity <= noneUpTo) return asMany('So few have no spares: the first-off is one of them.');
  return figure({
    name: 'pieces to make',
    unit: '',
    value: quantity + firstOff + Math.ceil(quantity * scrapShare - 1e-9),
    formula: 'N + f + ceil(N · q)',
    terms: [
      N,
      term('f', 'spare for the first-off', firstOff, '', 'start value'),
      term('q', 'share of scrap expected', scrapShare, '', 'start value'),
    ],
  });
}

/** Bars, what is left over, and mass: the same for both ways once the pieces of a bar are known. */
function bought(
  run: Run,
  bar: Bar,
  each: Figure,
  piecesPerBar: Figure,
  lostAtEnd: number,
): Pick<BoughtStock, 'toMake' | 'bars' | 'leftOver' | 'mass'> {
  const toMake = toMakeOf(run);
  const bars = Math.ceil(toMake.value / piecesPerBar.value);
  const onLast = toMake.value - (bars - 1) * piecesPerBar.value;
  const density = run.shop.material.density;
  // Of a piece as it arrives the section that it has on average.
  const section = bar.piece ? metal(bar.piece) / bar.barLength : sectionOf(bar);
  return {
    toMake,
    bars: figure({
      name: 'bars',
      unit: '',
      value: bars,
      formula: 'ceil(N / p)',
      terms: [termOf('N', toMake), termOf('p', piecesPerBar)],
    }),
    leftOver: figure({
      name: 'left of the last bar',
      unit: 'mm',
      // The kerf behind the last blank may fall beyond the bar.
      value: Math.max(0, bar.barLength - lostAtEnd - onLast * each.value),
      formula: 'max(0, B − e − n · l)',
      terms: [
        term('B', 'bar length', bar.barLength, 'mm', run.stock === 'choose' ? 'start value' : 'run'),
        term('e', 'lost at its first end', lostAtEnd, 'mm', 'computed'),
        term('n', 'pieces from it', onLast, '', 'computed'),
        termOf('l', each),
      ],
    }),
    mass: figure({
      name: 'mass of the stock',
      unit: 'kg',
      value: ((section * bar.barLength * density) / 1e6) * bars,
      formula: 'b · A · B · ρ / 1000000',
      terms: [
        term('b', 'bars', bars, '', 'computed'),
        term('A', 'area of its section, mm²', section, '', 'computed'),
        term('B', 'bar length', bar.barLength, 'mm', run.stock === 'choose' ? 'start value' : 'run'),
        term('ρ', 'density', density, 'g/cm³', 'material'),
      ],
    }),
  };
}

const given = (value: number | undefined, start: number, symbol: string, name: string) =>
  term(symbol, name, value ?? start, 'mm', value === undefined ? 'start value' : 'run');

/** A bar that is too long for the spindle, or would whip behind it, is cut into equal lengths first, mm. */
function lengthsOf(
  { shop, allowances }: Run,
  bar: Bar,
): { lengths: number; length: number; kerf: number; longest: number } {
  const longest = Math.min(shop.machine.longestBar ?? Infinity, quietLength(bar, bar.over, shop));
  const lengths = Math.max(1, Math.ceil(bar.barLength / longest - 1e-9));
  const kerf = allowances.kerf ?? shop.allowances.kerf;
  return { lengths, length: lengthCut({ ...bar, lengths, kerf }), kerf, longest };
}

/** Room between blade and jaws: what is left of a stick-out that was decided, where it is enough for a piece. */
function clearanceOf({ overrules, allowances, shop }: Run, each: number): Term {
  const asked = askedStickOut(overrules, 1);
  return asked && asked.stickOut >= each
    ? term('c', 'blade to jaws, as the stick-out was decided', asked.stickOut - each, 'mm', 'run')
    : given(allowances.jawClearance, shop.allowances.jawClearance, 'c', 'blade to jaws');
}

function fromBar(run: Run, bar: Bar): Result<BoughtStock> {
  const { part, allowances, shop, units } = run;
  if (allowances.spigot)
    return refuse('allowances.spigot', 'only a sawn blank keeps one: from the bar the bar itself is held');
  if (bar.over > shop.machine.spindleBore)
    return refuse(
      run.way === 'from-bar' ? 'way' : 'stock.size',
      `${say(Number(bar.over.toFixed(3)), units)} does not pass the spindle bore (${say(shop.machine.spindleBore, units)}): saw blanks`,
    );
  return andThen(chooseBlade(run, bar.over), (blade) => {
    const start = shop.allowances;
    const front = given(allowances.frontFacing, start.facingParted, 'f', 'front facing allowance');
    const asParted = allowances.backFacing === undefined && shop.houseRules.nib === 'as-parted';
    const back = asParted
      ? term('k', 'the back stays as it is parted', 0, 'mm', 'house rule')
      : given(allowances.backFacing, start.facingParted, 'k', 'back facing allowance');
    const width = term('b', 'blade width', blade.width, 'mm', allowances.bladeWidth === undefined ? 'tool' : 'run');
    const firstEnd = given(allowances.firstEnd, start.firstEnd, 'e', 'clean-up of the first end');
    const centreEnd = centreEndOf(run);
    const each = sum('pitch', 'mm', [
      term('L', 'length of the part', part.length, 'mm', 'drawing'),
      front,
      ...(centreEnd ? [termOf('z', centreEnd)] : []),
      width,
      back,
    ]);
    const clearance = clearanceOf(run, each.value);
    const gripRemnant = gripRemnantOf(run, bar.over);
    const { lengths, length, kerf, longest } = lengthsOf(run, bar);
    const usable = length - firstEnd.value - gripRemnant.value - clearance.value;
    const plain = lengths * Math.floor((usable + clearance.value) / each.value + 1e-9);
    const pieces = lengths * Math.floor(usable / each.value + 1e-9);
    const B = term('B', 'bar length', bar.barLength, 'mm', run.stock === 'choose' ? 'start value' : 'run');
    const cut = [
      term(
        'j',
        'lengths that the bar is cut into, to pass the spindle and not to whip behind it',
        lengths,
        '',
        'machine',
      ),
      term('w', 'saw kerf', kerf, 'mm', allowances.kerf === undefined ? 'start value' : 'run'),
    ];
    if (pieces < 1)
      return refuse(
        'stock.barLength',
        `a bar of ${say(bar.barLength, units)} gives no piece: each takes ${say(each.value, units)}, and ${say(gripRemnant.value, units)} must be left to hold`,
      );
    const piecesPerBar = figure({
      name: 'pieces per bar',
      unit: '',
      value: pieces,
      formula: lengths > 1 ? 'j · floor(((B − (j − 1) · w) / j − e − g − c) / P)' : 'floor((B − e − g − c) / P)',
      terms: [B, ...(lengths > 1 ? cut : []), firstEnd, termOf('g', gripRemnant), clearance, termOf('P', each)],
      note:
        plain > pieces
          ? `Without the room between blade and jaws it would be ${plain}, but the last would be held on less than the grip remnant.`
          : 'The last piece keeps its whole stick-out and grip.',
    });
    return good({
      ...bar,
      way: 'from-bar',
      frontFacing: front.value,
      backFacing: back.value,
      spigot: 0,
      centreEnd: centreEnd?.value ?? 0,
      blade,
      each,
      gripRemnant,
      firstEnd: firstEnd.value,
      kerf,
      lengths,
      longest,
      jawClearance: clearance.value,
      breakthrough: allowances.breakthrough ?? start.breakthrough,
      piecesPerBar,
      ...bought(run, bar, each, piecesPerBar, firstEnd.value),
    });
  });
}

const SPIGOT = 'spigot left on to hold by';
const CENTRE_END = 'end left on for a centre';

const asTheRunSays = (name: string, value: number): Figure =>
  sum(name, 'mm', [term('h', 'as the run says', value, 'mm', 'run')]);

/** A spigot (trade: Stock): as the run says, or so long that the first set-up holds by it and turns the whole part. */
function spigotOf({ part, allowances, shop }: Run, facing: { front: number; back: number }): Figure | undefined {
  const { spigot } = allowances;
  if (spigot === undefined || typeof spigot === 'number') return spigot ? asTheRunSays(SPIGOT, spigot) : undefined;
  const { toolClearance, overrun } = shop.allowances;
  const { leanTimes, gripLeast } = shop.cutting;
  const least = Math.max(...Object.values(gripLeast));
  const out = part.length + facing.front + overrun + toolClearance;
  const held = [
    term('c', 'tool to jaws', toolClearance, 'mm', 'start value'),
    term('o', 'overrun of the tool', overrun, 'mm', 'start value'),
    term('b', 'back facing allowance, which is held as well', facing.back, 'mm', 'computed'),
  ];
  // Under a centre that is there from the start it does not lean (trade: Safe holds).
  if (spigot === 'choose-centred')
    return figure({
      name: SPIGOT,
      unit: 'mm',
      value: Math.max(0, least + toolClearance + overrun - facing.back),
      formula: 'max(0, g + c + o − b)',
      terms: [term('g', 'shortest grip', least, 'mm', 'start value'), ...held],
    });
  return figure({
    name: SPIGOT,
    unit: 'mm',
    value: Math.max(0, Math.max(least, out / leanTimes) + toolClearance + overrun - facing.back),
    formula: 'max(0, max(g, (L + f + o + c) / n) + c + o − b)',
    terms: [
      term('g', 'shortest grip', least, 'mm', 'start value'),
      term('L', 'length of the part', part.length, 'mm', 'drawing'),
      term('f', 'facing allowance of the end that is out', facing.front, 'mm', 'computed'),
      term('n', 'stands out, times what is gripped, at most', leanTimes, '', 'start value'),
      ...held,
    ],
  });
}

/** An end for a centre (trade: Stock): as the run says, or so long that the centre hole goes with it. */
function centreEndOf({ part, allowances, shop }: Run): Figure | undefined {
  const { centreEnd } = allowances;
  if (centreEnd !== 'choose') return centreEnd ? asTheRunSays(CENTRE_END, centreEnd) : undefined;
  const { centreEndLeast, overrun } = shop.allowances;
  const drill = centreDrillFor(shop, Math.min(endDiameter(part), endDiameter(turnRound(part))));
  const deep = drill ? centreDepth(drill) : 0;
  return figure({
    name: CENTRE_END,
    unit: 'mm',
    value: Math.max(centreEndLeast, deep + overrun),
    formula: 'max(s, t + o)',
    terms: [
      term('s', 'at least', centreEndLeast, 'mm', 'start value'),
      term('t', 'depth of the centre hole', deep, 'mm', 'tool'),
      term('o', 'beyond it', overrun, 'mm', 'start value'),
    ],
  });
}

function sawnBlanks(run: Run, bar: Bar): Result<BoughtStock> {
  const { part, allowances, shop, units } = run;
  const start = shop.allowances;
  const front = given(allowances.frontFacing, start.facingSawn, 'f', 'front facing allowance');
  const back = given(allowances.backFacing, start.facingSawn, 'k', 'back facing allowance');
  const kerf = given(allowances.kerf, start.kerf, 'w', 'saw kerf');
  const spigot = spigotOf(run, { front: front.value, back: back.value });
  const centreEnd = centreEndOf(run);
  const each = sum('length of a blank', 'mm', [
    term('L', 'length of the part', part.length, 'mm', 'drawing'),
    front,
    back,
    ...(spigot ? [termOf('h', spigot)] : []),
    ...(centreEnd ? [termOf('c', centreEnd)] : []),
  ]);
  const pitch = sum('blank and kerf', 'mm', [termOf('l', each), kerf]);
  const pieces = Math.floor((bar.barLength + kerf.value) / pitch.value + 1e-9);
  if (pieces < 1)
    return refuse(
      'stock.barLength',
      `a bar of ${say(bar.barLength, units)} gives no blank of ${say(each.value, units)}`,
    );
  const piecesPerBar = figure({
    name: 'blanks per bar',
    unit: '',
    value: pieces,
    formula: 'floor((B + w) / (l + w))',
    terms: [
      term('B', 'bar length', bar.barLength, 'mm', run.stock === 'choose' ? 'start value' : 'run'),
      kerf,
      termOf('l', each),
    ],
  });
  return good({
    ...bar,
    way: 'sawn-blanks',
    frontFacing: front.value,
    backFacing: back.value,
    spigot: spigot?.value ?? 0,
    centreEnd: centreEnd?.value ?? 0,
    each,
    gripRemnant: gripRemnantOf(run, bar.over),
    firstEnd: 0,
    kerf: kerf.value,
    lengths: 1,
    longest: Infinity,
    jawClearance: allowances.jawClearance ?? start.jawClearance,
    breakthrough: allowances.breakthrough ?? start.breakthrough,
    piecesPerBar,
    ...bought(run, bar, pitch, piecesPerBar, 0),
  });
}

/** A piece as it arrives: what stands before and behind the part comes off, and the rest is there. */
function asItArrives(run: Run, bar: Bar & { piece: Piece }): Result<BoughtStock> {
  const { allowances, shop } = run;
  const start = shop.allowances;
  const each = sum('length of the piece', 'mm', [
    term('L', 'length of the part', run.part.length, 'mm', 'drawing'),
    term('f', 'before its front face', bar.piece.ahead, 'mm', 'run'),
    term('k', 'behind its back face', bar.piece.behind, 'mm', 'run'),
  ]);
  const one = figure({ name: 'pieces of a piece', unit: '', value: 1, formula: '1', terms: [] });
  return good({
    ...bar,
    way: 'as-it-arrives',
    frontFacing: bar.piece.ahead,
    backFacing: bar.piece.behind,
    spigot: 0,
    centreEnd: 0,
    each,
    gripRemnant: gripRemnantOf(run, bar.over),
    firstEnd: 0,
    kerf: 0,
    lengths: 1,
    longest: Infinity,
    jawClearance: allowances.jawClearance ?? start.jawClearance,
    breakthrough: allowances.breakthrough ?? start.breakthrough,
    piecesPerBar: one,
    ...bought(run, bar, each, one, 0),
  });
}

const isPiece = (bar: Bar): bar is Bar & { piece: Piece } => bar.piece !== undefined;

/** How a bar is divided in one way (trade: Stock): how long each piece, how many from a bar, how many bars. */
export const divide = (run: Run, way: Way, bar: Bar): Result<BoughtStock> =>
  isPiece(bar) ? asItArrives(run, bar) : way === 'from-bar' ? fromBar(run, bar) : sawnBlanks(run, bar);

/** What a length of bar loses when pieces are turned from it: the clean-up of its end, room for the blade, the grip. */
export const lostInTheLathe = ({
  firstEnd,
  gripRemnant,
  jawClearance,
}: Pick<BoughtStock, 'firstEnd' | 'gripRemnant' | 'jawClearance'>): number =>
  firstEnd + gripRemnant.value + jawClearance;
