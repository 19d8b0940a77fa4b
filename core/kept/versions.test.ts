import { describe, expect, it } from 'vitest';
import { computeDraft } from '../chain/index.js';
import { DEMO_WORKBOOK } from '../demo/index.js';
import { compareDrafts } from '../compare/index.js';
import { sheetById } from '../shipped/index.js';
import { readWorkbook, writeWorkbook } from '../workbook/index.js';
import {
  draftFromVersion,
  inputOf,
  isKept,
  same,
  versionInHand,
  versionLabel,
  withVersionCurrent,
  withVersionKept,
  workOfVersion,
  type KeptDraft,
  type Work,
} from './index.js';

const black = DEMO_WORKBOOK.drafts.find((d) => d.id === 'puppeteer-black') as KeptDraft;
// As it was before anything of it was kept.
const draft = Object.fromEntries(
  Object.entries(black).filter(([key]) => key !== 'versions' && key !== 'version'),
) as unknown as KeptDraft;
const person = DEMO_WORKBOOK.people.find((p) => p.id === draft.personId) as Work['person'];
const work: Work = { person, draft };
let count = 0;
const newId = (): string => `new-${(count += 1)}`;
const now = new Date('2026-11-01T10:00:00Z');
const facts = { name: 'toile', note: 'Calico', state: 'uncut' } as const;
const on = (next: KeptDraft): Work => ({ person, draft: next });
const drawn = (of: Work) => {
  const sheet = sheetById(of.draft.method);
  const outcome = sheet && computeDraft(inputOf(of, sheet));
  if (!outcome?.ok) throw new Error('must draft');
  return outcome.value;
};

describe('a version', () => {
  const kept = withVersionKept(work, newId, now, facts);
  const [first] = kept.versions ?? [];
  if (!first) throw new Error('no version');

  it('is in hand until anything that the draft is made from changes', () => {
    expect(versionInHand(work)).toBeUndefined();
    expect(versionInHand(on(kept))).toMatchObject({ version: { number: 1, name: 'toile' }, changed: false });
    expect(versionInHand(on({ ...kept, name: 'Other', note: 'Something', lays: {} }))?.changed).toBe(false);
    for (const change of [
      { settings: { ...kept.settings, hemGirth: 500 } },
      { set: { 'back.extension': 140 } },
      { style: [{ id: 'fly', values: {} }] },
      { allowances: { ...kept.allowances, depth: 10 } },
      { fit: { stretch: 0.2 } },
    ]) {
      expect(versionInHand(on({ ...kept, ...change }))?.changed).toBe(true);
    }
    const values = { ...person.sets.find((s) => s.id === draft.setId)?.values, hip: 999 };
    const remeasured = { ...person, sets: person.sets.map((s) => (s.id === draft.setId ? { ...s, values } : s)) };
    expect(versionInHand({ person: remeasured, draft: kept })?.changed).toBe(true);
  });

  it('is drawn as it was, whatever the draft and the figures have become since', () => {
    const later = { ...kept, settings: { hemGirth: 520 }, set: { 'front.extension': 70 } };
    const values = { waist: 900, hip: 1200, crotchDepth: 300, inseam: 700 };
    const remeasured = { ...person, sets: person.sets.map((s) => ({ ...s, values, adopted: {} })) };
    expect(compareDrafts(drawn(work), drawn(workOfVersion({ person: remeasured, draft: later }, first)))).toEqual([]);
    expect(compareDrafts(drawn(work), drawn({ person: remeasured, draft: later })).length).toBeGreaterThan(5);
    const gone = { ...person, sets: person.sets.filter((s) => s.id !== draft.setId) };
    expect(compareDrafts(drawn(work), drawn(workOfVersion({ person: gone, draft: later }, first)))).toEqual([]);
  });

  it('is made current with nothing lost: what there was is kept, once', () => {
    const later = { ...kept, settings: { hemGirth: 520 }, style: [{ id: 'fly', values: {} }] };
    const back = withVersionCurrent(on(later), first.id, newId, now);
    expect(back).toMatchObject({ settings: draft.settings, version: first.id });
    expect(back).not.toHaveProperty('style');
    expect(back.versions?.map((v) => [v.number, v.note])).toEqual([
      [1, 'Calico'],
      [2, 'Before version 1, toile'],
    ]);
    const second = back.versions?.[1];
    const again = withVersionCurrent(on(back), second?.id ?? '', newId, now);
    expect(again).toMatchObject({ settings: { hemGirth: 520 }, style: [{ id: 'fly' }] });
    expect(again.versions).toHaveLength(2);
    expect(isKept(on(again))).toBe(true);
    expect(withVersionCurrent(on(back), 'none', newId, now)).toBe(back);
  });

  it('is numbered on, also where one was forgotten, and copied as a draft of its own', () => {
    const two = withVersionKept(on(kept), newId, now, { ...facts, name: '' });
    const forgotten = { ...two, versions: (two.versions ?? []).slice(1) };
    expect(withVersionKept(on(forgotten), newId, now, facts).versions?.map((v) => v.number)).toEqual([2, 3]);
    expect((two.versions ?? []).map(versionLabel)).toEqual(['Version 1, toile', 'Version 2']);
    const copy = draftFromVersion(on(kept), first, newId, now);
    expect(copy.name).toBe(`${draft.name}, version 1, toile`);
    expect(copy.id).not.toBe(draft.id);
    expect(copy).not.toHaveProperty('versions');
    expect(compareDrafts(drawn(work), drawn(on(copy)))).toEqual([]);
  });

  it('goes out and comes in with its workbook', () => {
    const text = writeWorkbook({ ...DEMO_WORKBOOK, drafts: [kept] }, now);
    const read = readWorkbook(text);
    expect(read.ok && same(read.value.drafts[0], kept)).toBe(true);
  });
});
