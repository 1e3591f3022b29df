'use client';
import type { OutlinePlace, SetupDrawn } from '@/core/plan/drawnSmall';

/** A place for each set-up, and the gap between two, in pixels. */
const WIDE = 92;
const HIGH = 46;
const GAP = 6;
/** In a table of its own there is more room. */
const LARGER = 1.4;
/** The jaws beside the work, and a centre before it. */
const JAW = 5;
const CENTRE = 9;

/** Both halves of a piece from its outline. */
function bodyOf(outline: readonly OutlinePlace[], x: (z: number) => number, y: (r: number) => number): string {
  const upper = outline.map(([z, r]) => `${x(z).toFixed(1)},${y(r).toFixed(1)}`);
  const lower = outline.toReversed().map(([z, r]) => `${x(z).toFixed(1)},${y(-r).toFixed(1)}`);
  return `M${[...upper, ...lower].join('L')}Z`;
}

/** Where a set-up's work begins and ends, and how thick it is, mm. */
const extentOf = ({ before, held }: SetupDrawn) => {
  const places = before.map(([z]) => z);
  const [first, last] = [Math.min(...places, 0), Math.max(...places, held.to)];
  return { last, length: last - first, radius: Math.max(held.radius, ...before.map(([, r]) => r)) };
};

function SetupSmall({ drawn, mm, at }: { drawn: SetupDrawn; mm: number; at: number }) {
  const { before, after, held, centre } = drawn;
  const { last } = extentOf(drawn);
  // As it stands on the lathe: the chuck to the left, the free end to the right.
  const x = (z: number) => at + 1 + (last - z) * mm;
  const y = (r: number) => HIGH / 2 - r * mm;
  const face = after[0]?.[0] ?? 0;
  return (
    <>
      <path d={bodyOf(before, x, y)} fill="var(--brass-soft)" stroke="var(--brass)" strokeDasharray="2 2" />
      <path d={bodyOf(after, x, y)} fill="var(--metal)" stroke="var(--ink)" />
      {held.inside ? (
        <rect
          x={x(held.to)}
          y={y(held.radius)}
          width={x(held.from) - x(held.to)}
          height={2 * held.radius * mm}
          fill="var(--ink-soft)"
        />
      ) : (
        [y(held.radius) - JAW, y(-held.radius)].map((top) => (
          <rect
            key={top}
            x={x(held.to)}
            y={top}
            width={x(held.from) - x(held.to)}
            height={JAW}
            fill="var(--ink-soft)"
          />
        ))
      )}
      {centre && (
        <path d={`M${x(face)},${HIGH / 2}l${CENTRE - 1},-4v8Z`} fill="var(--ink-soft)" stroke="var(--ink-soft)" />
      )}
    </>
  );
}

/** The set-ups of a route beside one another, one scale for all: metal that goes is dashed, what grips is dark. */
export function RouteDrawn({ setups, larger = false }: { setups: readonly SetupDrawn[]; larger?: boolean }) {
  const fits = setups.map((drawn) => {
    const { length, radius } = extentOf(drawn);
    return Math.min((WIDE - 2 - CENTRE) / length, (HIGH - 2 * JAW - 2) / (2 * radius));
  });
  const mm = Math.min(...fits);
  const width = setups.length * (WIDE + GAP) - GAP;
  return (
    <svg
      role="img"
      aria-label={setups.map(({ words }, index) => `${index + 1}: ${words}`).join('; ')}
      viewBox={`0 0 ${width} ${HIGH}`}
      style={{ display: 'block', width: larger ? width * LARGER : width, maxWidth: '100%', margin: '3px 0' }}
    >
      {setups.map((drawn, index) => (
        <SetupSmall key={index} drawn={drawn} mm={mm} at={index * (WIDE + GAP)} />
      ))}
    </svg>
  );
}
