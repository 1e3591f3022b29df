import { Field } from '../primitives/Field';
import { useWorkspace } from '../run/WorkspaceContext';
import { Part } from './panelParts';

/** What is to be known of an operation beside the plan: it stands on the paper, and nothing is planned by it. */
export function NotePart({ operation }: { operation: string }) {
  const { file, edit } = useWorkspace();
  const { text = '' } = file.notes?.find((note) => note.operation === operation) ?? {};
  return (
    <Part>
      <Field
        label="Note to this operation"
        plain
        value={text}
        onChange={(typed) =>
          edit(`note ${operation}`, (run) => {
            const others = (run.notes ?? []).filter((note) => note.operation !== operation);
            const notes = typed === '' ? others : [...others, { operation, text: typed }];
            if (notes.length > 0) run.notes = notes;
            else delete run.notes;
          })
        }
      />
    </Part>
  );
}
