import type { Unit } from '../figure';
import { formatLength, MM_PER_INCH, type UnitSystem } from './length';
import { sayFigure, sayFixed } from './mark';

const SHOWN: Record<Unit, { places: number; inch?: { unit: string; per: number; places: number } }> = {
  mm: { places: 2 },
  'mm/rev': { places: 3, inch: { unit: 'in/rev', per: MM_PER_INCH, places: 4 } },
  'm/min': { places: 0, inch: { unit: 'ft/min', per: 0.3048, places: 0 } },
  'rev/min': { places: 0 },
  min: { places: 2 },
  N: { places: 0 },
  'N·m': { places: 1 },
  kW: { places: 2 },
  'N/mm²': { places: 0 },
  g: { places: 1 },
  kg: { places: 2 },
  'g/cm³': { places: 2 },
  '%': { places: 0 },
  money: { places: 2 },
  '': { places: 3 },
};

/** A value of the core as text in the given system: `{ text: '0.945', unit: 'in' }`. */
export function show(value: number, unit: Unit, units: UnitSystem, fine = false): { text: string; unit: string } {
  if (unit === 'mm') return { text: formatLength(value, units, fine), unit: units };
  const { places, inch } = SHOWN[unit];
  if (unit === '') return { text: sayFigure(value, places), unit: '' };
  if (units === 'in' && inch) return { text: sayFixed(value / inch.per, inch.places), unit: inch.unit };
  return { text: sayFixed(value, places), unit };
}

/** Minutes as people say them: `7.9 min`, `16 h 40`. */
export function sayMinutes(minutes: number): string {
  if (minutes < 100) return `${sayFixed(minutes, 1)} min`;
  const whole = Math.round(minutes);
  return `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`;
}
