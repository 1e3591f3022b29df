'use client';
import styled from 'styled-components';
import type { DxfLayer } from '@/core/formats/dxf/entities';

const Layers = styled.fieldset`
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0 0 10px;
  padding: 0;
  border: 0;
  label {
    display: inline-flex;
    gap: 6px;
    align-items: center;
    min-height: 24px;
  }
  input {
    width: 18px;
    height: 18px;
  }
  @media (pointer: coarse) {
    label {
      min-height: 44px;
    }
  }
`;

/** Which layers of a drawing are taken for metal, said by hand; nothing where there is one. */
export function DxfLayers(props: { layers: readonly DxfLayer[]; onSay: (layer: string, metal: boolean) => void }) {
  const { layers, onSay } = props;
  if (layers.length < 2) return null;
  return (
    <Layers>
      <legend>Layers that are metal</legend>
      {layers.map(({ name, lines, metal }) => (
        <label key={name}>
          <input type="checkbox" checked={metal} onChange={({ target }) => onSay(name, target.checked)} />
          {name || 'without a name'}, {lines} {lines === 1 ? 'line' : 'lines'}
        </label>
      ))}
    </Layers>
  );
}
