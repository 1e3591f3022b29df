'use client';
import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { linesOf } from '@/core/read/lines';
import { partInUnits } from '@/core/formats/partInUnits';
import type { DxfLayer } from '@/core/formats/dxf/entities';
import type { DxfPart } from '@/core/formats/dxf/readDxf';
import { refuse, type Result } from '@/core/model/result';
import type { UnitSystem } from '@/core/model/units/length';
import { Button } from '../primitives/Button';
import { Choice, Field } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { DxfLayers } from './DxfLayers';
import { DxfSeen } from './DxfSeen';
import { useWorkspace } from '../run/WorkspaceContext';

const Grid = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-bottom: 10px;
`;

const Found = styled.pre`
  max-height: 140px;
  overflow: auto;
  margin: 0 0 8px;
  padding: 8px 10px;
  border: 1px solid var(--line);
  border-radius: var(--round);
  font-family: var(--mono);
`;

/** The profile of a DXF drawing: what was found, what was done, and what is asked before it is taken. */
export function DxfWindow({ name, text, onClose }: { name: string; text: string; onClose: () => void }) {
  const { edit, file } = useWorkspace();
  const [units, setUnits] = useState('');
  const [axis, setAxis] = useState('');
  const [layers, setLayers] = useState<Record<string, boolean>>({});
  const [drawn, setDrawn] = useState<DxfLayer[]>([]);
  const [read, setRead] = useState<Result<DxfPart>>();
  useEffect(() => {
    let over = false;
    const at = Number(axis.replace(',', '.'));
    const reading = import('@/core/formats/dxf/readDxf').then(({ readDxf, layersIn }) => {
      const choices = {
        layers,
        ...(units === '' ? {} : { units: units as UnitSystem }),
        ...(axis.trim() === '' || Number.isNaN(at) ? {} : { axis: at }),
      };
      if (over) return;
      setRead(readDxf(text, choices));
      setDrawn(layersIn(text, layers));
    });
    // Nothing is silent, not even a fault of ours.
    reading.catch(() => {
      if (!over) setRead(refuse('dxf', 'could not be read; nothing of the part was changed'));
    });
    return () => {
      over = true;
    };
  }, [text, units, axis, layers]);
  const use = () => {
    if (!read?.ok) return;
    // Lengths of a drawing are millimetres.
    const { outside, details, bores } = partInUnits(read.value, 'mm', file.units);
    edit(undefined, ({ part }) => void Object.assign(part, { outside, details, bores }));
    onClose();
  };
  return (
    <Window title={name} open onClose={onClose}>
      <p style={{ marginBottom: 8 }}>
        The profile above its axis, of a whole view or of half of one, the front at the right. The part as it is now is
        replaced; undo brings it back.
      </p>
      <Grid>
        <Choice label="Units of the drawing" value={units} onChange={setUnits}>
          <option value="">as it says</option>
          <option value="mm">mm</option>
          <option value="in">inch</option>
        </Choice>
        <Field label="Axis at y (of the drawing)" value={axis} placeholder="found" onChange={setAxis} />
      </Grid>
      <DxfLayers layers={drawn} onSay={(layer, metal) => setLayers((said) => ({ ...said, [layer]: metal }))} />
      {read?.ok && <DxfSeen read={read.value} />}
      {read?.ok && <Found aria-label="What was found">{linesOf(read.value)}</Found>}
      <div role="status" style={{ marginBottom: 10, fontSize: 14 }}>
        <ul>
          {read?.ok && read.value.told.map((words) => <li key={words}>{words}</li>)}
          {read &&
            !read.ok &&
            read.problems.map(({ path, message }) => (
              <li key={message} style={{ color: 'var(--oxide)' }}>
                {path === 'units' ? message : `The drawing ${message}`}
              </li>
            ))}
        </ul>
      </div>
      <Button $strong onPress={use} isDisabled={!read?.ok}>
        Use this profile
      </Button>
    </Window>
  );
}
