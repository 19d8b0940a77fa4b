import { EDGE_WORDS, type Edge, type EdgeRole } from '../../core/garment/index.js';

/** Edges that are called by more than what they are for. */
const NAMES: Readonly<Record<string, string>> = {
  pocketMouth: 'pocket mouth',
  mouth: 'mouth',
  flyOpening: 'fly opening',
  flyEdge: 'edge of the fly',
  flyTop: 'top of the fly',
  zipOpening: 'zip opening',
  yokeLine: 'yoke line',
  slit: 'slit',
  upper: 'upper edge',
  lower: 'lower edge',
  start: 'end at the start',
  end: 'end',
  free: 'free edge',
  inner: 'inner edge',
  curve: 'curved edge',
  centre: 'centre',
  top: 'top',
  sewn: 'sewn edge',
  waistFront: 'front waist',
  waistBack: 'back waist',
  riseFront: 'front rise',
  riseBack: 'back rise',
  inseamFront: 'front inseam',
  inseamBack: 'back inseam',
};

/** What an edge is called: by its own name, else by what it is for. */
export const edgeName = (id: string, role: EdgeRole): string => NAMES[id] ?? EDGE_WORDS[role];

/** What an edge is called beside its part. */
export const edgeWords = ({ id, role }: Edge): string => (id === role ? EDGE_WORDS[role] : edgeName(id, role));

/** The same at the beginning of a line. */
export const upper = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
