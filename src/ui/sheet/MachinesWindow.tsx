'use client';
import { Check } from 'lucide-react';
import type { OnMachine } from '@/core/ask/onEachMachine';
import { sayMinutes } from '@/core/model/units/show';
import { capital } from '@/core/model/words';
import { WAY_WORDS } from '@/core/model/way';
import { Button } from '../primitives/Button';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { CompareTable } from './CompareTable';
import { useAsked } from './useAsked';

/** The run on every lathe of the shop, with what stops its lengths there; one of them can be taken. */
export function MachinesWindow({ onClose }: { onClose: () => void }) {
  const { edit, machines } = useWorkspace();
  const answer = useAsked(machines);
  const take = ({ machine }: OnMachine) =>
    edit(undefined, (run) => {
      run.machine = machine.id;
    });
  return (
    <Window title="On each lathe" open onClose={onClose}>
      {!answer && <p role="status">Planning it on each of them …</p>}
      {answer && (
        <>
          <p style={{ marginBottom: 10 }}>{capital(answer.because)}</p>
          <CompareTable>
            <thead>
              <tr>
                <th scope="col">Lathe</th>
                <th scope="col">A piece</th>
                <th scope="col">Setting up</th>
                <th scope="col">Batch</th>
                <th scope="col">Lengths stop</th>
                <th scope="col">
                  <span className="unseen">Take it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {answer.each.map((one, index) => (
                <Row
                  key={one.machine.id}
                  one={one}
                  chosen={index === answer.chosen}
                  onTake={() => {
                    take(one);
                  }}
                />
              ))}
            </tbody>
          </CompareTable>
        </>
      )}
    </Window>
  );
}

function Row({
  one: { machine, figures, problem },
  chosen,
  onTake,
}: {
  one: OnMachine;
  chosen: boolean;
  onTake: () => void;
}) {
  return (
    <tr aria-current={chosen || undefined}>
      <th scope="row">
        {machine.name}
        {figures && (
          <small>
            {WAY_WORDS[figures.way]}, {figures.setups} {figures.setups === 1 ? 'set-up' : 'set-ups'}
          </small>
        )}
      </th>
      {figures ? (
        <>
          <td className="figure">{figures.pieceMinutes.toFixed(1)} min</td>
          <td className="figure">{figures.setupMinutes.toFixed(0)} min</td>
          <td className="figure">{sayMinutes(figures.batchMinutes)}</td>
          <td>
            {figures.stops.map(({ words, places }) => `${words}${places > 1 ? ` ×${places}` : ''}`).join(', ')}
            {!figures.proved && <small>not proved</small>}
          </td>
          <td>
            {chosen ? (
              <span style={{ whiteSpace: 'nowrap' }}>
                <Check size={15} aria-hidden /> the plan
              </span>
            ) : (
              <Button onPress={onTake} aria-label={`Take ${machine.name}`}>
                Take it
              </Button>
            )}
          </td>
        </>
      ) : (
        <td colSpan={5} style={{ color: 'var(--ink-soft)' }}>
          cannot make it: {problem}
        </td>
      )}
    </tr>
  );
}
