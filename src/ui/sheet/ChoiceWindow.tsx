'use client';
import { sayFixed } from '@/core/model/units/mark';
import { Check } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { Choice } from '@/core/ask/choices';
import { without, type Question } from '@/core/ask/question';
import { sayMinutes } from '@/core/model/units/show';
import { Button } from '../primitives/Button';
import { Table } from '../primitives/Table';
import { Window } from '../primitives/Window';
import { routeOf, useWorkspace } from '../run/WorkspaceContext';
import { RouteDrawn } from './RouteDrawn';

const signed = (minutes: number): string =>
  Math.abs(minutes) < 0.005 ? 'the same' : `${minutes > 0 ? '+' : '−'}${sayFixed(Math.abs(minutes), 2)}`;

/** What its choices are, over their names. */
function headOf(question: Question): string {
  if ('setup' in question) return 'Held';
  if ('route' in question) return question.route === 'setups' ? 'Made' : 'Left on';
  if ('stop' in question) return 'Stopped by';
  return 'feature' in question ? 'Made' : 'Tool';
}

/** Everything that would answer a question, with what each does to a piece and the batch; one of them can be taken. */
export function ChoiceWindow({ title, question, onClose }: { title: string; question: Question; onClose: () => void }) {
  const { file, edit, choices, planned } = useWorkspace();
  const [found, setFound] = useState<Choice[]>();
  // A better route may be found while it is open: what is planned then is another.
  const route = routeOf(planned);
  useEffect(() => {
    let over = false;
    void choices(file, question).then((answer) => over || setFound(answer));
    return () => {
      over = true;
    };
  }, [file, question, choices, route]);
  const current = found?.find(({ planned }) => planned);
  const take = ({ overrule }: Choice) => {
    edit(undefined, (run) => {
      run.overrules = [...without(run.overrules ?? [], question), overrule];
    });
    onClose();
  };
  return (
    <Window title={title} wide={found?.some(({ drawn }) => drawn) ?? false} open onClose={onClose}>
      {!found && <p role="status">Planning each of them …</p>}
      {found?.length === 0 && <p>There is nothing else to choose from.</p>}
      {found && found.length > 0 && (
        <Table>
          <thead>
            <tr>
              <th scope="col">{headOf(question)}</th>
              <th scope="col" className="figure">
                a piece, min
              </th>
              <th scope="col" className="figure">
                batch
              </th>
              <th scope="col">
                <span className="unseen">Take it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {found.map((choice) => (
              <tr key={choice.id} aria-current={choice.planned || undefined}>
                <th scope="row">
                  {choice.name}
                  {choice.drawn && <RouteDrawn setups={choice.drawn} larger />}
                </th>
                {choice.problem === undefined ? (
                  <>
                    <td className="figure">
                      {choice.planned
                        ? sayFixed(choice.pieceMinutes ?? 0, 2)
                        : signed((choice.pieceMinutes ?? 0) - (current?.pieceMinutes ?? 0))}
                    </td>
                    <td className="figure">{sayMinutes(choice.batchMinutes ?? 0)}</td>
                  </>
                ) : (
                  <td colSpan={2}>cannot be: {choice.problem}</td>
                )}
                <td style={{ textAlign: 'right' }}>
                  {choice.planned ? (
                    <span style={{ whiteSpace: 'nowrap' }}>
                      <Check size={15} aria-hidden /> the plan
                    </span>
                  ) : (
                    choice.problem === undefined && (
                      <Button aria-label={`Take ${choice.name}`} onPress={() => take(choice)}>
                        Take it
                      </Button>
                    )
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Window>
  );
}
