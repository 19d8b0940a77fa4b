import type { AlterationWork } from '../alter/index.js';
import type { Draft, DraftInput } from '../chain/index.js';
import { parametersOf } from '../draft/index.js';
import type { PanelName } from '../method/index.js';

/** What True it may change. */
export type UnknownId =
  | 'front.centreLift'
  | 'back.centreLift'
  | 'front.centreIn'
  | 'back.centreIn'
  | 'front.extension'
  | 'back.extension'
  | 'crotchLevel'
  | 'back.crotchPoint'
  | 'side.hip'
  | 'side.waist'
  | 'front.dartIntake'
  | 'back.dartIntake'
  | 'back.sideWaist';

/** Something True it may change: from its method's value, within a limit, at a cost. */
export interface Unknown {
  readonly id: UnknownId;
  readonly label: string;
  /** The line it is set by; nothing for what is done as an alteration. */
  readonly line: string | undefined;
  /** How far it may go to either side, in mm; 0 leaves it alone. */
  readonly limit: number;
  /** What a millimetre costs, beside that of the others. */
  readonly cost: number;
  /** The alteration that does it. */
  readonly work: ((by: number) => AlterationWork) | undefined;
}

/** What sets a line on a sheet's draft, done on the piece itself where it is a pattern that no line draws. */
const ON_PIECE: Readonly<Partial<Record<UnknownId, (by: number) => AlterationWork>>> = {
  'front.centreLift': (centre) => ({ kind: 'waist', panel: 'front', centre, side: 0, centreOnly: false }),
  'back.centreLift': (centre) => ({ kind: 'waist', panel: 'back', centre, side: 0, centreOnly: false }),
  'front.centreIn': (by) => ({ kind: 'tilt', panel: 'front', above: 0, by, giveBack: true }),
  'back.centreIn': (by) => ({ kind: 'tilt', panel: 'back', above: 0, by, giveBack: true }),
  'front.extension': (out) => ({ kind: 'crotchPoint', panel: 'front', out, down: 0, recentre: true }),
  'back.extension': (out) => ({ kind: 'crotchPoint', panel: 'back', out, down: 0, recentre: true }),
  crotchLevel: (by) => ({ kind: 'across', panel: 'both', level: HIP, by }),
};

const HIP = { line: 'hipLevel', by: 0 } as const;
const WAIST = { line: 'waistLine', by: 0 } as const;

const set = (id: UnknownId, label: string, limit: number, cost: number): Unknown => ({
  id,
  label,
  line: id,
  limit,
  cost,
  work: undefined,
});

const darts = (panel: PanelName): Unknown => ({
  id: `${panel}.dartIntake`,
  label: `${panel === 'front' ? 'Front' : 'Back'} dart intake`,
  line: undefined,
  limit: 12,
  cost: 1.4,
  work: (by) => ({ kind: 'dart', panel, dart: 0, act: 'intake', by, keepWaist: false }),
});

/** The natural unknowns with the house's limits and costs (docs/trade/truing.md). */
const UNKNOWNS: readonly Unknown[] = [
  set('front.centreLift', 'Front centre lift', 25, 1),
  set('back.centreLift', 'Back centre lift', 45, 1),
  set('front.centreIn', 'Front centre in', 12, 2),
  set('back.centreIn', 'Back centre in', 20, 1.6),
  set('front.extension', 'Front crotch extension', 18, 1.4),
  set('back.extension', 'Back crotch extension', 40, 1.1),
  set('crotchLevel', 'Crotch depth', 20, 2),
  {
    id: 'back.crotchPoint',
    label: 'Back crotch point down',
    line: undefined,
    limit: 12,
    cost: 1.2,
    work: (down) => ({ kind: 'crotchPoint', panel: 'back', out: 0, down, recentre: false }),
  },
  {
    id: 'side.hip',
    label: 'Side at the hip',
    line: undefined,
    limit: 20,
    cost: 1,
    work: (by) => ({
      kind: 'seam',
      panel: 'both',
      seam: 'side',
      by,
      from: HIP,
      to: { line: 'crotchLevel', by: 0 },
      runOut: 160,
    }),
  },
  {
    id: 'side.waist',
    label: 'Side at the waist',
    line: undefined,
    limit: 15,
    cost: 1,
    work: (by) => ({ kind: 'seam', panel: 'both', seam: 'side', by, from: WAIST, to: WAIST, runOut: 180 }),
  },
  {
    id: 'back.sideWaist',
    label: 'Back waist at the side',
    line: undefined,
    limit: 15,
    cost: 1.2,
    work: (side) => ({ kind: 'waist', panel: 'back', centre: 0, side, centreOnly: false }),
  },
  darts('front'),
  darts('back'),
];

/**
 * What may be changed of a draft: an adopted pattern on its pieces alone; darts only where there are any, and lines that its sheet has. */
export function unknownsOf(draft: Draft): readonly Unknown[] {
  const adopted = parametersOf(draft.block.front) === undefined;
  return UNKNOWNS.map((u) => (adopted && !u.work ? { ...u, line: undefined, work: ON_PIECE[u.id] } : u)).filter((u) => {
    if (u.id === 'front.dartIntake') return draft.block.front.darts.length > 0;
    if (u.id === 'back.dartIntake') return draft.block.back.darts.length > 0;
    return u.line === undefined || draft.worked.ledger.has(u.line);
  });
}

/** Changes smaller than this, in mm, are none. */
export const WORTH = 0.05;

/** The input with unknowns moved by the given amounts, in mm: lines set by hand, all else as alterations at the end. */
export function inputWith(
  input: DraftInput,
  draft: Draft,
  unknowns: readonly Unknown[],
  by: readonly number[],
): DraftInput {
  const lines: Record<string, number> = {};
  const works: AlterationWork[] = [];
  unknowns.forEach((u, i) => {
    const mm = by[i] ?? NaN;
    if (Math.abs(mm) < WORTH) return;
    if (u.work) works.push(u.work(mm));
    else if (u.line !== undefined) lines[u.line] = Number(draft.worked.ledger.get(u.line)?.value) + mm;
  });
  return {
    ...input,
    set: { ...input.set, ...lines },
    alterations: [
      ...input.alterations,
      ...works.map((work, i) => ({ id: `true-it.${i}`, on: true, note: 'True it', work })),
    ],
  };
}
