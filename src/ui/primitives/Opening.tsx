'use client';
import styled, { keyframes } from 'styled-components';

const appear = keyframes`
  to { visibility: visible; }
`;

/** Said late by the page itself, which needs no script for it. */
const Words = styled.p<{ $after: string }>`
  max-width: 600px;
  margin: 12vh auto 0;
  padding: 0 20px;
  visibility: hidden;
  animation: ${appear} 0s ${({ $after }) => $after} forwards;
`;

/** A page that is being made: nothing is said of it at first, and after five seconds what it waits for. */
export const Opening = () => (
  <main aria-busy>
    <Words $after="5s" role="status">
      The database has not answered for five seconds. After ten it is given up, and the page says what would do. Nothing
      is lost: what was typed stays in this browser.
    </Words>
  </main>
);
