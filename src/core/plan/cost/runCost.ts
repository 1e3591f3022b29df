import { figure, sum, term, termOf, type Figure } from '../../model/figure';
import { edgesOf, type PlannedRun } from './edgeLife';

/** What a batch costs. */
export interface RunCost {
  /** What is bought, less what goes back on the rack. */
  material: Figure;
  labour: Figure;
  edges: Figure;
  order: Figure;
  batch: Figure;
  piece: Figure;
  /** Of a piece, what setting up and ordering come to. */
  setupShare: Figure;
}

/** The stock that is bought, and what of it is an offcut worth keeping. */
function materialOf({ stock, run }: Pick<PlannedRun, 'stock' | 'run'>): Figure {
  const { allowances } = run.shop;
  const back = stock.leftOver.value >= allowances.offcutFrom ? stock.leftOver.value : 0;
  const whole = stock.bars.value * stock.barLength;
  const bought = stock.cost.material;
  return figure({
    name: 'material',
    unit: 'money',
    value: bought.value * (1 - (whole > 0 ? back / whole : 0)),
    formula: 'm · (1 - r / L)',
    terms: [
      termOf('m', bought),
      term('r', 'back on the rack, long enough to keep', back, 'mm', 'computed'),
      term('L', 'bars opened, total', whole, 'mm', 'computed'),
    ],
  });
}

/** Material, hours, edges and what is paid once: a batch and a piece of it. */
export function costOfRun(plan: PlannedRun): RunCost {
  const { run, times, stock } = plan;
  const { rates } = run.shop;
  const used = edgesOf(plan);
  const material = materialOf(plan);
  const labour = figure({
    name: 'machine and hand',
    unit: 'money',
    value: (times.batch.value * rates.machineHour) / 60,
    formula: 't · h / 60',
    terms: [termOf('t', times.batch), term('h', 'an hour of the machine', rates.machineHour, 'money', 'start value')],
  });
  const edges = sum(
    'edges',
    'money',
    used.map(({ tool, money }, index) => term(`e${index + 1}`, tool.name, money, 'money', 'computed')),
  );
  const { order } = stock.cost;
  const batch = sum('cost of the batch', 'money', [
    termOf('m', material),
    termOf('w', labour),
    termOf('e', edges),
    termOf('o', order),
  ]);
  const perPiece = (name: string, of: Figure) =>
    figure({
      name,
      unit: 'money',
      value: of.value / run.quantity,
      formula: 'c / N',
      terms: [termOf('c', of), term('N', 'quantity', run.quantity, '', 'run')],
    });
  const once = figure({
    name: 'setting up, first-off and ordering',
    unit: 'money',
    value: ((times.setup.value + times.firstOff.value) * rates.machineHour) / 60 + order.value,
    formula: '(s + i) · h / 60 + o',
    terms: [
      termOf('s', times.setup),
      termOf('i', times.firstOff),
      term('h', 'an hour of the machine', rates.machineHour, 'money', 'start value'),
      termOf('o', order),
    ],
  });
  return {
    material,
    labour,
    edges,
    order,
    batch,
    piece: perPiece('cost of a piece', batch),
    setupShare: perPiece('of a piece, what is paid once', once),
  };
}
