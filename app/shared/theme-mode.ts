import { useSyncExternalStore } from 'react';
import type { Preferences } from '../store/preferences.js';

const ORDER: readonly Preferences['theme'][] = ['system', 'light', 'dark'];

/** The theme after this one: system, light, dark, and round again. */
export const nextTheme = (theme: Preferences['theme']): Preferences['theme'] =>
  ORDER[(ORDER.indexOf(theme) + 1) % ORDER.length] ?? 'system';

const dark = window.matchMedia('(prefers-color-scheme: dark)');

/** Light or dark, as chosen or as the system has it. */
export function useMode(theme: Preferences['theme']): 'light' | 'dark' {
  const system = useSyncExternalStore(
    (changed) => {
      dark.addEventListener('change', changed);
      return () => {
        dark.removeEventListener('change', changed);
      };
    },
    () => dark.matches,
  );
  return theme === 'system' ? (system ? 'dark' : 'light') : theme;
}
