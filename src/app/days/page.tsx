import type { Metadata } from 'next';
import { currentDays } from '@/server/daysRepository';
import { currentShop } from '@/server/shopRepository';
import { DaysPlace } from '@/ui/days/DaysPlace';
import { loaded } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Days' };

export default async function DaysPage() {
  const [begun, shop] = await loaded(() => Promise.all([currentDays(), currentShop()]));
  return <DaysPlace begun={begun} machines={shop.machines.map(({ id, name }) => ({ id, name }))} />;
}
