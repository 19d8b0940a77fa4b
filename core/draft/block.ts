import { pathLength } from '../geometry/index.js';
import type { Levels, PanelName, Worked } from '../method/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import { completePanel, drawSeams, UNMOVED } from './draw-panel.js';
import { refuseLevels, type PanelSetting } from './panel-setting.js';
import type { EdgeName, Panel } from './panel.js';
import { stretchesOf, trueBack, type SeamStretches } from './true-seams.js';
import { HOUSE_RULES, type DraftRules } from './rules.js';

/** A whole draft: both panels on one frame, net. */
export interface Block {
  readonly levels: Levels;
  readonly front: Panel;
  readonly back: Panel;
}

/** The lengths of a panel's edges, in mm; the waist with its darts closed. */
export interface EdgeLengths {
  readonly waist: number;
  readonly side: number;
  readonly inseam: number;
  readonly inseamAboveKnee: number;
  readonly rise: number;
  readonly hem: number;
}

/** Measures a panel along its edges. */
export function edgeLengths(panel: Panel): EdgeLengths {
  const of = (edge: EdgeName): number => pathLength(panel.edges[edge]);
  return {
    waist: pathLength(panel.closedWaist),
    side: of('side'),
    inseam: of('inseam'),
    inseamAboveKnee: pathLength(panel.edges.inseam.slice(panel.joints.inseamKnee)),
    rise: of('rise'),
    hem: of('hem'),
  };
}

/** As many darts as a panel can have. */
const MOST_DARTS = 3;

function setting(worked: Worked, rules: DraftRules, name: PanelName): PanelSetting {
  const span = worked.body.get('apexSpan');
  const of = (limit: string): number => Number(worked.ledger.get(limit)?.value);
  return {
    name,
    parameters: worked[name],
    levels: worked.levels,
    halfSpan: span ? span.mm / 2 : undefined,
    hipKept: rules.hipKept,
    waistPlan: rules.waistPlan,
    waistLimits: {
      mostTaper: of('mostTaper'),
      narrowestDart: of('narrowestDart'),
      widestDart: of('widestDart'),
      mostCentreIn: of('mostCentreIn'),
      mostDarts: worked.child || worked.pullOn ? 0 : MOST_DARTS,
    },
    straightSide: worked.sheet.straightSide ?? false,
    mostMoved: of('mostMoved'),
    byHand: new Set([...worked.byHand].filter((n) => n.startsWith(`${name}.`)).map((n) => n.slice(name.length + 1))),
  };
}

/** A panel drawn by itself, with its seams' lengths for the other to be trued to. */
interface DrawnFront {
  readonly panel: Panel;
  readonly stretches: SeamStretches;
}

const sameRecord = (a: object, b: object): boolean => {
  const [p, q] = [Object.entries(a), b as Record<string, unknown>];
  return p.every(([key, value]) => q[key] === value);
};

const sameSetting = (a: PanelSetting, b: PanelSetting): boolean =>
  sameRecord(a.parameters, b.parameters) &&
  sameRecord(a.levels, b.levels) &&
  a.halfSpan === b.halfSpan &&
  a.hipKept === b.hipKept &&
  a.waistPlan === b.waistPlan &&
  sameRecord(a.waistLimits, b.waistLimits) &&
  a.straightSide === b.straightSide &&
  a.byHand.size === b.byHand.size &&
  [...a.byHand].every((name) => b.byHand.has(name));

let lastFront: { readonly setting: PanelSetting; readonly drawn: Outcome<DrawnFront> } | undefined;

/** The front does not depend on the back: while the back is dragged, the same front is given again. */
function drawFront(setting: PanelSetting): Outcome<DrawnFront> {
  if (lastFront && sameSetting(lastFront.setting, setting)) return lastFront.drawn;
  const seams = drawSeams(setting, UNMOVED);
  const panel = seams.ok ? completePanel(setting, UNMOVED, seams.value) : seams;
  const drawn =
    seams.ok && panel.ok
      ? good({ panel: panel.value, stretches: stretchesOf(seams.value) })
      : (panel as Outcome<never>);
  lastFront = { setting, drawn };
  return drawn;
}

/**
 * Draws both panels from a sheet worked out for a body (handbook 2, sections 5 and 7). Refuses, with the field and
 * the way out, what no piece can be made of; never throws for a figure.
 */
export function drawBlock(worked: Worked, rules: DraftRules = HOUSE_RULES): Outcome<Block> {
  const levels = refuseLevels(worked.levels, (name) => worked.byHand.has(name));
  if (levels) return refused(levels);
  const front = drawFront(setting(worked, rules, 'front'));
  if (!front.ok) return front;

  const backSetting = setting(worked, rules, 'back');
  const drawn = rules.trueSeams ? trueBack(backSetting, front.value.stretches) : plain(drawSeams(backSetting, UNMOVED));
  if (!drawn.ok) return drawn;
  const back = completePanel(backSetting, drawn.value.shift, drawn.value.seams);
  if (!back.ok) return back;
  return good({ levels: worked.levels, front: front.value.panel, back: back.value });
}

function plain<T>(seams: Outcome<T>): Outcome<{ seams: T; shift: typeof UNMOVED }> {
  return seams.ok ? good({ seams: seams.value, shift: UNMOVED }) : seams;
}

const MOVED = {
  crotchPoint: 'crotch point',
  sideHip: 'hip at the side',
  sideWaist: 'waist at the side',
} as const;

/** What the drafting changed or could not do on its own, as sentences in the reader's unit. */
export function draftNotes(block: Block, unit: Unit): string[] {
  const notes: string[] = [];
  const show = (mm: number): string => formatLength(Math.abs(mm), tapeFor(unit));
  for (const panel of [block.front, block.back]) {
    const { settled, parameters: p } = panel;
    const words = panel.name === 'front' ? 'Front' : 'Back';
    const asked = p.dartCount === 0 ? 'none' : `${p.dartCount} × ${show(p.dartIntake)}`;
    const changed = settled.dartCount !== p.dartCount || Math.abs(settled.dartIntake - p.dartIntake) > 0.5;
    if (changed && settled.dartCount + p.dartCount > 0) {
      notes.push(
        settled.dartCount === 0 && settled.centreIn > 0.5
          ? `${words}: no darts, the surplus leaves at the side and the centre (the sheet has ${asked}).`
          : settled.dartCount === 0
            ? `${words}: too little surplus for a dart, so there is none (the sheet has ${asked}).`
            : `${words}: the surplus takes ${settled.dartCount} × ${show(settled.dartIntake)} in darts (the sheet has ${asked}).`,
      );
    }
    if (settled.centreIn > 0.5) notes.push(`${words}: the centre takes ${show(settled.centreIn)} more of the surplus.`);
    if (panel.hollowLimitedBy !== 'none') {
      const why =
        panel.hollowLimitedBy === 'radius'
          ? 'a tighter curve would be under 12 mm in radius'
          : 'the curve would turn back';
      notes.push(`${words}: the hollow is ${show(panel.hollow)}, the nearest that a smooth curve can have; ${why}.`);
    }
    for (const key of ['crotchPoint', 'sideHip', 'sideWaist'] as const) {
      const by = settled[key];
      if (Math.abs(by) < 0.5) continue;
      const down = key === 'sideWaist' ? by < 0 : by > 0;
      notes.push(`${words}: ${MOVED[key]} moved ${show(by)} ${down ? 'down' : 'up'} to true the seams.`);
    }
  }
  return notes;
}
