import { formatLength, tapeFor, type Unit } from '../units/index.js';
import type { Worked } from '../method/index.js';
import type { Block } from './block.js';
import { parametersOf } from './panel.js';

const MOVED = {
  crotchPoint: 'crotch point',
  sideHip: 'hip at the side',
  sideWaist: 'waist at the side',
} as const;

/** What a figure moves by less than this, in mm, is not told. */
const TOLD = 1;

/** A front side that comes in by more than this, in mm, is offered a dart (docs/trade/waist-plan.md). */
const OFFERS_DART = 25;

/** True where the sheet leaves a front dart to the maker's choice, and none was chosen. */
const dartIsOpen = ({ sheet, choices }: Worked): boolean => {
  const choice = sheet.choices.find((c) => c.id === 'frontDart');
  return choice !== undefined && (choices['frontDart'] ?? choice.values[0]?.id) === 'none';
};

/** What the drafting changed or could not do on its own, as sentences in the reader's unit. */
export function draftNotes(worked: Worked, block: Block, unit: Unit): string[] {
  const notes: string[] = [];
  const show = (mm: number): string => formatLength(Math.abs(mm), tapeFor(unit));
  const left = Math.max(0, block.front.settled.waistMore + block.back.settled.waistMore);
  if (left > 1) {
    notes.push(
      `The finished waist is ${show(2 * left)} larger than asked: darts, sides and centres take no more. A second back dart, a front dart or elastic would.`,
    );
  }
  const comesIn = block.front.points.sideWaist.x - block.front.points.sideHip.x;
  if (block.front.settled.dartCount === 0 && comesIn > OFFERS_DART && dartIsOpen(worked)) {
    notes.push(`Front: the side comes in by ${show(comesIn)} at the waist. A front dart would take part of it.`);
  }
  for (const panel of [block.front, block.back]) {
    const p = parametersOf(panel);
    if (!p) continue;
    const { settled } = panel;
    const moved = settled.waistMore - left / 2;
    const words = panel.name === 'front' ? 'Front' : 'Back';
    const asked = p.dartCount === 0 ? 'none' : `${p.dartCount} × ${show(p.dartIntake)}`;
    const changed = settled.dartCount !== p.dartCount || Math.abs(settled.dartIntake - p.dartIntake) > 0.5;
    if (changed && settled.dartCount + p.dartCount > 0) {
      notes.push(
        settled.dartCount === 0 && settled.centreIn > 0.5
          ? `${words}: no darts, the surplus leaves at the side and the centre (the sheet has ${asked}).`
          : settled.dartCount === 0
            ? `${words}: too little surplus for a dart, so there is none (the sheet has ${asked}).`
            : `${words}: the surplus takes ${settled.dartCount} × ${show(settled.dartIntake)} in darts (the sheet has ${asked}).`,
      );
    }
    if (settled.centreIn > 0.5) notes.push(`${words}: the centre takes ${show(settled.centreIn)} more of the surplus.`);
    if (Math.abs(settled.hollow) > TOLD) {
      notes.push(`${words}: the hollow is ${show(panel.hollow)}, the nearest that a fair curve has.`);
    }
    if (Math.abs(settled.curveStart) > TOLD) {
      const way = settled.curveStart > 0 ? 'higher' : 'lower';
      notes.push(
        `${words}: the crotch curve begins ${show(settled.curveStart)} ${way}, so that it leaves the straight gently.`,
      );
    }
    if (Math.abs(moved) > 0.5) {
      const way = settled.waistMore > 0 ? 'wider' : 'narrower';
      notes.push(`${words}: the waist is ${show(moved)} ${way}, so that both sides taper alike.`);
    }
    for (const key of ['crotchPoint', 'sideHip', 'sideWaist'] as const) {
      const by = settled[key];
      if (Math.abs(by) < 0.5) continue;
      const down = key === 'sideWaist' ? by < 0 : by > 0;
      notes.push(`${words}: ${MOVED[key]} moved ${show(by)} ${down ? 'down' : 'up'} to true the seams.`);
    }
  }
  return notes;
}
