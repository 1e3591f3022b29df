'use client';
import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import styled from 'styled-components';

const Strip = styled.div<{ $danger: boolean }>`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  margin: 10px 16px 0;
  padding: 9px 14px;
  border: 1px solid ${({ $danger }) => ($danger ? 'var(--oxide)' : 'var(--brass)')};
  border-radius: var(--round);
  background: ${({ $danger }) => ($danger ? 'var(--oxide-soft)' : 'var(--brass-soft)')};
  svg {
    flex: none;
    color: ${({ $danger }) => ($danger ? 'var(--oxide)' : 'var(--brass)')};
  }
  > div {
    flex: 1 1 300px;
  }
`;

/** Something to know before going on, with what can be done about it. */
export function Notice({
  danger = false,
  children,
  actions,
}: {
  danger?: boolean;
  children: ReactNode;
  actions?: ReactNode;
}) {
  return (
    <Strip $danger={danger} role={danger ? 'alert' : 'status'}>
      <TriangleAlert size={18} aria-hidden />
      <div>{children}</div>
      {actions}
    </Strip>
  );
}
