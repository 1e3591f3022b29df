'use client';
import Link from 'next/link';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Button, ButtonLink } from './Button';
import { Mark } from './Mark';

const Page = styled.main`
  max-width: 600px;
  margin: 12vh auto 0;
  padding: 26px 28px;
  border: 1px solid var(--line);
  border-radius: 10px;
  background: var(--sheet);
  h1 {
    margin: 14px 0 8px;
    font-size: 22px;
  }
  div {
    display: flex;
    gap: 10px;
    margin-top: 20px;
  }
`;

/** A page that cannot be shown: what is wrong, and what would do. */
export function Trouble({ title, children, again }: { title: string; children: ReactNode; again?: () => void }) {
  return (
    <Page>
      <Mark size={40} />
      <h1>{title}</h1>
      <p>{children}</p>
      <div>
        {again && (
          <Button $strong onPress={again}>
            Try again
          </Button>
        )}
        <ButtonLink as={Link} href="/" prefetch={false}>
          To the board
        </ButtonLink>
      </div>
    </Page>
  );
}
