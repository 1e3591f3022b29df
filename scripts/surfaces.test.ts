import './inProduction';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe as inWords } from '@/cli/describe';
import { planFileOf } from '@/core/formats/planFile';
import type { Machine } from '@/core/model/shop/machine';
import type { UnitSystem } from '@/core/model/units/length';
import type { Plan } from '@/core/plan/plan';
import { example, planned } from '@/core/testing';
import { proofOf } from '@/core/plan/proved';
import { PrintedPlan } from '@/ui/print/PrintedPlan';
import { Panel } from '@/ui/sheet/Panel';

const EXAMPLES = readdirSync(join(__dirname, '../examples'))
  .filter((name) => name.endsWith('.json'))
  .map((name) => name.replace('.json', ''));

/** One division of this dial is 0.02 mm of the slide: 2 mm a turn, a hundred divisions. */
const DIAL = { travel: 2, divisions: 100 };

/** How the three kinds of machine are read, by hand: what stands there for a diameter in mm, and for a depth a side. */
const MACHINES: Record<string, { machine: Partial<Machine>; column: string; reads: (mm: number) => number }> = {
  diameter: { machine: { readOut: 'diameter' }, column: 'read-out ⌀', reads: (mm) => mm },
  radius: { machine: { readOut: 'radius' }, column: 'read-out, radius', reads: (mm) => mm / 2 },
  dial: { machine: { readOut: 'none', crossDial: DIAL }, column: 'to ⌀', reads: (mm) => mm },
};

const asText = (mm: number, units: UnitSystem) => (units === 'mm' ? mm.toFixed(3) : (mm / 25.4).toFixed(4));
/** From which reading of the dial to which, nought where the first cut begins: what lies under half a division is carried on. */
const readingsOf = (depths: number[]) => {
  const at = depths.map((_, index) =>
    Math.round(depths.slice(0, index + 1).reduce((sum, depth) => sum + depth, 0) / 0.02),
  );
  return at.map((end, index) => ({ from: (at[index - 1] ?? 0) % 100, to: end % 100 }));
};

/** A plan as it is shown on another machine or in other units: neither moves a figure of the plan itself. */
function shownOn(plan: Plan, machine: Partial<Machine>, units: UnitSystem): Plan {
  const shown = (run: Plan['run']) => ({
    ...run,
    units,
    shop: { ...run.shop, machine: { ...run.shop.machine, ...machine } },
  });
  return {
    ...plan,
    run: shown(plan.run),
    setups: plan.setups.map((held) => ({ ...held, setup: { ...held.setup, run: shown(held.setup.run) } })),
  };
}

/** The words of a piece of markup, with the hyphen that figures are written with elsewhere. */
const wordsOf = (html: string) =>
  html
    .replace(/<[^>]*>/g, '\n')
    .replace(/−/g, '-')
    .split('\n')
    .map((word) => word.trim())
    .filter(Boolean);

/** Rows of the paper's tables, cells as their words. */
const rowsOf = (html: string) =>
  [...html.matchAll(/<tr>(?!<th)(.*?)<\/tr>/g)]
    .map(([, row = '']) => [...row.matchAll(/<td[^>]*>(.*?)<\/td>/g)].map(([, cell = '']) => wordsOf(cell)))
    .filter((cells) => cells.length === 7);

/** Everything that a plan is shown on, each operation's own piece of it side by side. */
function surfacesOf(plan: Plan) {
  const paper = renderToStaticMarkup(createElement(PrintedPlan, { plan, proof: proofOf(plan) }));
  const rows = rowsOf(paper);
  const lines = inWords(plan, { sequences: [], chosen: undefined, because: '' }, []).replace(/−/g, '-').split('\n');
  const written = planFileOf(plan).setups.flatMap(({ operations }) => operations);
  const operations = plan.setups.flatMap((setup) => setup.operations.map((operation) => ({ setup, operation })));
  expect([rows.length, written.length]).toEqual([operations.length, operations.length]);
  const seen = new Set<string>();
  return {
    heads: { paper: wordsOf(paper), line: lines.find((line) => line.includes('rev/min')) ?? '' },
    operations: operations.map(({ setup, operation }, index) => {
      // A panel takes a hundred times as long to draw as a row: one for each kind of operation.
      const panel = seen.has(operation.kind)
        ? undefined
        : wordsOf(
            renderToStaticMarkup(
              createElement(Panel, {
                plan,
                planned: setup,
                operation,
                pass: undefined,
                onPass: () => undefined,
                edits: {} as never,
              }),
            ),
          );
      seen.add(operation.kind);
      return {
        operation,
        file: written[index] as (typeof written)[number],
        stopCell: rows[index]?.[4] ?? [],
        crossCell: rows[index]?.[5] ?? [],
        line: lines.find((text) => text.startsWith(`  ${operation.number} ${operation.name}`)) ?? '',
        panel,
      };
    }),
  };
}

