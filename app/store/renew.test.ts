import { describe, expect, it } from 'vitest';
import type { Act } from '../../core/kept/index.js';
import { actFrom7 } from './renew.js';

const act = (patches: Act['changes'][number]['patches'], kind: 'draft' | 'person' = 'draft'): Act => ({
  id: 'a',
  place: 'draft d',
  at: '2026-10-01T10:00:00.000Z',
  rank: 1,
  said: '',
  changes: [{ kind, id: 'd', patches }],
  undone: false,
});

describe('an act kept before cloths had what they shrink by', () => {
  it('gives back a whole draft in the shape of today', () => {
    const was = { id: 'd', fit: { stretch: 0, shrinkLength: 0.04, shrinkWidth: 0.02 } };
    const renewed = actFrom7(act([{ at: [], was, is: undefined }]));
    expect(renewed?.changes[0]?.patches[0]).toMatchObject({
      was: { fit: { stretch: 0 }, cloths: { shell: { shrinkLength: 0.04, shrinkWidth: 0.02 } } },
      is: undefined,
    });
    expect(renewed?.changes[0]?.patches[0]).not.toHaveProperty('was.fit.shrinkLength');
  });

  it('is let go of where it set what no longer stands there, and stays otherwise', () => {
    expect(actFrom7(act([{ at: ['fit', 'shrinkLength'], was: 0, is: 0.04 }]))).toBeUndefined();
    const fit = { stretch: 0, shrinkLength: 0, shrinkWidth: 0 };
    expect(actFrom7(act([{ at: ['fit'], was: fit, is: { ...fit, stretch: 1 } }]))).toBeUndefined();
    const stretch = act([{ at: ['fit', 'stretch'], was: 0, is: 0.5 }]);
    expect(actFrom7(stretch)).toEqual(stretch);
    const person = act([{ at: ['fit'], was: 1, is: 2 }], 'person');
    expect(actFrom7(person)).toEqual(person);
  });
});
