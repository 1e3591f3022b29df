'use client';
import { Check } from 'lucide-react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';

/** Ways of making a run side by side; the one that is planned stands out. */
export const CompareTable = styled.table`
  width: 100%;
  border-collapse: collapse;
  th {
    padding: 4px 8px;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
    text-align: left;
  }
  tbody th {
    color: var(--ink);
    font-weight: 600;
    font-size: 15px;
  }
  td {
    padding: 7px 8px;
    border-top: 1px solid var(--line);
    vertical-align: top;
  }
  tbody th {
    border-top: 1px solid var(--line);
    vertical-align: top;
  }
  td.figure {
    font-family: var(--mono);
    white-space: nowrap;
  }
  tr[aria-current='true'] > * {
    background: var(--blue-soft);
  }
  small {
    display: block;
    color: var(--ink-soft);
    font-weight: 400;
    font-size: 13px;
  }
`;

/** The last cell of a way: that it is the plan, or the button that makes it so. @param name what is taken, for who hears it */
export const TakeCell = ({ chosen, name, onTake }: { chosen: boolean; name: string; onTake: () => void }) => (
  <td>
    {chosen ? (
      <span style={{ whiteSpace: 'nowrap' }}>
        <Check size={15} aria-hidden /> the plan
      </span>
    ) : (
      <Button onPress={onTake} aria-label={`Take ${name}`}>
        Take it
      </Button>
    )}
  </td>
);
