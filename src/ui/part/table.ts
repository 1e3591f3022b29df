'use client';
import styled from 'styled-components';

/** A table of entries: a line per step or hole, fields side by side, what is wrong under its line. */
export const EntryTable = styled.table`
  width: 100%;
  min-width: 540px;
  border-collapse: collapse;
  th {
    padding: 0 6px 4px 0;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
    white-space: nowrap;
  }
  td {
    padding: 0 6px 5px 0;
    vertical-align: top;
  }
  td:last-child,
  th:last-child {
    padding-right: 0;
    width: 1%;
  }
  td.number {
    width: 22px;
    padding-top: 7px;
    color: var(--ink-soft);
    font-family: var(--mono);
  }
  td.aside {
    padding-top: 24px;
    color: var(--ink-soft);
    font-size: 12px;
  }
  td.why {
    padding-top: 8px;
  }
  td.tick {
    width: 44px;
    text-align: center;
    padding-top: 8px;
  }
  tr.wrong td {
    padding-bottom: 8px;
    color: var(--oxide);
    font-size: 13px;
  }
  input[type='checkbox'] {
    width: 18px;
    height: 18px;
    accent-color: var(--ink);
  }
`;

/** Entries of a list, a row each: its number, what it is (unless all are alike), its fields, and what can be done with it. */
export const EntryRows = styled.ol<{ $plain?: boolean }>`
  margin-bottom: 8px;
  li {
    display: grid;
    grid-template-columns: 18px ${({ $plain }) => ($plain ? '' : '122px')} minmax(0, 1fr) auto;
    gap: 2px 8px;
    align-items: end;
    padding: 5px 0 7px;
    border-top: 1px solid var(--line);
  }
  li > .number {
    padding-bottom: 7px;
    color: var(--ink-soft);
    font-family: var(--mono);
  }
  li > .wrong {
    grid-column: 2 / -1;
    color: var(--oxide);
    font-size: 13px;
  }
  .doing {
    display: flex;
    gap: 4px;
  }
  @media (max-width: 640px) {
    li {
      grid-template-columns: 22px minmax(0, 1fr) auto;
    }
    li > :nth-child(3):not(:last-child) {
      grid-column: ${({ $plain }) => ($plain ? 'auto' : '2 / -1')};
    }
  }
`;

export const Group = styled.section`
  overflow-x: auto;
  margin-bottom: 16px;
  padding: 12px 14px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  h2 {
    display: flex;
    align-items: baseline;
    gap: 10px;
    margin-bottom: 8px;
    font-size: 15px;
  }
  h2 small {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
`;
