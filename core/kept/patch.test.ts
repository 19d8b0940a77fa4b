import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clashesWith, patched, patchesBetween, reversed, same, valueAt } from './patch.js';

const name = fc.constantFrom('a', 'b', 'c', 'd');
const leaf = fc.oneof(fc.integer(), fc.string(), fc.boolean(), fc.constant(null));
const items = (value: fc.Arbitrary<unknown>) =>
  fc
    .uniqueArray(fc.constantFrom('p', 'q', 'r', 's', 't'), { maxLength: 5 })
    .chain((ids) => fc.tuple(...ids.map((id) => value.map((v) => ({ id, v })))) as fc.Arbitrary<unknown>);
const record: fc.Arbitrary<object> = fc.letrec((tie) => ({
  value: fc.oneof(
    { depthSize: 'small' },
    leaf,
    fc.array(fc.integer(), { maxLength: 3 }),
    items(tie('value')),
    tie('fields'),
  ),
  fields: fc.dictionary(name, tie('value'), { maxKeys: 4 }),
})).fields;

describe('the patches between two values', () => {
  it('make the one of the other, there and back, and leave both as they were', () => {
    fc.assert(
      fc.property(record, record, (was, is) => {
        const [wasText, isText] = [JSON.stringify(was), JSON.stringify(is)];
        const patches = patchesBetween(was, is);
        expect(same(patched(was, patches), is)).toBe(true);
        expect(same(patched(is, reversed(patches)), was)).toBe(true);
        expect(clashesWith(was, patches)).toEqual([]);
        expect(clashesWith(is, reversed(patches))).toEqual([]);
        expect(patches.length === 0).toBe(same(was, is));
        expect([JSON.stringify(was), JSON.stringify(is)]).toEqual([wasText, isText]);
      }),
      { numRuns: 2000, seed: 20261128 },
    );
  });

  it('are no larger than what was changed', () => {
    const was = {
      name: 'Trousers',
      set: { x: 1, y: 2 },
      list: [
        { id: 'p', v: 1 },
        { id: 'q', v: 2 },
      ],
    };
    const is = {
      ...was,
      set: { x: 1, y: 3 },
      list: [
        { id: 'p', v: 1 },
        { id: 'q', v: 5 },
        { id: 'r', v: 0 },
      ],
    };
    expect(patchesBetween(was, is)).toEqual([
      { at: ['set', 'y'], was: 2, is: 3 },
      { at: ['list', { id: 'q' }, 'v'], was: 2, is: 5 },
      { at: ['list', { id: 'r' }], was: undefined, is: { id: 'r', v: 0 } },
    ]);
    expect(patchesBetween(was, { ...was, list: [...was.list].reverse() })).toEqual([
      { at: ['list'], order: { was: ['p', 'q'], is: ['q', 'p'] } },
    ]);
    expect(patchesBetween(was, { ...was, note: undefined })).toEqual([]);
  });

  it('of two windows meet in either order where they touch different places', () => {
    const base = {
      name: 'a',
      list: [
        { id: 'p', v: 1 },
        { id: 'q', v: 2 },
      ],
      deep: { x: 1, y: 1 },
    };
    const mine = patchesBetween(base, { ...base, name: 'b', list: [...base.list, { id: 'm', v: 9 }] });
    const theirs = patchesBetween(base, {
      ...base,
      deep: { x: 1, y: 7 },
      list: [
        { id: 'p', v: 4 },
        { id: 't', v: 8 },
        { id: 'q', v: 2 },
      ],
    });
    const first = patched(base, mine);
    expect(clashesWith(first, theirs)).toEqual([]);
    const both = patched(first, theirs) as typeof base;
    expect(both).toMatchObject({ name: 'b', deep: { x: 1, y: 7 } });
    expect(both.list.map((i) => [i.id, i.v])).toEqual([
      ['p', 4],
      ['t', 8],
      ['q', 2],
      ['m', 9],
    ]);
    const [other] = [patched(patched(base, theirs), mine) as typeof base];
    expect(new Set(other.list.map((i) => i.id))).toEqual(new Set(['p', 'q', 'm', 't']));
  });

  it('clash where the place was changed otherwise meanwhile, or is gone', () => {
    const base = { set: { x: 1 }, list: [{ id: 'p', v: 1 }] };
    const patches = patchesBetween(base, { set: { x: 2 }, list: [{ id: 'p', v: 3 }] });
    expect(clashesWith({ set: { x: 5 }, list: [{ id: 'p', v: 1 }] }, patches)).toEqual([
      { at: ['set', 'x'], was: 1, is: 2 },
    ]);
    expect(clashesWith({ set: { x: 1 }, list: [] }, patches)).toEqual([
      { at: ['list', { id: 'p' }, 'v'], was: 1, is: 3 },
    ]);
    // The same change made twice is none.
    expect(clashesWith({ set: { x: 2 }, list: [{ id: 'p', v: 3 }] }, patches)).toEqual([]);
    const added = patchesBetween({ list: [{ id: 'p' }] }, { list: [{ id: 'p', v: 1 }] });
    expect(clashesWith({ list: [] }, added)).toHaveLength(1);
  });

  it('find what lies at a place', () => {
    expect(valueAt({ list: [{ id: 'p', v: { x: 4 } }] }, ['list', { id: 'p' }, 'v', 'x'])).toBe(4);
    expect(valueAt({ list: [] }, ['list', { id: 'p' }, 'v'])).toBeUndefined();
  });
});
