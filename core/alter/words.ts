import type { Leg } from '../draft/index.js';
import { LEVELS } from '../method/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';
import { kindOf, type AlterationWork } from './alteration.js';
import type { AnyKind } from './kind.js';
import type { LevelPlace, PanelChoice, SeamPlace } from './place.js';

const PANEL_WORDS: Record<PanelChoice, string> = { front: 'Front', back: 'Back', both: 'Front and back' };

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
  'level' in place ? `${place.edge} at ${sayLevel(place.level, unit)}` : place.edge;

/** An alteration in one line, as a maker would say what to do, in the reader's unit; of one leg where it is named. */
export const sayAlteration = (work: AlterationWork, unit: Unit, leg?: Leg, kinds?: readonly AnyKind[]): string => {
  const said = kindOf(work.kind, kinds).say(work, {
    mm: (amount) => lengthSaid(amount, unit),
    level: (level) => sayLevel(level, unit),
    place: (place) => sayPlace(place, unit),
  });
  return `${PANEL_WORDS[work.panel]}${leg ? `, ${leg} leg` : ''}: ${said}`;
};
