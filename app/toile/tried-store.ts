import { create } from 'zustand';
import type { Tried } from '../../core/correct/index.js';

/** What is looked at before it is taken, as it would be done on paper; nothing where nothing is. */
export const useTried = create<{ readonly tried: Tried | undefined }>()(() => ({ tried: undefined }));
