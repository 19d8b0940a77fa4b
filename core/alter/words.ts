import { LEVELS } from '../method/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import type { AlterationKind, AlterationWork, LevelPlace, PanelChoice, SeamPlace } from './alteration.js';

/** What a kind of alteration is called. */
export const KIND_LABELS: Record<AlterationKind, string> = {
  wedge: 'Wedge',
  across: 'Lengthen or shorten across',
  pinch: 'Pinch',
  waist: 'Raise or lower the waist',
  scoop: 'Scoop the crotch curve',
  crotchPoint: 'Move the crotch point',
  tilt: 'Turn the seat line',
  seam: 'Move a seam',
  dart: 'Change a dart',
  crease: 'Shift the crease',
  rise: 'Take a rise',
};

const PANEL_WORDS: Record<PanelChoice, string> = { front: 'Front', back: 'Back', both: 'Front and back' };
const EDGE_WORDS = { waist: 'waist', side: 'side', hem: 'hem', inseam: 'inseam', rise: 'rise' } as const;

/** Steps as on the tape, but never nothing for an amount that is something. */
function lengthSaid(mm: number, unit: Unit): string {
  return unit === 'cm' && Math.abs(mm) < 50
    ? `${Number(Math.abs(mm).toFixed(mm % 1 === 0 ? 0 : 1))} mm`
    : formatLength(Math.abs(mm), tapeFor(unit));
}

/** A level in words: “the hip line”, “3 cm above the crotch line”. */
function sayLevel({ line, by }: LevelPlace, unit: Unit): string {
  const name = line === 'waistLine' ? 'waist line' : (LEVELS.find(([id]) => id === line)?.[1] ?? line).toLowerCase();
  if (Math.abs(by) < 0.5) return `the ${name}`;
  return `${formatLength(Math.abs(by), tapeFor(unit))} ${by < 0 ? 'above' : 'below'} the ${name}`;
}

const sayPlace = (place: SeamPlace, unit: Unit): string =>
  `the ${EDGE_WORDS[place.edge]}${'level' in place ? ` at ${sayLevel(place.level, unit)}` : ''}`;

/** An alteration in one line, as a maker would say what to do, in the reader's unit. */
export function sayAlteration(work: AlterationWork, unit: Unit): string {
  const piece = PANEL_WORDS[work.panel];
  const mm = (x: number): string => lengthSaid(x, unit);
  switch (work.kind) {
    case 'wedge': {
      const sameLevel =
        'level' in work.from && 'level' in work.hinge && work.from.level.by === work.hinge.level.by
          ? `${EDGE_WORDS[work.from.edge]} at ${sayLevel(work.from.level, unit)}, hinge at the ${EDGE_WORDS[work.hinge.edge]}`
          : `${sayPlace(work.from, unit).replace('the ', '')}, hinge at ${sayPlace(work.hinge, unit)}`;
      return `${piece}: ${work.by < 0 ? 'close' : 'open'} ${mm(work.by)} at the ${sameLevel}`;
    }
    case 'across':
      return `${piece}: ${work.by < 0 ? 'shorten' : 'lengthen'} ${mm(work.by)} across at ${sayLevel(work.level, unit)}`;
    case 'pinch':
      return work.byFrom === work.byTo
        ? `${piece}: fold out ${mm(work.byFrom)} from ${sayPlace(work.from, unit)} to ${sayPlace(work.to, unit)}`
        : `${piece}: fold out ${mm(work.byFrom)} at ${sayPlace(work.from, unit)}, ${mm(work.byTo)} at ${sayPlace(work.to, unit)}`;
    case 'waist': {
      const end = (name: string, by: number): string => `${by < 0 ? 'lower' : 'raise'} the waist ${mm(by)} ${name}`;
      if (work.centre === work.side) return `${piece}: ${end('all along', work.centre)}`;
      const ends = [
        ...(work.centre === 0 ? [] : [end('at the centre', work.centre)]),
        ...(work.side === 0 ? [] : [end('at the side', work.side)]),
      ];
      return `${piece}: ${ends.join(', ')}`;
    }
    case 'scoop':
      return `${piece}: ${work.by < 0 ? 'fill' : 'scoop'} the crotch curve ${mm(work.by)}${work.keepLength ? ', rise kept' : ''}`;
    case 'crotchPoint': {
      const moves = [
        ...(work.out === 0 ? [] : [`${mm(work.out)} ${work.out < 0 ? 'in' : 'out'}`]),
        ...(work.down === 0 ? [] : [`${mm(work.down)} ${work.down < 0 ? 'up' : 'down'}`]),
      ];
      return `${piece}: crotch point ${moves.join(' and ') || 'kept'}${work.recentre && work.out !== 0 ? ', crease recentred' : ''}`;
    }
    case 'tilt':
      return `${piece}: seat line ${mm(work.by)} ${work.by < 0 ? 'out' : 'in'} at the waist${work.giveBack ? ', given back at the side' : ''}`;
    case 'seam': {
      const levels =
        work.from.line === work.to.line && work.from.by === work.to.by
          ? `at ${sayLevel(work.from, unit)}`
          : `from ${sayLevel(work.from, unit)} to ${sayLevel(work.to, unit)}`;
      const seam = work.seam === 'centre' ? 'centre seam' : work.seam;
      return `${piece}: ${seam} ${mm(work.by)} ${work.by < 0 ? 'in' : 'out'} ${levels}`;
    }
    case 'dart':
      return `${piece}: ${sayDart(work.act, work.by, mm)}${work.keepWaist ? ', waist kept' : ''}`;
    case 'crease':
      return `${piece}: crease ${mm(work.by)} toward the ${work.by < 0 ? 'side' : 'inseam'}`;
    case 'rise':
      return `${piece}: rise taken over${work.keepLength ? ', its length kept' : ''}`;
  }
}

function sayDart(act: string, by: number, mm: (x: number) => string): string {
  switch (act) {
    case 'intake':
      return `dart ${mm(by)} ${by < 0 ? 'narrower' : 'deeper'}`;
    case 'length':
      return `dart ${mm(by)} ${by < 0 ? 'shorter' : 'longer'}`;
    case 'move':
      return `dart ${mm(by)} toward the ${by < 0 ? 'centre' : 'side'}`;
    case 'turn':
      return `point of the dart ${mm(by)} toward the ${by < 0 ? 'centre' : 'side'}`;
    case 'split':
      return 'dart split in two';
    case 'intoSide':
      return 'dart taken over by the side seam';
    case 'intoHem':
      return 'dart turned into the hem';
    default:
      return 'dart taken over by the centre seam';
  }
}
