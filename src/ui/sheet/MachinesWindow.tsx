'use client';
import { sayFixed } from '@/core/model/units/mark';
import type { OnMachine } from '@/core/ask/onEachMachine';
import { sayMinutes } from '@/core/model/units/show';
import { capital } from '@/core/model/words';
import { WAY_WORDS } from '@/core/model/way';
import { Heads } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { CompareTable, TakeCell } from './CompareTable';
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
            <Heads of={['Lathe', 'A piece', 'Setting up', 'Batch', 'Lengths stop', { said: 'Take it' }]} />
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
          <td className="figure">{sayFixed(figures.pieceMinutes, 1)} min</td>
          <td className="figure">{sayFixed(figures.setupMinutes, 0)} min</td>
          <td className="figure">{sayMinutes(figures.batchMinutes)}</td>
          <td>
            {figures.stops.map(({ words, places }) => `${words}${places > 1 ? ` ×${places}` : ''}`).join(', ')}
            {!figures.proved && <small>not proved</small>}
          </td>
          <TakeCell chosen={chosen} name={machine.name} onTake={onTake} />
        </>
      ) : (
        <td colSpan={5} style={{ color: 'var(--ink-soft)' }}>
          cannot make it: {problem}
        </td>
      )}
    </tr>
  );
}
