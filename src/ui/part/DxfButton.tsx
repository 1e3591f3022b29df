'use client';
import { useRef, useState } from 'react';
import { Button } from '../primitives/Button';
import { later } from '../primitives/later';

// Fetched when a drawing is chosen.
const DxfWindow = later(() => import('./DxfWindow').then((loaded) => loaded.DxfWindow));

/** Brings half a profile in from a DXF drawing. */
export function DxfButton() {
  const chooser = useRef<HTMLInputElement>(null);
  const [drawing, setDrawing] = useState<{ name: string; text: string }>();
  return (
    <>
      <input
        ref={chooser}
        type="file"
        accept=".dxf"
        aria-label="DXF drawing"
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void file.text().then((text) => setDrawing({ name: file.name, text }));
        }}
      />
      <Button onPress={() => chooser.current?.click()}>From a DXF …</Button>
      {drawing && <DxfWindow {...drawing} onClose={() => setDrawing(undefined)} />}
    </>
  );
}
