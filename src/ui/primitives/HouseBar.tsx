'use client';
import Link from 'next/link';
import { Brand, Places, TopBar } from './TopBar';
import { ThemeToggle } from '../theme/ThemeToggle';

type Place = 'days' | 'rack' | 'cuts' | 'log' | 'shop' | 'devices';

/** The places that belong to no single run. */
export function HouseBar({ at }: { at: Place }) {
  const place = (name: Place, href: string, words: string) => (
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
        {place('days', '/days', 'Days')}
        {place('rack', '/rack', 'Rack')}
        {place('cuts', '/rack/cuts', 'Cut list')}
        {place('log', '/log', 'Log')}
        {place('shop', '/shop', 'Shop')}
        {place('devices', '/devices', 'Devices')}
      </Places>
      <ThemeToggle />
    </TopBar>
  );
}
