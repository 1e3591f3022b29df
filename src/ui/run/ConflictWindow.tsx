'use client';
import { format } from 'date-fns';
import styled from 'styled-components';
import { differences } from '@/core/formats/differences';
import type { RunFile } from '@/core/formats/runFile';
import { Button } from '../primitives/Button';
import { Window } from '../primitives/Window';
import type { ServedRun } from './api';
import { entryName } from './entryName';

const Table = styled.table`
  width: 100%;
  margin: 14px 0;
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
`;

const Buttons = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;

interface Props {
  mine: RunFile;
  current: ServedRun;
  onSettle: (keep: 'mine' | 'theirs') => void;
  onClose: () => void;
}

/** Two people saved the same run: both versions, place by place, and which goes on. Neither is lost. */
export function ConflictWindow({ mine, current, onSettle, onClose }: Props) {
  const places = differences(mine, current.file);
  return (
    <Window title="Someone else saved this run meanwhile" open onClose={onClose}>
      <p>
        Revision {current.revision} was saved on {format(new Date(current.savedAt), 'd MMM, HH:mm')}. Yours is not saved
        yet and stays here until you decide. The other revision is kept in any case.
      </p>
      <Table>
        <thead>
          <tr>
            <th scope="col">Where</th>
            <th scope="col">Yours</th>
            <th scope="col">Revision {current.revision}</th>
          </tr>
        </thead>
        <tbody>
          {places.map(({ path, mine: own, theirs }) => (
            <tr key={path}>
              <th scope="row">{entryName(path)}</th>
              <td>{own ?? '—'}</td>
              <td>{theirs ?? '—'}</td>
            </tr>
          ))}
          {places.length === 0 && (
            <tr>
              <td colSpan={3}>Both say the same.</td>
            </tr>
          )}
        </tbody>
      </Table>
      <Buttons>
        <Button $strong onPress={() => onSettle('mine')}>
          Save mine as revision {current.revision + 1}
        </Button>
        <Button onPress={() => onSettle('theirs')}>
          Go on from revision {current.revision}; undo brings mine back
        </Button>
        <Button onPress={onClose}>Decide later</Button>
      </Buttons>
    </Window>
  );
}
