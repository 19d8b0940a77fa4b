import { createContext, use, useCallback } from 'react';
import { useStore } from 'zustand';
import { setOf, type Work } from '../../core/kept/index.js';
import { tapeFor, type Tape, type Unit } from '../../core/units/index.js';
import type { Computed, OpenWork, WorkState } from './open-work.js';

const WorkContext = createContext<OpenWork | undefined>(undefined);

/** Gives the open work to everything within. */
export const WorkProvider = WorkContext.Provider;

/** The open work; using it outside a workroom is a bug. */
export function useOpenWork(): OpenWork {
  const open = use(WorkContext);
  if (!open) throw new Error('No work is open here');
  return open;
}

/** A part of the open work's state. */
export const useWork = <T,>(pick: (state: WorkState) => T): T => useStore(useOpenWork().state, pick);

/** A part of what the open work computes to. */
export const useComputed = <T,>(pick: (computed: Computed) => T): T => useStore(useOpenWork().computed, pick);

/** Carries out a change on the open work. */
export function useChange(): (change: (open: OpenWork) => void) => void {
  const open = useOpenWork();
  return useCallback(
    (change) => {
      change(open);
    },
    [open],
  );
}

const unitOf = (work: Work): Unit => work.person.unit;

/** The unit in which the open work is shown: the person's. */
export const useUnit = (): Unit => useWork(({ work }) => unitOf(work));

/** The tape on which the open work is shown. */
export const useTape = (): Tape => tapeFor(useUnit());

/** The set the open draft is made from. */
export const useCurrentSet = (): ReturnType<typeof setOf> => useWork(({ work }) => setOf(work));
