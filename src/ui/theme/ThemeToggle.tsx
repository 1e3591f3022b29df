'use client';
import { Moon, Sun } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { IconButton } from '../primitives/Button';

type Theme = 'day' | 'night';

const listeners = new Set<() => void>();
const current = (): Theme => (document.documentElement.dataset.theme === 'night' ? 'night' : 'day');

function choose(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  localStorage.setItem('shingle-theme', theme);
  listeners.forEach((listener) => listener());
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

/** Day or night shift. */
export function ThemeToggle() {
  const theme = useSyncExternalStore(subscribe, current, () => 'day' as const);
  const other = theme === 'day' ? 'night' : 'day';
  return (
    <IconButton aria-label={other === 'night' ? 'Night shift' : 'Day shift'} onPress={() => choose(other)}>
      {other === 'night' ? <Moon size={18} aria-hidden /> : <Sun size={18} aria-hidden />}
    </IconButton>
  );
}
