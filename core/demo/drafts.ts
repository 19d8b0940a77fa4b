import { houseAllowances } from '../piece/index.js';
import { HOUSE_RULES } from '../draft/index.js';
import type { DraftVersion, KeptDraft } from '../workbook/index.js';
import type { AlterationWork } from '../alter/index.js';
import type { Reference } from '../reference/index.js';
import { BOUGHT_NEST } from './bought-nest.js';
import { PAIR_TAKEN_APART } from './pair-taken-apart.js';
import { PEOPLE } from './people.js';

interface DemoDraft {
  readonly id: string;
  readonly name: string;
  readonly personId: string;
  readonly setId: string;
  readonly day: string;
  readonly method?: string;
  readonly fit?: Partial<KeptDraft['fit']>;
  readonly settings?: Record<string, number>;
  readonly choices?: Record<string, string>;
  readonly set?: KeptDraft['set'];
  readonly alterations?: readonly (readonly [string, AlterationWork])[];
  readonly reference?: Reference;
  readonly style?: KeptDraft['style'];
  readonly fittings?: KeptDraft['fittings'];
  /** Versions that were kept of it, each with what it had otherwise. */
  readonly versions?: readonly (Pick<DraftVersion, 'name' | 'note' | 'state'> & {
    readonly day: string;
    readonly otherwise: Partial<DraftVersion['inputs']>;
  })[];
}

/** A draft with the versions that were kept of it, the last of them in hand. */
function withVersions(draft: KeptDraft, { versions = [] }: DemoDraft): KeptDraft {
  const set = PEOPLE.find((p) => p.id === draft.personId)?.sets.find((s) => s.id === draft.setId);
  if (versions.length === 0 || !set) return draft;
  const { setId, method, fit, settings, choices, rules, set: lines, alterations, style, allowances } = draft;
  const inputs = {
    setId,
    method,
    fit,
    settings,
    choices,
    rules,
    set: lines,
    alterations,
    ...(style && { style }),
    allowances,
  };
  const { values, adopted, heights } = set;
  const all = versions.map(({ day, otherwise, ...facts }, i): DraftVersion => ({
    id: `${draft.id}-version-${i + 1}`,
    number: i + 1,
    ...facts,
    kept: `${day}T17:00:00.000Z`,
    inputs: { ...inputs, ...otherwise },
    measured: { values, adopted, heights },
  }));
  return { ...draft, versions: all, version: all[all.length - 1]?.id };
}

const kept = (d: DemoDraft): KeptDraft => withVersions(plain(d), d);

const plain = (d: DemoDraft): KeptDraft => ({
  id: d.id,
  name: d.name,
  personId: d.personId,
  setId: d.setId,
  method: d.method ?? 'quarter-and-half',
  fit: { stretch: 0, ...d.fit },
  settings: d.settings ?? {},
  choices: d.choices ?? {},
  rules: { ...HOUSE_RULES },
  set: d.set ?? {},
  alterations: (d.alterations ?? []).map(([note, work], i) => ({ id: `${d.id}-${i}`, on: true, note, work })),
  ...(d.reference && { reference: d.reference }),
  ...(d.style && { style: d.style }),
  ...(d.fittings && { fittings: d.fittings }),
  allowances: { ...houseAllowances(PEOPLE.find((p) => p.id === d.personId)?.unit ?? 'cm'), given: [] },
  created: `${d.day}T09:00:00.000Z`,
  changed: `${d.day}T09:30:00.000Z`,
});

