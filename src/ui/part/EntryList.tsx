'use client';
import { capital } from '@/core/model/words';
import { Copy, Plus, X } from 'lucide-react';
import { useRef } from 'react';
import { flushSync } from 'react-dom';
import type { DetailFile, ElsewhereFile, HoleFile } from '@/core/read/runFile';
import { Button, IconButton } from '../primitives/Button';
import { isMissing, useWorkspace } from '../run/WorkspaceContext';
import { EntryFields, RowSelect } from './EntryFields';
import { kindOf, madeInto, type Kind } from './kinds';
import { EntryRows, Group } from './table';
import { byKeys } from '@/core/read/byKeys';

type Entry = DetailFile | HoleFile | ElsewhereFile;

interface EntriesProps<E> {
  id: string;
  title: string;
  hint: string;
  /** What one is called: `hole`. */
  noun: string;
  list: 'details' | 'bores' | 'elsewhere';
  entries: readonly E[];
  kinds: readonly Kind[];
  kindKey: 'shape' | 'kind';
  /** A new one: its kind, what it has already, and the field that is typed first. */
  first: { kind: string; field: string; has?: Partial<E> };
  onMark: (path: string | undefined) => void;
}

/** A list of entries of several kinds, a row each: what it is, and the fields that it then has. */
export function EntryList<E extends Entry>(props: EntriesProps<E>) {
  const { id, title, hint, noun, list, entries, kinds, kindKey, first } = props;
  const { edit } = useWorkspace();
  const room = useRef<HTMLElement>(null);
  const change = (recipe: (entries: E[]) => void, field: string | undefined) => {
    flushSync(() =>
      edit(undefined, ({ part }) => {
        const entered = (part[list] ?? []) as E[];
        recipe(entered);
        part[list] = entered as never;
      }),
    );
    if (field) focusOn(field);
  };
  const focusOn = (name: string) => room.current?.querySelector<HTMLElement>(`[name="${name}"]`)?.focus();
  const firstOf = (index: number) => `part.${list}[${index}].${first.field}`;
  const add = () => {
    const kind = kindOf(kinds, first.kind);
    const made = madeInto({ ...first.has, [kindKey]: kind.name } as unknown as E, kindKey, kind, []);
    change((entered) => void entered.push(made), firstOf(entries.length));
  };
  return (
    <Group aria-labelledby={id} ref={room}>
      <h2>
        <span id={id}>{title}</span> <small>{hint}</small>
      </h2>
      {entries.length > 0 && (
        <EntryRows>
          {entries.map((entry, index) => (
            <EntryRow
              key={index}
              {...props}
              entry={entry}
              index={index}
              onKind={(name) =>
                change((all) => {
                  const was = all[index];
                  if (was) all[index] = madeInto(was, kindKey, kindOf(kinds, name), ['name']);
                }, undefined)
              }
              onEnter={() => (index === entries.length - 1 ? add() : focusOn(firstOf(index + 1)))}
              onCopy={() => change((all) => void all.splice(index + 1, 0, { ...entry }), firstOf(index + 1))}
              onRemove={() => change((all) => void all.splice(index, 1), undefined)}
            />
          ))}
        </EntryRows>
      )}
      <Button onPress={add}>
        <Plus size={16} aria-hidden /> {capital(noun)}
      </Button>
    </Group>
  );
}

/** One entry: its kind, its fields, and what is wrong with it. */
function EntryRow<E extends Entry>({
  noun,
  list,
  kinds,
  kindKey,
  onMark,
  entry,
  index,
  onKind,
  onEnter,
  onCopy,
  onRemove,
}: EntriesProps<E> & {
  entry: E;
  index: number;
  onKind: (name: string) => void;
  onEnter: () => void;
  onCopy: () => void;
  onRemove: () => void;
}) {
  const { edit, problems } = useWorkspace();
  const path = `part.${list}[${index}]`;
  const name = String(byKeys(entry)[kindKey]);
  const kind = kindOf(kinds, name);
  const wrong = problems.filter((problem) => !isMissing(problem) && problem.path.startsWith(path));
  return (
    <li onFocus={() => onMark(path)} onBlur={() => onMark(undefined)}>
      <span className="number">{index + 1}</span>
      <RowSelect
        name={`${path}.${kindKey}`}
        aria-label={`Kind of ${noun} ${index + 1}`}
        value={name}
        onChange={(event) => onKind(event.target.value)}
      >
        {kinds.map(({ name: option, label }) => (
          <option key={option} value={option}>
            {label}
          </option>
        ))}
      </RowSelect>
      <EntryFields
        fields={kind.fields.filter(({ key }) => key !== 'name' || noun === 'hole')}
        entry={byKeys(entry)}
        path={path}
        of={`${noun} ${index + 1}`}
        onText={(key, text) =>
          edit(`${path}.${key}`, ({ part }) => {
            const entries = part[list];
            const typed = entries?.[index] && byKeys(entries[index]);
            if (typed) typed[key] = text;
          })
        }
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          onEnter();
        }}
      />
      <span className="doing">
        <IconButton aria-label={`Copy ${noun} ${index + 1}`} onPress={onCopy}>
          <Copy size={15} aria-hidden />
        </IconButton>
        <IconButton aria-label={`Remove ${noun} ${index + 1}`} onPress={onRemove}>
          <X size={16} aria-hidden />
        </IconButton>
      </span>
      {wrong.length > 0 && (
        <p className="wrong">
          {wrong
            .map(({ path: at, message }) => {
              const field = kind.fields.find(({ key }) => at === `${path}.${key}`);
              return field ? `${field.label}: ${message}` : message;
            })
            .join(' · ')}
        </p>
      )}
    </li>
  );
}
