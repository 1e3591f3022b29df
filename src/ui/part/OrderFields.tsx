'use client';
import type { RunFile } from '@/core/read/runFile';
import { Field } from '../primitives/Field';
import { problemAt, useWorkspace } from '../run/WorkspaceContext';
import { cell, Grid } from './grid';
import { Group } from './table';

/** What a run is kept under, and what else is to be known of it: words that nothing is planned by. */
const KEPT = [
  { key: 'customer', label: 'Customer', width: 4 },
  { key: 'order', label: 'Their order', width: 3 },
  { key: 'family', label: 'Family, which shares stops', width: 5 },
  { key: 'note', label: 'Note', width: 12 },
] as const satisfies readonly { key: keyof RunFile; label: string; width: number }[];

/** For whom a run is made, by which order, with which others it belongs, and a note. */
export function OrderFields() {
  const { file, edit, problems } = useWorkspace();
  return (
    <Group aria-label="Order">
      <Grid>
        {KEPT.map(({ key, label, width }) => (
          <div key={key} style={cell(width)}>
            <Field
              label={label}
              plain
              value={file[key] ?? ''}
              problem={problemAt(problems, key)}
              onChange={(text) =>
                edit(key, (run) => {
                  if (text === '') delete run[key];
                  else run[key] = text;
                })
              }
            />
          </div>
        ))}
      </Grid>
    </Group>
  );
}
