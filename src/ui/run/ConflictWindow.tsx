'use client';
import { format } from 'date-fns';
import styled from 'styled-components';
import { differences } from '@/core/formats/differences';
import type { RunFile } from '@/core/read/runFile';
import { Button } from '../primitives/Button';
import { SideBySide } from '../primitives/SideBySide';
import { Window } from '../primitives/Window';
import type { ServedRun } from './api';
import { entryName } from './entryName';

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
      <div style={{ margin: '14px 0' }}>
        <SideBySide
          label="What the two say"
          left="Yours"
          right={`Revision ${current.revision}`}
          rows={places.map(({ path, mine: name, theirs }) => ({
            key: path,
            where: entryName(path),
            left: name,
            right: theirs,
          }))}
          none="Both say the same."
        />
      </div>
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
