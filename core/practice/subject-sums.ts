import type { Draft } from '../chain/index.js';
import { edgeLengths } from '../draft/index.js';
import { pathLength } from '../geometry/index.js';
import { isMeasurementId, measurementLabel } from '../measure/index.js';
import { evaluate, LEVELS, PANEL_NAMES, parseFormula } from '../method/index.js';
import { snapTo, toMm, type Unit } from '../units/index.js';
import { constantsOnPaper, stepOf } from './paper-sum.js';
import subjects from './subjects.json' with { type: 'json' };
import { setSum, type SetSum } from './sums.js';
import type { SumContext } from './sum-words.js';

/** What is practised beside the methods, by sums on a finished draft. */
export type SubjectId = keyof typeof subjects;

/** The subjects in the order in which they are learnt. */
export const SUBJECT_IDS = Object.keys(subjects) as readonly SubjectId[];

/** What a subject is called, and what it is about. */
export const subjectWords = (id: SubjectId): { readonly label: string; readonly about: string } => subjects[id];

/** What is added to a garment in these sums, in the unit they are set in: inches and centimetres as makers have them. */
const ADDED: Readonly<Record<string, readonly [label: string, inches: number, centimetres: number]>> = {
  seamAllowance: ['seam allowance', 1 / 2, 1],
  hemAllowance: ['hem allowance', 1.5, 4],
  wrap: ['wrap', 1.5, 4],
  band: ['width of the band', 1.5, 4],
  elastic: ['width of the elastic', 1.25, 3],
  turnUp: ['turn-up', 1.5, 4],
  stretch: ['stretch of the back’s inseam', 1 / 8, 0.3],
};

/** What seams are put right by is worth asking from one step of the tape on. */
const LEAST_OF_TRUING = 1;

function figuresOfDraft(
  { worked, block }: Draft,
  unit: Unit,
  laid: Draft | undefined,
): Map<string, readonly [label: string, mm: number]> {
  const found = new Map<string, readonly [string, number]>();
  for (const [id, { mm }] of worked.body) found.set(id, [measurementLabel(id).toLowerCase(), mm]);
  for (const [name, label] of LEVELS) found.set(name, [label.toLowerCase(), block.levels[name]]);
  for (const name of PANEL_NAMES) {
    const { edges, points, closedWaist } = block[name];
    const put = (what: string, label: string, mm: number): unknown =>
      found.set(`${name}${what}`, [`${name} ${label}`, mm]);
    put('Waist', 'waist', pathLength(closedWaist));
    put('Rise', 'rise', pathLength(edges.rise));
    put('Side', 'side seam', pathLength(edges.side));
    put('Hem', 'hem', pathLength(edges.hem));
    put('Knee', 'knee', points.inseamKnee.x - points.sideKnee.x);
    put('HipWidth', 'hip width', worked[name].hipWidth);
    put('Extension', 'crotch extension', worked[name].extension);
    if (!laid) continue;
    const { inseamAboveKnee, side, rise } = edgeLengths(laid.block[name]);
    const putLaid = (what: string, label: string, mm: number): unknown =>
      found.set(`laid${name === 'front' ? 'Front' : 'Back'}${what}`, [`${name} ${label}`, mm]);
    putLaid('Inseam', 'inseam as laid off, crotch to knee', inseamAboveKnee);
    putLaid('Side', 'side seam as laid off', side);
    putLaid('Rise', 'rise as laid off', rise);
  }
  for (const [name, [label, inches, centimetres]] of Object.entries(ADDED))
    found.set(name, [label, unit === 'in' ? toMm(inches, 'in') : toMm(centimetres, 'cm')]);
  return found;
}

/**
 * The sums of a subject on a draft, every figure rounded to the learner's tape. Truing is asked by what the same draft was
 * `laid` off as before its seams were trued.
 */
export function subjectSums(id: SubjectId, draft: Draft, unit: Unit, laid?: Draft): SetSum[] {
  const step = stepOf(unit);
  const figures = figuresOfDraft(draft, unit, laid);
  const figureOf = (name: string): number | undefined => {
    const mm = figures.get(name)?.[1];
    return mm === undefined ? undefined : snapTo(mm, step);
  };
  const context: SumContext = {
    unit,
    figureOf,
    nameOf: (name) => figures.get(name)?.[0] ?? name,
    kindOf: () => 'length',
    isMeasured: isMeasurementId,
  };
  return subjects[id].sums.flatMap(({ id: sum, label, formula, reason }) => {
    const parsed = parseFormula(formula);
    if (!parsed.ok) throw new Error(`${sum}: ${parsed.error.sentence}`);
    const node = constantsOnPaper(parsed.node, unit);
    const least = id === 'truing' ? LEAST_OF_TRUING : undefined;
    return setSum(sum, { label, reason }, node, evaluate(node, figureOf), context, [], least) ?? [];
  });
}
