import type { Draft } from '../core/chain/index.js';
import { plainValue, type Measure } from '../core/check/index.js';
import { draftNotes, edgeLengths, outlineOf, type Panel } from '../core/draft/index.js';
import { flatten, type Path, type Point } from '../core/geometry/index.js';
import { findDoubts, type Measured } from '../core/measure/index.js';
import { drawnOtherwise, drawnParameters } from '../core/measured/index.js';
import { showSum, warningSentence } from '../core/method/index.js';
import { refusalWords, type Reader, type Refusal } from '../core/refusal/index.js';
import { readerIn, type Unit } from '../core/units/index.js';

/** How finely outlines are flattened, in mm. */
const FLATNESS = 0.05;

const outline = (panel: Panel): [number, number][] => flatten(outlineOf(panel), FLATNESS).map((p) => [p.x, p.y]);

/** Cubic spans as rows of eight: x0, y0, x1, y1, x2, y2, x3, y3. */
const spans = (path: Path): number[][] =>
  path.map(({ p0, p1, p2, p3 }) => [p0, p1, p2, p3].flatMap((p: Point) => [p.x, p.y]));

const seamsOf = ({ edges, closedWaist }: Panel): Record<string, number[][]> => ({
  waist: spans(edges.waist),
  side: spans(edges.side),
  hem: spans(edges.hem),
  inseam: spans(edges.inseam),
  rise: spans(edges.rise),
  closedWaist: spans(closedWaist),
});

const pointsOf = (panel: Panel): Record<string, [number, number]> =>
  Object.fromEntries(
    Object.entries(panel.points as unknown as Record<string, Point>).map(([name, p]) => [name, [p.x, p.y]]),
  );

const dartsOf = (panel: Panel): object[] =>
  panel.darts.map(({ intake, length, apex }) => ({ intake, length, apex: [apex.x, apex.y] }));

const refusalAnswer = (refusal: Refusal, reader: Reader): object => {
  const [reason, wayOut] = refusalWords(refusal, reader);
  return { field: refusal.field, code: refusal.code, reason, wayOut };
};

const finite = (x: number | undefined): number | null => (x !== undefined && Number.isFinite(x) ? x : null);

const measureAnswer = ({ id, panel, value, low, high, unit }: Measure): object => ({
  id,
  panel: panel ?? null,
  value: finite(value),
  low: finite(low),
  high: finite(high),
  unit,
});

/** The answer to an order: plain data for JSON, all lengths in mm; open ends of bands are null. */
export function answerTo(draft: Draft, measured: Measured, unit: Unit): Record<string, unknown> {
  const { worked, block, legs, checks, altered, drafted } = draft;
  const both = <T>(of: (panel: Panel) => T): { front: T; back: T } => ({
    front: of(block.front),
    back: of(block.back),
  });
  const otherwise = drawnOtherwise(worked, block, drafted);
  const why = (name: string): Record<string, string> =>
    Object.fromEntries(otherwise.filter((o) => o.panel === name).map((o) => [o.parameter, o.why]));
  const reader = readerIn(unit);
  return {
    method: worked.sheet.id,
    choices: worked.choices,
    ledger: [...worked.ledger.values()].map((line) => {
      const sum = showSum(worked, line.name, unit);
      return {
        name: line.name,
        formula: sum.formula,
        with: line.source === 'hand' ? 'set by hand' : sum.with,
        value: line.value,
        source: line.source,
      };
    }),
    frame: block.levels,
    front: worked.front,
    back: worked.back,
    derived: Object.fromEntries(
      [block.front, block.back].map((panel) => [
        panel.name,
        {
          seatAngle: (panel.seatAngle * 180) / Math.PI,
          crotchWidth: panel.crotchWidth,
          hollow: panel.hollow,
          settled: panel.settled,
        },
      ]),
    ),
    seams: both(seamsOf),
    points: both(pointsOf),
    darts: both(dartsOf),
    drawn: both(drawnParameters),
    drawnWhy: { front: why('front'), back: why('back') },
    edges: { front: edgeLengths(block.front), back: edgeLengths(block.back) },
    alterations: altered.told.map(({ id, done, refusal }) => ({
      id,
      done,
      ...(refusal && { refusal: refusalAnswer(refusal, reader) }),
    })),
    outline: { front: outline(block.front), back: outline(block.back) },
    // Where an alteration is for one leg alone, all else that is told of the pieces is the left leg's.
    ...(legs && {
      rightLeg: {
        edges: { front: edgeLengths(legs.right.front), back: edgeLengths(legs.right.back) },
        outline: { front: outline(legs.right.front), back: outline(legs.right.back) },
      },
    }),
    checks: checks.map((c) => ({
      id: c.id,
      value: plainValue(c, unit) ?? null,
      low: finite(c.low),
      high: finite(c.high),
      verdict: c.verdict,
      ...(c.measures && { measures: c.measures.map(measureAnswer) }),
    })),
    warnings: [
      ...worked.warnings.map((w) => warningSentence(w, reader)),
      ...altered.told.flatMap(({ refusal }) =>
        refusal ? [`${refusal.field}: ${refusalWords(refusal, reader)[0]} It is left out.`] : [],
      ),
      ...findDoubts(measured, unit).map((d) => d.sentence),
      ...draftNotes(worked, block, unit),
    ],
  };
}
