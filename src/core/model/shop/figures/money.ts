import { numbers, table, type FigureGroup } from '../figureGroup';
import { EDGES } from '../material';
import type { Shop } from '../shop';

/** What is made beyond the quantity, what things cost, and how far off all that may be. */
export const money = (shop: Shop): FigureGroup[] => [
  {
    of: '',
    title: 'Allowance',
    hint: 'for what no element covers',
    figures: numbers({ timeAllowance: 'Allowance, of a piece' }),
  },
  {
    of: 'spares',
    title: 'Made beyond the quantity',
    hint: 'pieces',
    figures: numbers({
      firstOff: 'For the first-off',
      scrapShare: 'For scrap, share of the quantity',
      noneUpTo: 'None of either up to',
    }),
  },
  {
    of: 'rates',
    title: 'What things cost',
    hint: `in ${shop.rates.currency}`,
    figures: numbers({ machineHour: 'An hour at the lathe', order: 'Delivery of bars' }),
  },
  {
    of: 'toGet',
    title: 'What a run has got or made',
    hint: `about, in ${shop.rates.currency}`,
    figures: table(Object.keys(shop.toGet)),
  },
  ...(['hss', 'carbide'] as const).map((edge) => ({
    of: `edges.${edge}`,
    title: `Edges of ${EDGES[edge]}`,
    hint: 'Taylor’s law from the speed of the material’s table',
    figures: numbers({
      life: 'Lasts at that speed, min',
      exponent: 'Exponent n',
      cost: 'A new edge costs',
      change: 'Changed and set, min',
      thinnest: 'Thinnest cut, mm a side',
    }),
  })),
  {
    of: 'riskPrices',
    title: 'What a risk weighs',
    hint: 'minutes a piece that it is worth to be without; they are in no time',
    figures: numbers({
      softRule: 'A soft rule of the order broken',
      rechucked: 'Held by a surface with limits of its own',
      nearHold: 'Cut to what the hold bears',
      thinWall: 'Cut with a thin wall',
      tiedApart: 'Finished apart, to run true: share of the piece',
      measuredOnly: 'A length that is only measured and cut to',
      wrongStop: 'A wrong stop that spoils the piece: share of it at each use',
    }),
  },
  {
    of: 'programmed',
    title: 'A programmed machine',
    hint: 'minutes once, shares of the time by hand, an hour of it',
    figures: numbers({
      programming: 'Programming',
      proving: 'Proving',
      setup: 'Setting up',
      cuttingShare: 'Cutting, share of it here',
      handShare: 'Handling, share of it here',
      hour: 'An hour of it costs',
    }),
  },
  ...(['cutting', 'hand', 'setup'] as const).map((of) => ({
    of: `spreads.${of}`,
    title: `How far off: ${{ cutting: 'cutting', hand: 'handling', setup: 'setting up' }[of]}`,
    hint: 'shares of what is planned',
    figures: numbers({ down: 'Less by, at most', up: 'More by, at most' }),
  })),
];
