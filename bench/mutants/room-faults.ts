import { fault, type Fault } from './fault.js';

/** Faults in what a maker sees of checks, stations, finds and starts, and in how a sum is said. */
export const ROOM_FAULTS: readonly Fault[] = [
  fault(
    'the tape opens the best first',
    'app/checks/tape-plan.ts',
    '...worstFirst(checks.filter((c) => asks(c) && c.id !== inHand))',
    '...worstFirst(checks.filter((c) => asks(c) && c.id !== inHand)).reverse()',
    'app/checks',
  ),
  fault(
    'the tape runs off the side',
    'app/checks/tape-plan.ts',
    'groups * TAPE_WIDTHS.group - TAPE_WIDTHS.end',
    'TAPE_WIDTHS.end',
    'app/checks',
  ),
  fault(
    'a station is marked before it was visited',
    'app/room/station-states.ts',
    "if (before === undefined) return 'untouched';",
    '',
    'app/room',
  ),
  fault(
    'what comes last before a station makes nothing stale',
    'app/room/visits.ts',
    'order.slice(0, at + 1)',
    'order.slice(0, at)',
    'app/room',
  ),
  fault(
    'a word is found after all that it explains',
    'app/find/findable.ts',
    "return kind === 'Word' ? 3 : 4;",
    "return kind === 'Word' ? 4 : 3;",
    'app/find',
  ),
  fault(
    'one word of what is sought is enough',
    'app/find/findable.ts',
    'if (!words.every((w) => all.includes(w))) return undefined;',
    'if (!words.some((w) => all.includes(w))) return undefined;',
    'app/find',
  ),
  fault(
    'the shelf reminds of what stands in a file',
    'app/keep/shelf-rows.ts',
    'savedAt === undefined || e.draft.changed > savedAt',
    'true',
    'app/keep',
  ),
  fault(
    'a garment starts without its cloth',
    'core/kept/garments.ts',
    'stretch: start.stretch ?? 0',
    'stretch: 0',
    'core/kept/garments',
  ),
  fault(
    'a garment starts in the other unit',
    'core/kept/garments.ts',
    "unit === 'in' ? 'in' : 'cm'",
    "unit === 'in' ? 'cm' : 'in'",
    'core/kept/garments',
  ),
  fault(
    'at least is said for at most',
    'core/method/formula-value.ts',
    "${name === 'min' ? 'at most' : 'at least'}",
    "${name === 'min' ? 'at least' : 'at most'}",
    'core/method',
  ),
  fault(
    'a length of the method is said as it stands there',
    'core/method/show-sum.ts',
    'const own = sumFigure(leaf.value, unit);',
    'const own = leaf.text;',
    'core/method',
  ),
  fault(
    'the paper a maker chose goes with the unit',
    'app/store/preferences.ts',
    'paper === PAPER_OF[before] ? { paper: PAPER_OF[unit] } : {}',
    '{ paper: PAPER_OF[unit] }',
    'app/store/preferences',
  ),
];
