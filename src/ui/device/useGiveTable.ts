import { tableText, type Cell } from '@/core/formats/table';
import { download } from '../primitives/download';
import { useDeviceSettings } from './DeviceSettings';

/** Gives a table to the person at the page, written as this device has its tables. */
export function useGiveTable(): (name: string, rows: readonly (readonly Cell[])[]) => void {
  const { settings } = useDeviceSettings();
  return (name, rows) => download(`${name}.csv`, tableText(rows, settings.mark), 'text/csv');
}
