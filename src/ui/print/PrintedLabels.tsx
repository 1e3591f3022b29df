'use client';
import { sayFigure } from '@/core/model/units/mark';
import { useState } from 'react';
import styled, { createGlobalStyle } from 'styled-components';
import type { Plan } from '@/core/plan/plan';
import { barLabels, boxLabels, type Label } from '@/core/present/labels';
import type { RunFile } from '@/core/read/runFile';
import { Field } from '../primitives/Field';
import { Paper } from './Paper';
import { useLabelSizes, type LabelSizes } from './useLabelSizes';

/** A page is a label, for a printer that has a roll of them. */
const OnRoll = createGlobalStyle<{ $width: number; $height: number }>`
  @page { size: ${({ $width }) => $width}mm ${({ $height }) => $height}mm; margin: 0; }
`;

const Choices = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 10px 14px;
  margin-bottom: 14px;
  > div {
    width: 118px;
  }
`;

const Labels = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 2mm;
  > article {
    display: flex;
    flex-direction: column;
    justify-content: center;
    padding: 2mm 3mm;
    border: 0.3mm solid #000;
    border-radius: 1.5mm;
    overflow: hidden;
    break-inside: avoid;
    line-height: 1.2;
  }
  h3 {
    font: 700 20pt/1.1 var(--mono);
    overflow-wrap: anywhere;
  }
  p {
    font-size: 10.5pt;
  }
  &[data-own] {
    @media print {
      display: block;
      > article {
        border: 0;
        border-radius: 0;
        break-after: page;
      }
    }
  }
`;

const NAMES = { width: 'Width, mm', height: 'Height, mm', pieces: 'Pieces in a box' } as const;
/** What each may be: smaller is not read, and larger is no label. */
const LIMITS = { width: [20, 190], height: [12, 270], pieces: [1, 1e6] } as const;

/** A figure of the labels as it is typed; what cannot be is told, and the last that can stays. */
function LabelField({
  of,
  sizes,
  onChange,
}: {
  of: keyof typeof NAMES;
  sizes: LabelSizes;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState(sayFigure(sizes[of]));
  const [least, most] = LIMITS[of];
  const value = Number(text.replace(',', '.'));
  const isGood = (typed: number) => Number.isFinite(typed) && typed >= least && typed <= most;
  return (
    <Field
      label={NAMES[of]}
      value={text}
      problem={isGood(value) ? undefined : `from ${least} to ${most}`}
      onChange={(typed) => {
        setText(typed);
        const next = Number(typed.replace(',', '.'));
        if (isGood(next)) onChange(of === 'pieces' ? Math.round(next) : next);
      }}
    />
  );
}

/** Labels for the boxes of a run and for the bars that it takes, in the size that this device has. */
export function PrintedLabels({ plan, file }: { plan: Plan; file: RunFile }) {
  const [sizes, change] = useLabelSizes();
  const groups: [string, Label[]][] = [
    ['Boxes', boxLabels(plan, file, sizes.pieces)],
    ['Bars', barLabels(plan)],
  ];
  return (
    <Paper>
      {sizes.own && <OnRoll $width={sizes.width} $height={sizes.height} />}
      <div className="screen-only">
        <Choices>
          {(Object.keys(NAMES) as (keyof typeof NAMES)[]).map((of) => (
            <LabelField key={of} of={of} sizes={sizes} onChange={(value) => change({ [of]: value })} />
          ))}
          <label>
            <input type="checkbox" checked={sizes.own} onChange={(event) => change({ own: event.target.checked })} />{' '}
            each on a page of its own
          </label>
        </Choices>
      </div>
      {groups.map(([title, labels]) =>
        labels.length === 0 ? null : (
          <section key={title} aria-label={title}>
            <h2 className={sizes.own ? 'screen-only' : undefined}>{title}</h2>
            <Labels data-own={sizes.own || undefined}>
              {labels.map(({ key, large, lines }) => (
                <article key={key} style={{ width: `${sizes.width}mm`, height: `${sizes.height}mm` }}>
                  <h3>{large}</h3>
                  {lines.map((line) => (
                    <p key={line}>{line}</p>
                  ))}
                </article>
              ))}
            </Labels>
          </section>
        ),
      )}
    </Paper>
  );
}
