'use client';
import { useState } from 'react';
import { emptyStep } from '@/core/read/runFile';
import { linesOf, readLines } from '@/core/read/lines';
import { Button } from '../primitives/Button';
import { Window } from '../primitives/Window';
import { LinesText, LinesWrong } from './linesText';
import { useWorkspace } from '../run/WorkspaceContext';

/** The whole part as lines of text, to type, paste and copy. What cannot be read is told, and nothing is lost. */
export function LinesWindow({ onClose }: { onClose: () => void }) {
  return (
    <Window title="The part as lines" open onClose={onClose}>
      <Lines onClose={onClose} />
    </Window>
  );
}

function Lines({ onClose }: { onClose: () => void }) {
  const { file, edit } = useWorkspace();
  const [text, setText] = useState(() => linesOf(file.part));
  const read = readLines(text);
  const use = () => {
    if (!read.ok) return;
    edit(undefined, ({ part }) => {
      Object.assign(part, read.value);
      if (part.outside.length === 0) part.outside = [emptyStep()];
    });
    onClose();
  };
  return (
    <>
      <p style={{ marginBottom: 8 }}>
        A line an entry, figures with semicolons between: <code>14 h8; 9; ra 1.6</code> is a cylinder,{' '}
        <code>cone 20; 26; 5</code>, <code>groove 7; 2; 12.5</code>, <code>drill front; 6; through</code>.
      </p>
      <LinesText
        $least={260}
        aria-label="Lines of the part"
        value={text}
        spellCheck={false}
        autoFocus
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && event.ctrlKey) use();
        }}
      />
      <LinesWrong role="status">
        {!read.ok &&
          read.problems.map(({ path, message }) => (
            <p key={path}>
              {path}: {message}
            </p>
          ))}
      </LinesWrong>
      <p style={{ display: 'flex', gap: 8, marginTop: 10 }}>
        <Button $strong onPress={use} isDisabled={!read.ok}>
          Use these lines
        </Button>
        <Button onPress={() => void navigator.clipboard?.writeText(text)}>Copy</Button>
      </p>
    </>
  );
}
