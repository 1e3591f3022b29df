import { good } from '../../model/result';
import { BY_HAND, type Check, type OperationKind } from '../../model/plan/operation';
import { fixedIn } from './fixedIn';
import { toolFor } from './tools';

/** Sizes that the drawing holds closer than its general tolerance, once each. */
const heldClosely = (checks: readonly Check[]): Check[] =>
  checks.filter(
    ({ what, size }, index) => size?.from !== 'general' && checks.findIndex((check) => check.what === what) === index,
  );

/**
 * The measuring hold before the chance to correct is gone (trade: Order, GATE): before the piece is off, or comes out of
 * a holding that it never runs as true in again.
 */
export const inspect: OperationKind = {
  kind: 'inspect',
  handFed: true,
  turnsAtOverhang: false,
  underCentre: false,
  byHand: 'stopped',
  demand(setup, others) {
    const checks = heldClosely(others.flatMap((operation) => operation.checks));
    const more = fixedIn(setup);
    if (checks.length + more.length === 0) return good([]);
    const tool = toolFor(setup, 'inspect', 'part.outside');
    if (!tool.ok) return tool;
    const measured = others.filter((operation) => operation.checks.some((check) => checks.includes(check)));
    const looked = measured.length > 0 ? measured : others;
    return good([
      {
        ...BY_HAND,
        key: `inspect:${setup.number}`,
        kind: 'inspect',
        feature: 'checks',
        name: `Measure, then ${setup.partsOff ? 'part off' : setup.goesOn ? 'draw out' : 'take out'}`,
        tool: tool.value,
        from: Math.min(...looked.map(({ from, to }) => Math.min(from, to))),
        to: Math.max(...looked.map(({ from, to }) => Math.max(from, to))),
        checks: [...checks.map((check) => ({ ...check, again: true as const })), ...more],
      },
    ]);
  },
  cut: () => good({ diameter: 0, passes: [] }),
  cautions: [{ kind: 'danger', text: 'The spindle stands still while anything is measured.' }],
};
