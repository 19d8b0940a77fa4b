import type { Making } from '../../core/batch/index.js';
import type { Grading } from '../../core/batch/index.js';
import { dayOf, inputOf, inputOfRule, type RunBody } from '../../core/kept/index.js';
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

/** How a body comes to its size by the grade rule of its run; nothing where it is drafted on its own figures. */
export function gradingOf({ key, graded }: RunBody): Grading | undefined {
  if (!graded) return undefined;
  const { rule, size, garment } = graded;
  const sheet = sheetOf(rule.inputs);
  const [from, to] = [size, key].map((name) => ({ name, input: inputOfRule(rule, name, sheet) }));
  if (!from?.input || !to?.input) return undefined;
  const { alterations } = garment.draft;
  const both = alterations.filter((a) => a.leg === undefined);
  return {
    about: { name: `${rule.name}, ${key}`, date: dayOf(garment.draft.changed) },
    base: inputOf({ ...garment, draft: { ...garment.draft, alterations: both } }, sheetOf(garment.draft)),
    from: { name: from.name, input: from.input },
    to: { name: to.name, input: to.input },
  };
}

/** A body of a run as a worker is given it; lengths are told in the unit. */
export const taskOf = (body: RunBody, unit: Unit): BatchTask => ({
  key: body.key,
  name: body.name,
  input: { ...inputOf(body.work, sheetOf(body.work.draft)), grading: gradingOf(body) },
  making: makingOf(body, unit),
});
