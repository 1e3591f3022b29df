'use client';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import { Notice } from './Notice';

/** How far planning again is. */
export interface Progress {
  all: number;
  stale: number;
}

/** Between two looks, ms. */
const LOOK_MS = 700;

/** Looks how planning again goes on, and has the page made anew as figures come. */
function useRefresh({ stale }: Progress): void {
  const router = useRouter();
  useEffect(() => {
    if (stale === 0) return;
    let over = false;
    const look = async () => {
      const answer = await fetch('/api/runs/progress').catch(() => undefined);
      if (over || !answer?.ok) return;
      if (((await answer.json()) as Progress).stale !== stale) router.refresh();
    };
    const timer = setInterval(() => void look(), LOOK_MS);
    return () => {
      over = true;
      clearInterval(timer);
    };
  }, [stale, router]);
}

/** Says that figures are being worked out again, and of how many runs they are ready. */
export function Figuring({ served, most }: { served: Progress; most: number }) {
  useRefresh(served);
  const { all, stale } = served;
  // One or two are there before anybody has read this.
  if (stale <= most) return null;
  return (
    <Notice>
      Something that plans are made from has changed: {all - stale} of {all} runs are planned again. Until then the
      figures of the others are those of before, and are marked.
    </Notice>
  );
}
