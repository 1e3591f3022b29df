'use client';
import type { DaysFile } from '@/core/schedule/days';
import { Field } from '../primitives/Field';

/** A whole number within two others, from what was typed. */
function within(text: string, least: number, most: number): number | undefined {
  const value = Number(text);
  return text.trim() !== '' && Number.isInteger(value) && value >= least && value <= most ? value : undefined;
}

/** Figures of the days, whole and within two others. */
const FIGURES = {
  sureFrom: { label: 'A promise is sure that is kept so often of 100', least: 5, most: 100, is: 'a whole number' },
  overtime: { label: 'Overtime that is tried, minutes a day', least: 0, most: 720, is: 'whole minutes' },
  toolDays: { label: 'Days until a tool is there that is to be got', least: 0, most: 400, is: 'whole days' },
  between: { label: 'Pieces between two lathes that share a run', least: 0, most: 10_000, is: 'a whole number' },
};
type FigureOf = keyof typeof FIGURES;
export type FigureTexts = Record<FigureOf, string>;
const NAMES = Object.keys(FIGURES) as FigureOf[];

const figureOf = (name: FigureOf, text: string): number | undefined =>
  within(text, FIGURES[name].least, FIGURES[name].most);

/** From when on a promise is in no doubt, how much overtime is tried where it is, and what lies between two lathes. */
export const DaysFigures = ({ texts, onChange }: { texts: FigureTexts; onChange: (texts: FigureTexts) => void }) => (
  <div
    style={{
      display: 'grid',
      gridTemplateColumns: 'repeat(auto-fit, minmax(160px, 1fr))',
      gap: 14,
      margin: '14px 0',
      alignItems: 'end',
    }}
  >
    {NAMES.map((name) => {
      const { label, least, most, is } = FIGURES[name];
      const wrong = figureOf(name, texts[name]) === undefined;
      return (
        <Field
          key={name}
          label={label}
          value={texts[name]}
          problem={wrong ? `${is}, ${least === 0 ? `at most ${most}` : `from ${least} to ${most}`}` : undefined}
          onChange={(text) => onChange({ ...texts, [name]: text })}
        />
      );
    })}
  </div>
);

/** The figures of the days as they are typed. */
export const figureTexts = ({ sureFrom, overtime, toolDays, between }: DaysFile): FigureTexts => ({
  sureFrom: String(Math.round(100 * sureFrom)),
  overtime: String(overtime),
  toolDays: String(toolDays),
  between: String(between),
});

/** The figures that were typed; undefined where one is wrong. */
export function readFigures(texts: FigureTexts): Pick<DaysFile, FigureOf> | undefined {
  if (NAMES.some((name) => figureOf(name, texts[name]) === undefined)) return undefined;
  return {
    sureFrom: Number(texts.sureFrom) / 100,
    overtime: Number(texts.overtime),
    toolDays: Number(texts.toolDays),
    between: Number(texts.between),
  };
}
