import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { draftFrom1, migrate, personFrom1 } from './index.js';

const first = JSON.parse(readFileSync('core/older/version-1.upstride.json', 'utf8')) as Record<string, unknown>;

describe('a workbook of the first version', () => {
  it('keeps all it held and is left at the ordinary where it said nothing', () => {
    const now = migrate(first);
    expect(now['version']).toBe(2);
    expect(now['charts']).toEqual([]);
    const [old] = first['people'] as Record<string, unknown>[];
    const [person] = now['people'] as Record<string, unknown>[];
    expect(person).toMatchObject({ id: old?.['id'], name: old?.['name'], build: { seat: 'average' } });
    const [oldSet] = old?.['sets'] as Record<string, unknown>[];
    const [set] = person?.['sets'] as Record<string, unknown>[];
    expect(set).toMatchObject({ ...oldSet, source: 'body', adopted: {}, heights: [], corrected: [] });
  });

  it('is changed once: what has the new fields keeps them', () => {
    expect(personFrom1({ build: { seat: 'full' }, sets: [{ source: 'pair' }] })).toMatchObject({
      build: { seat: 'full' },
      sets: [{ source: 'pair', waistSits: 'natural' }],
    });
    expect(draftFrom1({ fit: { stretch: 0.5 } })).toEqual({ fit: { stretch: 0.5 } });
    const now = migrate(first);
    expect(migrate(now)).toBe(now);
  });

  it('that is damaged is left for the schema to refuse', () => {
    expect(migrate({ version: 1, people: 'none', drafts: [3, null] })).toMatchObject({
      version: 2,
      people: 'none',
      drafts: [3, null],
    });
  });
});
