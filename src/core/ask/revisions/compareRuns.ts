import { planFile } from '../../plan/plan';
import { sketchPart } from '../../read/sketch';
import type { Part } from '../../model/part/part';
import type { Problem } from '../../model/result';
import type { Shop } from '../../model/shop/shop';
import type { RunFile } from '../../read/runFile';
import { compareParts, type DrawingChange, type PathMap } from './compareParts';
import { comparePlans, type PlanChange } from './comparePlans';

/** Two revisions side by side: in the figures of the drawing, as parts to draw, and in what they do to the plan. */
export interface Comparison {
  drawing: DrawingChange[];
  /** Which entry of the second part is which of the first. */
  paths: PathMap;
  parts: { before: Part | undefined; after: Part | undefined };
  /** Only when both can be planned. */
  plan: PlanChange | undefined;
  /** Warnings of the second plan that the first has not. */
  newWarnings: string[];
  /** Why a side cannot be planned. */
  problems: { before: Problem[]; after: Problem[] };
}

/** Warnings that were not there; the number of an operation is not what makes one new. */
function newIn(now: string[], old: string[]): string[] {
  const plain = (text: string) => text.replace(/^\d+ /, '');
  const known = new Set(old.map(plain));
  return now.filter((text) => !known.has(plain(text)));
}

/** Compares the same run with two revisions of its part, planned by the one pipeline. */
export function compareRuns(before: RunFile, after: RunFile, shop: Shop): Comparison {
  const { changes, paths } = compareParts(before, after);
  const [old, now] = [planFile(before, shop), planFile(after, shop)];
  return {
    drawing: changes,
    paths,
    parts: {
      before: old.ok ? old.value.run.part : sketchPart(before.part, before.units),
      after: now.ok ? now.value.run.part : sketchPart(after.part, after.units),
    },
    plan: old.ok && now.ok ? comparePlans(old.value, now.value, paths) : undefined,
    newWarnings: now.ok ? newIn(now.value.warnings, old.ok ? old.value.warnings : []) : [],
    problems: { before: old.ok ? [] : old.problems, after: now.ok ? [] : now.problems },
  };
}
