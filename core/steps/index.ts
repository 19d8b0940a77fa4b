import type { Draft } from '../chain/index.js';
import { draftNotes, type Panel } from '../draft/index.js';
import { line, point, type Path, type Point } from '../geometry/index.js';
import { drawnOtherwise, type DrawnOtherwise } from '../measured/index.js';
import {
  keptDip,
  lineLabel,
  PANEL_PARAMETERS,
  showSum,
  type Levels,
  type PanelName,
  type Worked,
} from '../method/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import { layingOut, waistForNow } from './laid-out.js';
import words from './steps.json' with { type: 'json' };

/** One figure of a step: how it comes about and why. */
export interface StepSum {
  readonly name: string;
  readonly label: string;
  /** Names and numbers together. */
  readonly sum: string;
  readonly result: string;
  readonly reason: string;
}

/** A point that a step names. */
export interface NamedPoint {
  readonly label: string;
  readonly at: Point;
}

/** One worked step, in the order in which a method's makers draw. Geometry in panel coordinates, mm. */
export interface WorkedStep {
  readonly id: string;
  /** Nothing for a step that concerns both. */
  readonly panel: PanelName | undefined;
  readonly title: string;
  readonly sums: readonly StepSum[];
  /** What is usually done wrong here. */
  readonly slip: string;
  /** Lines that help to draw, and seams that stay. */
  readonly construction: readonly Path[];
  readonly seams: readonly Path[];
  readonly points: readonly NamedPoint[];
  /** What the drafting settled by itself, in sentences. */
  readonly told: readonly string[];
}

type StepId = keyof typeof words;

const PER_PANEL: readonly Exclude<StepId, 'levels'>[] = [
  'width',
  'crotchPoint',
  'crease',
  'centre',
  'curve',
  'waist',
  'darts',
  'leg',
  'inseam',
  'side',
];

/** What lies otherwise on the piece than its line says, in words. */
function sayDrawn({ drawn, why, parameter }: DrawnOtherwise, unit: Unit): string {
  const length = PANEL_PARAMETERS[parameter].kind === 'length';
  const figure = length ? formatLength(drawn, tapeFor(unit)) : String(Number(drawn.toFixed(3)));
  return `Drawn ${figure}: ${why}`;
}

function sumsOf(
  worked: Worked,
  names: readonly string[],
  unit: Unit,
  otherwise: readonly DrawnOtherwise[] = [],
): StepSum[] {
  const tape = tapeFor(unit);
  const idle = (name: string): boolean => {
    const found = worked.ledger.get(name);
    return found?.source === 'sheet' && found.value === 0 && found.node?.type === 'literal';
  };
  return names
    .filter((name) => !idle(name))
    .map((name) => {
      const found = worked.ledger.get(name);
      const value = found?.value;
      const result =
        typeof value === 'number' && found?.kind === 'length' ? formatLength(value, tape) : String(value ?? '');
      const sum = found?.source === 'hand' ? 'set by hand' : showSum(worked, name, unit).told;
      const drawn = otherwise.find((o) => `${o.panel}.${o.parameter}` === name);
      const reason = [found?.reason ?? '', ...(drawn ? [sayDrawn(drawn, unit)] : [])].join(' ').trim();
      return { name, label: lineLabel(worked.sheet, name), sum, result, reason };
    });
}

interface Adds {
  readonly construction?: readonly Path[];
  readonly seams?: readonly Path[];
  readonly points?: readonly NamedPoint[];
}

