'use client';
import { FileText, Paperclip, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { DropZone, FileTrigger, isFileDropItem } from 'react-aria-components';
import styled from 'styled-components';
import { ATTACHED_TYPES, sayBytes, type Attached } from '@/core/formats/attachedFile';
import { Button, IconButton } from '../primitives/Button';
import { TextButton } from '../primitives/TextButton';
import { addressOfAttached, attach, attachedTo, keepAttached } from './attachedApi';

const Zone = styled(DropZone)`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  padding: 10px 12px;
  border: 1px dashed var(--line);
  border-radius: 8px;
  &[data-drop-target] {
    border-color: var(--blue);
    background: var(--blue-soft);
  }
  p {
    color: var(--ink-soft);
    font-size: 14px;
  }
`;

const Tile = styled.li`
  position: relative;
  width: 132px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--sheet);
  a {
    display: block;
    color: var(--ink);
    text-decoration: none;
  }
  figure {
    display: grid;
    place-items: center;
    height: 84px;
    margin: 0;
    overflow: hidden;
    background: var(--paper);
  }
  img {
    width: 100%;
    height: 100%;
    object-fit: cover;
  }
  span {
    display: block;
    padding: 3px 8px 5px;
    overflow: hidden;
    font-size: 13px;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  small {
    color: var(--ink-soft);
  }
  > button {
    position: absolute;
    top: 2px;
    right: 2px;
    background: var(--sheet);
  }
`;

const Tiles = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
`;

/** What is kept with the part of a run: asked for, added to, taken away and brought back. */
function useAttached(run: string) {
  const [attached, setAttached] = useState<Attached[]>([]);
  const [said, setSaid] = useState<{ words: string; back?: Attached }>();
  useEffect(() => {
    let over = false;
    void attachedTo(run).then((kept) => !over && kept.ok && setAttached(kept.value.attached));
    return () => {
      over = true;
    };
  }, [run]);
  const add = async (files: readonly File[]) => {
    setSaid(undefined);
    for (const file of files) {
      const kept = await attach(run, file);
      if (!kept.ok) return setSaid({ words: `${file.name}: ${kept.problems[0]?.message}.` });
      setAttached((before) => [...before, kept.value.attached]);
    }
  };
  const keep = async (one: Attached, isKept: boolean) => {
    const done = await keepAttached(one.id, isKept);
    if (!done.ok) return setSaid({ words: `${one.name}: ${done.problems[0]?.message}.` });
    setAttached((before) =>
      isKept ? [...before, one].sort((a, b) => a.id - b.id) : before.filter(({ id }) => id !== one.id),
    );
    setSaid(isKept ? undefined : { words: `${one.name} is taken away.`, back: one });
  };
  return { attached, said, add, keep };
}

/** The drawing as it came and photos, kept with the part: dropped here or chosen, opened by a press. */
export function AttachedFiles({ run }: { run: string }) {
  const { attached, said, add, keep } = useAttached(run);
  return (
    <>
      <Zone
        aria-label="Drawing and photos"
        onDrop={({ items }) => void Promise.all(items.filter(isFileDropItem).map((item) => item.getFile())).then(add)}
      >
        {attached.length > 0 && (
          <Tiles aria-label="Drawing and photos">
            {attached.map((one) => (
              <AttachedTile key={one.id} attached={one} onTakeAway={() => void keep(one, false)} />
            ))}
          </Tiles>
        )}
        <FileTrigger
          acceptedFileTypes={ATTACHED_TYPES}
          allowsMultiple
          onSelect={(files) => files && void add([...files])}
        >
          <Button>
            <Paperclip size={15} aria-hidden /> Attach …
          </Button>
        </FileTrigger>
        {attached.length === 0 && (
          <p>
            The drawing as it came, or photos: PNG, JPEG, WebP or PDF. They are kept with the part, for all its runs.
          </p>
        )}
      </Zone>
      <p role="status" style={{ minHeight: 20, fontSize: 14 }}>
        {said?.words}{' '}
        {said?.back && <TextButton onClick={() => said.back && void keep(said.back, true)}>Bring it back</TextButton>}
      </p>
    </>
  );
}

function AttachedTile({
  attached: { id, name, type, bytes },
  onTakeAway,
}: {
  attached: Attached;
  onTakeAway: () => void;
}) {
  const address = addressOfAttached(id);
  return (
    <Tile>
      <a href={address} target="_blank" rel="noreferrer">
        <figure>
          {type === 'application/pdf' ? (
            <FileText size={34} aria-hidden />
          ) : (
            <img src={address} alt="" loading="lazy" />
          )}
        </figure>
        <span title={name}>
          {name} <small>{sayBytes(bytes)}</small>
        </span>
      </a>
      <IconButton aria-label={`Take ${name} away`} onPress={onTakeAway}>
        <X size={15} aria-hidden />
      </IconButton>
    </Tile>
  );
}
