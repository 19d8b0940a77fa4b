import type { Block, Panel } from '../draft/index.js';
import {
  inseamTightest,
  kneeEvenness,
  riseFigures,
  sideFigures,
  sidePair,
  swingOf,
  waistFigures,
} from '../measured/index.js';
import { PANEL_NAMES, type PanelName } from '../method/index.js';
import type { About, Check, CheckId, Verdict } from './check.js';
import type { Comparison } from './comparison.js';
import type { LineKind } from './finding.js';
import type { Measure } from './measure.js';

/** Whom the lines are for, and what a switched-off rule or the method itself leaves unsecured. */
export interface LineRules {
  /** 1 for an adult; what lengths shrink by for a child. */
  readonly size: number;
  /** The method makes a side straight, or places the surplus itself: front and back need be no pair. */
  readonly sidesApart: boolean;
  /** The side is one straight vertical. */
  readonly straightSide: boolean;
  /** The panels before they were altered: a cut may have swung one of them, and its side and waist with it. */
  readonly drafted?: Block;
}

const START = { front: 60, back: 80 } as const;
const TIGHTEST = { front: 25, back: 35 } as const;
const FLAT = 300;
const TURNS = 0.3;
/** A seat line may turn back by this, in degrees, where it is blended. */
const SEAT_BLEND = 6;
const OFF_CHORD = { front: 6, back: 8 } as const;
/** Figures are drawn to a little less than their limits are stated. */
const DRAWN_TO = 0.015;
/** A measure missed by less than this share of its limit is near. */
const NEAR = 0.2;

/** Measures of one panel, or of both together, that lie under a limit or over one. */
const measuresOf = (
  panel: PanelName | undefined,
): Record<
  'most' | 'least',
  (id: string, value: number | undefined, limit: number, unit: Measure['unit']) => readonly Measure[]
> => ({
  most: (id, value, high, unit) => (value === undefined ? [] : [{ id, panel, value, low: undefined, high, unit }]),
  least: (id, value, low, unit) => (value === undefined ? [] : [{ id, panel, value, low, high: undefined, unit }]),
});

const missedBy = ({ value, low, high }: Measure): number => {
  const under = low === undefined ? 0 : (low - value) / (Math.abs(low) || 1);
  const over = high === undefined ? 0 : (value - high) / (Math.abs(high) || 1);
  const missed = Math.max(0, under, over);
  return missed <= DRAWN_TO ? 0 : missed;
};

function verdictOn(measures: readonly Measure[]): Verdict {
  const missed = measures.map(missedBy).filter((m) => m > 0);
  if (missed.length === 0) return 'in';
  return missed.length === 1 && (missed[0] ?? 1) < NEAR ? 'near' : 'out';
}

function lineCheck(id: CheckId, line: LineKind, asked: readonly Measure[], compares: Comparison, about: About): Check {
  // What a cut-down piece no longer has is not judged.
  const measures = asked.filter(({ value }) => Number.isFinite(value));
  const worst = [...measures].sort((a, b) => missedBy(b) - missedBy(a))[0];
  const verdict = verdictOn(measures);
  return {
    id,
    against: 'itself',
    kind: 'word',
    value: { of: 'line', line, worst: verdict === 'in' ? undefined : worst },
    low: undefined,
    high: undefined,
    verdict,
    compares,
    restsOnEstimate: false,
    about,
    measures,
  };
}

function riseLine(panel: Panel, { size }: LineRules): Check {
  const { name } = panel;
  const f = riseFigures(panel, FLAT * size);
  const { most, least } = measuresOf(name);
  return lineCheck(
    name === 'front' ? 'frontRiseLine' : 'backRiseLine',
    'rise',
    [
      ...most('turnsBack', f.turnsBack, name === 'back' ? SEAT_BLEND : TURNS, 'deg'),
      ...least('start', f.start, START[name] * size, 'mm'),
      ...least('tightest', f.tightest, TIGHTEST[name] * size, 'mm').map((m) => ({ ...m, at: f.tightestAt })),
      ...least('spread', f.spread, 0.2, 'share'),
      { id: 'peakAt', panel: name, value: f.peakAt, low: 0.2, high: 0.8, unit: 'share' },
      ...most('again', f.again, 0.06, 'share'),
      ...most('flatEnd', f.flatEnd, 0.4, 'share'),
      ...most('flatElsewhere', f.flatElsewhere, 0.35, 'share'),
    ],
    { of: 'riseLine' },
    { edges: [[name, 'rise']] },
  );
}

