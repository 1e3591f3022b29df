import { sum, type Figure } from '../../model/figure';
import type { WorkHolding } from '../../model/plan/setup';
import type { CutOperation } from '../cuts/cutOperation';
import { isReady } from '../holding/ready';
import type { StoppedSetup } from '../stops/planStops';
import { lettered, type HandElement } from './mounts';

/** The angles that the compound is set to in a set-up, degrees. */
const anglesOf = (cuts: readonly CutOperation[]): number[] => [
  ...new Set(cuts.flatMap(({ compound }) => (compound === undefined ? [] : [Number(compound.toFixed(3))]))),
];

/** Elements of one name as one: `4 × stop set`. */
function summedUp(items: readonly { name: string; minutes: number }[]): HandElement[] {
  const names = [...new Set(items.map(({ name }) => name))];
  return names.map((name) => {
    const alike = items.filter((item) => item.name === name);
    const minutes = alike.reduce((sum, item) => sum + item.minutes, 0);
    return { name: alike.length > 1 ? `${alike.length} × ${name}` : name, minutes };
  });
}

/** What drives the threads of an operation, by which it is told from others. */
const wheelsPutOn = ({ gearing }: CutOperation): string[] => (gearing?.train ? [JSON.stringify(gearing.train)] : []);
const leversSet = ({ gearing }: CutOperation): string[] => (gearing?.levers ? [gearing.levers] : []);

/**
 * Setting the machine up, once for the batch (trade: Time).
 * @param once changes between operations that are made once for all pieces, minutes
 * @param before what held the work in the set-up before it
 */
export function settingTime(
  { setup, cuts, readied }: StoppedSetup,
  once: number,
  before: WorkHolding | undefined,
): Figure {
  const { setupMinutes, handMinutes } = setup.run.shop;
  const tools = cuts
    .filter(({ tool }, index) => cuts.findIndex((other) => other.tool.id === tool.id) === index)
    .map(({ tool }) => tool);
  const inPost = tools.filter(({ mount }) => mount === 'post').length;
  const inTailstock = tools.filter(({ mount }) => mount === 'tailstock').length;
  return sum(
    `setting up ${setup.number}`,
    'min',
    lettered([
      { name: 'fetch and read', minutes: setup.number === 1 ? setupMinutes.fetchAndRead : 0 },
      {
        name: `make ready to hold ${setup.holding.words}`,
        minutes: isReady(setup.holding, before) ? 0 : setup.holding.change,
      },
      { name: `${inPost} tools on height`, minutes: inPost * setupMinutes.toolOnHeight },
      { name: `${inTailstock} tools in the tailstock`, minutes: inTailstock * setupMinutes.tailstockTool },
      { name: 'stop of the work set', minutes: setupMinutes.setStop },
      ...summedUp(readied),
      { name: `${inPost + inTailstock} tools touched off`, minutes: (inPost + inTailstock) * setupMinutes.touchOff },
      { name: 'change gears', minutes: new Set(cuts.flatMap(wheelsPutOn)).size * setupMinutes.changeGears },
      { name: 'gearbox to the pitch', minutes: new Set(cuts.flatMap(leversSet)).size * handMinutes.feedChange },
      {
        name: 'scratch of the thread, and its pitch measured',
        minutes: cuts.some(({ gearing }) => gearing) ? setupMinutes.scratch : 0,
      },
      { name: 'rest mounted and set', minutes: setup.rest ? setupMinutes.rest : 0 },
      {
        name: 'changes between operations, once for all pieces',
        minutes: once,
      },
      { name: 'compound to its angle, and proved', minutes: anglesOf(cuts).length > 0 ? setupMinutes.compound : 0 },
    ]),
  );
}
