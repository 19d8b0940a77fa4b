import { describe, expect, it } from 'vitest';
import { KIND_LABELS, STARTING_KINDS, startingWork, type AlterationKind } from '../../core/alter/index.js';
import { alterationWork } from '../../core/workbook/index.js';
import { z } from 'zod';
import { FIELDS } from './alteration-fields.js';

const schema = alterationWork(z.number());
const rise = {
  kind: 'rise',
  panel: 'back',
  points: [
    { x: 0, y: 0 },
    { x: -60, y: -20 },
    { x: -90, y: -200 },
  ],
  blend: 0.4,
  keepLength: true,
};

describe('the figures of an alteration', () => {
  it.each(Object.keys(KIND_LABELS) as AlterationKind[])(
    'of kind %s are all there to be changed, and no others',
    (kind) => {
      const work: Record<string, unknown> =
        kind === 'rise' ? rise : { ...startingWork(STARTING_KINDS.find((k) => k === kind) ?? 'wedge', 'back') };
      expect(schema.safeParse(work).success).toBe(true);
      const shown = FIELDS[kind].map((f) => f.key);
      const kept = Object.keys(work).filter((key) => !['kind', 'panel', 'points'].includes(key));
      expect([...shown].sort()).toEqual([...kept].sort());
    },
  );

  it.each(Object.keys(KIND_LABELS) as AlterationKind[])('of kind %s are each of the kind that is entered', (kind) => {
    const work: Record<string, unknown> =
      kind === 'rise' ? rise : { ...startingWork(STARTING_KINDS.find((k) => k === kind) ?? 'wedge', 'back') };
    for (const field of FIELDS[kind]) {
      const tries: Record<typeof field.as, unknown[]> = {
        length: [0, -12.5],
        percent: [0, 1],
        number: [0, 9],
        tick: [true, false],
        level: [{ line: 'kneeLevel', by: -3 }],
        place: [
          { edge: 'side', share: 0.5 },
          { edge: 'rise', level: { line: 'hipLevel', by: 0 } },
        ],
        pick: (field.options ?? []).map(([value]) => value),
      };
      expect(tries[field.as].length).toBeGreaterThan(0);
      for (const value of tries[field.as]) {
        expect([field.key, value, schema.safeParse({ ...work, [field.key]: value }).success]).toEqual([
          field.key,
          value,
          true,
        ]);
      }
    }
  });

  it('are refused where they are none', () => {
    expect(schema.safeParse({ ...startingWork('scoop', 'back'), at: 2 }).success).toBe(false);
    expect(schema.safeParse({ ...startingWork('wedge', 'back'), by: 'much' }).success).toBe(false);
    expect(schema.safeParse({ ...startingWork('wedge', 'back'), left: 1 }).success).toBe(false);
    expect(schema.safeParse({ ...startingWork('dart', 'back'), dart: -1 }).success).toBe(false);
  });
});
