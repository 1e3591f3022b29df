'use client';
import Link from 'next/link';
import styled from 'styled-components';
import { Mark } from '../primitives/Mark';
import { ThemeToggle } from '../theme/ThemeToggle';

const Bar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 20px;
  min-height: 56px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
  @media print {
    display: none;
  }
`;

const Brand = styled(Link)`
  display: flex;
  align-items: center;
  gap: 9px;
  font-weight: 700;
  font-size: 18px;
  text-decoration: none;
`;

const Places = styled.nav`
  display: flex;
  gap: 2px;
  margin: 0 auto;
  a {
    display: flex;
    align-items: center;
    min-height: 34px;
    padding: 0 14px;
    text-decoration: none;
  }
  a[aria-current='page'] {
    box-shadow: inset 0 -3px 0 var(--ink);
    font-weight: 700;
  }
  @media (pointer: coarse) {
    a {
      min-height: 44px;
    }
  }
`;

/** The places that belong to no single run. */
export function RackBar({ at }: { at: 'rack' | 'cuts' }) {
  const place = (name: 'rack' | 'cuts', href: string, words: string) => (
    <Link href={href} prefetch={false} aria-current={at === name ? 'page' : undefined}>
      {words}
    </Link>
  );
  return (
    <Bar>
      <Brand href="/" prefetch={false} aria-label="Shingle, to the board">
        <Mark /> Shingle
      </Brand>
      <Places aria-label="Places">
        <Link href="/" prefetch={false}>
          Board
        </Link>
        {place('rack', '/rack', 'Rack')}
        {place('cuts', '/rack/cuts', 'Cut list')}
      </Places>
      <ThemeToggle />
    </Bar>
  );
}
