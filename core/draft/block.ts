import { pathLength } from '../geometry/index.js';
import {
  formulaFor,
  namesIn,
  panelLine,
  type Levels,
  type PanelName,
  type PanelParameters,
  type Worked,
} from '../method/index.js';
import { good, refused, type Outcome } from '../refusal/index.js';
import type { RiseGave } from './panel-round.js';
import { NOTHING, settleSeams } from './settle-seams.js';
import { INSEAM_STRETCH } from './walk-inseams.js';
import { completePanel, drawRise, LEVEL_HEM, type HemShift } from './draw-panel.js';
import { hasKnee } from './leg.js';
import { refuseLevels, type PanelSetting } from './panel-setting.js';
import { parametersOf, type EdgeName, type Panel } from './panel.js';
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
  const { sheet, choices, body } = worked;
  const span = body.get('apexSpan');
  const of = (limit: string): number => Number(worked.ledger.get(limit)?.value);
  const { full } = worked;
  return {
    name,
    parameters: withBuild(worked, name, full?.[name] ?? worked[name]),
    levels: full?.levels ?? worked.levels,
    halfSpan: span ? span.mm / 2 : undefined,
    hipKept: rules.hipKept,
    waistLimits: {
      mostTaper: of('mostTaper'),
      narrowestDart: of('narrowestDart'),
      widestDart: of('widestDart'),
      mostCentreIn: of('mostCentreIn'),
      mostDarts: worked.child || worked.pullOn ? 0 : MOST_DARTS,
    },
    ownSurplus: sheet.surplus !== undefined && formulaFor(sheet.surplus, choices) === 'own',
    leansOut: !worked.pullOn && !sheet.straightSide,
    straightSide: sheet.straightSide ?? false,
    uprightSide: sheet.uprightSide !== undefined && formulaFor(sheet.uprightSide, choices) === name,
    plumbLeg: fallsPlumb(worked, name),
    legFromSide: choices['legFrom'] === 'side',
    inseamStretch: choices['inseams'] === 'equal' ? 0 : INSEAM_STRETCH,
    size: worked.size,
    cut: full && { parameters: worked[name], levels: worked.levels },
    mostMoved: of('mostMoved'),
    byHand: new Set(
      [...worked.byHand].flatMap((line) => {
        const of = panelLine(line);
        return of?.panel === name ? [of.parameter] : [];
      }),
    ),
  };
}

/**
 * A crotch width that a sheet states grows and shrinks with the extension, where build or a child's rules change that.
 */
function withBuild({ ledger }: Worked, name: PanelName, p: PanelParameters): PanelParameters {
  if (p.crotchWidth === undefined) return p;
  const stated = ledger.get(`${name}.crotchWidth`)?.node;
  // One that is laid off from the extension has them already.
  if (stated && namesIn(stated).includes(`${name}.extension`)) return p;
  const terms = ledger.get(`${name}.extension`)?.terms ?? [];
  return { ...p, crotchWidth: p.crotchWidth + terms.reduce((sum, { from, to }) => sum + to - from, 0) };
}

/** A skirt's leg falls plumb whatever the build, unless its widths were chosen. */
function fallsPlumb({ sheet, choices, ledger, byHand }: Worked, name: PanelName): boolean {
  const chosen = ['kneeGirth', 'hemGirth'].some((girth) => ledger.get(girth)?.source === 'hand');
  const set = byHand.has(`${name}.kneeWidth`) || byHand.has(`${name}.hemWidth`);
  return sheet.plumbLeg === true && choices['leg'] === 'sheet' && !chosen && !set;
}

/**
 * Draws both panels from a sheet worked out for a body (docs/trade/parameters.md, docs/trade/curves.md). Refuses, with
 * the field and the way out, what no piece can be made of; never throws for a figure.
 */
export function drawBlock(worked: Worked, rules: DraftRules = HOUSE_RULES): Outcome<Block> {
  const isByHand = (name: string): boolean => worked.byHand.has(name);
  const levels = refuseLevels(worked.levels, isByHand) ?? (worked.full && refuseLevels(worked.full.levels, isByHand));
  if (levels) return refused(levels);
  const settings = [setting(worked, rules, 'front'), setting(worked, rules, 'back')] as const;
  let gave: readonly [RiseGave, RiseGave] = [NOTHING, NOTHING];
  for (const free of [true, false]) {
    const seams = settleSeams(...settings, rules, gave);
    if (!seams.ok) return seams;
    const front = drawRise(settings[0], seams.value[0], free);
    if (!front.ok) return front;
    const back = drawRise(settings[1], seams.value[1], free);
    if (!back.ok) return back;
    gave = [front.value.gave, back.value.gave];
    // A rise that moved what it is drawn on is drawn once more, on seams that have settled to it.
    if (free && gave.some(({ lean, end }) => lean !== 0 || end !== 0)) continue;
    const walks = rules.trueSeams && settings[1].cut !== undefined && !hasKnee(worked.levels);
    // A back crotch point that lies lower would leave a very short leg no inseam: its hem begins as much lower.
    const lower = Math.max(0, seams.value[1].crotchPoint.y - seams.value[0].crotchPoint.y);
    const hem: HemShift = walks ? { side: 0, inseam: lower } : LEVEL_HEM;
    const [frontPanel, backPanel] = [
      completePanel(settings[0], seams.value[0], front.value),
      completePanel(settings[1], seams.value[1], back.value, hem),
    ];
    if (!frontPanel.ok) return frontPanel;
    if (!backPanel.ok) return backPanel;
    const trued = walks
      ? walkedHem(frontPanel.value, backPanel.value, settings[1].inseamStretch, hem, (at) =>
          completePanel(settings[1], seams.value[1], back.value, at),
        )
      : backPanel.value;
    return good({ levels: worked.levels, front: frontPanel.value, back: trued });
  }
  throw new Error('A rise that may give way in nothing is drawn or refused');
}

/** So often the back hem of a short leg is laid anew. */
const HEM_ROUNDS = 3;

/** The back of a short leg, its hem corners lowered or raised until side and inseam are sewn to the front's. */
function walkedHem(
  front: Panel,
  first: Panel,
  stretch: number,
  from: HemShift,
  draw: (hem: HemShift) => Outcome<Panel>,
): Panel {
  const [side, inseam] = [edgeLengths(front).side, edgeLengths(front).inseam - stretch];
  let back = first;
  let hem = from;
  for (let round = 0; round < HEM_ROUNDS; round++) {
    const now = edgeLengths(back);
    hem = { side: hem.side + side - now.side, inseam: hem.inseam + inseam - now.inseam };
    const drawn = draw(hem);
    // A hem far narrower than the leg may leave no seam to walk: the last that can be drawn stays, and the walk tells.
    if (!drawn.ok) return back;
    back = drawn.value;
  }
  return back;
}

/** The hip girth that a block's sheet laid off, in mm; nothing for an outline, which has no sheet. */
export function sheetHip({ front, back }: Block): number | undefined {
  const [ahead, behind] = [parametersOf(front), parametersOf(back)];
  return ahead && behind && 2 * (ahead.hipWidth + behind.hipWidth);
}
