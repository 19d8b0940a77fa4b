import { create } from 'zustand';
import type { Cloth } from '../../core/garment/index.js';
import type { LastLay } from '../../core/lay/index.js';

const keyOf = (draft: string, kind: Cloth): string => `${draft} ${kind}`;

/** The lays that were found since the page was opened, by draft and cloth. */
export const useLastLays = create<{ readonly lays: Readonly<Record<string, LastLay>> }>()(() => ({ lays: {} }));

/** Takes note of a lay that was found. */
export const noteLay = (draft: string, kind: Cloth, lay: LastLay): void => {
  useLastLays.setState(({ lays }) => ({ lays: { ...lays, [keyOf(draft, kind)]: lay } }));
};

/** The last lay that was found of a cloth of a draft. */
export const lastLayOf = (lays: Readonly<Record<string, LastLay>>, draft: string, kind: Cloth): LastLay | undefined =>
  lays[keyOf(draft, kind)];
