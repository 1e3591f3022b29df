'use client';
import Link from 'next/link';
import styled from 'styled-components';
import { SkipLink } from './SkipLink';
import { Mark } from './Mark';

/** The bar at the top of a place: whose it is, where else to go, what can be done. */
export const TopBar = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  min-height: 56px;
  padding: 6px 16px;
  border-bottom: 1px solid var(--line);
  @media print {
    display: none;
  }
`;

const Home = styled(Link)`
  display: flex;
  align-items: center;
  gap: 9px;
  font-weight: 700;
  font-size: 18px;
  text-decoration: none;
`;

/** The name of the application, and the way to the board. */
export const Brand = () => (
  <>
    <SkipLink />
    <Home href="/" prefetch={false} aria-label="Shingle, to the board">
      <Mark /> Shingle
    </Home>
  </>
);

/** The places that one can go to; the one that is open is underlined. */
export const Places = styled.nav`
  display: flex;
  gap: 2px;
  margin: 0 auto;
  a {
    display: flex;
    align-items: center;
    min-height: 34px;
    padding: 0 8px;
    border-radius: var(--round);
    text-decoration: none;
  }
  a:hover {
    background: var(--hover);
  }
  a[aria-current='page'] {
    box-shadow: inset 0 -3px 0 var(--ink);
    border-radius: 0;
    font-weight: 700;
  }
  @media (max-width: 900px) {
    /* One line, drawn along by a finger where it is longer than the phone is wide. */
    max-width: 100%;
    overflow-x: auto;
    a {
      padding: 0 6px;
      white-space: nowrap;
    }
  }
  @media (pointer: coarse) {
    a {
      min-height: 44px;
    }
  }
`;
