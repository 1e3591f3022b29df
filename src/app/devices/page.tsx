import type { Metadata } from 'next';
import { headers } from 'next/headers';
import { listKeys } from '@/server/keyRepository';
import { hasPasscode, listSessions } from '@/server/sessionRepository';
import { Devices } from '@/ui/devices/Devices';
import { loaded } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Devices' };

export default async function DevicesPage() {
  const [keys, sessions, passcode] = await loaded(() => Promise.all([listKeys(), listSessions(), hasPasscode()]));
  const network = (await headers()).get('x-shingle-door') === 'network';
  return <Devices keys={keys} sessions={sessions} passcode={passcode} network={network} />;
}
