import { lineBelow, type Corner, type Drawing, type LineUse, type Mark } from './marks';

const n = (value: number) => String(Number(value.toFixed(3)));

/** Corners as the data of an SVG path; a bulge becomes an arc. */
export function pathData(corners: readonly Corner[], closed = false): string {
  const parts = corners.map(({ x, y, bulge }, index) => {
    const before = corners[index - 1];
    if (!before) return `M${n(x)},${n(y)}`;
    if (!bulge) return `L${n(x)},${n(y)}`;
    const chord = Math.hypot(x - before.x, y - before.y);
    const radius = (chord * (1 + bulge * bulge)) / (4 * Math.abs(bulge));
    return `A${n(radius)},${n(radius)} 0 0 ${bulge > 0 ? 1 : 0} ${n(x)},${n(y)}`;
  });
  return `${parts.join('')}${closed ? 'Z' : ''}`;
}

/** How each use of a line is drawn, in text heights; a dash too. */
export const LINES: Record<LineUse, { width: number; dash?: readonly number[] }> = {
  outline: { width: 0.14 },
  critical: { width: 0.3 },
  edge: { width: 0.07 },
  hidden: { width: 0.07, dash: [0.4, 0.25] },
  thread: { width: 0.05 },
  axis: { width: 0.05, dash: [0.8, 0.25, 0.2, 0.25] },
  dimension: { width: 0.05 },
  leader: { width: 0.04 },
};

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

function element(mark: Mark, h: number): string {
  if (mark.kind === 'metal') return `<path d="${pathData(mark.corners, true)}" fill="url(#cut)" stroke="none"/>`;
  if (mark.kind === 'line') {
    const { width, dash } = LINES[mark.use];
    const dashes = dash ? ` stroke-dasharray="${dash.map((part) => n(part * h)).join(' ')}"` : '';
    return `<path d="${pathData(mark.corners)}" fill="none" stroke="#22262a" stroke-width="${n(width * h)}"${dashes}/>`;
  }
  const bold = mark.critical ? ' font-weight="700"' : '';
  const text = `<text x="${n(mark.x)}" y="${n(mark.y)}" text-anchor="${mark.anchor}"${bold}>${escaped(mark.text)}</text>`;
  if (!mark.critical) return text;
  const { from, to, y } = lineBelow(mark, h);
  return `${text}<path d="M${n(from)} ${n(y)}H${n(to)}" stroke="#22262a" stroke-width="${n(0.08 * h)}"/>`;
}

/** A drawing as an SVG file of its own, in millimetres of paper. */
export function svgOf({ width, height, textHeight, marks }: Drawing, title: readonly string[]): string {
  const h = textHeight;
  const lines = title.map(
    (text, index) =>
      `<text x="${n(h)}" y="${n(height - h * (title.length - index) * 1.5 + h * 0.5)}">${escaped(text)}</text>`,
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}" font-family="monospace" font-size="${n(h)}" fill="#22262a">`,
    `<defs><pattern id="cut" width="${n(h * 0.7)}" height="${n(h * 0.7)}" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><line x1="0" y1="0" x2="0" y2="${n(h * 0.7)}" stroke="#22262a" stroke-width="${n(h * 0.04)}"/></pattern></defs>`,
    `<rect width="${n(width)}" height="${n(height)}" fill="#ffffff"/>`,
    ...marks.map((mark) => element(mark, h)),
    ...lines,
    '</svg>',
  ].join('\n');
}
