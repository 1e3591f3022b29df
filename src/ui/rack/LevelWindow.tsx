'use client';
import { sayFigure } from '@/core/model/units/mark';
import { useState } from 'react';
import type { Section } from '@/core/rack/rack';
import { Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { keepLevel } from './api';
import { AskForm } from './ItemWindows';

/** How much of a section is to be kept on the rack, beyond what runs need. */
export function LevelWindow({
  section,
  name,
  least,
  onClose,
  onDone,
}: {
  section: Section;
  name: string;
  /** mm */
  least: number;
  onClose: () => void;
  onDone: (words: string) => void;
}) {
  const [text, setText] = useState(least > 0 ? `${sayFigure(least / 1000)} m` : '');
  const { material, form, size, bore, condition } = section;
  return (
    <Window title={`How much of ${name} is kept`} open onClose={onClose}>
      <AskForm
        fields={['least']}
        ask={() => keepLevel({ material, form, size, bore, condition, least: text })}
        words={text.trim() === '' ? `${name} is not watched any more` : `${name}: ${text} are kept`}
        button="Keep this much"
        onDone={onDone}
      >
        {(problemOf) => (
          <div className="all">
            <Field
              label="At least, beyond what the runs need; empty for none"
              value={text}
              placeholder="6 m"
              problem={problemOf('least')}
              onChange={setText}
              autoFocus
            />
          </div>
        )}
      </AskForm>
    </Window>
  );
}
