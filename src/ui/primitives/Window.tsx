'use client';
import { later } from './later';
import type { WindowProps } from './WindowPane';

/**
 * Something to read or decide before going on; Escape closes it and focus goes back where it was. What it is made of comes when the first
 * is opened, or in a quiet moment before: no page waits for it.
 */
export const Window = later<WindowProps>(() => import('./WindowPane').then(({ WindowPane }) => WindowPane));
