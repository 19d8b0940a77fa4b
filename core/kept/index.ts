export { inputByMethod, inputOf, newDraft, newestTrace, setOf, type Work } from './kept.js';
export { GARMENT_STARTS, startWork, type GarmentStart, type StartId } from './garments.js';
export { drawnOtherwise, readOutline, type DrawnOtherwise } from './drawn-otherwise.js';
export { drawnFrom, keptOutline, type KeptOutline } from './kept-outline.js';
export { dayOf } from './day.js';
export { doubtsOf } from './doubts-of.js';
export { risesAsk, withoutRises, type RisesAsk } from './rises-ask.js';
export {
  currentSet,
  newerSet,
  newestFirst,
  newPerson,
  newSet,
  setBefore,
  valuesOf,
  withFigure,
  withRule,
  withSet,
} from './person.js';
export {
  changeBack,
  changeOf,
  clashesOf,
  clashOf,
  recordWith,
  type Act,
  type KeptOf,
  type KeptRecord,
  type RecordChange,
  type RecordKind,
  type RecordRef,
} from './act.js';
export { sayAct, sayClash, type ActReader } from './act-words.js';
export {
  draftFromVersion,
  isKept,
  sameFigures,
  versionInHand,
  versionLabel,
  withVersionCurrent,
  withVersionKept,
  workOfVersion,
  type VersionFacts,
} from './versions.js';
export { cutOfVersion, cutVersionOf, type CutVersion } from './cut-version.js';
export { draftFromFitted, fittedDraft, lastFitting, withFitted } from './fitted.js';
export { inputOfRule, nearestSize, ruleOfRun, rulesOffered, type OfferedRule } from './grade-rules.js';
export { bodiesOf, draftOfBody, gone, type RunBody } from './runs.js';
export { same, type Patch } from './patch.js';
export { mergeWorkbooks, planMerge, type Conflict, type Decisions, type Merge, type Side } from './merge.js';
export { enlist, type Arrival, type Enlisted } from './enlist.js';
export type {
  DraftVersion,
  Fitting,
  KeptChart,
  KeptDraft,
  KeptGradeRule,
  KeptStyle,
  MeasurementSet,
  Person,
  Photo,
  Practice,
  Run,
  Trace,
  Workbook,
  WorkbookContent,
} from '../workbook/index.js';
