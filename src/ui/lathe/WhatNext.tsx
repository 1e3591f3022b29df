'use client';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { clockOf } from '@/core/schedule/days';
import { ask } from '../primitives/ask';

interface Answer {
  next?: {
    run: { id: number; number: string; name: string; quantity: number };
    address: string;
    from: { day: string; minutes: number };
  };
}

/** What is made next on this lathe by the days, once a run is done; nothing where they have nothing, or no server answers. */
export function WhatNext({ run, machine }: { run: string; machine: { id: string; name: string } }) {
  const [answer, setAnswer] = useState<Answer>();
  useEffect(() => {
    let over = false;
    void ask<Answer>('GET', `/api/days/next?lathe=${encodeURIComponent(machine.id)}&but=${run}`).then(
      (found) => !over && found.ok && setAnswer(found.value),
    );
    return () => {
      over = true;
    };
  }, [machine.id, run]);
  const next = answer?.next;
  if (!next) return null;
  return (
    <p>
      Next on {machine.name}:{' '}
      <Link href={next.address} prefetch={false}>
        {next.run.number} {next.run.name}
      </Link>
      , {next.run.quantity} off, from {format(parseISO(next.from.day), 'EEE d MMM')} {clockOf(next.from.minutes)}.
    </p>
  );
}
