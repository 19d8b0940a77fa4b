import {
  add,
  along,
  angleBetween,
  cross,
  crossLine,
  distance,
  mapPath,
  pathLength,
  scale,
  subtract,
  turn,
  unit,
  type Point,
} from '../../geometry/index.js';
import { alterationKind, ANY_PANEL } from '../kind.js';
import type { AlterationFault } from '../../refusal/index.js';
import { edgeOf, startOfRun, type Paper, type PaperDart } from '../paper.js';
import { waistKept } from '../seam-work.js';
import { closedWaistLength, flatDart, middleOf, waistOver } from '../waist-of-paper.js';
import { tilted } from './tilt.js';

/** What can be done to a dart; three of them let a seam, or the leg, take it over whole. */
type DartAct = 'intake' | 'length' | 'move' | 'turn' | 'split' | 'intoSide' | 'intoCentre' | 'intoHem';

/** Which dart, counted from the centre, is changed how, by how much in mm. */
interface DartChange {
  readonly dart: number;
  readonly act: DartAct;
  readonly by: number;
  readonly keepWaist: boolean;
}

/** True of the acts that take the dart away whole: they have no amount. */
export const takesDartOver = (act: unknown): boolean => act === 'intoSide' || act === 'intoCentre' || act === 'intoHem';

/** A dart must stay at least this long, in mm. */
const LEAST_LENGTH = 15;

/** A drawn dart whose intake misses what was asked by less than this, in mm, is as deep as asked. */
const INTAKE_MET = 0.0003;

/** A dart about an apex and a middle line, with legs of a length and an intake. */
function dartAbout(apex: Point, up: Point, leg: number, intake: number): PaperDart {
  const half = Math.asin(Math.min(0.9, intake / (2 * leg)));
  const tip = along(apex, up, leg);
  const [a, b] = [turn(tip, half, apex), turn(tip, -half, apex)];
  // The centre lies to the right.
  return a.x > b.x ? { apex, centreLeg: a, sideLeg: b } : { apex, centreLeg: b, sideLeg: a };
}

const SIDE_RUNS = ['waistToHip', 'hipToCrotch', 'sideThigh', 'sideShin'] as const;

/**
 * A dart closed and the piece cut from its point straight down to the hem: what lies toward the side swings about the
 * point, and the leg opens below. Side, inseam, rise and the waist over the closed dart keep their lengths.
 */
function turnedIntoHem(paper: Paper, dart: PaperDart, alteration: string): Paper | AlterationFault {
  const { apex, centreLeg, sideLeg } = dart;
  const [foot] = crossLine(edgeOf(paper, 'hem'), apex, DOWN);
  if (!foot || foot.along <= 0) return 'noRoom';
  const [a, b] = [subtract(sideLeg, apex), subtract(centreLeg, apex)];
  const angle = Math.sign(cross(a, b)) * angleBetween(a, b);
  const swing = (p: Point): Point => turn(p, angle, apex);
  const swung = Object.fromEntries(SIDE_RUNS.map((run) => [run, mapPath(paper.runs[run], swing)]));
  const square = unit(subtract(paper.centreHip, startOfRun(paper, 'hipToCrotch')));
  const next: Paper = {
    ...paper,
    runs: { ...paper.runs, ...swung },
    darts: paper.darts
      .filter((d) => d !== dart)
      .map((d) =>
        d.centreLeg.x < sideLeg.x
          ? { apex: swing(d.apex), centreLeg: swing(d.centreLeg), sideLeg: swing(d.sideLeg) }
          : d,
      ),
    newWaist: true,
    newHem: true,
    marks: [
      ...paper.marks,
      { alteration, kind: 'wedge', points: [apex, centreLeg, sideLeg], path: [] },
      { alteration, kind: 'wedge', points: [apex, foot.at, swing(foot.at)], path: [] },
      { alteration, kind: 'cut', points: [apex, foot.at], path: [] },
      { alteration, kind: 'hinge', points: [apex], path: [] },
    ],
  };
  // The hip line goes up with the side: where it meets the centre square to it, it is measured now.
  const sideHip = startOfRun(next, 'hipToCrotch');
  const onCentre = crossLine(edgeOf(next, 'rise'), sideHip, square).filter((hit) => hit.along > 0);
  const centreHip = onCentre.reduce<Point | undefined>(
    (near, { at }) => (!near || distance(at, paper.centreHip) < distance(near, paper.centreHip) ? at : near),
    undefined,
  );
  return waistKept({ ...next, centreHip: centreHip ?? paper.centreHip }, closedWaistLength(paper));
}

const DOWN: Point = { x: 0, y: 1 };

