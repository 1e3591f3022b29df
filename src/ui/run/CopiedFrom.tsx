'use client';
import { SideBySide } from '../primitives/SideBySide';
import { Notice } from '../primitives/Notice';
import { entryName } from './entryName';
import { useWorkspace } from './WorkspaceContext';

/** With which run this one was begun, and where it is another by now, place by place. */
export function CopiedFrom() {
  const { copiedFrom, differs } = useWorkspace();
  if (!copiedFrom) return null;
  const { part } = copiedFrom.file;
  const count = differs.size;
  return (
    <Notice>
      Begun with {part.number} {part.name}
      {part.revision ? `, revision ${part.revision}` : ''} (run {copiedFrom.id}).{' '}
      {count === 0 ? (
        'Nothing differs from it yet; what is changed is marked.'
      ) : (
        <details style={{ display: 'inline-block', verticalAlign: 'top' }}>
          <summary style={{ cursor: 'pointer' }}>
            {count} {count === 1 ? 'place differs' : 'places differ'}
          </summary>
          <SideBySide
            label="What differs"
            left="There"
            right="Here"
            rows={[...differs.values()].map(({ path, mine, theirs }) => ({
              key: path,
              where: entryName(path),
              left: theirs,
              right: mine,
            }))}
            none=""
          />
        </details>
      )}
    </Notice>
  );
}
