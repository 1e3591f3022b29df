'use client';
import styled from 'styled-components';
import { Choice } from '../primitives/Field';
import { Window } from '../primitives/Window';
import { useDeviceSettings } from './DeviceSettings';

const Settings = styled.div`
  display: grid;
  gap: 14px;
  p {
    max-width: 66ch;
    color: var(--ink-soft);
    font-size: 14px;
  }
`;

/** On this device: what a new run is drawn in, how figures are written, on which day a week begins. */
export function DeviceWindow({ onClose }: { onClose: () => void }) {
  const { settings, change } = useDeviceSettings();
  return (
    <Window title="On this device" open onClose={onClose}>
      <Settings>
        <Choice label="A new run is drawn in" value={settings.units} onChange={(units) => change({ units })}>
          <option value="mm">millimetres</option>
          <option value="in">inches</option>
        </Choice>
        <Choice
          label="Figures, on screen, on paper and in tables"
          value={settings.mark}
          onChange={(mark) => change({ mark })}
        >
          <option value="point">12.5 (tables: a comma between columns)</option>
          <option value="comma">12,5 (tables: a semicolon between columns)</option>
        </Choice>
        <Choice
          label="A week begins on"
          value={String(settings.weekFrom)}
          onChange={(day) => change({ weekFrom: day === '6' ? 6 : day === '5' ? 5 : 0 })}
        >
          <option value="0">Monday</option>
          <option value="5">Saturday</option>
          <option value="6">Sunday</option>
        </Choice>
        <p>
          Kept by this browser, for whoever works at it. Sizes may be typed with a comma or a point anywhere; what was
          typed, and names of tools, threads and materials, stay as they were written. What money is counted in stands
          with the shop’s costs.
        </p>
      </Settings>
    </Window>
  );
}
