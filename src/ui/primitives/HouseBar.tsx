'use client';
import Link from 'next/link';
import styled from 'styled-components';
import { Brand, Places, TopBar } from './TopBar';
import { DeviceButton } from '../device/DeviceButton';
import { ThemeToggle } from '../theme/ThemeToggle';

type Place = 'days' | 'rack' | 'cuts' | 'log' | 'shop' | 'devices';

/** On a phone a line of their own, under the name and the theme. */
const HousePlaces = styled(Places)`
  @media (max-width: 600px) {
    order: 1;
    flex: 1 0 100%;
    + * {
      margin-left: auto;
    }
  }
`;

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
      <HousePlaces aria-label="Places">
        <Link href="/" prefetch={false}>
          Board
        </Link>
        {place('days', '/days', 'Days')}
        {place('rack', '/rack', 'Rack')}
        {place('cuts', '/rack/cuts', 'Cut list')}
        {place('log', '/log', 'Log')}
        {place('shop', '/shop', 'Shop')}
        {place('devices', '/devices', 'Devices')}
      </HousePlaces>
      <DeviceButton />
      <ThemeToggle />
    </TopBar>
  );
}
