'use client';
import { sayDigits, sayFixed } from '@/core/model/units/mark';
import { useState, type ReactNode } from 'react';
import { Button, DialogTrigger } from 'react-aria-components';
import styled from 'styled-components';
import type { Figure, Term } from '@/core/model/figure';
import { sayMinutes, show } from '@/core/model/units/show';
import type { UnitSystem } from '@/core/model/units/length';
import { Balloon } from '../primitives/Balloon';

const Plain = styled(Button)`
  padding: 0 2px;
  border: 0;
  border-bottom: 2px dotted var(--brass);
  background: none;
  color: inherit;
  font: inherit;
  font-family: var(--mono);
  text-align: right;
  cursor: pointer;
  &[data-hovered] {
    background: var(--hover);
  }
`;

const Paper = styled.div`
  h3 {
    font-size: 15px;
  }
  .value {
    margin: 2px 0 8px;
    font: 700 24px var(--mono);
  }
  .formula {
    padding: 7px 10px;
    border-left: 3px solid var(--brass);
    background: var(--paper);
    font-family: var(--mono);
    overflow-wrap: anywhere;
  }
  table {
    width: 100%;
    margin-top: 8px;
    border-collapse: collapse;
  }
  td,
  th {
    padding: 4px 8px 4px 0;
    border-bottom: 1px solid var(--line);
    text-align: left;
    font-weight: 400;
    vertical-align: top;
  }
  td.symbol {
    font-family: var(--mono);
    font-weight: 700;
  }
  td.figure {
    font-family: var(--mono);
    text-align: right;
    white-space: nowrap;
  }
  td.from {
    color: var(--ink-soft);
    font-size: 13px;
    white-space: nowrap;
  }
  p {
    margin-top: 8px;
    color: var(--ink-soft);
  }
`;

/** What a formula's functions are called by someone with a pocket calculator. */
const SPOKEN: Record<string, string> = {
  floor: 'round down',
  ceil: 'round up',
  max: 'larger of',
  min: 'smaller of',
  snap: 'nearest below',
};

const spoken = (formula: string): string =>
  formula
    .replace(/\b(floor|ceil|max|min|snap)\(/g, (_, name: string) => `${SPOKEN[name]} (`)
    .replace(/\d+\.\d+/g, sayDigits);

/** A term to enough places to be worked again. */
function termText({ value, unit }: Term, units: UnitSystem): string {
  const { text, unit: shown } =
    unit === 'min' ? { text: sayFixed(value, 3), unit: 'min' } : show(value, unit, units, true);
  return `${text}${shown ? ` ${shown}` : ''}`;
}

/** The working of a figure: what it is, the formula, the values put in, and where each came from. */
export function Working({ figure, units }: { figure: Figure; units: UnitSystem }) {
  const { text, unit } = show(figure.value, figure.unit, units, figure.unit === 'mm');
  return (
    <Paper>
      <h3>{figure.name}</h3>
      <div className="value">
        {text} {unit}
        {figure.unit === 'min' && figure.value >= 100 && <small> = {sayMinutes(figure.value)}</small>}
      </div>
      <div className="formula">{spoken(figure.formula)}</div>
      <table>
        <tbody>
          {figure.terms.map((term) => (
            <tr key={term.symbol}>
              <td className="symbol">{term.symbol}</td>
              <td>{term.name}</td>
              <td className="figure">{termText(term, units)}</td>
              <td className="from">{term.from}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {units === 'in' && figure.terms.some((term) => ['m/min', 'mm/rev'].includes(term.unit)) && (
        <p>The formula counts in mm; lengths are shown in inches.</p>
      )}
      {figure.note && <p>{figure.note}</p>}
    </Paper>
  );
}

/** A figure that opens to its working. */
export function FigureButton({
  figure,
  units,
  children,
  label,
  fine = false,
}: {
  figure: Figure;
  units: UnitSystem;
  children?: ReactNode;
  label?: string;
  fine?: boolean;
}) {
  const [open, setOpen] = useState(false);
  const { text, unit } = show(figure.value, figure.unit, units, fine);
  return (
    <DialogTrigger isOpen={open} onOpenChange={setOpen}>
      <Plain aria-label={`${label ?? figure.name}: ${text} ${unit}, open its working`}>{children ?? text}</Plain>
      <Balloon label={`Working of ${figure.name}`}>
        <Working figure={figure} units={units} />
      </Balloon>
    </DialogTrigger>
  );
}
