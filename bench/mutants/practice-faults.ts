import { fault, type Fault } from './fault.js';

const PRACTICE = 'core/practice';
const SLIPS = 'core/practice/slips.ts';
const LINES = 'core/practice/lines.ts';
const BODIES = 'core/practice/bodies.ts';
const PROGRESS = 'core/practice/progress.ts';

/** Faults of what is practised: of sums and their slips, of judging, of bodies, of what comes back. */
export const PRACTICE_FAULTS: readonly Fault[] = [
  fault('halved again is thirded', SLIPS, 'number(2 * by)), `That', 'number(3 * by)), `That', PRACTICE),
  fault('turned is as it was', SLIPS, "sum(left, added ? '-' : '+', right)", 'sum(left, op, right)', PRACTICE),
  fault('a hidden slip is set', SLIPS, 'hidden = true', 'hidden = false', PRACTICE),
  fault('slips near the answer are kept', SLIPS, 'off <= step / 2 + 1e-9', 'off <= 1e-9', PRACTICE),
  fault('the rest is the share', SLIPS, 'times(1 - share)', 'times(share)', PRACTICE),
  fault('the fraction is divided after all', SLIPS, "'+', length(rest)),", "'+', length(rest / by)),", PRACTICE),
  fault('hip is never taken for waist', SLIPS, "  ['waist', 'hip'],\n", '', PRACTICE),
  fault('wrong is right within three steps', 'core/practice/judge-sum.ts', 'step / 2 + 1e-6;', 'step * 3;', PRACTICE),
  fault('near is a hand wide', 'core/practice/judge-sum.ts', 'NEAR_STEPS = 2', 'NEAR_STEPS = 40', PRACTICE),
  fault(
    'too little is told too much',
    'core/practice/judge-sum.ts',
    "too ${mm > right ? 'much' : 'little'}. ${told}",
    "too ${mm < right ? 'much' : 'little'}. ${told}",
    PRACTICE,
  ),
  fault(
    'figures on paper are not on the tape',
    'core/practice/paper-sum.ts',
    'figures.set(line.name, snapTo(right, step));',
    'figures.set(line.name, right);',
    PRACTICE,
  ),
  fault('noughts stay in the sum', 'core/practice/paper-sum.ts', 'if ((node.op', 'if (false && (node.op', PRACTICE),
  fault('hints give the figures first', 'core/practice/sums.ts', 'hints: [reason, ', 'hints: [figures, ', PRACTICE),
  fault(
    'odd eighths are even',
    BODIES,
    '(1 + 2 * Math.floor(random() * 4)) / 8',
    '(2 * Math.floor(random() * 4)) / 8',
    PRACTICE,
  ),
  fault('a second figure is in doubt', BODIES, 'first && doubts.every((d) => d.field === wrong)', 'first', PRACTICE),
  fault('a point is right a finger off', LINES, 'POINT_RIGHT = 3', 'POINT_RIGHT = 15', PRACTICE),
  fault('low is told high', LINES, "placed.y > at.y ? 'low' : 'high'", "placed.y < at.y ? 'low' : 'high'", PRACTICE),
  fault('any line is right', LINES, 'LINE_RIGHT = 4', 'LINE_RIGHT = 400', PRACTICE),
  fault('a wave is fair', LINES, 'turns > wanted ?', 'turns > wanted + 9 ?', PRACTICE),
  fault('a hint counts for known', PROGRESS, ' && !hinted', '', PRACTICE),
  fault('what is due comes newest first', PROGRESS, 'a.at - b.at', 'b.at - a.at', PRACTICE),
  fault(
    'what was missed stays known',
    PROGRESS,
    "outcome === 'missed' || slips.length > 0 ? 0",
    "outcome === 'missed' ? before.run",
    PRACTICE,
  ),
  fault(
    'older practice is kept',
    'core/kept/merge.ts',
    "(items[id]?.last ?? '') < item.last",
    "(items[id]?.last ?? '~') > item.last",
    PRACTICE,
  ),
  fault(
    'allowances on one side only',
    'core/practice/subjects.json',
    '"formula": "frontHem + 2 * seamAllowance"',
    '"formula": "frontHem + seamAllowance"',
    PRACTICE,
  ),
  fault(
    'truing forgets the stretch',
    'core/practice/subjects.json',
    'laidBackInseam - laidFrontInseam + stretch',
    'laidBackInseam - laidFrontInseam + 0 * stretch',
    PRACTICE,
  ),
  fault(
    'a lesson lays off what is trued',
    'core/practice/lesson-draft.ts',
    'trueSeams: false',
    'trueSeams: true',
    PRACTICE,
  ),
  fault(
    'a whole pair ends untrued',
    'core/practice/exercises.ts',
    "return wanted('truing') && ask.includes",
    "return !wanted('truing') && ask.includes",
    PRACTICE,
  ),
  fault(
    'the piece after the wrong tape has it still',
    'core/practice/piece-of-lesson.ts',
    '{ ...figures, [wrong]: was }',
    '{ ...figures }',
    PRACTICE,
  ),
];
