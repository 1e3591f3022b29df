'use client';
import { sayFixed } from '@/core/model/units/mark';
import { WAY_WORDS } from '@/core/model/way';
import type { Sequence } from '@/core/ask/sequences';
import { sayMinutes } from '@/core/model/units/show';
import { Heads } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { useWorkspace } from '../run/WorkspaceContext';
import { CompareTable, TakeCell } from './CompareTable';
import { RouteDrawn } from './RouteDrawn';
import { useAsked } from './useAsked';

/** Both ways, each end first, side by side; one of them can be taken. */
export function SequencesWindow({ onClose }: { onClose: () => void }) {
  const { edit, sequences } = useWorkspace();
  const compared = useAsked(sequences);
  const take = ({ change }: Sequence) => {
    edit(undefined, (run) => {
      Object.assign(run, change);
    });
  };
  return (
    <Window title="Sequences compared" wide open onClose={onClose}>
      {!compared && <p role="status">Planning each of them …</p>}
      {compared && (
        <>
          <p style={{ marginBottom: 10 }}>{compared.because}</p>
          <CompareTable>
            <Heads of={['Sequence', 'A piece', 'Setting up', 'Batch', 'Second side held by', { said: 'Take it' }]} />
            <tbody>
              {compared.sequences.map((tried, index) => (
                <Row
                  key={`${tried.way} ${tried.firstEnd}`}
                  sequence={tried}
                  chosen={index === compared.chosen}
                  onTake={() => take(tried)}
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
  sequence: { way, firstEnd, figures, problem },
  chosen,
  onTake,
}: {
  sequence: Sequence;
  chosen: boolean;
  onTake: () => void;
}) {
  const name = `${firstEnd === 'front' ? 'Front' : 'Back'} first, ${WAY_WORDS[way]}`;
  return (
    <tr aria-current={chosen || undefined}>
      <th scope="row">
        {name}
        {figures && <RouteDrawn setups={figures.drawn} larger />}
      </th>
      {figures ? (
        <>
          <td className="figure">{sayFixed(figures.pieceMinutes, 1)} min</td>
          <td className="figure">{sayFixed(figures.setupMinutes, 0)} min</td>
          <td className="figure">
            {sayMinutes(figures.batchMinutes)}
            <small>
              {figures.bars} {figures.bars === 1 ? 'bar' : 'bars'}, {figures.operations} operations
              {figures.unmade > 0 && `, ${figures.unmade} not made`}
            </small>
          </td>
          <td>
            {figures.holding.words}, on {figures.holding.on}
          </td>
          <TakeCell chosen={chosen} name={name.toLowerCase()} onTake={onTake} />
        </>
      ) : (
        <td colSpan={5} style={{ color: 'var(--ink-soft)' }}>
          cannot be: {problem}
        </td>
      )}
    </tr>
  );
}
