'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { sayMinutes } from '@/core/model/units/show';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';

/** A run right after another, and what stays set up between them. */
interface Together {
  first: { id: number; name: string };
  then: { id: number; name: string };
  kept: string;
  saves: number;
}

/** Which runs are best made one right after the other, and why. */
export function TogetherWindow({ onClose }: { onClose: () => void }) {
  const [rows, setRows] = useState<Together[] | 'trouble'>();
  useEffect(() => {
    const over = new AbortController();
    fetch('/api/runs/together', { signal: over.signal })
      .then(async (answer) => setRows(answer.ok ? ((await answer.json()) as Together[]) : 'trouble'))
      .catch(() => over.signal.aborted || setRows('trouble'));
    return () => over.abort();
  }, []);
  return (
    <Window title="Best made one after the other" open onClose={onClose}>
      {rows === undefined && <p role="status">Comparing how the machines are set up …</p>}
      {rows === 'trouble' && <p>The server does not answer; try again in a moment.</p>}
      {Array.isArray(rows) && rows.length === 0 && <p>No two runs share anything that is set up.</p>}
      {Array.isArray(rows) && rows.length > 0 && (
        <>
          <p style={{ marginBottom: 8 }}>
            What stays in the machine need not be set up again. Each run has one before it and one after it here; the
            days that were promised are not looked at.
          </p>
          <Table>
            <thead>
              <tr>
                <th scope="col">First</th>
                <th scope="col">Then</th>
                <th scope="col">Stays</th>
                <th scope="col" className="figure">
                  saves
                </th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ first, then, kept, saves }) => (
                <tr key={`${first.id} ${then.id}`}>
                  <th scope="row">
                    <Link href={`/runs/${first.id}`}>{first.name}</Link>
                  </th>
                  <td>
                    <Link href={`/runs/${then.id}`}>{then.name}</Link>
                  </td>
                  <td>{kept}</td>
                  <td className="figure">{sayMinutes(saves)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </>
      )}
    </Window>
  );
}
