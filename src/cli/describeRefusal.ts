import { sayFixed } from '@/core/model/units/mark';
import type { Refusal } from '@/core/ask/refusal';

/** Routes by what stopped them: many stop at the same. */
function routesBy(tried: Refusal['tried']): Map<string, string[]> {
  const by = new Map<string, string[]>();
  for (const { route, because } of tried) by.set(because, [...(by.get(because) ?? []), route]);
  return by;
}

/** What was tried for a run without a plan, and what would do, as lines of text. */
export function describeRefusal({ tried, remedies }: Refusal): string[] {
  return [
    ...(tried.length > 0 ? ['\ntried:\n'] : []),
    ...[...routesBy(tried)].map(([because, routes]) => `  ${routes.join('; ')}:\n    ${because}\n`),
    ...(remedies.length > 0 ? ['\nwould do:\n'] : []),
    ...remedies.map(
      ({ words, path, value, pieceMinutes }) =>
        `  ${words} (${path}=${JSON.stringify(value)}): ${sayFixed(pieceMinutes, 1)} min a piece\n`,
    ),
  ];
}
