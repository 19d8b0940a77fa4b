import {
  CHECK_GROUPS,
  groupOf,
  worstFirst,
  type Check,
  type CheckGroupId,
  type CheckId,
} from '../../core/check/index.js';

/** How wide a group's name, an open check and what stands at the tape's end are, in pixels. */
export const TAPE_WIDTHS = { group: 76, check: 98, end: 164 } as const;
/** Below this width, in pixels, the tape is one line of words. */
export const LEAST_TAPE = 780;

/** A group of the tape: the checks that stand open in it, and those that are folded to its name. */
export interface TapeGroup {
  readonly id: CheckGroupId;
  readonly label: string;
  readonly open: readonly Check[];
  readonly folded: readonly Check[];
}

const asks = ({ verdict }: Check): boolean => verdict === 'near' || verdict === 'out';

/**
 * Which checks stand open on a tape so many pixels wide: the one in hand, then what is out and near, worst first, as far
 * as there is room without moving the tape sideways.
 */
export function openOnTape(checks: readonly Check[], width: number, inHand: CheckId | undefined): CheckId[] {
  const groups = CHECK_GROUPS.filter(({ id }) => checks.some((c) => groupOf(c.id) === id)).length;
  const room = Math.max(0, Math.floor((width - groups * TAPE_WIDTHS.group - TAPE_WIDTHS.end) / TAPE_WIDTHS.check));
  const held = checks.filter((c) => c.id === inHand && c.verdict !== 'unknown');
  return [...held, ...worstFirst(checks.filter((c) => asks(c) && c.id !== inHand))].slice(0, room).map((c) => c.id);
}

/** The groups of the tape in the order of the body; a check that cannot be answered stands in none of them. */
export const tapeGroups = (checks: readonly Check[], open: ReadonlySet<string>): TapeGroup[] =>
  CHECK_GROUPS.map(({ id, label }) => {
    const answered = checks.filter((c) => groupOf(c.id) === id && c.verdict !== 'unknown');
    return {
      id,
      label,
      open: answered.filter((c) => open.has(c.id)),
      folded: answered.filter((c) => !open.has(c.id)),
    };
  }).filter(({ open: shown, folded }) => shown.length + folded.length > 0);

/** How many of some checks are out, near and in band. */
export const countVerdicts = (checks: readonly Check[]): Readonly<Record<'out' | 'near' | 'in', number>> => ({
  out: checks.filter((c) => c.verdict === 'out').length,
  near: checks.filter((c) => c.verdict === 'near').length,
  in: checks.filter((c) => c.verdict === 'in').length,
});
