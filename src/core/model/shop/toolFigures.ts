import type { Tool } from './shop';

/** A figure that a tool may have, as the page names it; lengths take any unit. */
export interface ToolFigure {
  key: keyof Tool & string;
  label: string;
  takes: 'length' | 'degrees' | 'number';
}

/** Every figure of a tool, once; which a tool has follows from what it is. */
export const toolFigures: readonly ToolFigure[] = [
  { key: 'diameter', label: 'Diameter', takes: 'length' },
  { key: 'width', label: 'Width', takes: 'length' },
  { key: 'reach', label: 'Reaches in', takes: 'length' },
  { key: 'flute', label: 'Flute', takes: 'length' },
  { key: 'point', label: 'Point', takes: 'degrees' },
  { key: 'nose', label: 'Nose radius', takes: 'length' },
  { key: 'hollowEdge', label: 'Hollow edge', takes: 'length' },
  { key: 'thinnestCut', label: 'Thinnest cut', takes: 'length' },
  { key: 'least', label: 'Narrowest bore', takes: 'length' },
  { key: 'deep', label: 'Goes deep', takes: 'length' },
  { key: 'pitch', label: 'Pitch', takes: 'length' },
  { key: 'wheels', label: 'Wheels', takes: 'number' },
  { key: 'slope', label: 'Clears a slope', takes: 'degrees' },
  { key: 'ahead', label: 'Stands ahead of its cut', takes: 'length' },
  { key: 'holder', label: 'Holder beside the cut', takes: 'length' },
  { key: 'clearsFrom', label: 'Clears a wall from ⌀', takes: 'length' },
  { key: 'clearsUpTo', label: 'Clears a wall up to ⌀', takes: 'length' },
  { key: 'offset', label: 'Offset to the master', takes: 'length' },
];
