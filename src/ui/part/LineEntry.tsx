'use client';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import styled from 'styled-components';
import { addLine, wordsFor, type LineProblem } from '@/core/read/short/addLine';
import { sketchPart } from '@/core/read/sketch';
import type { Part } from '@/core/model/part/part';
import type { PartFile } from '@/core/read/runFile';
import { useWorkspace } from '../run/WorkspaceContext';
import { LINE_ENTRY } from './lineEntryId';
import { Group } from './table';

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
  label {
    font-weight: 600;
    font-size: 15px;
  }
  input {
    flex: 1 1 220px;
    min-height: 40px;
    padding: 4px 10px;
    border: 1px solid var(--line);
    border-radius: var(--round);
    background: var(--sheet);
    color: var(--ink);
    font: 16px var(--mono);
  }
  input:focus-visible {
    outline: 2px solid var(--blue);
  }
  input[aria-invalid='true'] {
    border-color: var(--oxide);
  }
`;

const Said = styled.p`
  min-height: 21px;
  margin: 4px 0 0;
  color: var(--ink-soft);
  font-size: 14px;
  &[data-wrong] {
    color: var(--oxide);
  }
  code {
    font-family: var(--mono);
  }
  mark {
    background: none;
    color: inherit;
    font-family: var(--mono);
    text-decoration: underline wavy;
  }
`;

interface Props {
  /** The part as it would be with the line that is being typed; undefined where that says nothing yet. */
  onSketch: (part: Part | undefined) => void;
}

/** One line above the tables: a step, a detail or a hole at each Enter, the drawing following while it is typed. */
export function LineEntry({ onSketch }: Props) {
  const { file, edit } = useWorkspace();
  const [line, setLine] = useState('');
  const [refused, setRefused] = useState(false);
  const [told, setTold] = useState('');
  const input = useRef<HTMLInputElement>(null);
  const part = typedPart(file.part);
  const added = line.trim() === '' ? undefined : addLine(part, line, file.units);
  useEffect(() => () => onSketch(undefined), [onSketch]);

  const type = (text: string) => {
    setLine(text);
    setRefused(false);
    setTold('');
    const next = text.trim() === '' ? undefined : addLine(part, text, file.units);
    onSketch(next?.ok ? sketchPart(next.value.part, file.units) : undefined);
  };
  const take = () => {
    if (!added) return;
    if (!added.ok) {
      setRefused(true);
      const { token } = added.problems[0];
      if (token) input.current?.setSelectionRange(token.from, token.to);
      return;
    }
    edit(undefined, (run) => {
      run.part = added.value.part;
    });
    setTold(`Taken: ${added.value.words}.`);
    setLine('');
    onSketch(undefined);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const [only, more] = wordsFor(line);
    if (event.key === 'Enter') {
      event.preventDefault();
      take();
    } else if (event.key === 'Escape' && line !== '') {
      event.stopPropagation();
      type('');
    } else if (event.key === 'Tab' && !event.shiftKey && only && !more && line.trim() !== only.word) {
      event.preventDefault();
      type(`${only.word} `);
    }
  };
  return (
    <Group aria-label="Quick entry">
      <Row>
        <label htmlFor={LINE_ENTRY}>Line by line</label>
        <input
          id={LINE_ENTRY}
          ref={input}
          value={line}
          placeholder="10 h9 16 c1"
          autoComplete="off"
          autoCapitalize="none"
          spellCheck={false}
          aria-describedby={`${LINE_ENTRY}-said`}
          aria-invalid={refused || undefined}
          onChange={(event) => type(event.target.value)}
          onKeyDown={onKeyDown}
        />
      </Row>
      <Said id={`${LINE_ENTRY}-said`} role="status" data-wrong={refused || undefined}>
        <Answer line={line} added={added} refused={refused} told={told} />
      </Said>
    </Group>
  );
}

/** The part without the step that waits to be filled in: a line takes its place. */
const typedPart = (part: PartFile): PartFile => ({
  ...part,
  outside: part.outside.filter((step) => {
    const { shape, ...figures } = step;
    void shape;
    return Object.values(figures).some((value) => value !== '' && value !== undefined);
  }),
});

interface AnswerProps {
  line: string;
  added: ReturnType<typeof addLine> | undefined;
  refused: boolean;
  told: string;
}

/** What was understood, what is wrong and in which word, or what may be written. */
function Answer({ line, added, refused, told }: AnswerProps) {
  if (!added)
    return told !== '' ? (
      told
    ) : (
      <>
        Enter takes it: <code>10 h9 16 c1</code> a step, <code>M10 12</code> a thread on it, <code>gr 2 8</code> a
        groove in its corner, <code>ream 6 H7 16</code> a hole.
      </>
    );
  if (added.ok) return added.value.words;
  const begun = wordsFor(line);
  if (begun.length > 0 && !refused)
    return begun.map(({ word, example }, index) => (
      <span key={word}>
        {index > 0 && ' · '}
        <code>{example}</code>
      </span>
    ));
  return <Wrong problem={added.problems[0]} line={line} />;
}

function Wrong({ problem: { token, message }, line }: { problem: LineProblem; line: string }) {
  if (!token) return message;
  const word = line.slice(token.from, token.to);
  return (
    <>
      {!message.includes(`“${word}”`) && (
        <>
          <mark>{word}</mark>:{' '}
        </>
      )}
      {message}
    </>
  );
}
