import { it } from 'vitest';
import { computeDraft, EMPTY_INPUT } from '../chain/index.js';
import { checkAgainstItself, hipWidthOf } from '../check/index.js';
import { edgeLengths } from '../draft/index.js';
import { alterBlock, type AlterationWork } from './index.js';
const d = computeDraft({ ...EMPTY_INPUT, measured: { waist: 780, hip: 1000, crotchDepth: 272, inseam: 780 } });
if (!d.ok) throw new Error('x');
const block = d.value.block;
const hip = { line: 'hipLevel', by: 0 } as const;
const works: AlterationWork[] = [
  { kind: 'wedge', panel: 'back', from: { edge: 'rise', level: hip }, hinge: { edge: 'side', level: hip }, by: 12 },
  { kind: 'wedge', panel: 'back', from: { edge: 'rise', level: hip }, hinge: { edge: 'side', level: hip }, by: -12 },
  {
    kind: 'wedge',
    panel: 'back',
    from: { edge: 'rise', level: { line: 'crotchLevel', by: -90 } },
    hinge: { edge: 'side', level: { line: 'crotchLevel', by: -90 } },
    by: 12,
  },
  { kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 0 }, by: 20 },
  { kind: 'across', panel: 'both', level: { line: 'kneeLevel', by: 0 }, by: -20 },
  { kind: 'across', panel: 'both', level: { line: 'hipLevel', by: 30 }, by: 10 },
  { kind: 'across', panel: 'both', level: { line: 'thighLevel', by: 0 }, by: 10 },
  {
    kind: 'pinch',
    panel: 'back',
    from: { edge: 'rise', share: 0.2 },
    to: { edge: 'side', share: 0.12 },
    byFrom: 8,
    byTo: 4,
  },
  { kind: 'waist', panel: 'both', centre: -10, side: -10 },
  { kind: 'waist', panel: 'back', centre: 10, side: 0 },
  { kind: 'scoop', panel: 'back', at: 0.4, by: 6, keepLength: true },
  { kind: 'scoop', panel: 'front', at: 0.5, by: -4, keepLength: false },
  { kind: 'crotchPoint', panel: 'back', out: 12, down: 0, recentre: true },
  { kind: 'crotchPoint', panel: 'front', out: -6, down: 5, recentre: false },
  { kind: 'tilt', panel: 'back', above: 0, by: 12, giveBack: true },
  { kind: 'seam', panel: 'both', seam: 'side', by: 6, from: hip, to: { line: 'crotchLevel', by: 0 }, runOut: 150 },
  {
    kind: 'seam',
    panel: 'back',
    seam: 'inseam',
    by: 6,
    from: { line: 'thighLevel', by: 0 },
    to: { line: 'kneeLevel', by: 0 },
    runOut: 100,
  },
  {
    kind: 'seam',
    panel: 'back',
    seam: 'centre',
    by: -5,
    from: { line: 'waistLine', by: -100 },
    to: { line: 'waistLine', by: 0 },
    runOut: 120,
  },
  ...(['intake', 'length', 'move', 'turn', 'split', 'intoSide', 'intoCentre'] as const).map((act): AlterationWork => ({
    kind: 'dart',
    panel: 'back',
    dart: 0,
    act,
    by: 8,
    keepWaist: true,
  })),
  { kind: 'crease', panel: 'both', by: 6 },
];
it('tries', () => {
  for (const work of works) {
    const t0 = performance.now();
    const { block: b, told } = alterBlock(block, [{ id: 'a', on: true, note: '', work }]);
    const t1 = performance.now();
    const f = (p: 'front' | 'back') => {
      const [x, y] = [edgeLengths(block[p]), edgeLengths(b[p])];
      return (
        Object.keys(x)
          .map((k) => [k, (y as any)[k] - (x as any)[k]] as const)
          .filter((e) => Math.abs(e[1]) > 0.01)
          .map(([k, v]) => k + ' ' + v.toFixed(2))
          .join(', ') +
        ' hip ' +
        (hipWidthOf(b[p]) - hipWidthOf(block[p])).toFixed(3) +
        ' cw ' +
        (b[p].crotchWidth - block[p].crotchWidth).toFixed(2) +
        ' seat ' +
        ((b[p].seatAngle - block[p].seatAngle) * 57.3).toFixed(2)
      );
    };
    console.log(
      JSON.stringify(work).slice(0, 130),
      (t1 - t0).toFixed(2),
      'ms\n ',
      told[0]?.done,
      told[0]?.refusal?.reason,
      '\n  F:',
      f('front'),
      '\n  B:',
      f('back'),
      '\n  ',
      checkAgainstItself(b)
        .filter((c) => c.verdict !== 'in')
        .map((c) => `${c.id} ${String(c.value)} ${c.verdict}`)
        .join('; '),
      JSON.stringify(told[0]?.changes.map((c) => [c.panel, c.edge, c.by.toFixed(3)])),
    );
  }
});
