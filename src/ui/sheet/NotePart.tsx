import { Field } from '../primitives/Field';
import { problemAt, useWorkspace } from '../run/WorkspaceContext';
import { Part } from './panelParts';

/** What is to be known of an operation beside the plan: it stands on the paper, and nothing is planned by it. */
export function NotePart({ operation }: { operation: string }) {
  const { file, edit, problems } = useWorkspace();
  const { notes = [] } = file;
  const at = notes.findIndex((note) => note.operation === operation);
  return (
    <Part>
      <Field
        label="Note to this operation"
        plain
        value={notes[at]?.text ?? ''}
        problem={at < 0 ? undefined : problemAt(problems, `notes[${at}].text`)}
        onChange={(typed) =>
          edit(`note ${operation}`, (run) => {
            const others = (run.notes ?? []).filter((note) => note.operation !== operation);
            const written = typed === '' ? others : [...others, { operation, text: typed }];
            if (written.length > 0) run.notes = written;
            else delete run.notes;
          })
        }
      />
    </Part>
  );
}
