import type { Blade } from '../../model/plan/stock';
import { good, refuse, type Result } from '../../model/result';
import type { Run } from '../../model/run';
import type { Tool } from '../../model/shop/shop';
import { figure, sum, term, type Figure, type Term } from '../../model/figure';
import type { Pass, StopDemand } from '../../model/plan/operation';
import type { Setup } from '../../model/plan/setup';
import { intoHole, intoThread } from './edgePaths';

/** The shop's first tool for a kind of operation, or that there is none. */
export function toolFor({ run }: Setup, kind: string, path: string): Result<Tool> {
  const tool = run.shop.tools.find(({ does }) => does.includes(kind));
  return tool ? good(tool) : refuse(path, `the tool list has nothing to ${kind.replace('-', ' ')} with`);
}

/** A stop setting for a tool whose touched edge makes the end itself: the end, and the tool's offset (trade: Stops). */
export function stopSetting(end: number, tool: Tool): Figure {
  return figure({
    name: 'stop setting',
    unit: 'mm',
    value: end + tool.offset,
    formula: 'z + o',
    terms: [
      term('z', 'where the cut ends, from the face', end, 'mm', 'computed'),
      term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool'),
    ],
  });
}

/**
 * Where the carriage goes for a blade that parts at an end: the finished side is at its right edge; with the left edge
 * touched its width comes on (trade: Stock). The tool's own edge first.
 */
export function bladeSettings({ tool, width }: Blade, end: readonly Term[]): StopDemand['settings'] {
  const offset = term('o', 'offset of the tool to the one that set the zero', tool.offset, 'mm', 'tool');
  const blade = term('w', 'blade width, as measured', width, 'mm', 'tool');
  const right = { edge: 'right' as const, setting: sum('stop setting, right edge touched', 'mm', [...end, offset]) };
  const left = {
    edge: 'left' as const,
    setting: sum('stop setting, left edge touched', 'mm', [...end, blade, offset]),
  };
  return tool.touched === 'right' ? [right, left] : [left, right];
}

/**
 * One feed straight in to a depth, as a tool in the tailstock goes.
 * @param tip where its point comes to, where that is deeper
 * @param mouth where the metal begins
 */
export const straightIn = (depth: number, { shop }: Run, tip = depth, mouth = 0): Pass => ({
  depth,
  z: depth,
  way: [
    term('t', 'depth', depth, 'mm', 'computed'),
    term('a', 'approach', shop.allowances.approach, 'mm', 'start value'),
  ],
  path: intoHole(mouth - shop.allowances.approach, tip),
});

/** In along a thread and out again, as taps and dies go: at the pitch both ways. */
export const inAndOut = (length: number, to: number, { shop }: Run): Pass => ({
  depth: length,
  z: to,
  way: [
    term('t', 'in', length, 'mm', 'drawing'),
    term('b', 'and out again', length, 'mm', 'drawing'),
    term('a', 'approach', shop.allowances.approach, 'mm', 'start value'),
  ],
  path: intoThread(-shop.allowances.approach, to),
});
