'use client';
import styled from 'styled-components';

/** Figures in rows under quiet headings; the row that holds now is marked. */
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
  th,
  td {
    padding: 4px 6px;
    border-top: 1px solid var(--line);
    text-align: left;
    vertical-align: middle;
  }
  thead th,
  thead th.figure {
    font-family: var(--sans);
  }
  thead th {
    border-top: 0;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  tbody th {
    font-weight: 600;
  }
  td.figure {
    font-family: var(--mono);
    text-align: right;
    white-space: nowrap;
  }
  th.figure {
    text-align: right;
  }
  tr[aria-current='true'] > * {
    background: var(--blue-soft);
  }
`;

/** A column's head: words, words over figures, or what is only said where a column needs none. */
export type Head = string | { figures: string } | { said: string };

/** The heads of a table's columns. */
export const Heads = ({ of }: { of: readonly Head[] }) => (
  <thead>
    <tr>
      {of.map((head) => {
        if (typeof head === 'string')
          return (
            <th key={head} scope="col">
              {head}
            </th>
          );
        return 'figures' in head ? (
          <th key={head.figures} scope="col" className="figure">
            {head.figures}
          </th>
        ) : (
          <th key={head.said} scope="col">
            <span className="unseen">{head.said}</span>
          </th>
        );
      })}
    </tr>
  </thead>
);
