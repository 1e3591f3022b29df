'use client';
import type { ReactNode } from 'react';
import { Dialog, Popover, type PopoverProps } from 'react-aria-components';
import styled from 'styled-components';

const Pane = styled(Popover)`
  width: max-content;
  max-width: min(460px, 94vw);
  max-height: 80vh;
  overflow: auto;
  border: 1px solid var(--ink-soft);
  border-radius: 8px;
  background: var(--sheet);
  color: var(--ink);
  box-shadow: 0 8px 28px rgb(0 0 0 / 22%);
  & section {
    padding: 14px 16px;
    outline: none;
  }
`;

/** A small pane at what was pressed; Escape closes it. */
export function Balloon({
  label,
  children,
  ...popover
}: { label: string; children: ReactNode } & Omit<PopoverProps, 'children'>) {
  return (
    <Pane {...popover}>
      <Dialog aria-label={label}>{children}</Dialog>
    </Pane>
  );
}
