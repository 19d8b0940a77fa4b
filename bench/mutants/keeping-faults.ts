import { fault, type Fault } from './fault.js';

/** Faults in the change log: what an act changes, what undoes it, what no longer fits, and what is written of it. */
export const KEEPING_FAULTS: readonly Fault[] = [
  fault(
    'what an item was is not told',
    'core/kept/patch.ts',
    '{ at: p.at, was: p.is, is: p.was }',
    '{ at: p.at, was: p.was, is: p.was }',
    'core/kept/patch',
  ),
  fault(
    'a list comes back in another order',
    'core/kept/patch.ts',
    'same(there, order.is) && same(back, order.was)',
    'same(there, order.is)',
    'core/kept/patch',
  ),
  fault(
    'another window is overwritten unseen',
    'core/kept/patch.ts',
    'return !same(now, p.was) || !reaches(value, p.at);',
    'return !reaches(value, p.at);',
    'core/kept/patch',
  ),
  fault(
    'what was worked on since is undone away',
    'core/kept/act.ts',
    'return fits ? [] : [p];',
    'return [];',
    'core/kept',
  ),
  fault(
    'the time of a change is a change',
    'core/kept/act.ts',
    "new Set(['changed', 'outline'])",
    "new Set(['outline'])",
    'core/kept',
  ),
  fault(
    'an act that grew is not written again',
    'app/store/autosave.ts',
    'acts.filter((act) => open.done.getState().acts.includes(act)).map',
    'acts.map',
    'app/store/autosave',
  ),
  fault(
    'the oldest acts stay',
    'app/store/change-log.ts',
    'all.length - MOST_ACTS',
    'all.length - 10 * MOST_ACTS',
    'app/store/change-log',
  ),
  fault(
    'what was undone stays to be done again',
    'app/store/open-work.ts',
    'dropped: [...now.dropped, ...gone]',
    'dropped: [...now.dropped]',
    'app/store',
  ),
  fault(
    'what another window did is forgotten here',
    'app/store/autosave.ts',
    'else takeOver(ours, work);',
    'else written = work;',
    'app/store/autosave',
  ),
  fault(
    'a forgotten person stays in the log',
    'app/store/forget-person.ts',
    '!isGone(change) && !namesPerson(change, personId)',
    '!isGone(change)',
    'app/store/change-log',
  ),
  fault(
    'a drag is many acts',
    'app/store/open-work.ts',
    "const grows = how === 'more' && base && last && !last.undone;",
    'const grows = false as boolean;',
    'app/store',
  ),
  fault(
    'the day is Greenwich’s',
    'core/kept/day.ts',
    'two(date.getDate())',
    'two(date.getUTCDate())',
    'core/kept/person',
  ),
];
