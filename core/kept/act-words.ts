import { sayAlteration, type Alteration } from '../alter/index.js';
import { CLOTH_LABELS, CLOTHS } from '../cloth/index.js';
import { componentLabel, EDGE_WORDS, type EdgeRole } from '../garment/index.js';
import { measurementLabel, type MeasurementId } from '../measure/index.js';
import { COMMON, lineLabel, settingsOf, type Sheet } from '../method/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import { changeBack, type Act, type RecordChange, type RecordKind } from './act.js';
import { valueAt, type Patch, type Step } from './patch.js';

/** What the words of an act are said with: the reader's unit, and the sheet that names a draft's lines. */
export interface ActReader {
  readonly unit: Unit;
  readonly sheet: Sheet;
}

/** A value that was changed, at the end of its way. */
type ValuePatch = Extract<Patch, { is: unknown }>;

/** So many things are said of one act; the rest are counted. */
const MOST_SAID = 2;

/** A value or a step as it is said. */
function text(value: unknown): string {
  if (typeof value === 'string') return value;
  return typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';
}

const nameOf = (record: unknown): string => text(valueAt(record, ['name']));
const idOf = (step: Step | undefined): string => (typeof step === 'object' ? step.id : '');
const upper = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

const length = (value: unknown, unit: Unit): string =>
  typeof value === 'number' ? formatLength(value, tapeFor(unit)) : text(value);

/** “Hip ease 3 cm”, or that it was given back. */
const figureSaid = (label: string, { is }: ValuePatch, unit: Unit, gone: string): string =>
  is === undefined ? `${label} ${gone}` : `${label} ${length(is, unit)}`;

function choiceSaid({ at, is }: ValuePatch, sheet: Sheet): string {
  const choice = [...sheet.choices, ...COMMON.choices].find(({ id }) => id === at[1]);
  const label = choice?.label ?? text(at[1]);
  if (is === undefined) return `${label} given back`;
  return `${label}: ${(choice?.values.find(({ id }) => id === is)?.label ?? text(is)).toLowerCase()}`;
}

function alterationSaid({ at, was, is }: ValuePatch, unit: Unit): string {
  const said = (a: unknown): string => sayAlteration((a as Alteration).work, unit, (a as Alteration).leg);
  if (at.length > 2) {
    if (at[2] === 'on') return `An alteration switched ${is === true ? 'on' : 'off'}`;
    if (at[2] === 'leg') return `An alteration for ${is === undefined ? 'both legs' : `the ${text(is)} leg`}`;
    return 'An alteration changed';
  }
  if (was === undefined) return said(is);
  return is === undefined ? `Taken out “${said(was)}”` : 'An alteration changed';
}

/** “Flare added”, “Fly: 15 cm”. */
function styleSaid({ at, was, is }: ValuePatch, unit: Unit): string {
  if (at.length === 1) return 'The style of the finish';
  const label = componentLabel(idOf(at[1]));
  if (at.length === 2) return was === undefined ? `${label} added` : `${label} taken away`;
  if (typeof is === 'number') return `${label}: ${length(is, unit)}`;
  return is === undefined ? `${label}: given back to the house` : `${label} changed`;
}

const RULES: Readonly<Record<string, string>> = {
  hipKept: 'Hip kept',
  trueSeams: 'Seams trued',
  waistPlan: 'Plan of the waist',
};

/** What the fields of a cloth that are lengths are called. */
const CLOTH_LENGTHS: Readonly<Record<string, string>> = {
  width: 'width',
  inHand: 'length in hand',
  gap: 'gap between parts',
  barRepeat: 'repeat along',
  stripeRepeat: 'repeat across',
};

/** What the other fields of a cloth are called. */
const CLOTH_FACTS: Readonly<Record<string, string>> = {
  name: 'name',
  fold: 'how it lies',
  nap: 'nap',
  flaws: 'flaws',
  price: 'price',
  shrinkLength: 'shrinkage in length',
  shrinkWidth: 'shrinkage in width',
};

/** “Shell: width 150 cm”, “Lining: flaws”. */
function clothSaid({ at, was, is }: ValuePatch, unit: Unit): string {
  const kind = CLOTHS.find((cloth) => cloth === at[1]);
  if (!kind) return 'The cloth';
  const label = CLOTH_LABELS[kind];
  if (at.length === 2) return was === undefined ? `${label} cloth told` : `${label} cloth changed`;
  const of = CLOTH_LENGTHS[text(at[2])];
  if (of === undefined) return `${label}: ${CLOTH_FACTS[text(at[2])] ?? 'changed'}`;
  return typeof is === 'number' ? `${label}: ${of} ${length(is, unit)}` : `${label}: ${of} left open`;
}