/** What each step adds to the paper of a panel. */
function addedBy(id: Exclude<StepId, 'levels'>, panel: Panel, levels: Levels): Adds {
  const { points: at, edges } = panel;
  const width = at.corner.x;
  const level = (y: number, from: number, to: number): Path => [line(point(from, y), point(to, y))];
  switch (id) {
    case 'width':
      return {
        construction: [
          [line(point(0, 0), point(0, levels.crotchLevel))],
          [line(point(width, 0), at.corner)],
          level(0, 0, width),
          level(levels.hipLevel, 0, width),
        ],
        points: [
          { label: 'side frame', at: point(0, 0) },
          { label: 'centre frame', at: point(width, 0) },
        ],
      };
    case 'crotchPoint':
      return {
        construction: [level(levels.crotchLevel, 0, at.crotchPoint.x), [line(at.corner, at.crotchPoint)]],
        points: [
          { label: 'corner', at: at.corner },
          { label: 'crotch point', at: at.crotchPoint },
        ],
      };
    case 'crease':
      return {
        construction: [[line(point(panel.crease, 0), point(panel.crease, levels.hemLevel))]],
        points: [{ label: 'side at the crotch', at: at.sideCrotch }],
      };
    case 'centre':
      return {
        construction: [[line(at.centreWaist, at.curveStart)]],
        points: [
          { label: 'centre waist', at: at.centreWaist },
          { label: 'turning point', at: at.tiltPoint },
        ],
      };
    case 'curve':
      return {
        construction: [[line(at.corner, at.hollow)]],
        seams: [edges.rise],
        points: [
          { label: 'curve begins', at: at.curveStart },
          { label: 'hollow', at: at.hollow },
        ],
      };
    case 'waist':
      return {
        construction: [[line(at.centreWaist, at.sideWaist)]],
        points: [{ label: 'side waist', at: at.sideWaist }],
      };
    case 'darts':
      return {
        seams: [edges.waist],
        construction: panel.darts.map((d) => [line(d.centreLeg, d.apex), line(d.apex, d.sideLeg)]),
        points: panel.darts.map((d) => ({ label: 'dart point', at: d.apex })),
      };
    case 'leg':
      return {
        construction: panel.kneeOnPiece ? [level(levels.kneeLevel, at.sideKnee.x, at.inseamKnee.x)] : [],
        seams: [edges.hem],
        points: [
          { label: 'side hem', at: at.sideHem },
          { label: 'inseam hem', at: at.inseamHem },
        ],
      };
    case 'inseam':
      return { seams: [edges.inseam], points: [] };
    case 'side':
      return { seams: [edges.side], points: [{ label: 'hip point', at: at.sideHip }] };
  }
}

/** What is cut of the front once the back is cut. */
function keptStep(draft: Draft, unit: Unit): WorkedStep[] {
  const dip = keptDip(draft.worked);
  if (dip === undefined) return [];
  const { worked, drafted } = draft;
  return [
    {
      id: 'front.keptLast',
      panel: 'front',
      title: `Take ${formatLength(dip, tapeFor(unit))} off the centre, now that the back is cut`,
      sums: sumsOf(worked, ['front.centreLift'], unit),
      slip: 'It is taken off before the back is chalked from it, and the back comes out as much too short.',
      construction: [],
      seams: [drafted.front.edges.waist],
      points: [{ label: 'centre waist', at: drafted.front.points.centreWaist }],
      told: [],
    },
  ];
}

function panelSteps(draft: Draft, name: PanelName, unit: Unit): WorkedStep[] {
  const { worked, drafted: block } = draft;
  const otherwise = drawnOtherwise(worked, block, block);
  return PER_PANEL.map((id) => {
    const { title, lines, slip } = words[id];
    const adds = addedBy(id, block[name], block.levels);
    const none = id === 'darts' && block[name].darts.length === 0;
    const { told, under } = id === 'width' ? layingOut(draft, name) : { told: [], under: [] };
    const dip = name === 'front' && id === 'darts' ? keptDip(draft.worked) : undefined;
    const kept = dip === undefined ? [] : [waistForNow(block.front, dip)];
    return {
      id: `${name}.${id}`,
      panel: name,
      title: none ? 'Draw the waist: no darts' : id === 'darts' ? 'Draw the darts and the waist' : title,
      sums: sumsOf(
        worked,
        lines.map((l) => `${name}.${l}`),
        unit,
        otherwise,
      ),
      slip,
      construction: [...under, ...(adds.construction ?? []), ...kept],
      seams: dip === undefined ? (adds.seams ?? []) : [],
      points: adds.points ?? [],
      told:
        dip === undefined
          ? told
          : [`The centre is left standing ${formatLength(dip, tapeFor(unit))} higher until the back is cut from it.`],
    };
  });
}

/**
 * A draft as numbered steps in the order in which the makers of its method work: the levels, then the panel they draw
 * first, then the other, then what the house settles by itself. Figures in the reader's unit.
 */
export function stepsOf(draft: Draft, unit: Unit): WorkedStep[] {
  const { worked, drafted: block } = draft;
  const { title, lines, slip } = words.levels;
  const both: readonly PanelName[] = worked.sheet.first === 'back' ? ['back', 'front'] : ['front', 'back'];
  const nothing = { panel: undefined, construction: [], seams: [], points: [] };
  const notes = draftNotes(worked, block, unit);
  return [
    { ...nothing, id: 'levels', title, sums: sumsOf(worked, lines, unit), slip, told: [] },
    ...both.flatMap((name) => panelSteps(draft, name, unit)),
    ...keptStep(draft, unit),
    {
      ...nothing,
      id: 'settled',
      title: 'Walk the seams',
      sums: [],
      slip: 'The walk is left out, and the seams do not meet in sewing.',
      told: notes.length > 0 ? notes : ['Everything meets as it was drawn.'],
    },
  ];
}

/** What is usually done wrong at a step. */
export const slipOf = (id: StepId): string => words[id].slip;
