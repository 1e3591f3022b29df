'use client';
import styled from 'styled-components';
import type { Field as EntryField } from '@/core/read/fields';
import { isSize, saySize } from '@/core/model/part/size';
import { Field } from '../primitives/Field';
import { problemAt, useWorkspace, wasAt } from '../run/WorkspaceContext';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  > * {
    flex: 0 1 86px;
  }
  > .wide {
    flex-basis: 100px;
  }
`;

/** A small select in a row of fields. */
export const RowSelect = styled.select`
  width: 100%;
  min-height: 34px;
  padding: 0 4px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
  @media (pointer: coarse) {
    min-height: 44px;
  }
`;

const Caption = styled.label`
  display: block;
  margin-bottom: 2px;
  color: var(--ink-soft);
  font-size: 12px;
  white-space: nowrap;
`;

type Entry = Record<string, unknown>;

export const textIn = (entry: Entry, key: string): string => {
  const value = entry[key];
  return isSize(value) ? saySize(value) : '';
};

/** The fields of an entry in a row, each with its name above it. What is wrong stands under the whole entry. */
export function EntryFields({
  fields,
  entry,
  path,
  of,
  onText,
  onKeyDown,
}: {
  fields: readonly EntryField[];
  entry: Entry;
  path: string;
  /** What the entry is called: `step 2`, `hole 1`. */
  of: string;
  onText: (key: string, text: string) => void;
  onKeyDown?: (event: React.KeyboardEvent) => void;
}) {
  const { problems, differs } = useWorkspace();
  return (
    <Row>
      {fields.map(({ key, label, takes, hint }) => {
        const name = `${path}.${key}`;
        const choices = typeof takes === 'string' ? undefined : takes;
        return (
          <div key={key} className={takes === 'size' || takes === 'place' ? 'wide' : ''} title={hint}>
            <Caption htmlFor={choices ? name : undefined} aria-hidden={choices ? undefined : true}>
              {label}
            </Caption>
            {choices ? (
              <RowSelect
                id={name}
                name={name}
                aria-label={`${label} of ${of}`}
                value={textIn(entry, key)}
                onChange={(event) => onText(key, event.target.value)}
              >
                <option value=""> </option>
                {choices.map((choice) => (
                  <option key={choice}>{choice}</option>
                ))}
              </RowSelect>
            ) : (
              <Field
                label={`${label} of ${of}`}
                labelHidden
                problemElsewhere
                plain={takes === 'text'}
                name={name}
                value={textIn(entry, key)}
                problem={problemAt(problems, name)}
                was={wasAt(differs, name)}
                onChange={(text) => onText(key, text)}
                {...(onKeyDown ? { onKeyDown } : {})}
              />
            )}
          </div>
        );
      })}
    </Row>
  );
}
