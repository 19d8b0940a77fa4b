import { showSum, type PanelName, type Worked } from '../method/index.js';
import { formatFigure, type Tape, type Unit } from '../units/index.js';
import { crossLine, placeAtLength, point, type Point } from '../geometry/index.js';
import type { LaidPart } from './laid.js';
import type { Station } from './stations.js';

/** How a figure of a laid part comes about: of a level or the crease by name, of a station; nothing where no sum gives it. */
export type SumOf = (part: LaidPart, of: string | Station) => string | undefined;

/** A figure is the one of a sum where it is drawn within this of it, in mm. */
const SAME = 0.5;

const panelOf = ({ part }: LaidPart): PanelName | undefined => {
  const id = part.like ?? part.id;
  return id === 'front' || id === 'back' ? id : undefined;
};

/** Where two edges of the net line meet, by the name of the corner. */
function netCorner({ part }: LaidPart, id: string): Point | undefined {
  const [first, second] = id.split('.');
  const edge = part.edges.find((e) => e.id === first);
  const next = part.edges.find((e) => e.id === second);
  return edge && next ? placeAtLength(edge.path, Infinity).at : undefined;
}

/** Where the net line crosses the height of a place, next to it. */
const crossingNear = ({ net }: LaidPart, at: Point): Point | undefined =>
  crossLine(net, at, point(1, 0)).sort((a, b) => Math.abs(a.along) - Math.abs(b.along))[0]?.at;

/** Sums from the lines of a method, for figures that are drawn as the method has them. */
export function sumsFrom(worked: Worked, tape: Tape, unit: Unit): SumOf {
  const value = (name: string): number | undefined => {
    const found = worked.ledger.get(name)?.value;
    return typeof found === 'number' ? found : undefined;
  };
  const told = (name: string): string => {
    const sum = showSum(worked, name, unit).told;
    return worked.ledger.get(name)?.source === 'hand' ? 'set by hand' : sum;
  };
  const figure = (mm: number): string => formatFigure(mm, tape);
  /** A sum with what it gives, once where they read the same. */
  const result = (name: string, mm: number): string => {
    const sum = told(name);
    return sum.endsWith(` ${figure(mm)}`) && !sum.includes('÷') && !/[+−×]/.test(sum) ? sum : `${sum} = ${figure(mm)}`;
  };
  const rest = (mm: number, words: string): string => {
    const nothing = formatFigure(mm, tape) === formatFigure(0, tape);
    return nothing ? '' : ` ${mm < 0 ? '−' : '+'} ${figure(Math.abs(mm))} ${words}`;
  };
  const ofLevel = (part: LaidPart, name: string, y: number): string | undefined => {
    const line = `${name}Level`;
    const stated = value(line);
    if (stated === undefined || Math.abs(stated - y) > SAME) return undefined;
    return `${result(line, stated)}${rest(-part.grid.y0, 'above the waist line')}`;
  };
  return (part, of) => {
    const panel = panelOf(part);
    if (!panel) return undefined;
    const from = part.grid.x0 - part.shift;
    if (typeof of === 'string') {
      const level = part.levels.find((l) => l.name === of);
      return level ? ofLevel(part, of, level.y) : undefined;
    }
    const at = netCorner(part, of.id);
    if (of.is === 'crotch point' && at) {
      const [hip, extension] = [value(`${panel}.hipWidth`), value(`${panel}.extension`)];
      if (hip === undefined || extension === undefined) return undefined;
      if (Math.abs(hip + extension - (at.x - part.shift)) > SAME) return undefined;
      const more = of.at.x - part.shift - from - hip - extension;
      return `${result(`${panel}.hipWidth`, hip)}; extension ${result(`${panel}.extension`, extension)}${rest(more, 'to the straight edge, with the seams')}`;
    }
    if (of.level === 'hem' || of.level === 'knee') {
      const name = `${panel}.${of.level}Width`;
      const width = value(name);
      if (width === undefined || part.crease === undefined) return undefined;
      const away = Math.abs(of.at.x - part.crease);
      const net = at ?? crossingNear(part, of.at);
      if (!net || Math.abs(Math.abs(net.x - part.crease) - width / 2) > SAME) return undefined;
      return `half of ${told(name)} = ${figure(width / 2)}${rest(away - width / 2, 'seam')}`;
    }
    return undefined;
  };
}
