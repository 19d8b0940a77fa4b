import { create } from 'zustand';
import type { Fitting } from '../../core/kept/index.js';
import { useWork } from '../store/work-context.js';

const useChosen = create<{ readonly id: string | undefined }>()(() => ({ id: undefined }));
const NONE: readonly Fitting[] = [];

/** The fitting in hand, the newest where none was chosen; and all of the draft, newest first. */
export function useFitting(): {
  readonly fitting: Fitting | undefined;
  readonly all: readonly Fitting[];
  readonly choose: (id: string) => void;
} {
  const fittings = useWork(({ work }) => work.draft.fittings) ?? NONE;
  const chosen = useChosen((s) => s.id);
  const all = [...fittings].reverse();
  return {
    fitting: all.find((f) => f.id === chosen) ?? all[0],
    all,
    choose: (id) => {
      useChosen.setState({ id });
    },
  };
}
