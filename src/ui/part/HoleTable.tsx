'use client';
import { Plus, X } from 'lucide-react';
import { Fragment, useRef } from 'react';
import { flushSync } from 'react-dom';
import { sizeText } from '@/core/part/size';
import { Button, IconButton } from '../primitives/Button';
import { Field } from '../primitives/Field';
import { isMissing, problemAt, useWorkspace } from '../run/WorkspaceContext';
import { EntryTable, Group } from './table';

/** Holes on the axis, drilled from the front. */
export function HoleTable() {
  const { file, edit, problems } = useWorkspace();
  const table = useRef<HTMLTableElement>(null);
  const bores = file.part.bores ?? [];
  const add = () => {
    flushSync(() =>
      edit(undefined, ({ part }) => {
        part.bores = [...(part.bores ?? []), { from: 'front', shape: 'drill', diameter: '', depth: 'through' }];
      }),
    );
    table.current?.querySelector<HTMLInputElement>(`[name="part.bores[${bores.length}].diameter"]`)?.focus();
  };
  return (
    <Group aria-labelledby="holes">
      <h2>
        <span id="holes">Holes on the axis</span>{' '}
        <small>drilled from the front; the depth is to the full diameter, or “through”</small>
      </h2>
      {bores.length > 0 && (
        <EntryTable ref={table}>
          <thead>
            <tr>
              <th aria-label="Hole" />
              <th scope="col" style={{ width: 160 }}>
                Diameter
              </th>
              <th scope="col" style={{ width: 160 }}>
                Depth
              </th>
              <th />
              <th aria-label="Remove" />
            </tr>
          </thead>
          <tbody>
            {bores.map((bore, index) => {
              const wrong = problems.filter(
                (problem) => !isMissing(problem) && problem.path.startsWith(`part.bores[${index}]`),
              );
              return (
                <Fragment key={index}>
                  <tr>
                    <td className="number">{index + 1}</td>
                    {(['diameter', 'depth'] as const).map((column) => (
                      <td key={column}>
                        <Field
                          label={`${column === 'diameter' ? 'Diameter' : 'Depth'} of hole ${index + 1}`}
                          labelHidden
                          problemElsewhere
                          name={`part.bores[${index}].${column}`}
                          value={sizeText(bore[column])}
                          problem={problemAt(problems, `part.bores[${index}].${column}`)}
                          onChange={(text) =>
                            edit(`hole ${index} ${column}`, ({ part }) => {
                              const own = part.bores?.[index];
                              if (own) own[column] = text;
                            })
                          }
                        />
                      </td>
                    ))}
                    <td />
                    <td>
                      <IconButton
                        aria-label={`Remove hole ${index + 1}`}
                        onPress={() => edit(undefined, ({ part }) => void part.bores?.splice(index, 1))}
                      >
                        <X size={16} aria-hidden />
                      </IconButton>
                    </td>
                  </tr>
                  {wrong.length > 0 && (
                    <tr className="wrong">
                      <td />
                      <td colSpan={4}>
                        {wrong
                          .map(({ path, message }) => `${path.endsWith('depth') ? 'Depth' : 'Diameter'}: ${message}`)
                          .join(' · ')}
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            })}
          </tbody>
        </EntryTable>
      )}
      <Button onPress={add}>
        <Plus size={16} aria-hidden /> Hole
      </Button>
    </Group>
  );
}
