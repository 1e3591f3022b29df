'use client';
import { sayFigure } from '@/core/model/units/mark';
import { useState } from 'react';
import { scalePart } from '@/core/formats/scalePart';
import { Button } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';

/** So large or so small a part is taken for a slip. */
const LIMITS = [0.01, 100] as const;

/** How many times as large, as it is typed: 1.5, 1,5 or 3/2. */
function timesOf(text: string): number | undefined {
  const [over = '', under = '1', more] = text.replaceAll(',', '.').split('/');
  const times = Number(over) / Number(under);
  const isGood = over.trim() !== '' && more === undefined && times >= LIMITS[0] && times <= LIMITS[1];
  return isGood ? times : undefined;
}

/** The part at another size: a variant begins with it. */
export function ScaleWindow({ onClose }: { onClose: () => void }) {
  const { file, edit } = useWorkspace();
  const [text, setText] = useState('');
  const times = timesOf(text);
  const scaled = times === undefined ? undefined : scalePart(file.part, times, file.units);
  const take = () => {
    if (!scaled) return;
    edit(undefined, (run) => void Object.assign(run.part, scaled.part));
    onClose();
  };
  return (
    <Window title="Another size" open onClose={onClose}>
      <p style={{ marginBottom: 10 }}>
        Every size and place of the part, so many times as large. Limits, fits, threads and the pitch of a knurl stay as
        they are: look them over. Undo brings it back.
      </p>
      <Field
        label="Times"
        value={text}
        placeholder={`${sayFigure(1.5)} or 3/2`}
        problem={
          text !== '' && times === undefined
            ? `a figure from ${sayFigure(LIMITS[0])} to ${sayFigure(LIMITS[1])}, as ${sayFigure(1.5)} or 3/2`
            : undefined
        }
        onChange={setText}
      />
      {scaled && scaled.left.length > 0 && (
        <p role="status" style={{ marginTop: 8 }}>
          Left as they are written: {scaled.left.join(', ')}.
        </p>
      )}
      <div style={{ display: 'flex', justifyContent: 'flex-end', marginTop: 12 }}>
        <Button $strong onPress={take} isDisabled={!scaled}>
          Take this size
        </Button>
      </div>
    </Window>
  );
}
