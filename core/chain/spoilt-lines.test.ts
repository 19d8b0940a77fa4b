import { describe, expect, it } from 'vitest';
import { alteredInTurn, type Alteration, type AlterationWork } from '../alter/index.js';
import { sayFinding } from '../check/index.js';
import { computeDraft, EMPTY_INPUT, spoiltLines, type Draft } from './index.js';

const measured = { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 };
const hip = { line: 'hipLevel', by: 0 } as const;

function draft(alterations: readonly Alteration[]): Draft {
  const outcome = computeDraft({ ...EMPTY_INPUT, measured, alterations });
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.refusals));
  return outcome.value;
}

const listed = (...works: AlterationWork[]): Alteration[] =>
  works.map((work, i) => ({ id: `a${i}`, on: true, note: '', work }));

const seatWedge = (by: number): AlterationWork => ({
  kind: 'wedge',
  panel: 'back',
  from: { edge: 'rise', level: hip },
  hinge: { edge: 'side', level: hip },
  by,
});

/** The lines that each of a list leaves worse, as the room asks for them. */
function spoilt(alterations: readonly Alteration[]): ReturnType<typeof spoiltLines> {
  const drafted = draft(alterations);
  return spoiltLines(drafted, EMPTY_INPUT.rules, alteredInTurn(drafted.drafted, alterations, drafted.altered.told));
}

describe('the lines that an alteration leaves worse', () => {
  const found = (...works: AlterationWork[]): [string, string[]][] =>
    [...spoilt(listed(...works))].map(([id, checks]) => [id, checks.map((c) => c.id)]);

  it('are none for an everyday wedge, crotch point, cut across or small scoop', () => {
    expect(found(seatWedge(10))).toEqual([]);
    expect(found(seatWedge(20))).toEqual([]);
    expect(found({ kind: 'crotchPoint', panel: 'back', out: 8, down: 3, recentre: true })).toEqual([]);
    expect(found({ kind: 'across', panel: 'both', level: { line: 'hipLevel', by: 30 }, by: 15 })).toEqual([]);
    expect(found({ kind: 'scoop', panel: 'back', at: 0.5, by: 3, keepLength: false })).toEqual([]);
  });

  it('are named by the alteration that spoilt them, once, with what is wrong', () => {
    const deep: AlterationWork = { kind: 'scoop', panel: 'back', at: 0.5, by: 14, keepLength: false };
    expect(found(seatWedge(10), deep, seatWedge(2))).toEqual([['a1', ['backRiseLine']]]);
    const [check] = spoilt(listed(deep)).get('a0') ?? [];
    if (typeof check?.value !== 'object') throw new Error('no finding');
    expect(sayFinding(check.value, 'cm')).toMatch(/\d/);
  });

  it('are not counted for one that cannot be done or is switched off', () => {
    const deep: AlterationWork = { kind: 'scoop', panel: 'back', at: 0.5, by: 14, keepLength: false };
    const off = listed(deep).map((a) => ({ ...a, on: false }));
    expect([...spoilt(off)]).toEqual([]);
    expect(found({ kind: 'dart', panel: 'back', dart: 7, act: 'intake', by: 4, keepWaist: true })).toEqual([]);
  });
});
