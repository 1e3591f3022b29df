import Joi from 'joi';
import { andThen, good, type Result } from '../model/result';
import type { CutList, Cuts } from '../saw/cutList';
import { MM_PER_INCH, type UnitSystem } from '../model/units/length';
import { checkShape } from '../read/problems';

/** A cut list as a file, `shingle-cutlist/1`. */
export interface CutListFile {
  format: 'shingle-cutlist/1';
  units?: UnitSystem;
  kerf: number;
  bars: { length: number; count?: number | null; label?: string; endWaste?: number; offcut?: boolean }[];
  pieces: { length: number; count: number; label?: string; turned?: { lost: number; longest?: number } }[];
}

const number = () => Joi.number().strict();

/** The shape of a cut list file. */
export const cutListSchema = Joi.object<CutListFile>({
  format: Joi.string()
    .valid('shingle-cutlist/1')
    .required()
    .messages({ 'any.only': '“{#value}” is not a cut list that can be read; it must be shingle-cutlist/1' }),
  units: Joi.string().valid('mm', 'in').default('mm'),
  kerf: number().min(0).required(),
  bars: Joi.array()
    .items(
      Joi.object({
        length: number().positive().max(1e6).required(),
        count: number().integer().min(0).max(1e6).allow(null),
        label: Joi.string().max(120),
        endWaste: number().min(0),
        offcut: Joi.boolean().strict(),
      }),
    )
    .max(500)
    .required(),
  pieces: Joi.array()
    .items(
      Joi.object({
        length: number().positive().max(1e6).required(),
        count: number().integer().min(1).max(1e6).required(),
        label: Joi.string().max(120),
        turned: Joi.object({ lost: number().min(0).max(1e6).required(), longest: number().positive().max(1e6) }),
      }),
    )
    .max(2000)
    .required(),
}).required();

/** Reads a cut list of unknown make, in mm. */
export const readCutList = (value: unknown): Result<CutList & { units: UnitSystem }> =>
  andThen(checkShape(cutListSchema, value), ({ units = 'mm', kerf, bars, pieces }) => {
    const mm = (length: number) => (units === 'in' ? length * MM_PER_INCH : length);
    return good({
      units,
      kerf: mm(kerf),
      bars: bars.map(({ length, count = null, label, endWaste = 0, offcut = false }, index) => ({
        length: mm(length),
        count,
        label: label ?? `bar ${index + 1}`,
        endWaste: mm(endWaste),
        offcut,
      })),
      pieces: pieces.map(({ length, count, label, turned }, index) => ({
        length: mm(length),
        count,
        label: label ?? `piece ${index + 1}`,
        ...(turned && { turned: { lost: mm(turned.lost), longest: mm(turned.longest ?? Infinity) } }),
      })),
    });
  });

/** Solved cuts as a file, `shingle-cuts/1`, lengths in the units of the list. */
export function cutsFileOf(cuts: Cuts, units: UnitSystem) {
  const inUnits = (mm: number) => Number((units === 'in' ? mm / MM_PER_INCH : mm).toFixed(6));
  return {
    format: 'shingle-cuts/1' as const,
    units,
    ...cuts,
    patterns: cuts.patterns.map((pattern) => ({
      ...pattern,
      barLength: inUnits(pattern.barLength),
      pieces: pattern.pieces.map(({ from, ...piece }) => ({
        ...piece,
        length: inUnits(piece.length),
        ...(from && { from: from.map((source) => ({ ...source, length: inUnits(source.length) })) }),
      })),
      remnant: inUnits(pattern.remnant),
    })),
  };
}

/** The shape of solved cuts. */
export const cutsSchema = Joi.object({
  format: Joi.string().valid('shingle-cuts/1').required(),
  units: Joi.string().valid('mm', 'in').required(),
  barsOpened: Joi.number().required(),
  lowerBound: Joi.number().required(),
  proven: Joi.boolean().required(),
  because: Joi.string(),
  patterns: Joi.array()
    .items(
      Joi.object({
        bar: Joi.string().required(),
        barLength: Joi.number().required(),
        times: Joi.number().required(),
        pieces: Joi.array()
          .items(
            Joi.object({
              label: Joi.string().required(),
              length: Joi.number().required(),
              count: Joi.number().required(),
              from: Joi.array().items(
                Joi.object({
                  length: Joi.number().required(),
                  pieces: Joi.number().required(),
                  times: Joi.number().required(),
                }),
              ),
            }),
          )
          .required(),
        remnant: Joi.number().required(),
      }),
    )
    .required(),
});
