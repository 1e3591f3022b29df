'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { SIGNS, type Happening, type Sign } from '@/core/lathe/events';
import { causesOf, SIGN_WORDS } from '@/core/lathe/signs';
import { cutNow } from '@/core/lathe/steps';
import type { Progress } from '@/core/lathe/progress';
import type { PlannedSetup, TimedOperation } from '@/core/plan/times/planTimes';
import { Window } from '../primitives/Window';
import { Big } from './parts';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px;
`;

const Causes = styled.ol`
  display: grid;
  gap: 10px;
  li {
    display: grid;
    grid-template-columns: 30px minmax(0, 1fr) auto;
    gap: 4px 12px;
    align-items: center;
    padding: 8px 0;
    border-top: 1px solid var(--line);
    font-size: 18px;
  }
  li > b {
    font: 700 22px var(--mono);
  }
  small {
    display: block;
    color: var(--ink-soft);
    font-size: 15px;
  }
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  li[data-no] > span {
    color: var(--ink-soft);
    text-decoration: line-through;
  }
`;

interface Props {
  planned: PlannedSetup;
  operation: TimedOperation;
  helped: Progress['helped'];
  onHappened: (happening: Happening) => void;
  onClose: () => void;
}

/** It cuts badly: the sign is pressed, and what may be the cause at this cut is told, one change at a time. */
export function BadlyWindow({ planned, operation, helped, onHappened, onClose }: Props) {
  const [sign, setSign] = useState<Sign>();
  const [no, setNo] = useState<ReadonlySet<string>>(new Set());
  const said = (cause: string, isHelp: boolean) => {
    if (!sign) return;
    onHappened({ kind: 'tried', sign, cause, helped: isHelp });
    if (isHelp) onClose();
    else setNo((before) => new Set([...before, cause]));
  };
  const before = helped
    .filter(({ operation: of, sign: with_ }) => of === operation.key && with_ === sign)
    .map(({ cause }) => cause);
  return (
    <Window title={`${operation.number} ${operation.name} cuts badly`} wide open onClose={onClose}>
      {sign === undefined ? (
        <Grid role="group" aria-label="What is seen or heard">
          {SIGNS.map((one) => (
            <Big
              key={one}
              onPress={() => {
                onHappened({ kind: 'sign', sign: one });
                setSign(one);
              }}
            >
              {SIGN_WORDS[one]}
            </Big>
          ))}
        </Grid>
      ) : (
        <>
          <p style={{ marginBottom: 8, fontSize: 17 }}>
            One change at a time, the likeliest first for this cut
            {before.length > 0 ? '; what helped before stands first' : ''}.
          </p>
          <Causes aria-label={`What to change: ${SIGN_WORDS[sign]}`}>
            {causesOf(sign, cutNow(planned, operation), before).map(({ id, words, effect }, index) => (
              <li key={id} data-no={no.has(id) || undefined}>
                <b>{index + 1}</b>
                <span>
                  {words}
                  <small>{effect}</small>
                </span>
                <div>
                  <Big aria-label={`It helped: ${words}`} onPress={() => said(id, true)}>
                    It helped
                  </Big>
                  <Big aria-label={`It did not help: ${words}`} isDisabled={no.has(id)} onPress={() => said(id, false)}>
                    No
                  </Big>
                </div>
              </li>
            ))}
          </Causes>
        </>
      )}
    </Window>
  );
}