/** “Lay of the shell kept”. */
function laySaid({ at, was, is }: ValuePatch): string {
  const kind = CLOTHS.find((cloth) => cloth === at[1]);
  const of = `Lay of the ${kind ? CLOTH_LABELS[kind].toLowerCase() : 'cloth'}`;
  if (at.length > 2) return `${of} changed by hand`;
  return was === undefined ? `${of} kept` : is === undefined ? `${of} given up` : `${of} changed`;
}

/** “A pin put in”, “The fitting closed”. */
function fittingSaid({ at, was, is }: ValuePatch): string {
  if (at.length <= 2) return is === undefined ? 'A fitting forgotten' : 'A fitting begun';
  const gone = is === undefined;
  if (at[2] === 'sewn') return gone ? 'A measured seam taken out' : 'A seam measured as sewn';
  if (at[2] === 'photos') return gone ? 'A photo of the fitting taken out' : 'A photo of the fitting';
  if (at[2] === 'allowance') return 'Seam allowance of the toile';
  if (at[2] === 'seen') return gone ? 'Not seen at the fitting' : 'Seen at the fitting';
  if (at[2] === 'pins') return gone ? 'A pin taken out' : was === undefined ? 'A pin put in' : 'A pin changed';
  if (at[2] === 'taken') return 'Done about a cause';
  if (at[2] === 'predicted') return at.length > 3 ? 'A prediction looked at' : 'What the virtual toile told, kept';
  return at[2] === 'closed' ? (gone ? 'The fitting opened again' : 'The fitting closed') : 'The fitting';
}

/** “Adopted “old-block.svg” as the block”, “Drafted by the method again”. */
function patternSaid({ at, is }: ValuePatch): string {
  if (at.length > 1) return 'A level of the adopted pattern';
  return is === undefined ? 'Drafted by the method again' : `“${nameOf(is)}” adopted as the block`;
}

/** “Version 2 kept”, “Version 2: its note”. */
function versionSaid({ at, was, is }: ValuePatch): string {
  if (at.length === 1) return is === undefined ? 'Versions forgotten' : 'Version 1 kept';
  const number = (value: unknown): string => `Version ${text(valueAt(value, ['number']))}`;
  if (at.length === 2) return was === undefined ? `${number(is)} kept` : `${number(was)} forgotten`;
  return `A version: its ${text(at[2])} changed`;
}

/** “Applied to many”, “A body of the run by hand”. */
function runSaid({ at, was, is }: ValuePatch): string {
  if (at.length <= 2) return was === undefined ? 'Applied to many' : 'A run of many forgotten';
  if (at[2] === 'own') return is === undefined ? 'A body given back to the garment' : 'Changed by hand for a body';
  if (at[2] === 'sewn') return is === undefined ? 'A sewn garment taken out' : 'A sewn garment measured';
  return at[2] === 'of' ? 'Who it is applied to' : 'The run of many';
}

/** What each other field of a draft is called. */
const DRAFT_FIELDS: Readonly<Record<string, string>> = {
  name: 'Name',
  note: 'Note of the draft',
  method: 'Method',
  sheet: 'Own sheet',
  setId: 'Drafted from another set',
  fit: 'Fit and stretch',
  reference: 'Outline laid under',
  redrawn: 'Told how it is drawn now',
  laidWith: 'What is laid on its cloth with it',
  remnants: 'What is kept of its cloth',
};

function draftSaid(patch: ValuePatch, { unit, sheet }: ActReader): string {
  const [field, name] = patch.at;
  const label = (): string => lineLabel(sheet, text(name));
  switch (field) {
    case undefined:
      return patch.was === undefined ? 'New draft' : `Deleted “${nameOf(patch.was)}”`;
    case 'name':
      return `Named “${text(patch.is)}”`;
    case 'set':
      return figureSaid(label(), patch, unit, 'given back to the sheet');
    case 'settings':
      return figureSaid(
        settingsOf(sheet).find((s) => s.name === name)?.label ?? label(),
        patch,
        unit,
        'given back to the sheet',
      );
    case 'choices':
      return choiceSaid(patch, sheet);
    case 'alterations':
      return alterationSaid(patch, unit);
    case 'rules':
      return `${RULES[text(name)] ?? 'Rule'}: ${typeof patch.is === 'boolean' ? (patch.is ? 'on' : 'off') : text(patch.is)}`;
    case 'style':
      return styleSaid(patch, unit);
    case 'pattern':
      return patternSaid(patch);
    case 'fittings':
      return fittingSaid(patch);
    case 'versions':
      return versionSaid(patch);
    case 'runs':
      return runSaid(patch);
    case 'version':
      return 'Another version made current';
    case 'cloths':
      return clothSaid(patch, unit);
    case 'lays':
      return laySaid(patch);
    case 'allowances':
      return name === 'profile'
        ? `Allowance at the ${EDGE_WORDS[patch.at[2] as EdgeRole]} ${length(patch.is, unit)}`
        : 'Allowances';
    default:
      return DRAFT_FIELDS[text(field)] ?? 'The draft';
  }
}

