'use client';
import dynamic from 'next/dynamic';
import { useRef, useState } from 'react';
import { Button } from '../primitives/Button';

// Fetched when a drawing is chosen.
const DxfWindow = dynamic(() => import('./DxfWindow').then((own) => own.DxfWindow), { ssr: false });

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
