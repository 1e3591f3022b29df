'use client';
import { Choice } from '../primitives/Field';
import type { Machine } from './useDays';

interface Props {
  label: string;
  /** Nothing for any that can. */
  value: string | undefined;
  machines: readonly Machine[];
  onChange: (lathe: string | undefined) => void;
}

/** On which lathe something is made, where that is decided. */
export const LatheChoice = ({ label, value, machines, onChange }: Props) => (
  <Choice label={label} value={value ?? ''} onChange={(lathe) => onChange(lathe === '' ? undefined : lathe)}>
    <option value="">any that can</option>
    {machines.map(({ id, name }) => (
      <option key={id} value={id}>
        {name}
      </option>
    ))}
  </Choice>
);
