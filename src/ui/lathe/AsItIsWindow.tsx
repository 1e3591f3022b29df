'use client';
import { useState } from 'react';
import { useRouter } from 'next/navigation';
import { runAsItIs } from '@/core/ask/asItIs';
import type { Happening } from '@/core/lathe/events';
import { linesOf } from '@/core/read/lines';
import type { PieceFile } from '@/core/read/runFile';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import type { Plan } from '@/core/plan/plan';
import { ask } from '../primitives/ask';
import { Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { Big } from './parts';

interface Props {
  plan: Plan;
  planned: PlannedSetup;
  /** What is done already of the piece in the chuck: the operation before the one that is shown. */
  done: TimedOperation | undefined;
  piece: number;
  onHappened: (happening: Happening) => void;
  onClose: () => void;
}

/**
 * After a mishap, or when the drawing changed: a run of its own of the pieces as they are, with what is left to do. What they are
 * like, and what the drawing is now, is put right where the part is; the planner goes on, or says why not.
 */
export function AsItIsWindow({ plan, planned, done, piece, onHappened, onClose }: Props) {
  const { file } = useWorkspace();
  const router = useRouter();
  const [quantity, setQuantity] = useState('1');
  const [wrong, setWrong] = useState<string>();
  const many = Number(quantity);
  const isMany = Number.isInteger(many) && many >= 1;
  const run = runAsItIs(file, plan, { planned, ...(done ? { operation: done } : {}) }, isMany ? many : 1);
  const make = async () => {
    if (!run.ok) return;
    const answer = await ask<{ run: { id: number } }>('POST', '/api/runs', { file: run.value });
    if (!answer.ok) return setWrong(answer.problems.map(({ message }) => message).join('; '));
    onHappened({ kind: 'note', text: `piece ${piece} goes on as it is, as run ${answer.value.run.id}` });
    router.push(`/runs/${answer.value.run.id}/part`);
  };
  const { outside, bores = [], details = [] } = (run.ok ? run.value.stock : {}) as Partial<PieceFile>;
  return (
    <Window title={`Piece ${piece}: plan on from it as it is`} open onClose={onClose}>
      <p style={{ marginBottom: 8 }}>
        A mishap, or the drawing changed. {done ? `After ${done.number} ${done.name}` : 'As it is put in'} the piece
        would be:
      </p>
      {run.ok ? (
        <pre style={{ marginBottom: 10, font: '16px/1.4 var(--mono)', overflowX: 'auto' }}>
          {linesOf({ outside: outside ?? [], bores, details })}
        </pre>
      ) : (
        <p role="alert" style={{ color: 'var(--oxide)' }}>
          The stock {run.problems[0]?.message}. Plan it as a run of its own, with what the piece is like.
        </p>
      )}
      <p style={{ marginBottom: 10 }}>
        A run of its own is made of it. Measure the piece, and put right what is otherwise: its lines stand beside the
        bar of that run, its drawing above them. What is there already is left as it is, and the rest is planned anew.
      </p>
      <Field
        label="Pieces that are so"
        value={quantity}
        problem={isMany ? undefined : `“${quantity}” is no number of pieces`}
        onChange={setQuantity}
      />
      {wrong && (
        <p role="alert" style={{ color: 'var(--oxide)' }}>
          The run was not made: {wrong}
        </p>
      )}
      <Big $strong isDisabled={!run.ok || !isMany} onPress={() => void make()} style={{ marginTop: 10 }}>
        Plan on
      </Big>
    </Window>
  );
}
