import SearchIcon from '@mui/icons-material/Search';
import SettingsIcon from '@mui/icons-material/SettingsOutlined';
import IconButton from '@mui/material/IconButton';
import { lazy, Suspense, type ReactNode } from 'react';
import type { Unit } from '../../core/units/index.js';
import type { Findable } from '../find/findable.js';
import { useDialogs } from './dialogs.js';

const FindDialog = lazy(() => import('../find/FindDialog.js').then((m) => ({ default: m.FindDialog })));
const KeysDialog = lazy(() => import('./KeysDialog.js').then((m) => ({ default: m.KeysDialog })));
const SettingsDialog = lazy(() => import('./SettingsDialog.js').then((m) => ({ default: m.SettingsDialog })));
const WordsDialog = lazy(() => import('../words/WordsDialog.js').then((m) => ({ default: m.WordsDialog })));

export interface HeadToolsProps {
  readonly undoRedo?: ReactNode;
  /** Everything that can be found from here, fetched as find opens. */
  readonly findables: () => Promise<readonly Findable[]>;
  readonly unit: Unit;
  readonly onUnit: (unit: Unit) => void;
  /** What stands at the end of the head. */
  readonly children?: ReactNode;
}

/** The right of every head: undo and redo, find, settings; and the dialogs that any page may open. */
export function HeadTools({ undoRedo, findables, unit, onUnit, children }: HeadToolsProps) {
  const { open, term, show } = useDialogs();
  const close = (): void => {
    show(undefined);
  };
  return (
    <>
      {undoRedo}
      <IconButton
        title="Find anything (Ctrl K)"
        size="small"
        aria-label="Find anything"
        onClick={() => {
          show('find');
        }}
      >
        <SearchIcon />
      </IconButton>
      <IconButton
        title="Unit, paper, theme, keys, words"
        size="small"
        aria-label="Settings"
        onClick={() => {
          show('settings');
        }}
      >
        <SettingsIcon />
      </IconButton>
      {children}
      <Suspense fallback={undefined}>
        {open === 'find' && <FindDialog load={findables} onClose={close} />}
        {open === 'keys' && <KeysDialog onClose={close} />}
        {open === 'words' && <WordsDialog term={term} onClose={close} />}
        {open === 'settings' && <SettingsDialog unit={unit} onUnit={onUnit} onClose={close} />}
      </Suspense>
    </>
  );
}
