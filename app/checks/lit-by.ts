import type { Check } from '../../core/check/index.js';
import type { Lit } from '../board/board-store.js';

/** What a check lights on the board. */
export const litBy = ({ id, about }: Check): Lit => ({
  edges: about.edges.map(([panel, edge]) => ({ panel, edge })),
  level: about.level,
  at: about.at,
  check: id,
});

/** Whether a check is about what is lit. */
export const isAbout = (check: Check, { check: id, pointed }: Lit): boolean =>
  id === check.id ||
  (pointed !== undefined && check.about.edges.some(([p, e]) => p === pointed.panel && e === pointed.edge));
