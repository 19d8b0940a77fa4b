import { describe, expect, it } from 'vitest';
import type { Draft } from '../../core/chain/index.js';
import { houseCloth } from '../../core/cloth/index.js';
import type { Block } from '../../core/draft/index.js';
import { DEMO_WORKBOOK } from '../../core/demo/index.js';
import { versionInHand } from '../../core/kept/index.js';
import { keptLay } from '../../core/lay/index.js';
import { SHEETS } from '../../core/shipped/index.js';
import { firstFold, FOLD, foldWork, worksOf } from '../../core/toile/index.js';
import { changeCloth, forgetRemnant, keepLay, keepRemnant, layWith, takeSaving } from './cloth-work.js';
import {
  beginFitting,
  keepPredicted,
  markPredicted,
  changePin,
  closeFitting,
  forgetFitting,
  markSeen,
  putPin,
  reopenFitting,
  takeCause,
  takeFold,
} from './fitting-work.js';
import { openWork, type OpenWork } from './open-work.js';
import { putSheets } from './sheets.js';
import { forgetVersion, keepVersion, makeCurrent } from './version-work.js';
import { changeMethod } from './work-changes.js';

putSheets(SHEETS);

function opened(id = 'cellist-dress'): OpenWork {
  const draft = DEMO_WORKBOOK.drafts.find((d) => d.id === id);
  const person = DEMO_WORKBOOK.people.find((p) => p.id === draft?.personId);
  if (!draft || !person) throw new Error('not in the demo');
  return openWork({ draft, person });
}
const draftOf = (open: OpenWork) => open.state.getState().work.draft;
function blockOf(open: OpenWork): Block {
  const block = open.computed.getState().draft?.block;
  if (!block) throw new Error('does not draft');
  return block;
}
const now = new Date('2026-11-01T10:00:00');

describe('what is made of a draft', () => {
  it('draws nothing anew that is drawn already: cloth, fittings and a style leave the draft as it is', () => {
    const open = opened();
    const drawn = (): unknown => open.computed.getState().draft;
    const draft = drawn();
    keepRemnant({ ...houseCloth('shell', 'cm'), name: 'Left', width: 300, inHand: 500 })(open);
    beginFitting('f1', now)(open);
    expect(drawn()).toBe(draft);
    open.undo();
    expect(drawn()).toBe(draft);
    const others = { ...draftOf(open), style: undefined, set: { ...draftOf(open).set, 'back.extension': 91 } };
    open.state.setState({ work: { ...open.state.getState().work, draft: others } });
    expect(drawn()).not.toBe(draft);
    // A preview is drawn, and what lay before it is drawn no second time.
    const kept = drawn();
    open.state.setState({ preview: { set: { 'back.extension': 99 } } });
    expect(blockOf(open).back.points.crotchPoint.x).not.toBe((kept as Draft).block.back.points.crotchPoint.x);
    expect(open.computed.getState().before).toBe(kept);
    open.state.setState({ preview: undefined });
    expect(blockOf(open)).toEqual((kept as Draft).block);
  });
});

