'use client';
import { useMemo } from 'react';
import { doubledIn } from '@/core/lathe/doubled';
import { Big, Danger } from './parts';
import type { AtTheLathe } from './useHappened';

/** Pieces of which two devices say the same: both are kept until somebody says which of them it was. */
export function DoubledPieces({ lathe: { events, append } }: { lathe: AtTheLathe }) {
  const doubled = useMemo(() => doubledIn(events), [events]);
  return doubled.map(({ piece, by }) => (
    <Danger key={piece} as="div" data-mild role="status">
      <p style={{ marginBottom: 8 }}>
        <b>
          Piece {piece} was done on {by.length} devices
        </b>
        , each without what the other wrote. Both are kept. Count the pieces, then say which it was; what the others
        wrote of it is struck out.
      </p>
      <div style={{ display: 'flex', flexWrap: 'wrap', gap: 8 }}>
        {by.map(({ device, events: kept }) => (
          <Big
            key={device}
            onPress={() => {
              for (const other of by)
                if (other.device !== device)
                  for (const event of other.events) void append({ kind: 'struck', event }, { piece });
            }}
          >
            As {device} wrote it ({kept.length})
          </Big>
        ))}
      </div>
    </Danger>
  ));
}
