import { describe, expect, it } from 'vitest';
import { computeDraft } from '../chain/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { outlineOf } from '../draft/index.js';
import { pathLength } from '../geometry/index.js';
import { sheetById } from '../shipped/index.js';
import {
  cutOfVersion,
  cutVersionOf,
  draftFromFitted,
  fittedDraft,
  inputOf,
  lastFitting,
  newDraft,
  withFitted,
  withVersionKept,
} from './index.js';
import type { Work } from './kept.js';

const now = new Date('2026-11-29T10:00:00Z');
let count = 0;
const newId = (): string => `id-${++count}`;

function rigger(): Work {
  const book = DEMO_WORKBOOK;
  const draft = book.drafts.find((d) => (d.versions ?? []).length > 0);
  const person = book.people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error('the demo has a draft with versions');
  return { person, draft };
}

describe('the block that fits', () => {
  it('is marked with its person, offered to the next draft, and taken away again', () => {
    const { person, draft } = rigger();
    const [version] = draft.versions ?? [];
    const marked = withFitted(person, { draft: draft.id, version: version?.id }, now);
    expect(marked.fitted).toEqual({ draft: draft.id, version: version?.id, date: '2026-11-29' });
    const fitted = fittedDraft(marked, [draft]);
    expect(fitted?.alterations).toEqual(version?.inputs.alterations);
    expect(fittedDraft(marked, [])).toBeUndefined();
    expect(withFitted(marked, undefined, now)).toEqual(person);
  });

  it('comes with what the last fitting that was closed came to, whichever draft it was of', () => {
    const { draft } = rigger();
    const [one] = draft.fittings ?? [];
    if (!one) throw new Error('the demo has a fitting');
    const other = (id: string, date: string, closed: typeof one.closed) => ({
      ...draft,
      id,
      name: id,
      fittings: [{ ...one, date, closed }],
    });
    const drafts = [
      other('older', '2026-01-05', 'fits'),
      other('last', '2026-11-20', 'enough'),
      other('open', '2026-11-28', undefined),
      { ...other('another’s', '2026-11-25', 'fits'), personId: 'somebody' },
    ];
    expect(lastFitting(drafts, draft.personId)).toMatchObject({ of: 'last', fitting: { closed: 'enough' } });
    expect(lastFitting([...drafts].reverse(), draft.personId)?.of).toBe('last');
    expect(lastFitting([other('open', '2026-11-28', undefined)], draft.personId)).toBeUndefined();
  });

  it('begins another draft by its method, lines and alterations; finish, cloth and set stay that draft’s own', () => {
    const { person, draft } = rigger();
    const plain = { ...newDraft(newId, person, 'Best trousers', now), setId: person.sets[0]?.id ?? '' };
    const begun = draftFromFitted(draft, plain);
    expect(begun).toMatchObject({ id: plain.id, name: 'Best trousers', setId: plain.setId, method: draft.method });
    expect(begun.alterations).toEqual(draft.alterations);
    expect(begun.set).toEqual(draft.set);
    expect(begun.allowances).toEqual(plain.allowances);
    expect(begun.style).toBeUndefined();
    expect(begun.versions).toBeUndefined();
  });
});

describe('a version that is cut', () => {
  it('is the latest that is not uncut, with cut edges about its pieces', () => {
    const { person, draft } = rigger();
    const sheet = sheetById(draft.method);
    if (!sheet) throw new Error('no sheet');
    expect(cutVersionOf({ versions: [] })).toBeUndefined();
    const kept = withVersionKept({ person, draft }, newId, now, { name: 'cut', note: '', state: 'cut' });
    const version = cutVersionOf(kept);
    expect(version?.name).toBe('cut');
    const cut = version && cutOfVersion({ person, draft: kept }, version, sheet);
    const here = computeDraft(inputOf({ person, draft }, sheet));
    if (!cut || !here.ok) throw new Error('must draft');
    for (const name of ['front', 'back'] as const) {
      expect(outlineOf(cut.block[name])).toEqual(outlineOf(here.value.block[name]));
      expect(pathLength(cut.cutLines[name])).toBeGreaterThan(pathLength(outlineOf(cut.block[name])));
    }
  });
});
