'use client';
import Link from 'next/link';
import { Brand, Places, TopBar } from '../primitives/TopBar';
import { ThemeToggle } from '../theme/ThemeToggle';

/** The places that belong to no single run. */
export function RackBar({ at }: { at: 'rack' | 'cuts' }) {
  const place = (name: 'rack' | 'cuts', href: string, words: string) => (
    <Link href={href} prefetch={false} aria-current={at === name ? 'page' : undefined}>
      {words}
    </Link>
  );
  return (
    <TopBar>
      <Brand />
      <Places aria-label="Places">
        <Link href="/" prefetch={false}>
          Board
        </Link>
        {place('rack', '/rack', 'Rack')}
        {place('cuts', '/rack/cuts', 'Cut list')}
      </Places>
      <ThemeToggle />
    </TopBar>
  );
}
