import IconButton from '@mui/material/IconButton';
import SearchIcon from '@mui/icons-material/Search';
import KeyboardIcon from '@mui/icons-material/KeyboardOutlined';
import ThemeIcon from '@mui/icons-material/Contrast';
import MenuOpen from '@mui/icons-material/ViewSidebarOutlined';
import { lazy, Suspense } from 'react';
import { useStore } from 'zustand';
import { newerSet } from '../../core/kept/index.js';
import type { Autosave } from '../store/autosave.js';
import { stepsTo } from '../store/place-acts.js';
import { methodName, sheetOf } from '../store/sheets.js';
import { usePreferences } from '../store/preferences.js';
import { useChange, useCurrentSet, useOpenWork, useUnit, useWork } from '../store/work-context.js';
import { changePerson, renameDraft } from '../store/work-changes.js';
import { NameField } from '../shared/NameField.js';
import { UndoRedo } from '../shared/UndoRedo.js';
import { nextTheme } from '../shared/theme-mode.js';

const UnitSwitch = lazy(() => import('../shared/UnitSwitch.js').then((m) => ({ default: m.UnitSwitch })));

const SAVED: Record<string, string> = { saved: 'Saved', saving: 'Saving', conflict: 'Not saved', failed: 'Not saved' };

/** The head of the room: whose trousers, which measurements, which method; undo, redo, unit, find, keys, theme. */
export function Head({
  hasDraft,
  autosave,
  onFind,
  onKeys,
}: {
  hasDraft: boolean;
  autosave: Autosave;
  onFind: () => void;
  onKeys: () => void;
}) {
  const open = useOpenWork();
  const acts = useStore(open.done, (d) => d.acts);
  const save = useStore(autosave.state, (s) => s.save);
  const person = useWork(({ work }) => work.person);
  const draft = useWork(({ work }) => work.draft);
  const set = useCurrentSet();
  const unit = useUnit();
  const change = useChange();
  const preferences = usePreferences();
  const newer = newerSet(person, set);
  return (
    <header className="head">
      <span className="whose">{person.name}</span>
      {hasDraft && (
        <NameField
          className="head-name"
          label="Name of the draft"
          value={draft.name}
          onCommit={(name) => {
            change(renameDraft(name));
          }}
        />
      )}
      <span className="quiet head-fact">
        measured {set.date}
        {newer && ` · a newer set: ${newer.date}`}
      </span>
      {hasDraft && <span className="quiet head-fact">{methodName(draft)}</span>}
      <span className="spring" />
      <span className="quiet head-fact" role="status" data-testid="saved">
        {SAVED[save]}
      </span>
      <UndoRedo
        acts={acts}
        reader={{ unit, sheet: sheetOf(draft) }}
        onUndo={open.undo}
        onRedo={open.redo}
        onStepTo={(target) => {
          for (const [step] of stepsTo(acts, target)) open[step]();
        }}
      />
      <Suspense fallback={<span className="unit-switch" />}>
        <UnitSwitch
          unit={unit}
          onPick={(next) => {
            preferences.set({ unit: next });
            change(changePerson({ unit: next }));
          }}
        />
      </Suspense>
      <IconButton title="Find anything (Ctrl K)" size="small" aria-label="Find anything" onClick={onFind}>
        <SearchIcon />
      </IconButton>
      <IconButton title="Keys (?)" size="small" aria-label="Keys" onClick={onKeys}>
        <KeyboardIcon />
      </IconButton>
      <IconButton
        title="Light, dark or as the system"
        size="small"
        aria-label={`Theme: ${preferences.theme}`}
        onClick={() => {
          preferences.set({ theme: nextTheme(preferences.theme) });
        }}
      >
        <ThemeIcon />
      </IconButton>
      <IconButton
        title={preferences.benchOpen ? 'Fold the bench away' : 'Bring the bench out'}
        size="small"
        aria-label="Bench"
        aria-pressed={preferences.benchOpen}
        onClick={() => {
          preferences.set({ benchOpen: !preferences.benchOpen });
        }}
      >
        <MenuOpen />
      </IconButton>
    </header>
  );
}
