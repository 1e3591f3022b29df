'use client';
import { Plus, X } from 'lucide-react';
import { useRef } from 'react';
import { flushSync } from 'react-dom';
import { faceNames } from '@/core/read/lengths/faces';
import { LENGTH_FIELDS } from '@/core/read/lengths/drawnLengths';
import { Button, IconButton } from '../primitives/Button';
import { isMissing, useWorkspace } from '../run/WorkspaceContext';
import { EntryFields } from './EntryFields';
import { EntryRows, Group } from './table';
import { byKeys } from '@/core/read/byKeys';

/** Lengths as the drawing gives them, between whichever faces; steps without a length of their own follow from them. */
export function LengthList({ onMark }: { onMark: (path: string | undefined) => void }) {
  const { file, edit, problems } = useWorkspace();
  const room = useRef<HTMLElement>(null);
  const { outside, lengths = [] } = file.part;
  const pathOf = (index: number) => `part.lengths[${index}]`;
  const faces = faceNames(outside);
  const fields = LENGTH_FIELDS.map((field) => (field.takes === 'face' ? { ...field, takes: faces } : field));
  const add = () => {
    flushSync(() =>
      edit(undefined, ({ part }) => {
        part.lengths = [...(part.lengths ?? []), { from: 'front', to: 'back', size: '' }];
      }),
    );
    room.current?.querySelector<HTMLElement>(`[name="${pathOf(lengths.length)}.from"]`)?.focus();
  };
  return (
    <Group aria-labelledby="lengths" ref={room}>
      <h2>
        <span id="lengths">Lengths between faces</span>
        <small>from any datum; the step then leaves its own length empty</small>
      </h2>
      {lengths.length > 0 && (
        <EntryRows $plain>
          {lengths.map((drawn, index) => {
            const path = pathOf(index);
            const wrong = problems.filter((problem) => !isMissing(problem) && problem.path.startsWith(path));
            return (
              <li key={index} onFocus={() => onMark(path)} onBlur={() => onMark(undefined)}>
                <span className="number">{index + 1}</span>
                <EntryFields
                  fields={fields}
                  entry={byKeys(drawn)}
                  path={path}
                  of={`length ${index + 1}`}
                  onText={(key, text) =>
                    edit(`${path}.${key}`, ({ part }) => {
                      const typed = part.lengths?.[index] && byKeys(part.lengths[index]);
                      if (typed) typed[key] = text;
                    })
                  }
                  onKeyDown={(event) => {
                    if (event.key !== 'Enter') return;
                    event.preventDefault();
                    add();
                  }}
                />
                <IconButton
                  aria-label={`Remove length ${index + 1}`}
                  onPress={() => edit(undefined, ({ part }) => void part.lengths?.splice(index, 1))}
                >
                  <X size={16} aria-hidden />
                </IconButton>
                {wrong.length > 0 && <p className="wrong">{wrong.map(({ message }) => message).join(' · ')}</p>}
              </li>
            );
          })}
        </EntryRows>
      )}
      <Button onPress={add}>
        <Plus size={16} aria-hidden /> Length
      </Button>
    </Group>
  );
}
