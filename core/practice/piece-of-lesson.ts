import { newDraft, newPerson, type KeptDraft, type Person } from '../kept/index.js';
import { SHEETS_OWN_FIT, type Sheet } from '../method/index.js';
import type { Lesson } from '../workbook/index.js';
import { unitOfLevel, type WrongTape } from './bodies.js';
import type { LessonOnBody } from './lesson-draft.js';

/** The body of a table of figures once the wrong one is put right. */
export const bodyPutRight = ({ figures, wrong, was }: WrongTape): Pick<LessonOnBody, 'measured' | 'fit'> => ({
  measured: { ...figures, [wrong]: was },
  fit: SHEETS_OWN_FIT,
});

/** The person that stands for a lesson's body, and their draft: the trued pair of what the lesson laid off. */
export function pieceOfLesson(
  { title, level, choices }: Lesson,
  sheet: Sheet,
  { measured, fit }: Pick<LessonOnBody, 'measured' | 'fit'>,
  newId: () => string,
  now: Date,
): { readonly person: Person; readonly draft: KeptDraft } {
  const fresh = newPerson(newId, `Practice body, ${title.toLowerCase()}`, unitOfLevel(level), now);
  const sets = fresh.sets.map((set) => ({ ...set, note: 'Made up for a lesson.', values: { ...measured } }));
  const person = { ...fresh, sets };
  const draft = {
    ...newDraft(newId, person, title, now),
    method: sheet.basedOn ?? sheet.id,
    fit: { ...fit },
    choices: { ...choices },
    ...(sheet.basedOn !== undefined && { sheet }),
  };
  return { person, draft };
}