type Shown = ReturnType<typeof surfacesOf>['operations'][number];

/** What the operator brings the cross-slide to is the same everywhere, as this machine shows it. */
function sameCross(
  { operation, file, crossCell, line, panel }: Shown,
  reads: (mm: number) => number,
  units: UnitSystem,
) {
  const turned = operation.passes.filter(({ diameter }) => diameter !== undefined);
  const shown = turned.map(({ diameter = 0 }) => asText(reads(diameter), units));
  expect(crossCell.filter((word) => /^[\d.]+$/.test(word))).toEqual(shown);
  if (operation.passes.at(-1)?.diameter === undefined) return;
  expect(line).toContain(` ${shown.at(-1)} `);
  if (panel) expect(panel).toContain(shown.at(-1));
  for (const { diameter = 0, readOut } of file.passes) if (readOut) expect(readOut).toBeCloseTo(reads(diameter), 3);
}

/** A machine without a read-out is told the turns of its dial, and the file holds no reading that nobody sees. */
function sameTurns({ operation, file, crossCell, panel }: Shown) {
  const isOnCross = operation.passes.every(({ diameter }) => diameter !== undefined);
  const readings = isOnCross ? readingsOf(operation.passes.map(({ depth }) => depth)) : [];
  const turns = readings.map(({ from, to }) => `${from} → ${to}`);
  expect(crossCell.filter((word) => word.includes('→')).map((word) => word.replace(/ past.*/, ''))).toEqual(
    turns.map((text) => `dial ${text}`),
  );
  expect(file.passes.flatMap(({ dial }) => (dial ? [{ from: dial.from, to: dial.to }] : []))).toEqual(readings);
  expect(file.passes.some(({ readOut }) => readOut !== undefined)).toBe(false);
  for (const text of panel ? turns : []) expect(panel?.some((word) => word.startsWith(text))).toBe(true);
}

/** Where it stops, and by what. */
function sameStop({ file: { stop }, stopCell, line, panel }: Shown, units: UnitSystem) {
  if (stop.means === 'none') return expect(stopCell).toEqual([]);
  const [text = '', ...rest] = stopCell;
  // To 0.01 mm or 0.001 in, or to one place more where the length is held closely.
  const coarse = units === 'mm' ? 2 : 3;
  const places = text.split('.')[1]?.length ?? 0;
  expect([coarse, coarse + 1]).toContain(places);
  const { setting = NaN } = stop;
  expect(Math.abs(Number(text) - (units === 'mm' ? setting : setting / 25.4))).toBeLessThan(
    0.501 * 10 ** -places + 1e-4,
  );
  const words = {
    station: `station ${stop.station}`,
    preset: 'preset',
    indicator: 'by the indicator',
    dial: 'by the dial',
    quill: 'quill',
    mark: 'mark on the tool',
    measured: 'measured and cut to',
    'read-out': 'by the read-out',
    'each-time': 'set each time',
  }[stop.means];
  expect(rest.some((word) => word.includes(words))).toBe(true);
  expect(line).toContain(` ${text}  ${words}`);
  if (panel) expect(panel).toContain(text);
}

const plans = EXAMPLES.map((name) => planned(example(name)));

describe.each(Object.entries(MACHINES))('read by %s', (_, { machine, column, reads }) => {
  test.each(['mm', 'in'] as const)('sheet, paper, command line and plan file say the same, in %s', (units) => {
    for (const plan of plans) {
      const { heads, operations } = surfacesOf(shownOn(plan, machine, units));
      expect(heads.paper).toContain(column);
      expect(heads.line).toContain(` ${column} `);
      for (const shown of operations) {
        sameCross(shown, reads, units);
        if (machine.readOut === 'none') sameTurns(shown);
        sameStop(shown, units);
      }
    }
  });
});
