import type { Draft } from '../chain/index.js';
import { ROUNDED_LABELS, type ChalkSheet } from '../chalk/index.js';
import type { WrittenPage, WrittenRow } from '../drawing/index.js';
import { pathLength } from '../geometry/index.js';
import { figuresOf } from '../measured/index.js';
import { measurementLabel } from '../measure/index.js';
import type { Styled } from '../style/index.js';
import { formatLength, tapeFor, type Unit } from '../units/index.js';

/** Measurements that a draft uses and nobody took, by name with their figures. */
function estimated({ worked }: Pick<Draft, 'worked'>, unit: Unit): WrittenRow[] {
  return [...worked.body.entries()]
    .filter(([id, known]) => known.source === 'estimate' && worked.ledger.has(id))
    .map(([id, { mm }]): WrittenRow => ({
      words: `${measurementLabel(id)} was estimated: ${formatLength(mm, tapeFor(unit))}. Measure it, if it still can be.`,
      box: true,
    }));
}

/**
 * One page before the shears: what to measure on the chalked cloth once more, each with its figure and a box to tick,
 * and what was estimated (docs/trade/chalk.md). Figures of the stitching line.
 */
export function readyPage(
  draft: Pick<Draft, 'worked'>,
  { legs }: Pick<Styled, 'legs'>,
  sheet: ChalkSheet,
  unit: Unit,
): WrittenPage {
  const tape = tapeFor(unit);
  const figures = figuresOf(legs.left);
  const length = (mm: number): string => formatLength(mm, tape);
  const { front, back } = legs.left;
  const width = (panel: typeof front): number =>
    Math.hypot(panel.points.sideHip.x - panel.points.centreHip.x, panel.points.sideHip.y - panel.points.centreHip.y);
  const side = pathLength(front.edges.side);
  const row = (words: string, mm: number): WrittenRow => ({ words: `${words}: ${length(mm)}`, box: true });
  const rounded = sheet.rounding[0]?.figures;
  const more = (name: 'hip' | 'waist' | 'thigh'): string => {
    const found = rounded?.[name];
    return found && Math.abs(found.chalked - found.drawn) >= 0.5
      ? ` (${ROUNDED_LABELS[name].toLowerCase()} as chalked ${length(found.chalked)})`
      : '';
  };
  const seams = 'Between the stitching lines; add the seams where the cut line is measured.';
  const doubtful = estimated(draft, unit);
  return {
    title: 'Ready to cut',
    columns: 1,
    blocks: [
      { as: 'paragraph', words: `Before the shears: lay the tape on each, and tick it. ${seams}` },
      {
        as: 'list',
        rows: [
          row('Front, hip from side to centre', width(front)),
          row('Back, hip from side to centre', width(back)),
          { ...row('Whole hip, all pieces', figures.hip), note: more('hip').trim() },
          { ...row('Whole waist, darts closed', figures.waist), note: more('waist').trim() },
          { ...row('Thigh, front and back', figures.thigh), note: more('thigh').trim() },
          row('Front rise, along the seam', figures.frontRise),
          row('Back rise, along the seam', figures.backRise),
          row('Side, waist to hem', side),
          row('Hem, front and back', figures.hem),
        ],
      },
      { as: 'heading', words: 'What lies on the cloth' },
      {
        as: 'list',
        rows: [
          {
            words: 'Every piece lies with its grain along the cloth, and all the same way where there is nap.',
            box: true,
          },
          { words: 'Pairs are mirrored: one left, one right.', box: true },
          { words: 'Snips, dart points and the fold of the hem are marked.', box: true },
          {
            words: `The chalked line is the ${sheet.line === 'cut' ? 'cut line: the shears follow it' : 'stitching line: the shears go outside it by the allowance'}.`,
            box: true,
          },
        ],
      },
      ...(doubtful.length > 0
        ? ([
            { as: 'heading', words: 'What nobody measured' },
            { as: 'list', rows: doubtful },
          ] as const)
        : []),
      { as: 'heading', words: 'After the back is cut' },
      {
        as: 'list',
        rows: [
          ...(sheet.back === 'front'
            ? [{ words: 'The front was the ground for the back: lift it off only now.', box: true }]
            : []),
          ...[...new Set(sheet.moves.flatMap(({ keptLast }) => keptLast ?? []))].map((words) => ({
            words: `${words}: the chalk sheet has the line.`,
            box: true,
          })),
          { words: 'Cut the small parts of what falls off, largest first.', box: true },
          { words: 'Tie each bundle: the pair, its name, the person, the date.', box: true },
        ],
      },
      {
        as: 'paragraph',
        words: 'Blades cut: keep the free hand behind the cutter, and close it when you put it down.',
      },
    ],
  };
}
