'use client';
import { sayFixed } from '@/core/model/units/mark';
import { format } from 'date-fns';
import type { RackItem, RackMove, Section } from '@/core/rack/rack';
import { Window } from '../primitives/Window';
import { BuyingWindow } from './BuyingWindow';
import { ReserveWindow, UseWindow } from './ItemWindows';
import { LevelWindow } from './LevelWindow';
import { ReceiveWindow } from './ReceiveWindow';

/** What is being done on the rack, in a window of its own. */
export type RackTask =
  | { kind: 'receive' | 'history' | 'buying' }
  | { kind: 'reserve' | 'use'; item: RackItem }
  | { kind: 'level'; section: Section };

export interface RackWindowProps {
  task: RackTask;
  materials: { id: string; name: string }[];
  runs: { id: number; number: string; name: string }[];
  keepFrom: number;
  history: RackMove[];
  nameOf: (section: Section) => string;
  leastOf: (section: Section) => number;
  runOf: (id: number) => string;
  onClose: () => void;
  /** With what was done, in words. */
  onDone: (words: string) => void;
}

export function RackWindow({ task, nameOf, leastOf, ...props }: RackWindowProps) {
  const { materials, runs, keepFrom, onClose, onDone } = props;
  switch (task.kind) {
    case 'receive':
      return <ReceiveWindow materials={materials} onClose={onClose} onDone={onDone} />;
    case 'reserve':
      return <ReserveWindow item={task.item} runs={runs} onClose={onClose} onDone={onDone} />;
    case 'use':
      return <UseWindow item={task.item} runs={runs} keepFrom={keepFrom} onClose={onClose} onDone={onDone} />;
    case 'level':
      return (
        <LevelWindow
          section={task.section}
          name={nameOf(task.section)}
          least={leastOf(task.section)}
          onClose={onClose}
          onDone={onDone}
        />
      );
    case 'buying':
      return <BuyingWindow nameOf={nameOf} runOf={props.runOf} onClose={onClose} />;
    case 'history':
      return <HistoryWindow {...props} />;
  }
}

function HistoryWindow({ history, runOf, onClose }: Pick<RackWindowProps, 'history' | 'runOf' | 'onClose'>) {
  return (
    <Window title="History of the rack" open onClose={onClose}>
      <p style={{ marginBottom: 8 }}>What stands here is never changed or taken out.</p>
      <ol>
        {history.map(({ id, item, run, what, length, note, at }) => (
          <li key={id} style={{ fontSize: 14, marginBottom: 3 }}>
            {format(new Date(at), 'd MMM HH:mm')} · bar {item} · {what} {sayFixed(length, 1)} mm
            {run !== undefined && ` · ${runOf(run)}`}
            {note && ` · ${note}`}
          </li>
        ))}
      </ol>
    </Window>
  );
}
