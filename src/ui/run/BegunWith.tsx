'use client';
import { format } from 'date-fns';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ask } from '../primitives/ask';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';

/** The shop that a begun run keeps to, where the shop has gone on since. */
export interface Begun {
  at: string;
  /** Revisions of the shop: the one that is kept to, and the one of now. */
  shop: number;
  now: number;
}

/** Says that a begun run keeps to the shop that it was begun with; whoever wants another plan in the middle of it says so. */
export function BegunWith({ id, begun: { at, shop, now } }: { id: string; begun: Begun }) {
  const router = useRouter();
  const [told, setTold] = useState('');
  const anew = async () => {
    const answer = await ask('POST', `/api/runs/${id}/plan-anew`, {});
    if (answer.ok) router.refresh();
    else setTold(answer.problems[0]?.message ?? '');
  };
  return (
    <Notice actions={<Button onPress={() => void anew()}>Plan it with the shop as it is now</Button>}>
      This run was begun on {format(new Date(at), 'd MMM')} and keeps to the shop of then ({shop} of {now} revisions):
      its stops, speeds and order stay while it is made. {told}
    </Notice>
  );
}
