'use client';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import type { Refusal, Remedy } from '@/core/ask/refusal';
import { setPath } from '@/core/model/setPath';
import type { RunFile } from '@/core/read/runFile';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { useWorkspace } from './WorkspaceContext';

/** How long nothing is typed before changes are tried, ms. */
const QUIET = 500;

const Offered = styled.li`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
`;

/** Why the run as it stands has no plan, once nothing was changed for a while. */
function useRefusal(): Refusal | undefined {
  const { file, refusal, planned } = useWorkspace();
  const [known, setKnown] = useState<{ of: RunFile; answer: Refusal | undefined }>();
  const problems = planned.answer?.problems;
  useEffect(() => {
    let over = false;
    const waiting = setTimeout(() => {
      if (problems?.length) void refusal(file, problems).then((answer) => over || setKnown({ of: file, answer }));
    }, QUIET);
    return () => {
      over = true;
      clearTimeout(waiting);
    };
  }, [file, refusal, problems]);
  return known?.of === file ? known.answer : undefined;
}

/** Changes that work, each tried beforehand and one press away; and the routes that were tried. */
export function Remedies() {
  const { file, edit } = useWorkspace();
  const refusal = useRefusal();
  if (!refusal) return null;
  const take = ({ path, value }: Remedy) => {
    const changed = setPath(file, path, value);
    if (changed.ok) edit(undefined, (run) => void Object.assign(run, changed.value));
  };
  return (
    <>
      {refusal.remedies.length > 0 && (
        <section aria-label="What would do">
          <h3>What would do</h3>
          <ul>
            {refusal.remedies.map((remedy) => (
              <Offered key={remedy.path + String(remedy.value)}>
                <span>
                  {remedy.words}: {sayMinutes(remedy.pieceMinutes)} a piece
                </span>
                <Button onPress={() => take(remedy)}>Take it</Button>
              </Offered>
            ))}
          </ul>
        </section>
      )}
      {refusal.tried.length > 0 && (
        <details>
          <summary>
            {refusal.tried.length === 1 ? 'One route was tried' : `${refusal.tried.length} routes were tried`}
          </summary>
          <ul>
            {refusal.tried.map(({ route, because }) => (
              <li key={route}>
                <strong>{route}</strong>: {because}
              </li>
            ))}
          </ul>
        </details>
      )}
    </>
  );
}
