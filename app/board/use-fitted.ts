import { useState } from 'react';
import { useWork } from '../store/work-context.js';
import { boardBox } from './arrange.js';
import { fitView, type View } from './view.js';

type FitInput = {
  block: Parameters<typeof boardBox>[0];
  arranged: Parameters<typeof boardBox>[1];
  size: { width: number; height: number };
  arrangement: string;
};

/** The view that shows all; it is kept while only values change. */
export function useFitted(input: FitInput | undefined): View | undefined {
  const id = useWork(({ work }) => work.draft.id);
  const key = input ? `${id} ${input.size.width} ${input.size.height} ${input.arrangement}` : undefined;
  const [fit, setFit] = useState<{ key: string; view: View }>();
  if (input && key !== undefined && fit?.key !== key) {
    const next = { key, view: fitView(boardBox(input.block, input.arranged), input.size) };
    setFit(next);
    return next.view;
  }
  return fit?.view;
}
