'use client';
import { useEffect, useState } from 'react';
import { Button } from '../primitives/Button';
import { Notice } from '../primitives/Notice';
import { fetchRevisions, type ServedRevision } from '../run/api';
import { useWorkspace } from '../run/WorkspaceContext';

/** How long nothing is typed before the number is looked up, ms. */
const QUIET = 400;

/** A new run whose number is known already is offered that part: its newest revision, as it was saved. */
export function KnownPart() {
  const { file, edit } = useWorkspace();
  const number = file.part.number.trim();
  const [found, setFound] = useState<{ of: string; newest: ServedRevision | undefined }>();
  const isEmpty = file.part.outside.every((step) =>
    Object.entries(step).every(([key, value]) => key === 'shape' || value === ''),
  );
  useEffect(() => {
    if (number === '' || !isEmpty) return undefined;
    let over = false;
    const waiting = setTimeout(() => {
      void fetchRevisions(number).then((revisions) => over || setFound({ of: number, newest: revisions?.[0] }));
    }, QUIET);
    return () => {
      over = true;
      clearTimeout(waiting);
    };
  }, [number, isEmpty]);
  const newest = found?.of === number && isEmpty ? found.newest : undefined;
  if (!newest) return null;
  const { part, units, runs } = newest;
  const take = () =>
    edit(undefined, (run) => {
      run.part = part;
      run.units = units;
    });
  return (
    <Notice actions={<Button onPress={take}>Begin with it</Button>}>
      {part.number} {part.name} is known{part.revision ? `, revision ${part.revision}` : ''}, and was planned in{' '}
      {runs.length} {runs.length === 1 ? 'run' : 'runs'}.
    </Notice>
  );
}
