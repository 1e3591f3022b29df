'use client';
import { knownBy } from '@/core/model/units/mark';
import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';
import type { Progress } from '@/core/lathe/progress';
import { KIT_FOR, kitOf } from '@/core/present/kit';
import { stopPlace } from '@/core/present/nextCut';
import { pinWords } from '@/core/present/stop';
import { readySteps } from '@/core/present/readySteps';
import { formatLength } from '@/core/model/units/length';
import type { Plan } from '@/core/plan/plan';
import type { PlannedSetup } from '@/core/plan/times/planTimes';

const List = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(460px, 100%), 1fr));
  gap: 8px 16px;
  margin-bottom: 18px;
`;

const Tick = styled(Checkbox)`
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
  min-height: 60px;
  padding: 6px 14px 6px 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--sheet);
  font-size: 17px;
  cursor: pointer;
  &::before {
    content: '';
    display: grid;
    place-items: center;
    width: 30px;
    height: 30px;
    border: 2px solid var(--ink-soft);
    border-radius: 6px;
    font-size: 22px;
    line-height: 1;
  }
  &[data-selected]::before {
    content: '✓';
    border-color: var(--blue);
    color: var(--blue);
  }
  &[data-selected] {
    color: var(--ink-soft);
  }
  &[data-focus-visible] {
    outline: 3px solid var(--blue);
    outline-offset: 2px;
  }
  b {
    font: 700 30px/1.1 var(--mono);
  }
  em {
    font-style: normal;
    color: var(--ink-soft);
  }
`;

const Proved = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  margin-bottom: 16px;
  font-size: 17px;
  b {
    font-family: var(--mono);
  }
`;

interface Ready {
  plan: Plan;
  planned: PlannedSetup;
  progress: Progress;
  onTick: (step: string, done: boolean) => void;
}

/** What is laid out and set before the first piece, step by step; each is ticked, and stays so for whoever goes on. */
export function MakeReady({ plan, planned, progress, onTick }: Ready) {
  const { number } = planned.setup;
  const kit = number === 1 ? kitOf(plan) : [];
  const row = (key: string, words: React.ReactNode, figure?: string) => (
    <li key={key}>
      <Tick isSelected={progress.ready.has(knownBy(key))} onChange={(done) => onTick(key, done)}>
        <span>{words}</span>
        {figure && <b>{figure}</b>}
      </Tick>
    </li>
  );
  return (
    <>
      <ProvedSettings planned={planned} progress={progress} />
      {kit.length > 0 && (
        <>
          <h2>Lay out</h2>
          <List aria-label="What is laid out">
            {kit.map(({ for: use, what, place, has }) =>
              row(
                `kit ${use} ${what}`,
                <>
                  {what}{' '}
                  <em>
                    {[KIT_FOR[use], place, has === true ? '' : has === false ? 'to get' : has]
                      .filter(Boolean)
                      .join(', ')}
                  </em>
                </>,
              ),
            )}
          </List>
        </>
      )}
      <h2>Set the machine</h2>
      <List aria-label={`Setting the machine for set-up ${number}`}>
        {readySteps(planned).map(({ name, tool, what, over, text }) =>
          row(
            name,
            <>
              {tool && <em>{tool}: </em>}
              {what}
              {over && <em>, over {over}</em>}
            </>,
            text,
          ),
        )}
      </List>
    </>
  );
}

/** What stops proved to stand at, beside what was planned. */
function ProvedSettings({ planned, progress }: Pick<Ready, 'planned' | 'progress'>) {
  const { pins, setup } = planned;
  const { units } = setup.run;
  const moved = pins.flatMap((pin) => {
    const by = progress.moved.get(stopPlace(planned, pin));
    return by === undefined || by === 0 ? [] : [{ pin, by }];
  });
  if (moved.length === 0) return null;
  return (
    <Proved aria-label="What was moved at the lathe">
      {moved.map(({ pin, by }) => (
        <li key={pin.letter}>
          {pinWords(pin, units)}: planned <b>{formatLength(pin.setting, units, pin.fine)}</b>, moved{' '}
          <b>{formatLength(by, units, true)}</b>
        </li>
      ))}
    </Proved>
  );
}
