'use client';
import { WAY_WORDS } from '@/core/model/way';
import { Check } from 'lucide-react';
import styled from 'styled-components';
import type { Sequence } from '@/core/ask/sequences';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { useSequences } from './useSequences';

const Table = styled.table`
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

/** Every machine, both ways, each end first, side by side; one of them can be taken. */
export function SequencesWindow({ onClose }: { onClose: () => void }) {
  const { edit } = useWorkspace();
  const compared = useSequences();
  const take = ({ change }: Sequence) => {
    edit(undefined, (run) => {
      Object.assign(run, change);
    });
  };
  const several = new Set(compared?.sequences.map(({ machine }) => machine?.id)).size > 1;
  return (
    <Window title="Sequences compared" open onClose={onClose}>
      {!compared && <p role="status">Planning each of them …</p>}
      {compared && (
        <>
          <p style={{ marginBottom: 10 }}>{compared.because}</p>
          <Table>
            <thead>
              <tr>
                <th scope="col">Sequence</th>
                <th scope="col">A piece</th>
                <th scope="col">Setting up</th>
                <th scope="col">Batch</th>
                <th scope="col">Second side held by</th>
                <th scope="col" />
              </tr>
            </thead>
            <tbody>
              {compared.sequences.map((tried, index) => (
                <Row
                  key={`${tried.machine?.id} ${tried.way} ${tried.firstEnd}`}
                  sequence={tried}
                  chosen={index === compared.chosen}
                  several={several}
                  onTake={() => take(tried)}
                />
              ))}
            </tbody>
          </Table>
        </>
      )}
    </Window>
  );
}

function Row({
  sequence: { machine, way, firstEnd, figures, problem },
  chosen,
  several,
  onTake,
}: {
  sequence: Sequence;
  chosen: boolean;
  several: boolean;
  onTake: () => void;
}) {
  const name = `${firstEnd === 'front' ? 'Front' : 'Back'} first, ${WAY_WORDS[way]}`;
  return (
    <tr aria-current={chosen || undefined}>
      <th scope="row">
        {name}
        {several && <small>{machine?.name}</small>}
      </th>
      {figures ? (
        <>
          <td className="figure">{figures.pieceMinutes.toFixed(1)} min</td>
          <td className="figure">{figures.setupMinutes.toFixed(0)} min</td>
          <td className="figure">
            {sayMinutes(figures.batchMinutes)}
            <small>
              {figures.bars} {figures.bars === 1 ? 'bar' : 'bars'}, {figures.operations} operations
              {figures.unmade > 0 && `, ${figures.unmade} not made`}
            </small>
          </td>
          <td>
            {figures.holding.words}, on {figures.holding.on}
          </td>
          <td>
            {chosen ? (
              <span style={{ whiteSpace: 'nowrap' }}>
                <Check size={15} aria-hidden /> the plan
              </span>
            ) : (
              <Button
                onPress={onTake}
                aria-label={`Take ${name.toLowerCase()}${several && machine ? `, ${machine.name}` : ''}`}
              >
                Take it
              </Button>
            )}
          </td>
        </>
      ) : (
        <td colSpan={5} style={{ color: 'var(--ink-soft)' }}>
          cannot be: {problem}
        </td>
      )}
    </tr>
  );
}
