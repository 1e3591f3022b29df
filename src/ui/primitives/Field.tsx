'use client';
import type { ReactNode, Ref } from 'react';
import { FieldError, Input, Label, TextField } from 'react-aria-components';
import styled, { css } from 'styled-components';

const box = css`
  width: 100%;
  min-height: 34px;
  padding: 0 9px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
  color: var(--ink);
  &[data-invalid],
  &[aria-invalid='true'] {
    border-color: var(--oxide);
    box-shadow: inset 0 -2px 0 var(--oxide);
  }
  /* Another figure than where the run was begun: a bar at its left edge, and the words with it. */
  &[data-was] {
    box-shadow: inset 4px 0 0 var(--blue);
  }
  @media (pointer: coarse) {
    min-height: 44px;
  }
`;

const Box = styled(Input)`
  ${box}
  font-family: var(--mono);
  &[data-plain] {
    font-family: var(--sans);
  }
`;

const Select = styled.select`
  ${box}
`;

export const FieldLabel = styled(Label)`
  display: block;
  margin-bottom: 3px;
  color: var(--ink-soft);
  font-size: 13px;
`;

const Wrong = styled(FieldError)`
  display: block;
  margin-top: 3px;
  color: var(--oxide);
  font-size: 13px;
`;

export interface FieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  /** What is wrong with it, in words. */
  problem?: string | undefined;
  /** In a table the column names it already. */
  labelHidden?: boolean;
  /** Letters rather than figures. */
  plain?: boolean;
  placeholder?: string;
  type?: 'text' | 'date' | 'password';
  onBlur?: () => void;
  onKeyDown?: (event: React.KeyboardEvent) => void;
  inputRef?: Ref<HTMLInputElement>;
  name?: string;
  autoFocus?: boolean;
  /** In a table the words stand under the row instead; the field is only marked. */
  problemElsewhere?: boolean;
  /** What stood here in the run that this one was begun with, where that is another; empty where nothing did. */
  was?: string | undefined;
}

/** A line of text or figures. Whatever is typed stays; what is wrong with it is said below. */
export function Field({
  label,
  value,
  onChange,
  problem,
  labelHidden,
  plain,
  placeholder,
  type = 'text',
  onBlur,
  onKeyDown,
  inputRef,
  name,
  autoFocus,
  problemElsewhere,
  was,
}: FieldProps) {
  const before = was === undefined ? undefined : `was ${was === '' ? 'empty' : was}`;
  return (
    <TextField
      value={value}
      onChange={onChange}
      isInvalid={problem !== undefined}
      type={type}
      {...(onBlur ? { onBlur } : {})}
      {...(labelHidden ? { 'aria-label': label } : {})}
      {...(name ? { name } : {})}
      {...(autoFocus ? { autoFocus } : {})}
    >
      {!labelHidden && <FieldLabel>{label}</FieldLabel>}
      <Box
        placeholder={placeholder ?? ''}
        autoComplete="off"
        spellCheck={false}
        {...(plain ? { 'data-plain': '' } : {})}
        {...(onKeyDown ? { onKeyDown } : {})}
        {...(inputRef ? { ref: inputRef } : {})}
        {...(before ? { 'data-was': '', 'aria-description': before } : {})}
        title={(problemElsewhere ? problem : undefined) ?? before}
      />
      {!problemElsewhere && <Wrong>{problem}</Wrong>}
    </TextField>
  );
}

/** A choice of a few. The browser's own select: the keyboard and every screen reader know it. */
export function Choice<Value extends string>({
  label,
  value,
  onChange,
  children,
  problem,
  labelHidden,
}: {
  label: string;
  /** In a table the column names it already. */
  labelHidden?: boolean;
  value: Value;
  /** One of its options, which say what there is to choose. */
  onChange: (value: Value) => void;
  children: ReactNode;
  problem?: string | undefined;
}) {
  const id = `choice-${label.replace(/\W+/g, '-')}`;
  return (
    <div>
      {!labelHidden && <FieldLabel htmlFor={id}>{label}</FieldLabel>}
      <Select
        id={id}
        aria-label={labelHidden ? label : undefined}
        value={value}
        onChange={(event) => onChange(event.target.value as Value)}
        aria-invalid={problem !== undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
      >
        {children}
      </Select>
      {problem && (
        <small id={`${id}-problem`} style={{ color: 'var(--oxide)', fontSize: 13 }}>
          {problem}
        </small>
      )}
    </div>
  );
}
