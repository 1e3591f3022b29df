'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { SCRAP_REASONS, type Happening, type LatheEvent, type ScrapReason } from '@/core/lathe/events';
import type { TimedOperation } from '@/core/plan/times/planTimes';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { Big } from './parts';
import { strikeOnRack } from './strikeOnRack';

const Part = styled.section`
  display: grid;
  gap: 10px;
  padding: 12px 0;
  border-top: 1px solid var(--line);
  h3 {
    font-size: 17px;
  }
  div.row {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
    align-items: end;
  }
  input,
  select {
    min-height: 56px;
    font-size: 18px;
  }
`;

/** The longest that is kept in words. */
const LONGEST = 500;

interface Props {
  piece: number;
  operation: TimedOperation | undefined;
  /** What was written down last, and in words. */
  last: { event: LatheEvent; words: string } | undefined;
  onHappened: (happening: Happening) => void;
  /** It is cut otherwise than planned, or the piece is no longer what was planned. */
  onOpen: (doing: 'otherwise' | 'as-it-is' | 'bar' | 'order') => void;
  onClose: () => void;
}

/** What else happens: a piece is scrap, an edge is changed or breaks, a new bar, a note, a pause; or it is cut otherwise. */
export function HappenedWindow({ piece, operation, last, onHappened, onOpen, onClose }: Props) {
  const [reason, setReason] = useState<ScrapReason>('size');
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const { id } = useWorkspace();
  const note = text.trim() === '' ? {} : { note: text.trim() };
  const isLong = text.length > LONGEST;
  const say = (happening: Happening) => {
    if (isLong) return;
    onHappened(happening);
    onClose();
  };
  const strike = async (event: LatheEvent) => {
    const inTheWay = await strikeOnRack(event, Number(id));
    if (inTheWay === undefined) say({ kind: 'struck', event: event.id });
    else setProblem(inTheWay);
  };
  return (
    <Window title={`Piece ${piece}: what happened`} open onClose={onClose}>
      <Field
        label="In words, where they help"
        plain
        value={text}
        problem={isLong ? `has ${text.length} signs; ${LONGEST} are kept` : undefined}
        onChange={setText}
      />
      <Part aria-label="Note or pause">
        <div className="row">
          <Big isDisabled={text.trim() === ''} onPress={() => say({ kind: 'note', text: text.trim() })}>
            Keep as a note
          </Big>
          <Big onPress={() => say({ kind: 'paused', ...note })}>Stop here for now</Big>
          <Big onPress={() => onOpen('bar')}>A new bar …</Big>
          <Big onPress={() => onOpen('order')}>Another order …</Big>
          {last && <Big onPress={() => void strike(last.event)}>Take back: {last.words}</Big>}
        </div>
        {problem && (
          <p role="alert" style={{ color: 'var(--oxide)' }}>
            {problem}
          </p>
        )}
      </Part>
      {operation && (
        <Part>
          <h3>{operation.tool.name}</h3>
          <div className="row">
            {(['changed', 'ground', 'broken'] as const).map((what) => (
              <Big key={what} onPress={() => say({ kind: 'edge', tool: operation.tool.id, what })}>
                {what === 'broken' ? 'It broke' : `Edge ${what}`}
              </Big>
            ))}
            <Big onPress={() => onOpen('otherwise')}>Cut otherwise …</Big>
          </div>
        </Part>
      )}
      <Part>
        <h3>Piece {piece} is not what it should be</h3>
        <div className="row">
          <Choice label="Because of" value={reason} onChange={setReason}>
            {SCRAP_REASONS.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Choice>
          <Big onPress={() => say({ kind: 'scrap', reason, ...note })}>Scrap it; another is made</Big>
          <Big onPress={() => onOpen('as-it-is')}>Plan on from it as it is …</Big>
        </div>
      </Part>
    </Window>
  );
}
