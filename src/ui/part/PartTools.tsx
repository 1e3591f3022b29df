'use client';
import { current } from 'immer';
import styled from 'styled-components';
import type { Part } from '@/core/model/part/part';
import { Button } from '../primitives/Button';
import { useWorkspace } from '../run/WorkspaceContext';
import { DxfButton } from './DxfButton';
import { dxfFileOf, svgFileOf } from './drawingFiles';

const Tools = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  button {
    padding: 0 10px;
  }
`;

interface Props {
  part: Part | undefined;
  onShow: (window: 'lines' | 'size' | 'fits') => void;
}

/** What can be done with the part as a whole. */
export function PartTools({ part, onShow }: Props) {
  const { file, edit } = useWorkspace();
  const mirrored = async () => {
    const { mirrorPart } = await import('@/core/formats/mirrorPart');
    // What the run is by now: something may have been typed while this was fetched.
    edit(undefined, (run) => {
      const turned = mirrorPart(current(run));
      if (turned.ok) run.part = turned.value;
    });
  };
  return (
    <Tools>
      <Button onPress={() => onShow('lines')}>As lines …</Button>
      <Button onPress={() => void mirrored()} isDisabled={!part}>
        Turn end for end
      </Button>
      <Button onPress={() => onShow('size')} isDisabled={!part}>
        Another size …
      </Button>
      <Button onPress={() => onShow('fits')}>Fits …</Button>
      <DxfButton />
      <span style={{ flex: 1 }} />
      <Button onPress={() => part && void svgFileOf(part, file)} isDisabled={!part}>
        SVG
      </Button>
      <Button onPress={() => part && void dxfFileOf(part, file)} isDisabled={!part}>
        DXF
      </Button>
    </Tools>
  );
}