describe('the cloth of a garment', () => {
  it('keeps what is left of it by a name, once, until it is used up', () => {
    const open = opened();
    const left = { ...houseCloth('shell', 'cm'), name: 'Left', width: 300, inHand: 500 };
    keepRemnant(left)(open);
    keepRemnant({ ...left, inHand: 450 })(open);
    keepRemnant({ ...left, name: 'Other' })(open);
    expect(draftOf(open).remnants?.map((r) => [r.name, r.inHand])).toEqual([
      ['Left', 450],
      ['Other', 500],
    ]);
    forgetRemnant('Other')(open);
    forgetRemnant('Left')(open);
    expect('remnants' in draftOf(open)).toBe(false);
    open.undo();
    expect(draftOf(open).remnants).toHaveLength(1);
  });

  it('holds others and more of its own, each a step to undo; one of itself alone is nothing to keep', () => {
    const open = opened();
    layWith([
      { draft: 'cellist-dress', count: 2 },
      { draft: 'rigger-work', count: 1 },
    ])(open);
    expect(draftOf(open).laidWith).toHaveLength(2);
    layWith([
      { draft: 'cellist-dress', count: 1 },
      { draft: 'rigger-work', count: 1 },
    ])(open);
    expect(draftOf(open).laidWith).toEqual([{ draft: 'rigger-work', count: 1 }]);
    layWith([{ draft: 'cellist-dress', count: 1 }])(open);
    expect('laidWith' in draftOf(open)).toBe(false);
    open.undo();
    expect(draftOf(open).laidWith).toEqual([{ draft: 'rigger-work', count: 1 }]);
  });

  it('is as the house has it until something is said, each thing said one step to undo', () => {
    const open = opened();
    changeCloth('shell', { width: 1400 })(open);
    changeCloth('lining', { nap: 'two-way' })(open);
    expect(draftOf(open).cloths).toMatchObject({
      shell: { width: 1400, nap: 'one-way' },
      lining: { width: 1400, nap: 'two-way' },
    });
    open.undo();
    expect(draftOf(open).cloths?.lining).toBeUndefined();
    open.undo();
    expect(draftOf(open).cloths?.shell).toBeUndefined();
    open.redo();
    expect(draftOf(open).cloths?.shell?.width).toBe(1400);
  });

  it('keeps a lay for each cloth, and gives one up without the other', () => {
    const open = opened();
    const lay = keptLay({ length: 1200, placed: [] }, { area: 1, under: '' }, new Set());
    keepLay('shell', lay)(open);
    keepLay('lining', { ...lay, length: 300 })(open);
    keepLay('shell', undefined)(open);
    expect(Object.keys(draftOf(open).lays ?? {})).toEqual(['lining']);
    open.undo();
    expect(draftOf(open).lays?.shell?.length).toBe(1200);
  });

  it('takes what saves cloth in one step: alterations with ids of their own, each time', () => {
    const open = opened();
    const before = draftOf(open);
    const work = worksOf('sideIn', 20, blockOf(open))[0];
    if (!work) throw new Error('nothing done');
    const saving = { alterations: [{ id: 'same', on: true, note: 'To save cloth', work }], style: [] };
    let n = 0;
    const newId = (): string => `id-${(n += 1)}`;
    takeSaving(saving, newId)(open);
    takeSaving(saving, newId)(open);
    expect(
      draftOf(open)
        .alterations.slice(before.alterations.length)
        .map((a) => a.id),
    ).toEqual(['id-1', 'id-2']);
    expect(draftOf(open).style).toEqual([]);
    open.undo();
    open.undo();
    expect(draftOf(open)).toMatchObject({ alterations: before.alterations, style: before.style });
  });
});

describe('a fitting', () => {
  it('notes what is seen once, on the leg it was said of last, and what is pinned', () => {
    const open = opened();
    beginFitting('f', now)(open);
    markSeen('f', 'seatBags', 'both')(open);
    markSeen('f', 'seatBags', 'left')(open);
    markSeen('f', 'tightThigh', 'both')(open);
    markSeen('f', 'tightThigh', undefined)(open);
    putPin('f', { kind: 'pinchedSide', by: 12, leg: 'both' })(open);
    const [fitting] = draftOf(open).fittings ?? [];
    expect(fitting).toMatchObject({
      date: '2026-11-01',
      seen: [{ what: 'seatBags', leg: 'left' }],
      pins: [{ by: 12 }],
    });
    const pin = fitting?.pins[0]?.id ?? '';
    changePin('f', pin, { by: 15 })(open);
    expect(draftOf(open).fittings?.[0]?.pins[0]).toMatchObject({ kind: 'pinchedSide', by: 15 });
    changePin('f', pin, undefined)(open);
    expect(draftOf(open).fittings?.[0]?.pins).toEqual([]);
    open.undo();
    expect(draftOf(open).fittings?.[0]?.pins[0]).toMatchObject({ by: 15 });
  });

  it('takes a pinned fold out on the paper in one step, told with the pin, and undone with it', () => {
    const open = opened();
    const before = draftOf(open).alterations.length;
    beginFitting('f', now)(open);
    const fold = firstFold('back');
    putPin('f', { kind: FOLD, by: 8, leg: 'left', fold })(open);
    const pin = draftOf(open).fittings?.[0]?.pins[0]?.id ?? '';
    takeFold('f', pin, { id: 'a', on: true, note: '', work: foldWork(fold, 8), leg: 'left' })(open);
    expect(draftOf(open).alterations.at(-1)).toMatchObject({
      id: 'a',
      leg: 'left',
      work: { kind: 'pinch', byFrom: 8 },
    });
    expect(draftOf(open).fittings?.[0]?.pins[0]?.fold?.taken).toBe('a');
    open.undo();
    expect(draftOf(open).alterations).toHaveLength(before);
    expect(draftOf(open).fittings?.[0]?.pins[0]?.fold?.taken).toBeUndefined();
  });

  it('has something done about a cause in one step, with its mark, and keeps that when it is forgotten', () => {
    const open = opened();
    const before = draftOf(open).alterations.length;
    beginFitting('f', now)(open);
    const [work] = worksOf('closeSeat', 8, blockOf(open));
    if (!work) throw new Error('nothing done');
    takeCause('f', { cause: 'backRiseLong', by: 8, leg: 'both' }, [
      { id: 'a', on: true, note: 'The back rise is too long', work },
    ])(open);
    expect(draftOf(open).fittings?.[0]?.taken).toEqual(['backRiseLong']);
    expect(draftOf(open).fittings?.[0]?.done).toMatchObject([{ cause: 'backRiseLong', by: 8, leg: 'both' }]);
    expect(draftOf(open).alterations).toHaveLength(before + 1);
    open.undo();
    expect(draftOf(open).fittings?.[0]?.taken).toEqual([]);
    expect(draftOf(open).alterations).toHaveLength(before);
    open.redo();
    forgetFitting('f')(open);
    expect(draftOf(open).fittings).toEqual([]);
    expect(draftOf(open).alterations).toHaveLength(before + 1);
  });

  it('is closed with a version, one step to undo, and opened again with the version kept', () => {
    const open = opened();
    beginFitting('f', now)(open);
    closeFitting('f', 'fits', 'It fits.', now)(open);
    expect(versionInHand(open.state.getState().work)).toMatchObject({
      version: { number: 1, name: 'after the fitting of 2026-11-01', note: 'It fits.' },
      changed: false,
    });
    open.undo();
    expect(draftOf(open).versions ?? []).toEqual([]);
    expect(draftOf(open).fittings?.[0]?.closed).toBeUndefined();
    open.redo();
    reopenFitting('f')(open);
    expect(draftOf(open).fittings?.[0]?.closed).toBeUndefined();
    expect(draftOf(open).versions).toHaveLength(1);
  });
});

