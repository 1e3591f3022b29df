import { sayEntry } from '@/core/model/units/mark';
import type { RunFile } from '@/core/read/runFile';
import { isCut, isStickOut } from '@/core/model/overrule';
import { formatNominal, parseLength, type UnitSystem } from '@/core/model/units/length';
import type { Tile, Trial } from '@/core/ask/trial';

/** What stands in the fields of a trial: empty is left to the planner. Lengths in the run's units. */
export interface TrialTexts {
  speed: string;
  feed: string;
  depth: string;
  nose: string;
  edge: string;
  stickOut: string;
}

/** Fields that take a length; the others take a number that the machine has. */
const LENGTHS: readonly (keyof TrialTexts)[] = ['depth', 'nose', 'stickOut'];

/** A number or a length, mm, that was typed; undefined where nothing was, or what stands there is neither. */
export function valueOf(field: keyof TrialTexts, text: string, units: UnitSystem): number | undefined {
  const trimmed = text.trim();
  if (trimmed === '') return undefined;
  if (LENGTHS.includes(field)) {
    const read = parseLength(trimmed, units);
    return read.ok && read.value > 0 ? read.value : undefined;
  }
  const value = Number(trimmed.replace(',', '.'));
  return Number.isFinite(value) && value > 0 ? value : undefined;
}

/** What is wrong with a text that should be a number or a length, in words. */
export function wrongIn(field: keyof TrialTexts, text: string, units: UnitSystem): string | undefined {
  if (field === 'edge' || text.trim() === '' || valueOf(field, text, units) !== undefined) return undefined;
  return `“${text.trim()}” is no ${LENGTHS.includes(field) ? 'length' : 'number'} above nothing`;
}

/** What the texts ask for, open where nothing stands in them. */
export function trialOf(texts: TrialTexts, tool: string | undefined, units: UnitSystem): Trial {
  const value = (field: keyof TrialTexts) => valueOf(field, texts[field], units);
  const put = (field: 'speed' | 'feed' | 'depth' | 'nose') => {
    const figure = value(field);
    return figure === undefined ? {} : { [field]: figure };
  };
  const { edge } = texts;
  const stickOut = value('stickOut');
  return {
    cut: {
      ...put('speed'),
      ...put('feed'),
      ...put('depth'),
      ...put('nose'),
      ...(edge === 'hss' || edge === 'carbide' ? { edge } : {}),
    },
    ...(tool === undefined ? {} : { tool }),
    ...(stickOut === undefined ? {} : { stickOut }),
  };
}

/** What was decided of an operation and its set-up before, as it stands in the fields. */
export function decidedTexts({ overrules = [] }: RunFile, { key, setup }: Tile, units: UnitSystem): TrialTexts {
  const cut = overrules.flatMap((overrule) => (isCut(overrule) && overrule.operation === key ? [overrule.cut] : []))[0];
  const out = overrules.flatMap((overrule) =>
    isStickOut(overrule) && overrule.setup === setup ? [overrule.stickOut] : [],
  )[0];
  const length = (mm: number | undefined) => (mm === undefined ? '' : formatNominal(mm, units));
  return {
    speed: sayEntry(cut?.speed ?? ''),
    feed: sayEntry(cut?.feed ?? ''),
    depth: length(cut?.depth),
    nose: length(cut?.nose),
    edge: cut?.edge ?? '',
    stickOut: length(out),
  };
}
