'use client';
import { useState } from 'react';
import styled from 'styled-components';
import { Button } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { HouseBar } from '../primitives/HouseBar';
import { ask } from '../primitives/ask';

const Room = styled.main`
  max-width: 560px;
  margin: 24px auto;
  padding: 20px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--sheet);
  h1 {
    font-size: 20px;
  }
  > p {
    margin: 6px 0 14px;
    color: var(--ink-soft);
  }
  output {
    display: block;
    padding: 14px 18px;
    border: 2px solid var(--ink);
    border-radius: 8px;
    font: 700 clamp(34px, 9vw, 64px) var(--mono);
    text-align: right;
    white-space: pre-wrap;
  }
  fieldset {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    align-items: end;
    margin: 14px 0 0;
    padding: 0;
    border: 0;
  }
`;

/** By how much its thumb wheel moves it, mm. */
const STEPS = [-1, -0.1, -0.01, 0.01, 0.1, 1];

const sent = (pages: number): string => {
  if (pages === 0) return 'Sent, and heard by nobody: a page hears it while it measures.';
  return `Sent, and heard by ${pages === 1 ? 'one page' : `${pages} pages`} that ${pages === 1 ? 'measures' : 'measure'}.`;
};

interface Props {
  device: string;
  title: string;
  what: string;
  /** Its axes; a gauge has one without a name. */
  axes: readonly string[];
}

/** A device that stands in for a real one: it is moved, and sends its line as that would. */
export function StandIn({ device, title, what, axes }: Props) {
  const [at, setAt] = useState<Record<string, number>>(() => Object.fromEntries(axes.map((axis) => [axis, 0])));
  const [said, setSaid] = useState('');
  const line = axes.map((axis) => `${axis}${(at[axis] ?? 0).toFixed(3)}`).join(' ');
  const move = (axis: string, to: number) => setAt((before) => ({ ...before, [axis]: Number(to.toFixed(3)) }));
  const send = async () => {
    const outcome = await ask<{ heard: number }>('POST', '/api/device-lines', { device, line });
    setSaid(outcome.ok ? sent(outcome.value.heard) : (outcome.problems[0]?.message ?? 'The server does not answer.'));
  };
  return (
    <>
      <HouseBar at="devices" />
      <Room>
        <h1>{title}</h1>
        <p>{what}</p>
        <output aria-label="What it shows">{line.replace(' ', '\n')}</output>
        {axes.map((axis) => (
          <fieldset key={axis} aria-label={axis || 'Size'}>
            <Field
              label={`${axis || 'Size'}, mm`}
              value={String(at[axis] ?? 0)}
              onChange={(text) => Number.isFinite(Number(text)) && move(axis, Number(text))}
            />
            {STEPS.map((by) => (
              <Button
                key={by}
                aria-label={`${axis || 'Size'} by ${by}`}
                onPress={() => move(axis, (at[axis] ?? 0) + by)}
              >
                {by > 0 ? `+${by}` : by}
              </Button>
            ))}
          </fieldset>
        ))}
        <fieldset>
          <Button $strong onPress={() => void send()}>
            Send
          </Button>
          <span role="status">{said}</span>
        </fieldset>
      </Room>
    </>
  );
}
