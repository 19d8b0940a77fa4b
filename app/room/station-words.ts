import type { StationId, ViewId } from './stations.js';

/** Everyday words under which a station or a view is looked for as well. */
export const STATION_WORDS: Readonly<Record<StationId | ViewId, string>> = {
  measure: 'tape, figures, body, person, set',
  choose: 'method, ease, fit, leg, build, house rules',
  advise: 'advise, advice, suits',
  compare: 'overlay, difference, side by side',
  steps: 'how to draft, learn, step by step',
  sheet: 'formulas, own method, edit sheet',
  draft: 'board, pieces, handles, lines',
  true: 'checks, alterations, correct, fit',
  it: 'correct all, fix, automatic',
  walk: 'match seams, notches, seam lengths',
  curve: 'trace, flexible curve, photo, crotch shape, rise shape',
  outline: 'svg, dxf, existing pattern, bought pattern, adopt, overlay, import',
  report: 'print the checks, all checks, fit report',
  finish: 'style, band, waistband, fly, zip, pockets, hem, flare, casing, yoke, allowances, seams, cut list',
  cut: 'print, pdf, svg, dxf, paper, export, files',
  chalk: 'figures, draw by hand, chalk on cloth, moves, cutting table',
  ready: 'before the shears, check list, measure again',
  lay: 'how much cloth, yardage, fabric, marker, nesting, buy, metres, yards',
  make: 'order of sewing, sew, construction, instructions',
  spec: 'points of measure, tolerance, finished garment',
  many: 'crew, sizes, batch, grade, nest, uniform, apply to all, size run, zip',
  toile: 'versions, fitting, keep a version, history, basted, muslin',
  fitting: 'print the fitting, blank sheet, seen, pinned, photos',
  virtual: 'sewn on the body, three dimensions, where it pulls, strain, gap, drape',
};
