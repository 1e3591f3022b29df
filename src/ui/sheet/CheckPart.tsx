import type { CheckView } from '@/core/present/operation';
import { Line, Part } from './panelParts';

/** What to measure, its limits and with what. */
export function CheckPart({ checks }: { checks: readonly CheckView[] }) {
  return (
    <Part>
      <h3>Check</h3>
      {checks.length === 0 ? (
        <p style={{ color: 'var(--ink-soft)' }}>Nothing of the drawing is finished here.</p>
      ) : (
        checks.map((check) => <CheckLines key={check.what} check={check} />)
      )}
    </Part>
  );
}

function CheckLines({ check: { what, limits, gauge, often, fineEnough } }: { check: CheckView }) {
  return (
    <>
      <dl>
        <Line name={what}>{limits}</Line>
      </dl>
      <p style={{ color: 'var(--ink-soft)', fontSize: 13 }}>
        {gauge
          ? `${gauge}, ${often || 'every'} piece${fineEnough ? '' : '; too coarse for this tolerance'}`
          : 'no gauge in the list measures this'}
      </p>
    </>
  );
}
