'use client';
import { Button as AriaButton } from 'react-aria-components';
import styled, { css } from 'styled-components';

const base = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  min-height: 34px;
  padding: 0 14px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
  color: var(--ink);
  cursor: pointer;
  white-space: nowrap;
  text-decoration: none;
  &[data-hovered],
  &:hover {
    background: var(--hover);
  }
  &[data-pressed] {
    transform: translateY(1px);
  }
  &[data-disabled] {
    color: var(--ink-soft);
    cursor: default;
    background: transparent;
    opacity: 0.65;
  }
  @media (pointer: coarse) {
    min-height: 44px;
  }
`;

/** The usual button. `$strong` is for the one thing to do next. */
export const Button = styled(AriaButton)<{ $strong?: boolean }>`
  ${base}
  ${({ $strong }) =>
    $strong &&
    css`
      background: var(--ink);
      border-color: var(--ink);
      color: var(--sheet);
      &[data-hovered],
      &:hover {
        background: var(--ink-soft);
      }
      &[data-disabled] {
        background: var(--line);
        border-color: var(--line);
        color: var(--ink);
      }
    `}
`;

/** A link that looks like a button. */
export const ButtonLink = styled.a<{ $strong?: boolean }>`
  ${base}
  ${({ $strong }) => $strong && 'background: var(--ink); border-color: var(--ink); color: var(--sheet); &:hover { background: var(--ink-soft); }'}
`;

/** A square button with an icon and an aria-label. */
export const IconButton = styled(AriaButton)`
  ${base}
  width: 34px;
  padding: 0;
  @media (pointer: coarse) {
    width: 44px;
  }
`;
