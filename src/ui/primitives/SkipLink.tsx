'use client';
import styled from 'styled-components';

/** Seen when it has the focus, and only then. */
const Skip = styled.a`
  position: absolute;
  top: 6px;
  left: 6px;
  z-index: 10;
  padding: 10px 16px;
  border: 2px solid var(--blue);
  border-radius: var(--round);
  background: var(--sheet);
  &:not(:focus) {
    clip-path: inset(50%);
    width: 1px;
    height: 1px;
    overflow: hidden;
  }
  @media print {
    display: none;
  }
`;

/** Past the bar at the top, to what the page is about: the first thing that the keyboard comes to. */
export const SkipLink = () => (
  <Skip
    href="#main"
    onClick={(event) => {
      event.preventDefault();
      const main = document.querySelector('main');
      if (!main) return;
      main.tabIndex = -1;
      main.focus();
    }}
  >
    To the page itself
  </Skip>
);
