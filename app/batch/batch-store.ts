import { create } from 'zustand';
import type { NestAlignment } from '../../core/nest/index.js';
import type { RowFilter } from './row-words.js';

interface BatchState {
  /** What lies on the board. */
  readonly shown: 'rows' | 'nest' | 'spec' | 'lay';
  readonly filter: RowFilter;
  /** The body in hand, by its key. */
  readonly body: string | undefined;
  readonly align: NestAlignment;
  /** The part whose nest is looked at alone; all legs without one. */
  readonly part: string | undefined;
  readonly focus: 'whole' | 'upper';
  readonly cut: boolean;
  readonly stitching: boolean;
  readonly arrows: boolean;
  readonly set: (part: Partial<Omit<BatchState, 'set'>>) => void;
}

/** How a run is looked at; nothing of it is kept. */
export const useBatch = create<BatchState>()((set) => ({
  shown: 'rows',
  filter: 'all',
  body: undefined,
  align: 'crease',
  part: undefined,
  focus: 'whole',
  cut: true,
  stitching: false,
  arrows: true,
  set: (part) => {
    set(part);
  },
}));
