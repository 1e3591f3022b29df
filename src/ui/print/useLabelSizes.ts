'use client';
import { useState } from 'react';

/** What labels this device prints: their size, how many pieces go into a box, each on a page of its own or side by side on A4. */
export interface LabelSizes {
  width: number;
  height: number;
  pieces: number;
  own: boolean;
}

const KEY = 'shingle-labels';
const FIRST: LabelSizes = { width: 70, height: 36, pieces: 100, own: false };

/** What was chosen last on this device, where that can be read. */
function kept(): LabelSizes {
  try {
    return { ...FIRST, ...(JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<LabelSizes>) };
  } catch {
    return FIRST;
  }
}

/** The labels of this device, kept in its browser. */
export function useLabelSizes(): [LabelSizes, (change: Partial<LabelSizes>) => void] {
  const [sizes, setSizes] = useState(kept);
  const change = (part: Partial<LabelSizes>) => {
    const next = { ...sizes, ...part };
    setSizes(next);
    localStorage.setItem(KEY, JSON.stringify(next));
  };
  return [sizes, change];
}
