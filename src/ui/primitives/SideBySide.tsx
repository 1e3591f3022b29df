'use client';
import styled from 'styled-components';

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 5px 8px;
    border-bottom: 1px solid var(--line);
    text-align: left;
    vertical-align: top;
  }
  td {
    font-family: var(--mono);
    overflow-wrap: anywhere;
  }
  th {
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
  tbody th {
    width: 36%;
  }
  td small {
    margin-left: 10px;
    color: var(--ink);
    font-size: 13px;
    font-weight: 700;
    white-space: nowrap;
  }
  tr[data-same] td {
    color: var(--ink-soft);
  }
  tr[data-marked] > * {
    background: var(--blue-soft);
  }
`;

/** One place of two versions: what each says there; a side that says nothing is left out. */
export interface SideBySideRow {
  key: string;
  where: string;
  left?: string | undefined;
  right?: string | undefined;
  /** What it belongs to, to be pointed at. */
  of?: string | undefined;
  /** By how much the right is more or less. */
  by?: string;
  /** Both say the same: shown, but quietly. */
  same?: boolean;
}

/** Two versions of something side by side, a row for each place. */
export function SideBySide({
  label,
  left,
  right,
  rows,
  none,
  what = 'Where',
  marked,
  onMark,
}: {
  label: string;
  left: string;
  right: string;
  rows: SideBySideRow[];
  /** What is said when there is no row. */
  none: string;
  /** Heading of the first column. */
  what?: string;
  marked?: string | undefined;
  onMark?: (of: string | undefined) => void;
}) {
  return (
    <Table aria-label={label}>
      <thead>
        <tr>
          <th scope="col">{what}</th>
          <th scope="col">{left}</th>
          <th scope="col">{right}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, where, left: one, right: other, by, of, same }) => (
          <tr
            key={key}
            {...(same ? { 'data-same': '' } : {})}
            {...(of !== undefined && marked === of ? { 'data-marked': '' } : {})}
            {...(onMark ? { onMouseEnter: () => onMark(of), onMouseLeave: () => onMark(undefined) } : {})}
          >
            <th scope="row">{where}</th>
            <td>{one ?? '—'}</td>
            <td>
              {other ?? '—'}
              {by && <small>{by}</small>}
            </td>
          </tr>
        ))}
        {rows.length === 0 && (
          <tr>
            <td colSpan={3}>{none}</td>
          </tr>
        )}
      </tbody>
    </Table>
  );
}
