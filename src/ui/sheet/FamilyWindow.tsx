'use client';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import type { FamilySetup, FamilyStops } from '@/core/ask/familyStops';
import { isStop } from '@/core/model/overrule';
import type { Problem } from '@/core/model/result';
import { formatLength, type UnitSystem } from '@/core/model/units/length';
import { sayMinutes } from '@/core/model/units/show';
import { standsAt, type Pin } from '@/core/plan/stops/planStops';
import { meansWords, pinWords } from '@/core/present/stop';
import type { RunFile } from '@/core/read/runFile';
import { Button } from '../primitives/Button';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';

/** A run of the family, this one as it stands here. */
interface Member {
  id: string;
  file: RunFile;
}

interface Family {
  members: Member[];
  /** Runs of it that are not taken in: so many share no set of stops. */
  left: number;
}

type Found = (Family & { stops: FamilyStops | Problem }) | 'trouble';

/** The other runs of a family from the server, with this one among them in its place. */
async function membersOf(id: string, file: RunFile, over: AbortSignal): Promise<Family> {
  const answer = await fetch(`/api/runs/family?name=${encodeURIComponent(file.family ?? '')}`, { signal: over });
  if (!answer.ok) throw new Error('no answer');
  const { runs, of } = (await answer.json()) as { runs: { id: number; file: RunFile }[]; of: number };
  const saved = runs.map((run) => ({
    ...run,
    id: String(run.id),
  }));
  const others = saved.map((run) => (run.id === id ? { id, file } : run));
  const members = others.some((run) => run.id === id) ? others : [...others, { id, file }];
  return { members, left: Math.max(0, of - members.length) };
}

/** One set of stops for all runs of the family of this one, and what that takes against setting them for each. */
export function FamilyWindow({ onClose }: { onClose: () => void }) {
  const { id, file, edit, family } = useWorkspace();
  const [found, setFound] = useState<Found>();
  useEffect(() => {
    const over = new AbortController();
    membersOf(id, file, over.signal)
      .then(async ({ members, left }) => {
        const stops = await family(members.map((member) => member.file));
        if (stops && !over.signal.aborted) setFound({ members, left, stops });
      })
      .catch(() => over.signal.aborted || setFound('trouble'));
    return () => over.abort();
  }, [id, file, family]);
  const take = (overrules: FamilyStops['overrules'][number]) => {
    edit(undefined, (run) => {
      run.overrules = [...(run.overrules ?? []).filter((overrule) => !isStop(overrule)), ...overrules];
    });
    onClose();
  };
  return (
    <Window title={`Stops of the family ${file.family ?? ''}`} open onClose={onClose}>
      {found === undefined && <p role="status">Planning all of them …</p>}
      {found === 'trouble' && <p>The server does not answer; try again in a moment.</p>}
      {typeof found === 'object' &&
        ('message' in found.stops ? (
          <p>
            {found.members.length < 2
              ? 'No other run has this family yet: give another the same name, and save it.'
              : `${found.stops.path === 'family' ? '' : `${found.stops.path} `}${found.stops.message}.`}
          </p>
        ) : (
          <Shared members={found.members} stops={found.stops} own={id} onTake={take} />
        ))}
      {typeof found === 'object' && found.left > 0 && (
        <p>
          {found.left} more {found.left === 1 ? 'run has' : 'runs have'} this family and{' '}
          {found.left === 1 ? 'is' : 'are'} not taken in: so many share no set of stops. Give them a family of their
          own.
        </p>
      )}
    </Window>
  );
}

interface SharedProps {
  members: Member[];
  stops: FamilyStops;
  own: string;
  onTake: (overrules: FamilyStops['overrules'][number]) => void;
}

function Shared({ members, stops: { apart, together, gap, setups, overrules }, own, onTake }: SharedProps) {
  const saves = apart - together;
  const mine = overrules[members.findIndex(({ id }) => id === own)] ?? [];
  return (
    <>
      <p style={{ marginBottom: 10 }}>
        Each set-up is made for all of them before the next. One set of stops takes <b>{sayMinutes(together)}</b> over
        all batches, setting them anew for each <b>{sayMinutes(apart)}</b>:{' '}
        {saves > 0.05
          ? `one set is ${sayMinutes(saves)} less.`
          : `setting them for each is ${sayMinutes(-saves)} less, since spacers are laid in at every piece.`}
        {gap > 0.05 && ` It could lie ${sayMinutes(gap)} lower still: that was not searched to its end.`}
      </p>
      {setups.map((setup) => (
        <SetupTable key={setup.number} setup={setup} members={members} />
      ))}
      {mine.length > 0 ? (
        <Button onPress={() => onTake(mine)}>Stop this run so</Button>
      ) : (
        <p>This run stops so already.</p>
      )}
    </>
  );
}

/** What its pins share a line by: the screw or the means. */
const lineOf = ({ means, place, axis }: Pin): string => `${axis} ${means} ${place ?? ''}`;

function SetupTable({ setup: { number, pins }, members }: { setup: FamilySetup; members: Member[] }) {
  const all = pins.flatMap((own = []) => own);
  const lines = all
    .filter((pin, index) => all.findIndex((other) => lineOf(other) === lineOf(pin)) === index)
    .sort((a, b) => a.means.localeCompare(b.means) || (a.place ?? 0) - (b.place ?? 0));
  const units = members[0]?.file.units ?? 'mm';
  return (
    <Table style={{ marginBottom: 12 }}>
      <thead>
        <tr>
          <th scope="col">Set-up {number}</th>
          {members.map(({ id, file }) => (
            <th key={id} scope="col">
              <Link href={`/runs/${id}`}>{file.part.number}</Link>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <tr key={lineOf(line)}>
            <th scope="row">
              {line.means === 'station'
                ? `station ${line.place ?? ''}, at ${formatLength(standsAt(line), units)}`
                : meansWords(line.means, line.axis)}
            </th>
            {members.map(({ id }, run) => (
              <td key={id}>
                {(pins[run] ?? [])
                  .filter((pin) => lineOf(pin) === lineOf(line))
                  .map((pin) => sayPin(pin, units))
                  .join('; ')}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

/** A pin on its line: its letter and place, and what is laid in. */
const sayPin = (pin: Pin, units: UnitSystem): string =>
  `${pin.letter} ${formatLength(pin.setting, units, pin.fine)}${pin.spacers || pin.feeler !== undefined ? pinWords(pin, units).replace(/^[^,]*/, '') : ''}`;
