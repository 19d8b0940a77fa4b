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
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import type { About, Check, CheckId, Measure, Verdict } from './check.js';

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

interface Judged extends Measure {
  /** What is the matter, in the maker's words; asked only where it is missed. */
  readonly words: () => string;
}

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

function lineCheck(id: CheckId, label: string, asked: readonly Judged[], compares: string, about: About): Check {
  // What a cut-down piece no longer has is not judged.
  const judged = asked.filter(({ value }) => Number.isFinite(value));
  const worst = [...judged].sort((a, b) => missedBy(b) - missedBy(a))[0];
  const verdict = verdictOn(judged);
  return {
    id,
    label,
    against: 'itself',
    kind: 'word',
    value: verdict === 'in' || !worst ? 'Fair' : worst.words(),
    low: undefined,
    high: undefined,
    verdict,
    compares,
    restsOnEstimate: false,
    about,
    measures: judged.map(({ id: name, panel, value, low, high, unit }) => ({
      id: name,
      panel,
      value,
      low,
      high,
      unit,
    })),
  };
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;
const degrees = (angle: number): string => `${angle.toFixed(1)}°`;

type Say = (mm: number) => string;

function riseLine(panel: Panel, { size }: LineRules, say: Say): Check {
  const { name } = panel;
  const f = riseFigures(panel, FLAT * size);
  const of = (
    id: string,
    value: number,
    low: number | undefined,
    high: number | undefined,
    unit: Measure['unit'],
    words: () => string,
  ): Judged => ({
    id,
    panel: name,
    value,
    low,
    high,
    unit,
    words,
  });
  const side = name === 'front' ? 'Front' : 'Back';
  return lineCheck(
    name === 'front' ? 'frontRiseLine' : 'backRiseLine',
    `${side} rise line`,
    [
      of(
        'turnsBack',
        f.turnsBack,
        undefined,
        name === 'back' ? SEAT_BLEND : TURNS,
        'deg',
        () => `Turns back by ${degrees(f.turnsBack)}`,
      ),
      of(
        'start',
        f.start,
        START[name] * size,
        undefined,
        'mm',
        () => `Leaves the straight suddenly: radius ${say(f.start)}`,
      ),
      of(
        'tightest',
        f.tightest,
        TIGHTEST[name] * size,
        undefined,
        'mm',
        () => `Tightest ${say(f.tightest)}, ${say(f.tightestAt)} from the crotch point`,
      ),
      of(
        'spread',
        f.spread,
        0.2,
        undefined,
        'share',
        () => `Half of the turn within ${percent(f.spread)} of the curve`,
      ),
      of('peakAt', f.peakAt, 0.2, 0.8, 'share', () => `Fullest bend at ${percent(f.peakAt)} of the way`),
      of('again', f.again, undefined, 0.06, 'share', () => `The bend rises twice`),
      of('flatEnd', f.flatEnd, undefined, 0.4, 'share', () => `Flat for ${percent(f.flatEnd)} at the crotch point`),
      of(
        'flatElsewhere',
        f.flatElsewhere,
        undefined,
        0.35,
        'share',
        () => `Flat for ${percent(f.flatElsewhere)} of the curve`,
      ),
    ],
    'How the rise bends: gently off the straight, one peak, its turn spread, nothing flat for long.',
    { edges: [[name, 'rise']] },
  );
}

/** How far alterations have swung the top of a panel, in radians. */
const swing = (block: Block, { drafted }: LineRules, name: PanelName): number =>
  drafted ? swingOf(block[name], drafted[name]) : 0;
/** Sides of which one was swung by this much more are no longer laid on one another, in radians. */
const SWUNG_APART = Math.PI / 180;

function sideLine(block: Block, rules: LineRules, say: Say): Check {
  const judged: Judged[] = [];
  if (!rules.straightSide) {
    for (const name of PANEL_NAMES) {
      const f = sideFigures(block[name]);
      const words = name === 'front' ? 'Front' : 'Back';
      const most = (
        id: string,
        value: number | undefined,
        high: number,
        unit: Measure['unit'],
        said: () => string,
      ): void => {
        if (value !== undefined)
          judged.push({ id, panel: name, value, low: undefined, high, unit, words: () => `${words} ${said()}` });
      };
      most('plumb', f.plumb, 2, 'deg', () => `leans ${degrees(f.plumb)} on the hip line`);
      most('lean', f.lean, 15, 'deg', () => `leans ${degrees(f.lean)} at the waist`);
      most('turnsBack', f.turnsBack, TURNS, 'deg', () => `turns back by ${degrees(f.turnsBack)} above the hip`);
      if (f.taper > 5) most('fullest', f.fullest, 15, 'mm', () => `is fullest ${say(f.fullest)} off the hip line`);
      most('outside', f.outside, 1, 'mm', () => `bows ${say(f.outside ?? 0)} outside the straight over the thigh`);
      most('hollow', f.hollow, 8, 'mm', () => `is hollow by ${say(f.hollow ?? 0)} over the thigh`);
    }
  }
  if (!rules.sidesApart && Math.abs(swing(block, rules, 'front') - swing(block, rules, 'back')) < SWUNG_APART) {
    const { tapers, lie } = sidePair(block);
    const pair = (id: string, value: number, high: number, words: () => string): void => {
      judged.push({ id, panel: undefined, value, low: undefined, high, unit: 'mm', words });
    };
    pair('tapers', tapers, 10, () => `Tapers differ by ${say(tapers)}`);
    pair('lie', lie, 6, () => `Laid on one another ${say(lie)} apart`);
  }
  return lineCheck(
    'sideLine',
    'Side line',
    judged,
    'The side: plumb and fullest on the hip line, front and back alike above it, straight or a little hollow over the thigh.',
    { edges: PANEL_NAMES.map((name) => [name, 'side'] as const) },
  );
}

function kneeLine(block: Block, rules: LineRules, say: Say): Check {
  const judged: Judged[] = [];
  for (const name of PANEL_NAMES) {
    const words = name === 'front' ? 'Front' : 'Back';
    for (const edge of ['side', 'inseam'] as const) {
      const value = rules.straightSide && edge === 'side' ? undefined : kneeEvenness(block[name], edge);
      if (value === undefined) continue;
      const said = (): string => `${words} ${edge} turns in an elbow at the knee: ${percent(value)} of an even bend`;
      judged.push({ id: `${edge}Even`, panel: name, value, low: 0.6, high: undefined, unit: 'share', words: said });
    }
    const tightest = inseamTightest(block[name]);
    if (tightest === undefined) continue;
    const said = (): string => `${words} inseam bends to a radius of ${say(tightest)}`;
    judged.push({
      id: 'inseamTightest',
      panel: name,
      value: tightest,
      low: FLAT * rules.size,
      high: undefined,
      unit: 'mm',
      words: said,
    });
  }
  return lineCheck('kneeLine', 'Knee line', judged, 'How evenly side and inseam bend into the lower leg.', {
    edges: PANEL_NAMES.flatMap((name) => [[name, 'side'] as const, [name, 'inseam'] as const]),
    level: 'kneeLevel',
  });
}

function waistLine(block: Block, rules: LineRules, say: Say): Check {
  const judged: Judged[] = [];
  const of = (panel: PanelName): void => {
    const f = waistFigures(block[panel], swing(block, rules, panel));
    const words = panel === 'front' ? 'Front' : 'Back';
    const darted = block[panel].darts.length > 0;
    const most = (id: string, value: number, high: number, unit: Measure['unit'], said: () => string): void => {
      judged.push({ id, panel, value, low: undefined, high, unit, words: () => `${words} ${said()}` });
    };
    most('centre', f.centre, 2, 'deg', () => `is off square at the centre by ${degrees(f.centre)}`);
    most('side', Math.abs(f.side), 4, 'deg', () => `is off square at the side by ${degrees(f.side)}`);
    most(
      'offChord',
      f.offChord,
      Math.max(OFF_CHORD[panel], 1.25 * f.arc),
      'mm',
      () => `lies ${say(f.offChord)} off the straight`,
    );
    most('middle', f.middle, TURNS, 'deg', () => `bends both ways`);
    most('ends', f.ends, darted ? 8 : 15, 'deg', () => `turns back by ${degrees(f.ends)} at an end`);
    if (panel === 'back') most('sag', f.sag, 5, 'mm', () => `hangs ${say(f.sag)} under its ends`);
  };
  PANEL_NAMES.forEach(of);
  return lineCheck(
    'waistLine',
    'Waist line',
    judged,
    'The waist with its darts closed: one even bend, square at its ends, no horn and no sag.',
    { edges: PANEL_NAMES.map((name) => [name, 'waist'] as const) },
  );
}

/** The lines as an eye judges them (docs/trade/curves.md): both rises, sides, the bend at the knee, the waist. */
export function checkLines(block: Block, rules: LineRules, unit: Unit = 'cm'): Check[] {
  const tape = tapeFor(unit);
  const say: Say = (mm) => (unit === 'in' ? formatLength(mm, tape) : `${Math.round(mm)} mm`);
  return [
    riseLine(block.front, rules, say),
    riseLine(block.back, rules, say),
    sideLine(block, rules, say),
    kneeLine(block, rules, say),
    waistLine(block, rules, say),
  ];
}
