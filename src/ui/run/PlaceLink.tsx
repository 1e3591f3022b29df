'use client';
import { usePathname } from 'next/navigation';
import type { MouseEvent, ReactNode } from 'react';
import { addressOf, goTo, placeAt, type Place } from './places';

/**
 * A link to another place of the run that is open. It changes the address only; nothing is asked of the server, so that
 * it works when that is gone.
 */
export function PlaceLink({ id, place, children }: { id: string; place: Place; children: ReactNode }) {
  const href = addressOf(id, place);
  const here = placeAt(usePathname()) === place;
  const go = (event: MouseEvent) => {
    if (event.metaKey || event.ctrlKey || event.shiftKey || event.button !== 0) return;
    event.preventDefault();
    goTo(id, place);
  };
  return (
    <a href={href} onClick={go} aria-current={here ? 'page' : undefined}>
      {children}
    </a>
  );
}