/** The drafts of the demo workroom. */
export const DRAFTS: readonly KeptDraft[] = [
  kept({
    id: 'cellist-dress',
    name: 'Wide-legged dress trouser',
    personId: 'cellist',
    setId: 'cellist-1',
    day: '2026-10-21',
    settings: { kneeGirth: 590, hemGirth: 630 },
    set: { 'back.extension': 132.5 },
    style: [
      { id: 'shapedBand', values: {} },
      { id: 'fly', values: {} },
      { id: 'slantPocket', values: {} },
      { id: 'hem', values: { kind: 'double' } },
    ],
  }),
  kept({
    id: 'rigger-work',
    name: 'Work trousers',
    method: 'close',
    choices: { fit: 'relaxed' },
    personId: 'stage-rigger',
    setId: 'stage-rigger-1',
    day: '2026-10-19',
    settings: { kneeGirth: 19.5 * 25.4, hemGirth: 18 * 25.4 },
    style: [
      { id: 'yoke', values: {} },
      { id: 'fly', values: {} },
      { id: 'band', values: {} },
      { id: 'weltPocket', values: { on: 'right' } },
      { id: 'patchPocket', values: { below: 4 * 25.4 } },
      { id: 'loops', values: {} },
    ],
    fittings: [
      {
        id: 'rigger-fitting-1',
        date: '2026-10-05',
        who: 'Ticket seller',
        cloth: 'toile',
        note: 'Tried on the ladder.',
        version: 'rigger-work-version-1',
        seen: [
          { id: 'rigger-seen-1', what: 'wideThigh', leg: 'both' },
          { id: 'rigger-seen-2', what: 'pullsSeated', leg: 'both' },
        ],
        pins: [{ id: 'rigger-pin-1', kind: 'pinchedInseam', by: 0.5 * 25.4, leg: 'both' }],
        taken: [],
        closed: 'bastedAgain',
      },
    ],
    versions: [
      {
        name: 'toile',
        note: 'Calico, sides basted. The leg too wide to climb in.',
        state: 'sewn',
        day: '2026-10-05',
        otherwise: { settings: { kneeGirth: 21 * 25.4, hemGirth: 20 * 25.4 }, style: [] },
      },
      {
        name: 'basted cloth',
        note: 'Leg taken in, fly and pockets on.',
        state: 'uncut',
        day: '2026-10-19',
        otherwise: {},
      },
    ],
  }),
  kept({
    id: 'puppeteer-black',
    name: 'Black stage trousers',
    personId: 'lead-puppeteer',
    setId: 'lead-puppeteer-2',
    day: '2026-10-12',
    settings: { kneeGirth: 440, hemGirth: 400 },
    versions: [
      {
        name: 'toile',
        note: 'Calico. Folded out across the seat, and then pulled down behind.',
        state: 'sewn',
        day: '2026-10-08',
        otherwise: {
          alterations: [
            {
              id: 'puppeteer-black-folded',
              on: true,
              note: 'Folds under the seat',
              work: {
                kind: 'wedge',
                panel: 'back',
                from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
                hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
                by: -20,
              },
            },
          ],
        },
      },
      {
        name: 'seat let go',
        note: '',
        state: 'uncut',
        day: '2026-10-12',
        otherwise: {},
      },
    ],
  }),
  kept({
    id: 'bargee-shorts',
    name: 'Shorts',
    personId: 'bargee',
    setId: 'bargee-1',
    day: '2026-09-30',
    settings: { insideLength: 9 * 25.4, hemGirth: 26.5 * 25.4 },
    style: [
      { id: 'zip', values: { at: 'back' } },
      { id: 'band', values: {} },
    ],
  }),
  kept({
    id: 'lamp-plain',
    name: 'Plain trousers',
    personId: 'lamp-operator',
    setId: 'lamp-operator-1',
    day: '2026-09-24',
    choices: { variant: 'surplus-shared' },
    alterations: [
      [
        'Folds under the flat seat',
        {
          kind: 'wedge',
          panel: 'back',
          from: { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
          hinge: { edge: 'side', level: { line: 'hipLevel', by: 0 } },
          by: -8,
        },
      ],
      ['Long leg', { kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 60 }, by: 12 }],
    ],
  }),
  kept({
    id: 'cook-kitchen',
    name: 'Kitchen trousers',
    personId: 'cook',
    setId: 'cook-1',
    day: '2026-09-12',
    settings: { hipEase: 40 },
  }),
  kept({
    id: 'cook-copy',
    name: 'Copy of the old kitchen pair',
    personId: 'cook',
    setId: 'cook-pair',
    day: '2026-09-05',
    method: 'finished-pair',
    settings: { kneeGirth: 580, hemGirth: 540 },
    reference: PAIR_TAKEN_APART,
    style: [
      { id: 'casing', values: { kind: 'applied' } },
      { id: 'inSeamPocket', values: {} },
    ],
  }),
  kept({
    id: 'ticket-plain',
    name: 'Front of house trousers',
    personId: 'ticket-seller',
    setId: 'ticket-seller-1',
    day: '2026-09-02',
    reference: BOUGHT_NEST,
  }),
  kept({
    id: 'lamp-leggings',
    name: 'Rehearsal leggings',
    personId: 'lamp-operator',
    setId: 'lamp-operator-1',
    day: '2026-08-28',
    method: 'knit-leg',
    fit: { fitClass: 'knit', stretch: 0.4 },
    style: [
      { id: 'casing', values: { kind: 'folded' } },
      { id: 'onePiece', values: {} },
    ],
  }),
  kept({
    id: 'apprentice-pull-on',
    name: 'Pull-on trousers',
    personId: 'apprentice',
    setId: 'apprentice-0',
    day: '2025-11-03',
    method: 'crease-centred',
    choices: { variant: 'drawstring', age: 'child' },
    style: [
      { id: 'casing', values: {} },
      { id: 'drawstring', values: {} },
    ],
  }),
];
