import styled from 'styled-components';

/** Where lines of our notation are typed, at least so high, px. */
export const LinesText = styled.textarea<{ $least: number }>`
  width: 100%;
  min-height: ${({ $least }) => $least}px;
  padding: 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--sheet);
  font-family: var(--mono);
  line-height: 1.5;
  resize: vertical;
`;

/** What of them cannot be read. */
export const LinesWrong = styled.div`
  margin-top: 6px;
  color: var(--oxide);
  font-size: 14px;
`;
