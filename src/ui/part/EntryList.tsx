'use client';
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

/** A list of entries of several kinds, a row each: what it is, and the fields that it then has. */
export function EntryList<E extends Entry>({
  id,
  title,
  hint,
  noun,
  list,
  entries,
  kinds,
  kindKey,
  first,
  onMark,
}: {
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
}) {
  const { edit, problems } = useWorkspace();
  const room = useRef<HTMLElement>(null);
  const change = (recipe: (entries: E[]) => void, field: string | undefined) => {
    flushSync(() =>
      edit(undefined, ({ part }) => {
        const own = (part[list] ?? []) as E[];
        recipe(own);
        part[list] = own as never;
      }),
    );
    if (field) room.current?.querySelector<HTMLElement>(`[name="${field}"]`)?.focus();
  };
  const pathOf = (index: number) => `part.${list}[${index}]`;
  const add = () => {
    const kind = kindOf(kinds, first.kind);
    const made = madeInto({ ...first.has, [kindKey]: kind.name } as unknown as E, kindKey, kind, []);
    change((own) => void own.push(made), `${pathOf(entries.length)}.${first.field}`);
  };
  return (
    <Group aria-labelledby={id} ref={room}>
      <h2>
        <span id={id}>{title}</span> <small>{hint}</small>
      </h2>
      {entries.length > 0 && (
        <EntryRows>
          {entries.map((entry, index) => {
            const path = pathOf(index);
            const name = String(byKeys(entry)[kindKey]);
            const kind = kindOf(kinds, name);
            const wrong = problems.filter((problem) => !isMissing(problem) && problem.path.startsWith(path));
            return (
              <li key={index} onFocus={() => onMark(path)} onBlur={() => onMark(undefined)}>
                <span className="number">{index + 1}</span>
                <RowSelect
                  name={`${path}.${kindKey}`}
                  aria-label={`Kind of ${noun} ${index + 1}`}
                  value={name}
                  onChange={(event) =>
                    change((own) => {
                      const was = own[index];
                      if (was) own[index] = madeInto(was, kindKey, kindOf(kinds, event.target.value), ['name']);
                    }, undefined)
                  }
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
                    if (index === entries.length - 1) add();
                    else
                      room.current?.querySelector<HTMLElement>(`[name="${pathOf(index + 1)}.${first.field}"]`)?.focus();
                  }}
                />
                <span className="doing">
                  <IconButton
                    aria-label={`Copy ${noun} ${index + 1}`}
                    onPress={() =>
                      change(
                        (own) => void own.splice(index + 1, 0, { ...entry }),
                        `${pathOf(index + 1)}.${first.field}`,
                      )
                    }
                  >
                    <Copy size={15} aria-hidden />
                  </IconButton>
                  <IconButton
                    aria-label={`Remove ${noun} ${index + 1}`}
                    onPress={() => change((own) => void own.splice(index, 1), undefined)}
                  >
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
          })}
        </EntryRows>
      )}
      <Button onPress={add}>
        <Plus size={16} aria-hidden /> {noun.charAt(0).toUpperCase() + noun.slice(1)}
      </Button>
    </Group>
  );
}
