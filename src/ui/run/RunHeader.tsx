'use client';
import { CircleHelp, Download, Redo2, Undo2 } from 'lucide-react';
import { format, parseISO } from 'date-fns';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import styled from 'styled-components';
import type { RunFile } from '@/core/read/runFile';
import { Button, IconButton } from '../primitives/Button';
import { Brand, Places, TopBar } from '../primitives/TopBar';
import { ThemeToggle } from '../theme/ThemeToggle';
import { PlaceLink } from './PlaceLink';
import { PLACE_WORDS, PLACES, placeAt } from './places';
import type { SaveState } from './useSaving';

const Title = styled.div`
  min-width: 150px;
  flex: 1 1 170px;
  @media (max-width: 480px) {
    min-width: 0;
  }
  h1 {
    font-size: 16px;
    line-height: 1.2;
  }
  h1,
  p {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  p {
    color: var(--ink-soft);
    font-size: 13px;
  }
`;

const Doing = styled.div`
  /* At the lathe there is nothing to edit, and a tablet has no room to give away. */
  @media (max-width: 900px) {
    &[data-place='lathe'] {
      display: none;
    }
  }
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
  @media (max-width: 480px) {
    gap: 2px;
  }
`;

const State = styled.span`
  margin-right: 6px;
  color: var(--ink-soft);
  font-size: 13px;
  min-width: 72px;
  text-align: right;
  @media (max-width: 480px) {
    min-width: 0;
    text-align: left;
  }
`;

interface Props {
  id: string;
  file: RunFile;
  dirty: boolean;
  saving: SaveState;
  can: { undo: boolean; redo: boolean };
  on: { undo: () => void; redo: () => void; save: () => void; help: () => void; export: () => void };
}

/** What is saved of it, in a few words. */
function stateWords(saving: SaveState, dirty: boolean, id: string): string {
  if (saving.kind === 'saving' || saving.kind === 'late') return 'saving …';
  if (saving.kind === 'unreachable' || saving.kind === 'refused') return 'not saved';
  if (id === 'new' && !dirty) return '';
  if (dirty) return id === 'new' ? 'not saved yet' : 'unsaved changes';
  return saving.kind === 'saved' ? `saved ${format(new Date(saving.at), 'HH:mm')}` : 'saved';
}

const dayOf = (due: string | undefined): string => {
  const day = due ? parseISO(due) : undefined;
  return day && !Number.isNaN(day.getTime()) ? ` · promised ${format(day, 'EEE d MMM')}` : '';
};

/** Which run this is, its places, and what can be done with it. */
export function RunHeader({ id, file, dirty, saving, can, on }: Props) {
  const { part } = file;
  const here = placeAt(usePathname());
  return (
    <TopBar>
      <Brand />
      <Title>
        <h1>{part.name || (id === 'new' ? 'New run' : part.number)}</h1>
        <p>
          {[part.number, part.revision && `rev ${part.revision}`, file.quantity && `${file.quantity} off`]
            .filter(Boolean)
            .join(' · ') || 'nothing entered yet'}
          {dayOf(file.due)}
        </p>
      </Title>
      <Places aria-label="Places">
        <Link href="/" prefetch={false}>
          Board
        </Link>
        {PLACES.map((place) => (
          <PlaceLink key={place} id={id} place={place}>
            {PLACE_WORDS[place]}
          </PlaceLink>
        ))}
      </Places>
      <Doing data-place={here}>
        <State role="status">{stateWords(saving, dirty, id)}</State>
        <IconButton aria-label="Undo" onPress={on.undo} isDisabled={!can.undo}>
          <Undo2 size={18} aria-hidden />
        </IconButton>
        <IconButton aria-label="Redo" onPress={on.redo} isDisabled={!can.redo}>
          <Redo2 size={18} aria-hidden />
        </IconButton>
        <IconButton aria-label="Save as a run file" onPress={on.export}>
          <Download size={18} aria-hidden />
        </IconButton>
        <ThemeToggle />
        <IconButton aria-label="Keys and help" onPress={on.help}>
          <CircleHelp size={18} aria-hidden />
        </IconButton>
        <Button $strong={dirty} onPress={on.save} isDisabled={saving.kind === 'saving'}>
          Save
        </Button>
      </Doing>
    </TopBar>
  );
}
