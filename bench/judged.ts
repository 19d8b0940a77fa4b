import type { Draft } from '../core/chain/index.js';
import { parametersOf, type Panel } from '../core/draft/index.js';
import type { Path } from '../core/geometry/index.js';
import { judgePair, judgePanel, type JudgedAs, type JudgedPanel, type Missed, type Span } from './line-judge.js';

const spans = (path: Path): Span[] =>
  path.map(({ p0, p1, p2, p3 }) => [p0.x, p0.y, p1.x, p1.y, p2.x, p2.y, p3.x, p3.y]);

/** A panel as plain spans and points. */
export const asJudged = (panel: Panel): JudgedPanel => ({
  seams: {
    waist: spans(panel.edges.waist),
    side: spans(panel.edges.side),
    hem: spans(panel.edges.hem),
    inseam: spans(panel.edges.inseam),
    rise: spans(panel.edges.rise),
    closedWaist: spans(panel.closedWaist),
  },
  points: Object.fromEntries(Object.entries({ ...panel.points }).map(([name, p]) => [name, [p.x, p.y] as const])),
  darts: panel.darts.map(({ intake, length, apex }) => ({ intake, length, apex: [apex.x, apex.y] })),
});

/** What a draft's lines miss, front and back each and as a pair. */
export function judgeDraft({ worked, block }: Draft): { front: Missed[]; back: Missed[]; pair: Missed[] } {
  const { sheet, choices } = worked;
  const as = (panel: Panel): JudgedAs => ({
    name: panel.name,
    size: worked.size,
    straightSide: sheet.straightSide ?? false,
    plumbLeg: sheet.plumbLeg === true && choices['leg'] === 'sheet',
    crotchLevel: block.levels.crotchLevel,
    kneeLevel: panel.kneeOnPiece ? block.levels.kneeLevel : undefined,
    dartLength: parametersOf(panel)?.dartLength ?? NaN,
  });
  const [front, back] = [asJudged(block.front), asJudged(block.back)];
  const straight = sheet.surplus !== undefined || sheet.straightSide === true;
  return {
    front: judgePanel(front, as(block.front)),
    back: judgePanel(back, as(block.back)),
    pair: judgePair(front, back, straight),
  };
}