/** How far alterations have swung the top of a panel, in radians. */
const swing = (block: Block, { drafted }: LineRules, name: PanelName): number =>
  drafted ? swingOf(block[name], drafted[name]) : 0;
/** Sides of which one was swung by this much more are no longer laid on one another, in radians. */
const SWUNG_APART = Math.PI / 180;
/** A side that tapers by less than this, in mm, is equally full all along. */
const TAPERS = 5;

function sideOf(panel: Panel): Measure[] {
  const f = sideFigures(panel);
  const { most } = measuresOf(panel.name);
  return [
    ...most('plumb', f.plumb, 2, 'deg'),
    ...most('lean', f.lean, 15, 'deg'),
    ...most('turnsBack', f.turnsBack, TURNS, 'deg'),
    ...most('fullest', f.taper > TAPERS ? f.fullest : undefined, 15, 'mm'),
    ...most('outside', f.outside, 1, 'mm'),
    ...most('hollow', f.hollow, 8, 'mm'),
  ];
}

function pairOf(block: Block): Measure[] {
  const { tapers, lie } = sidePair(block);
  const { most } = measuresOf(undefined);
  return [...most('tapers', tapers, 10, 'mm'), ...most('lie', lie, 6, 'mm')];
}

function sideLine(block: Block, rules: LineRules): Check {
  const paired =
    !rules.sidesApart && Math.abs(swing(block, rules, 'front') - swing(block, rules, 'back')) < SWUNG_APART;
  return lineCheck(
    'sideLine',
    'side',
    [
      ...(rules.straightSide ? [] : PANEL_NAMES.flatMap((name) => sideOf(block[name]))),
      ...(paired ? pairOf(block) : []),
    ],
    { of: 'sideLine' },
    { edges: PANEL_NAMES.map((name) => [name, 'side'] as const) },
  );
}

function kneeLine(block: Block, rules: LineRules): Check {
  const judged = PANEL_NAMES.flatMap((name): Measure[] => {
    const { least } = measuresOf(name);
    const panel = block[name];
    return [
      ...least('sideEven', rules.straightSide ? undefined : kneeEvenness(panel, 'side'), 0.6, 'share'),
      ...least('inseamEven', kneeEvenness(panel, 'inseam'), 0.6, 'share'),
      ...least('inseamTightest', inseamTightest(panel), FLAT * rules.size, 'mm'),
    ];
  });
  return lineCheck(
    'kneeLine',
    'knee',
    judged,
    { of: 'kneeLine' },
    {
      edges: PANEL_NAMES.flatMap((name) => [[name, 'side'] as const, [name, 'inseam'] as const]),
      level: 'kneeLevel',
    },
  );
}

function waistOf(block: Block, rules: LineRules, name: PanelName): Measure[] {
  const f = waistFigures(block[name], swing(block, rules, name));
  const { most } = measuresOf(name);
  return [
    ...most('centre', f.centre, 2, 'deg'),
    ...most('side', Math.abs(f.side), 4, 'deg'),
    ...most('offChord', f.offChord, Math.max(OFF_CHORD[name], 1.25 * f.arc), 'mm'),
    ...most('middle', f.middle, TURNS, 'deg'),
    ...most('ends', f.ends, block[name].darts.length > 0 ? 8 : 15, 'deg'),
    ...(name === 'back' ? most('sag', f.sag, 5, 'mm') : []),
  ];
}

const waistLine = (block: Block, rules: LineRules): Check =>
  lineCheck(
    'waistLine',
    'waist',
    PANEL_NAMES.flatMap((name) => waistOf(block, rules, name)),
    { of: 'waistLine' },
    { edges: PANEL_NAMES.map((name) => [name, 'waist'] as const) },
  );

/** The lines as an eye judges them (docs/trade/curves.md): both rises, sides, the bend at the knee, the waist. */
export const checkLines = (block: Block, rules: LineRules): Check[] => [
  riseLine(block.front, rules),
  riseLine(block.back, rules),
  sideLine(block, rules),
  kneeLine(block, rules),
  waistLine(block, rules),
];
