import type { Making } from '../../core/batch/index.js';
import { inputOf, type RunBody } from '../../core/kept/index.js';
import { NO_STYLE } from '../../core/style/index.js';
import type { Unit } from '../../core/units/index.js';
import { putSheets, sheetOf } from '../store/sheets.js';
import { SHEETS } from '../../core/shipped/index.js';
import type { BatchTask } from '../workers/batch.worker.js';

// A body may have a draft of its own by any method.
putSheets(SHEETS);

/** What a body's draft becomes a garment by. */
const makingOf = ({ work: { draft } }: RunBody, unit: Unit): Making => ({
  style: draft.style ?? NO_STYLE,
  allowances: draft.allowances,
  cloths: draft.cloths,
  unit,
});

/** A body of a run as a worker is given it; lengths are told in the unit. */
export const taskOf = (body: RunBody, unit: Unit): BatchTask => ({
  key: body.key,
  name: body.name,
  input: inputOf(body.work, sheetOf(body.work.draft)),
  making: makingOf(body, unit),
});
