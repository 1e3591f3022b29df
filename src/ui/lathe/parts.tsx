'use client';
import styled from 'styled-components';
import { Button } from '../primitives/Button';

/** Buttons at the lathe: for wet fingers, and from a step away. */
export const Big = styled(Button)`
  min-height: 56px;
  padding: 0 20px;
  font-size: 18px;
  white-space: normal;
  line-height: 1.2;
  svg {
    flex: none;
  }
`;

/** Figures to be read at arm's length, each under its word. */
export const Facts = styled.dl`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px 18px;
  dt {
    color: var(--ink-soft);
    font-size: 16px;
  }
  dd {
    font: 700 clamp(30px, 4.2vw, 46px) / 1.15 var(--mono);
    overflow-wrap: anywhere;
  }
  dd[data-words] {
    font: 600 24px/1.3 var(--sans);
  }
  dd small {
    display: block;
    font: 400 16px var(--sans);
  }
  .wide {
    grid-column: 1 / -1;
  }
`;

/** A sentence that must be read before the hand moves. */
export const Danger = styled.p`
  padding: 10px 14px;
  border-left: 6px solid var(--oxide);
  background: var(--oxide-soft);
  font-size: 17px;
  &[data-mild] {
    border-color: var(--brass);
    background: var(--brass-soft);
  }
`;