/** What each other field of a set is called. */
const SET_FIELDS: Readonly<Record<string, string>> = {
  date: 'Date of the set',
  taker: 'Who took the set',
  note: 'Note of the set',
  waistSits: 'Where the waist sits',
  waistBelow: 'Where the waist sits',
  inseamTo: 'Where the inseam ends',
  byOneself: 'Who took the set',
  adopted: 'A rule adopted',
  heights: 'Girths at heights',
  pair: 'Figures of the pair',
  size: 'A size taken',
  risesAsked: 'Rises asked about',
};

const PERSON_FIELDS: Readonly<Record<string, string>> = {
  figure: 'Figure',
  unit: 'Unit',
  note: 'Note',
  build: 'Build',
  traces: 'Trace of the body',
  fitted: 'The block that fits',
};

function setSaid(patch: ValuePatch, { unit }: ActReader): string | undefined {
  const [, set, field, name] = patch.at;
  if (field === undefined) return patch.was === undefined ? 'New set of measurements' : 'Set of measurements taken out';
  if (field === 'values') {
    if (name === undefined) return 'Figures of the set';
    return figureSaid(measurementLabel(name as MeasurementId), patch, unit, 'taken out');
  }
  // What a figure was before follows from the figure.
  if (field === 'corrected') return undefined;
  return SET_FIELDS[text(field)] ?? `The set ${idOf(set)}`;
}

function personSaid(patch: ValuePatch, reader: ActReader): string | undefined {
  const [field] = patch.at;
  if (field === undefined) return patch.was === undefined ? 'New person' : `Deleted “${nameOf(patch.was)}”`;
  if (field === 'sets') return setSaid(patch, reader);
  if (field === 'name') return `Named “${text(patch.is)}”`;
  const label = PERSON_FIELDS[text(field)] ?? 'The person';
  return field === 'unit' || field === 'figure' ? `${label}: ${text(patch.is)}` : label;
}

function changeSaid({ kind, patches }: RecordChange, reader: ActReader): string[] {
  const said = patches.flatMap((patch): string[] => {
    if ('order' in patch) return patches.length === 1 ? ['Order changed'] : [];
    if (kind === 'draft') return [draftSaid(patch, reader)];
    if (kind === 'person') return [personSaid(patch, reader) ?? []].flat();
    if (patch.at.length > 0) return ['Size chart'];
    return [patch.was === undefined ? 'New size chart' : `Deleted “${nameOf(patch.was)}”`];
  });
  return [...new Set(said)];
}

/** What an act is called, in the reader's unit: what it changed, or the words that it was given. */
export function sayAct({ said, changes }: Act, reader: ActReader): string {
  if (said !== '') return said;
  const things = [...new Set(changes.flatMap((change) => changeSaid(change, reader)))];
  const more = things.length - MOST_SAID;
  const shown = things.slice(0, MOST_SAID).join('; ');
  return upper(more > 0 ? `${shown}; and ${more} more` : shown) || 'Changed';
}

const GONE: Readonly<Record<RecordKind, string>> = {
  person: 'The person',
  draft: 'The draft',
  chart: 'The chart',
  practice: 'What was practised',
  style: 'The style',
};

/** What was wanted of a record and what is there instead, in the reader's words (see `clashOf`). */
export function sayClash(change: RecordChange, reader: ActReader): string {
  const [first] = change.patches;
  if (first?.at.length === 0) {
    return `${GONE[change.kind]} was ${'was' in first && first.was === undefined ? 'deleted' : 'worked on'} there`;
  }
  const said = (of: RecordChange): string => changeSaid(of, reader).slice(0, MOST_SAID).join('; ');
  return `${said(change)} here, ${said(changeBack(change))} there`;
}
