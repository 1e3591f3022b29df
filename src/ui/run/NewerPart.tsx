'use client';
import { format } from 'date-fns';
import { useState } from 'react';
import { usePathname } from 'next/navigation';
import type { RunFile } from '@/core/read/runFile';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';
import { PlaceLink } from './PlaceLink';
import { placeAt } from './places';

/** Says that the drawing went on since this run was planned; the run stays as it is until someone plans it anew. */
export function NewerPart({
  id,
  file: { part },
  newer,
}: {
  id: string;
  file: RunFile;
  newer: { revision: string; savedAt: string } | undefined;
}) {
  const [read, setRead] = useState(false);
  const here = placeAt(usePathname());
  if (!newer || read || here === 'revisions') return null;
  return (
    <Notice actions={<Button onPress={() => setRead(true)}>Close</Button>}>
      The drawing of {part.number} went on: revision {newer.revision || '(without a letter)'} was saved on{' '}
      {format(new Date(newer.savedAt), 'd MMM')}. This run keeps revision {part.revision || '(without a letter)'} until
      it is planned anew.{' '}
      <PlaceLink id={id} place="revisions">
        See what would change
      </PlaceLink>
    </Notice>
  );
}
