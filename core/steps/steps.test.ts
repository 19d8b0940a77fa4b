import { describe, expect, it } from 'vitest';
import { inputFor } from '../../bench/random-body.js';
import { computeDraft, EMPTY_INPUT, type Draft } from '../chain/index.js';
import { pathLength } from '../geometry/index.js';
import { REQUIRED_LINES } from '../method/index.js';
import { SHEETS, sheetById } from '../shipped/index.js';
import { stepsOf } from './index.js';

const middle = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };

function draftBy(id: string, choices: Readonly<Record<string, string>> = {}): Draft {
  const sheet = sheetById(id);
  const outcome = sheet && computeDraft({ ...EMPTY_INPUT, ...inputFor(sheet, middle), choices });
  if (!outcome?.ok) throw new Error(`${id} must draft`);
  return outcome.value;
}

describe('the worked steps', () => {
  it('draw every seam once and tell every line that is not nothing, by every method', () => {
    for (const sheet of SHEETS) {
      const draft = draftBy(sheet.id);
      const steps = stepsOf(draft, 'cm');
      for (const name of ['front', 'back'] as const) {
        const drawn = steps.filter((s) => s.panel === name).flatMap((s) => s.seams);
        const length = drawn.reduce((sum, path) => sum + pathLength(path), 0);
        const whole = Object.values(draft.block[name].edges).reduce((sum, path) => sum + pathLength(path), 0);
        expect([sheet.id, name, length]).toEqual([sheet.id, name, expect.closeTo(whole, 6)]);
      }
      const told = new Set(steps.flatMap((s) => s.sums.map((sum) => sum.name)));
      for (const line of REQUIRED_LINES) {
        const { value, node } = draft.worked.ledger.get(line) ?? {};
        expect([sheet.id, line, told.has(line)]).toEqual([sheet.id, line, !(value === 0 && node?.type === 'literal')]);
      }
      for (const step of steps) expect(step.slip.length).toBeGreaterThan(20);
    }
  });

  it('draw the back on the front where its makers do', () => {
    const told = (id: string): string | undefined =>
      stepsOf(draftBy(id), 'cm').find((s) => s.id === 'back.width')?.told[0];
    expect(told('sixteenths')).toContain('the back drawn over the front: crease on crease');
    expect(told('front-first')).toContain('the back chalked from the front that was cut');
    expect(told('knit-leg')).toBe('Front and back are drawn from one side line.');
    expect(told('quarter-and-half')).toBeUndefined();
    const draft = draftBy('sixteenths');
    const [side] = stepsOf(draft, 'cm').find((s) => s.id === 'back.width')?.construction ?? [];
    const { front, back } = draft.drafted;
    expect(side?.[0]?.p0.x).toBeCloseTo(front.points.sideWaist.x + back.crease - front.crease, 6);
  });

  it('keep for last what their makers keep for last', () => {
    const draft = draftBy('front-first', { variant: 'wide' });
    const steps = stepsOf(draft, 'in');
    const ids = steps.map((s) => s.id);
    expect(ids.indexOf('front.keptLast')).toBeGreaterThan(ids.indexOf('back.side'));
    expect(steps.find((s) => s.id === 'front.keptLast')?.title).toBe(
      'Take 1 in off the centre, now that the back is cut',
    );
    const before = steps.find((s) => s.id === 'front.darts');
    expect(before?.seams).toEqual([]);
    const high = before?.construction.at(-1)?.at(-1)?.p3;
    expect(draft.drafted.front.points.centreWaist.y - (high?.y ?? NaN)).toBeCloseTo(25.4, 3);
    expect(stepsOf(draftBy('front-first'), 'in').some((s) => s.id === 'front.keptLast')).toBe(false);
  });

  it('go back first where the makers do, and start with the levels', () => {
    const panels = (id: string): (string | undefined)[] => stepsOf(draftBy(id), 'cm').map((s) => s.panel);
    expect(panels('thirds').slice(0, 2)).toEqual([undefined, 'back']);
    expect(panels('close').slice(0, 2)).toEqual([undefined, 'front']);
  });

  it('show the sum with its numbers, the reason and what the drafting settled', () => {
    const steps = stepsOf(draftBy('quarter-and-half'), 'cm');
    const sum = steps.flatMap((s) => s.sums).find((s) => s.name === 'back.extension');
    expect(sum).toMatchObject({
      label: 'Back crotch extension',
      sum: '(hip 100 ÷ 4 + split 0.64) ÷ 2',
      result: '12.8 cm',
    });
    expect(sum?.reason).toBe('Half of the panel, divided before the ease.');
    const drop = steps.flatMap((s) => s.sums).find((s) => s.name === 'back.sideOut' || s.name === 'back.curveRise');
    expect(drop?.reason).toMatch(/Drawn \d+(\.\d)? cm: /);
    expect(steps.at(-1)?.told.join(' ')).toContain('crotch point moved');
    expect(steps.find((s) => s.id === 'back.crotchPoint')?.points.map((p) => p.label)).toEqual([
      'corner',
      'crotch point',
    ]);
  });

  it('say where there are no darts', () => {
    const titles = stepsOf(draftBy('knit-leg'), 'cm').map((s) => s.title);
    expect(titles).toContain('Draw the waist: no darts');
  });
});
