import { useMemo } from 'react';
import { versionLabel, workOfVersion } from '../../core/kept/index.js';
import { inputNow } from '../store/sheets.js';
import { useWork } from '../store/work-context.js';
import type { HangOrder } from '../workers/toile.worker.js';
import { keyOf, useHanging, type Hanging } from './hang-store.js';

/** What the draft in hand can be held against. */
export interface Against {
  readonly id: string;
  readonly label: string;
}

/** The draft in hand and what it is held against, as orders, with how far each is. */
export interface Worn {
  readonly choices: readonly Against[];
  /** What is held against, where there is such a thing. */
  readonly against: Against | undefined;
  readonly now: HangOrder;
  readonly before: HangOrder | undefined;
  readonly hangingNow: Hanging | undefined;
  readonly hangingBefore: Hanging | undefined;
}

/** The garments that are held against one another on the body of the person in hand. */
export function useWorn(): Worn {
  const work = useWork((s) => s.work);
  const { cloth, assumed, against: wanted, hangings } = useHanging();
  const input = useMemo(() => inputNow(work), [work]);
  const choices = useMemo(
    (): Against[] => [
      ...(input.alterations.some((a) => a.on) ? [{ id: 'drafted', label: 'As it was drafted, nothing altered' }] : []),
      ...[...(work.draft.versions ?? [])].reverse().map((v) => ({ id: v.id, label: versionLabel(v) })),
    ],
    [input, work.draft.versions],
  );
  const against = choices.find((c) => c.id === wanted) ?? choices[0];
  const { now, before } = useMemo(() => {
    const { sheet, measured, figure, adopted } = input;
    const wearer = { sheet, measured, figure, adopted };
    const order = (of: typeof input): HangOrder => ({ input: of, wearer, assumed, cloth });
    const version = work.draft.versions?.find((v) => v.id === against?.id);
    const other =
      against?.id === 'drafted' ? { ...input, alterations: [] } : version && inputNow(workOfVersion(work, version));
    return { now: order(input), before: other && order(other) };
  }, [input, against, assumed, cloth, work]);
  return {
    choices,
    against,
    now,
    before,
    hangingNow: hangings[keyOf(now)],
    hangingBefore: before && hangings[keyOf(before)],
  };
}
