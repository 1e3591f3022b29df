'use client';
import { useEffect } from 'react';

const inText = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('input, select, textarea, [contenteditable]') !== null;
const inDialog = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('[role="dialog"]') !== null;

/** Keys of the whole page. Those with Ctrl work in a field too; the others leave fields and dialogs alone. */
export function useShortcuts(keys: Record<string, () => void>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const control = event.ctrlKey || event.metaKey;
      if (event.defaultPrevented || (!control && (inText(event.target) || inDialog(event.target)))) return;
      const shifted = control && event.shiftKey ? 'Shift+' : '';
      const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
      const work = keys[`${event.altKey ? 'Alt+' : ''}${control ? 'Ctrl+' : ''}${shifted}${key}`];
      if (!work) return;
      event.preventDefault();
      work();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [keys]);
}