/** A dart deepened, lengthened, moved, turned, split, or taken over by a seam (docs/alterations.md). */
function dartChanged(paper: Paper, work: DartChange, alteration: string): Paper | AlterationFault {
  const { act, by, keepWaist } = work;
  const dart = paper.darts[work.dart];
  if (!dart) return 'noDart';
  const up = flatDart(dart).up;
  const leg = distance(dart.apex, dart.centreLeg);
  const intake = distance(dart.centreLeg, dart.sideLeg);
  const waistward = unit(subtract(dart.sideLeg, dart.centreLeg));
  const others = paper.darts.filter((d) => d !== dart);
  const ordered = (darts: readonly PaperDart[]): PaperDart[] =>
    [...others, ...darts].sort((a, b) => b.centreLeg.x - a.centreLeg.x);
  const shifted = (sideward: number, of: PaperDart = dart): PaperDart => {
    const carry = (p: Point): Point => add(p, scale(waistward, sideward));
    return { apex: carry(of.apex), centreLeg: carry(of.centreLeg), sideLeg: carry(of.sideLeg) };
  };
  const wanted = closedWaistLength(paper);
  const withDarts = (darts: readonly PaperDart[]): Paper => ({
    ...paper,
    darts: ordered(darts),
    newWaist: true,
    marks: [...paper.marks, { alteration, kind: 'wedge', points: [dart.apex, dart.centreLeg, dart.sideLeg], path: [] }],
  });
  switch (act) {
    case 'intake': {
      if (intake + by < 0) return 'tooMuch';
      if (intake + by < 0.5) return keepWaist ? waistKept(withDarts([]), wanted) : withDarts([]);
      // The new waist makes the legs a little longer or shorter: the angle is settled until the intake comes out.
      let asked = intake + by;
      let next = withDarts([]);
      for (let i = 0; i < 3; i++) {
        next = withDarts([dartAbout(dart.apex, up, leg, asked)]);
        if (keepWaist) next = waistKept(next, wanted);
        const drawn = waistOver(next)?.darts.find((d) => distance(d.apex, dart.apex) < 1e-6);
        if (!drawn) break;
        const missing = intake + by - drawn.intake;
        if (Math.abs(missing) < INTAKE_MET) break;
        asked += missing;
      }
      return next;
    }
    case 'length': {
      const apex = along(dart.apex, up, -by);
      if (distance(apex, middleOf(dart)) < LEAST_LENGTH || (by < 0 && -by > leg - LEAST_LENGTH)) return 'tooMuch';
      const next = withDarts([{ ...dart, apex }]);
      return keepWaist ? waistKept(next, wanted) : next;
    }
    case 'move':
    case 'turn': {
      const apex = add(dart.apex, scale(waistward, by));
      const next = withDarts([act === 'move' ? shifted(by) : { ...dart, apex }]);
      return keepWaist ? waistKept(next, wanted) : next;
    }
    case 'split': {
      const half = dartAbout(dart.apex, up, leg, intake / 2);
      const apart = Math.max(by, intake / 2 + 12);
      const next = withDarts([shifted(-apart / 2, half), shifted(apart / 2, half)]);
      return keepWaist ? waistKept(next, wanted) : next;
    }
    case 'intoSide':
      return waistKept(withDarts([]), wanted);
    case 'intoHem':
      return turnedIntoHem(paper, dart, alteration);
    case 'intoCentre': {
      const without = withDarts([]);
      const total = pathLength(without.runs.centre);
      const turned = tilted(without, { above: Math.max(0, total - 200), by: intake, giveBack: false }, alteration);
      return typeof turned === 'string' ? turned : waistKept(turned, wanted);
    }
  }
}

/** A dart that is taken over has no amount. */
const isTakenOver = ({ act }: Readonly<Record<string, unknown>>): boolean => takesDartOver(act);

/** Toward the side where the amount is positive, else toward the centre. */
const sideward = (by: number): string => (by < 0 ? 'centre' : 'side');

const SAID: Readonly<Record<DartAct, (by: number, amount: string) => string>> = {
  intake: (by, amount) => `dart ${amount} ${by < 0 ? 'narrower' : 'deeper'}`,
  length: (by, amount) => `dart ${amount} ${by < 0 ? 'shorter' : 'longer'}`,
  move: (by, amount) => `dart ${amount} toward the ${sideward(by)}`,
  turn: (by, amount) => `point of the dart ${amount} toward the ${sideward(by)}`,
  split: () => 'dart split in two',
  intoSide: () => 'dart taken over by the side seam',
  intoCentre: () => 'dart taken over by the centre seam',
  intoHem: () => 'dart turned into the hem',
};

/**
 * A dart changed, counted from the centre: deeper, longer or toward the side (+), split with so much between, or taken
 * over. `keepWaist`: the side gives or takes what the dart does.
 */
export const dart = alterationKind({
  kind: 'dart',
  label: 'Change a dart',
  panels: ANY_PANEL,
  fields: {
    act: {
      as: 'pick',
      label: 'What',
      options: [
        ['intake', 'Deeper (+) or narrower (−)'],
        ['length', 'Longer (+) or shorter (−)'],
        ['move', 'Moved toward the side (+) or centre (−)'],
        ['turn', 'Point turned toward the side (+) or centre (−)'],
        ['split', 'Split in two, so far apart'],
        ['intoSide', 'Taken over by the side seam'],
        ['intoCentre', 'Taken over by the centre seam'],
        ['intoHem', 'Turned into the hem: the leg flares'],
      ],
    },
    by: { as: 'length', label: 'By', unless: isTakenOver },
    dart: { as: 'count', label: 'Dart, from the centre', most: 9 },
    keepWaist: { as: 'tick', label: 'Keep the waist’s width', unless: isTakenOver },
  },
  start: (panel) => ({ panel, dart: 0, act: 'intake', by: 4, keepWaist: true }),
  say: ({ act, by, keepWaist }, { mm }) => `${SAID[act](by, mm(by))}${keepWaist ? ', waist kept' : ''}`,
  apply: dartChanged,
});
