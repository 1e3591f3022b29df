'use client';
import { format } from 'date-fns';
import Link from 'next/link';
import { useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { Reminder } from '../primitives/Card';
import { findDrafts } from '../run/drafts';

const Drafts = styled(Reminder)`
  li {
    padding: 2px 0;
  }
  small {
    color: var(--ink-soft);
    font-size: 13px;
  }
  @media (pointer: coarse) {
    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
  }
`;

/** Another tab may write while the board is open. */
const subscribe = (listener: () => void) => {
  window.addEventListener('storage', listener);
  return () => window.removeEventListener('storage', listener);
};

let [seen, lines] = ['', [] as { key: string; run: string; words: string; at: number }[]];

/** The same list as long as nothing changes. */
function current() {
  const now = findDrafts().map(({ key, run, at, file: { part, quantity } }) => ({
    key,
    run,
    at,
    words: [part.name || part.number || 'a run without a name', part.name && part.number, quantity && `${quantity} off`]
      .filter(Boolean)
      .join(' · '),
  }));
  const text = JSON.stringify(now);
  if (text !== seen) [seen, lines] = [text, now];
  return lines;
}

const NONE: typeof lines = [];

/** What was typed in this browser and is not saved yet, with the way back to it. */
export function DraftList() {
  const drafts = useSyncExternalStore(subscribe, current, () => NONE);
  if (drafts.length === 0) return null;
  return (
    <Drafts aria-label="Not saved yet">
      <h2>Not saved yet, in this browser</h2>
      <ul>
        {drafts.map(({ key, run, words, at }) => (
          <li key={key}>
            <Link href={run === 'new' ? '/runs/new/part' : `/runs/${run}`} prefetch={false}>
              {run === 'new' ? 'New run: ' : ''}
              {words}
            </Link>{' '}
            {at > 0 && <small>changed last on {format(new Date(at), 'd MMM, HH:mm')}</small>}
          </li>
        ))}
      </ul>
    </Drafts>
  );
}
