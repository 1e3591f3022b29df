'use client';
import { sayEntry } from '@/core/model/units/mark';
import { useState } from 'react';
import { refuse } from '@/core/model/result';
import { linesOf, readLines } from '@/core/read/lines';
import type { PieceFile } from '@/core/read/runFile';
import { Choice, Field, FieldLabel } from '../primitives/Field';
import { problemAt, useWorkspace } from '../run/WorkspaceContext';
import { cell } from './grid';
import { LinesText, LinesWrong } from './linesText';

/** Lines of a piece: steps, holes and what is cut into it, nothing else of a part. */
function readPieceLines(text: string): ReturnType<typeof readLines> {
  const read = readLines(text);
  if (!read.ok) return read;
  const { lengths = [], elsewhere = [] } = read.value;
  return lengths.length + elsewhere.length === 0
    ? read
    : refuse('', 'a piece as it is has steps, holes and what is cut into it');
}

/** Changes the piece of the run, as one step of undo for each field. */
function useChange() {
  const { edit } = useWorkspace();
  return (field: string, recipe: (piece: PieceFile) => void) =>
    edit(`stock ${field}`, (run) => {
      if (run.stock && run.stock !== 'choose' && run.stock.form === 'piece') recipe(run.stock);
    });
}

/** A piece as it arrives: its steps, holes and details as lines, what stands before the finished front face, its make. */
export function PieceFields({ piece }: { piece: PieceFile }) {
  const { problems } = useWorkspace();
  const change = useChange();
  return (
    <>
      <div style={cell(6)}>
        <PieceLines piece={piece} />
      </div>
      <div style={cell(3)}>
        <Field
          label="Before the front face"
          value={sayEntry(piece.ahead ?? '')}
          placeholder="facing allowance"
          problem={problemAt(problems, 'stock.ahead')}
          onChange={(typed) =>
            change('ahead', (to) => {
              if (typed === '') delete to.ahead;
              else to.ahead = typed;
            })
          }
        />
        <Choice
          label="Surface"
          value={piece.skin ? 'skin' : 'bright'}
          onChange={(value) =>
            change('skin', (to) => {
              if (value === 'skin') to.skin = true;
              else delete to.skin;
            })
          }
        >
          <option value="bright">bright</option>
          <option value="skin">with its skin on</option>
        </Choice>
      </div>
      <div style={cell(3)}>
        <Field
          label="Make, where nobody knows it"
          plain
          value={piece.grade ?? ''}
          placeholder="welded, forged"
          problem={problemAt(problems, 'stock.grade')}
          onChange={(typed) =>
            change('grade', (to) => {
              if (typed === '') delete to.grade;
              else to.grade = typed;
            })
          }
        />
      </div>
    </>
  );
}

/** Its steps, holes and what is cut into it, a line each. What cannot be read stays as it is typed. */
function PieceLines({ piece }: { piece: PieceFile }) {
  const { problems } = useWorkspace();
  const change = useChange();
  const [text, setText] = useState(() => linesOf(piece));
  const read = readPieceLines(text);
  const wrong = read.ok
    ? problems.filter(({ path }) =>
        ['stock.outside', 'stock.bores', 'stock.details'].some((list) => path.startsWith(list)),
      )
    : read.problems;
  const type = (typed: string) => {
    setText(typed);
    const lines = readPieceLines(typed);
    if (lines.ok)
      change('lines', (to) => {
        to.outside = lines.value.outside;
        to.bores = lines.value.bores;
        to.details = lines.value.details;
      });
  };
  return (
    <>
      <FieldLabel htmlFor="piece-lines">
        The piece from its front end, a line a step, a hole or a thread: <code>42; 43</code>,{' '}
        <code>drill front; 12; through</code>
      </FieldLabel>
      <LinesText
        $least={92}
        id="piece-lines"
        value={text}
        spellCheck={false}
        aria-invalid={wrong.length > 0}
        aria-describedby={wrong.length > 0 ? 'piece-wrong' : undefined}
        onChange={(event) => type(event.target.value)}
      />
      {wrong.length > 0 && (
        <LinesWrong id="piece-wrong" role="status">
          {wrong.map(({ path, message }) => (
            <p key={path + message}>{read.ok || path === '' ? message : `${path}: ${message}`}</p>
          ))}
        </LinesWrong>
      )}
    </>
  );
}
