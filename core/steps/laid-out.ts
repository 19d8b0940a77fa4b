import type { Draft } from '../chain/index.js';
import type { Panel } from '../draft/index.js';
import { along, line, mapPath, point, type Path } from '../geometry/index.js';
import { LAID_OUT_WORDS, laidOutOf, type PanelName } from '../method/index.js';

/** The front as the back is drawn on it: crease on crease, levels on one another. */
function frontUnder({ drafted: { front, back } }: Draft): readonly Path[] {
  const across = back.crease - front.crease;
  const { side, inseam, rise, hem } = front.edges;
  return [side, inseam, rise, hem].map((path) => mapPath(path, (p) => point(p.x + across, p.y)));
}

/** What the way of laying the panels out adds to a panel's first step, and what is said of it. */
export function layingOut(
  draft: Draft,
  name: PanelName,
): { readonly told: readonly string[]; readonly under: readonly Path[] } {
  const { worked } = draft;
  const way = laidOutOf(worked.sheet, worked.choices);
  const second = name !== (worked.sheet.first ?? 'front');
  if (!second || way === 'apart') return { told: [], under: [] };
  if (way === 'side-shared') return { told: ['Front and back are drawn from one side line.'], under: [] };
  const told = `As its makers lay it out, ${LAID_OUT_WORDS[way]}: crease on crease, levels on one another.`;
  return { told: [told], under: frontUnder(draft) };
}

/** The waist of a front whose centre is left standing for now: straight from the side to where the line would reach. */
export function waistForNow({ points: { sideWaist, centreWaist }, centreDown }: Panel, dip: number): Path {
  return [line(sideWaist, along(centreWaist, centreDown, -dip / centreDown.y))];
}