describe('versions of the open draft', () => {
  it('come back by another method too, and are forgotten without the draft', () => {
    const open = opened('lamp-plain');
    keepVersion({ name: 'first', note: '', state: 'uncut' })(open);
    const id = draftOf(open).version ?? '';
    const sixteenths = SHEETS.find((s) => s.id === 'sixteenths');
    if (!sixteenths) throw new Error('no such sheet');
    changeMethod(sixteenths)(open);
    expect(open.computed.getState().draft?.worked.sheet.id).toBe('sixteenths');
    makeCurrent(id)(open);
    expect(draftOf(open).method).toBe('quarter-and-half');
    expect(draftOf(open).versions?.map((v) => v.inputs.method)).toEqual(['quarter-and-half', 'sixteenths']);
    makeCurrent(draftOf(open).versions?.[1]?.id ?? '')(open);
    expect(open.computed.getState().draft?.worked.sheet.id).toBe('sixteenths');
    forgetVersion(id)(open);
    expect(draftOf(open).versions).toHaveLength(1);
    expect(draftOf(open).method).toBe('sixteenths');
    open.undo();
    expect(draftOf(open).versions).toHaveLength(2);
  });
});

describe('what the virtual toile told', () => {
  const told = { id: 'p', figure: 'gapBehind', before: 4, after: 12, against: 'Version 1' };
  const predicted = (open: OpenWork) => open.state.getState().work.draft.fittings?.at(-1)?.predicted;

  it('begins a fitting in one act, is looked at, taken back, and kept beside what was told before', () => {
    const open = opened('lamp-plain');
    beginFitting('f', new Date('2026-11-12T09:00:00Z'), [told])(open);
    expect(predicted(open)).toEqual([told]);
    markPredicted('f', 'p', 'so')(open);
    expect(predicted(open)).toEqual([{ ...told, seen: 'so' }]);
    markPredicted('f', 'p', undefined)(open);
    expect(predicted(open)).toEqual([told]);
    keepPredicted('f', [{ ...told, id: 'q', figure: 'thighAcross' }])(open);
    markPredicted('f', 'q', 'otherwise')(open);
    expect(predicted(open)?.map((p) => [p.id, p.seen])).toEqual([
      ['p', undefined],
      ['q', 'otherwise'],
    ]);
    for (let i = 0; i < 5; i++) open.undo();
    expect(open.state.getState().work.draft.fittings?.some((f) => f.id === 'f') ?? false).toBe(false);
  });
});
