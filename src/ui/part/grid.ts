import styled from 'styled-components';

/** Fields side by side, each so many of twelve columns wide. */
export const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  gap: 8px 10px;
  > * {
    grid-column: span var(--w);
  }
  @media (max-width: 720px) {
    grid-template-columns: repeat(6, 1fr);
  }
`;

/** How wide a field is. */
export const cell = (width: number) => ({ '--w': width }) as React.CSSProperties;
