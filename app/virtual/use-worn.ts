import { useMemo } from 'react';
import { useShallow } from 'zustand/shallow';
import { versionLabel, workOfVersion } from '../../core/kept/index.js';
import { NO_STYLE, type Style } from '../../core/style/index.js';
import { inputNow } from '../store/sheets.js';
import { useWork } from '../store/work-context.js';
import type { HangOrder } from '../workers/toile.worker.js';
import { keyOf, orderFor, useHanging, type Hanging } from '../worn/hang-store.js';
import { useAssumed } from '../worn/use-assumed.js';

/** What the draft in hand can be held against. */
export interface Against {
  readonly id: string;
  readonly label: string;
}

/** The draft in hand and what it is held against, as orders, with how far each is. */
export interface Worn {
  readonly choices: readonly Against[];
  /** Whether the two legs differ: then both are hung. */
  readonly legsDiffer: boolean;
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
  const { cloth, wanted, hangings } = useHanging(
    useShallow(({ cloth, against, hangings }) => ({ cloth, wanted: against, hangings })),
  );
  const assumed = useAssumed();
  const input = useMemo(() => inputNow(work), [work]);
  const { choices, orders } = useMemo(() => {
    const { unit } = work.person;
    const style = work.draft.style ?? NO_STYLE;
    const order = (of: typeof input, by: Style): HangOrder =>
      orderFor({ input: of, style: by, unit }, input, assumed, cloth);
    const now = order(input, style);
    const others: (Against & { readonly order: HangOrder })[] = [
      {
        id: 'drafted',
        label: 'As it was drafted, nothing altered',
        order: order({ ...input, alterations: [] }, style),
      },
      ...[...(work.draft.versions ?? [])].reverse().map((v) => {
        const then = workOfVersion(work, v);
        return { id: v.id, label: versionLabel(v), order: order(inputNow(then), then.draft.style ?? NO_STYLE) };
      }),
    ];
    // Against what is drawn from the same there is nothing to be told.
    const key = keyOf(now);
    const unlike = others.filter((o) => keyOf(o.order) !== key);
    return {
      choices: unlike.map(({ id, label }): Against => ({ id, label })),
      orders: { now, by: new Map(unlike.map((o) => [o.id, o.order])) },
    };
  }, [input, work, assumed, cloth]);
  const against = choices.find((c) => c.id === wanted) ?? choices[0];
  const { now } = orders;
  const before = against && orders.by.get(against.id);
  const oneLeg = (alterations: typeof input.alterations): boolean =>
    alterations.some((a) => a.on && a.leg !== undefined);
  return {
    choices,
    legsDiffer: oneLeg(now.input.alterations) || oneLeg(before?.input.alterations ?? []),
    against,
    now,
    before,
    hangingNow: hangings[keyOf(now)],
    hangingBefore: before && hangings[keyOf(before)],
  };
}
