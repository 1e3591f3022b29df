import type { Metadata } from 'next';
import { SignIn } from '@/ui/devices/SignIn';
import { textIn, type Asked } from '../pages';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Sign in' };

/** Only a place of ours is gone on to. */
const placeIn = (text: string) => (/^\/(?![/\\])/.test(text) ? text : '/');

export default async function SignInPage({ searchParams }: { searchParams: Asked }) {
  return <SignIn to={placeIn(textIn((await searchParams).to))} />;
}
