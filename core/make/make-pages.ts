import type { WrittenBlock, WrittenPage } from '../drawing/index.js';
import type { Garment } from '../garment/index.js';
import type { CutListCloth } from '../piece/index.js';
import type { MakeStep } from './make-step.js';

const CLOTHS = { shell: 'Shell', lining: 'Lining', pocketing: 'Pocketing', interfacing: 'Interfacing' } as const;

/** The names of the seams that a step closes, each once. */
export function seamNames({ seams }: MakeStep, garment: Garment): readonly string[] {
  return [...new Set(garment.seams.filter((s) => seams.includes(s.id)).map((s) => s.label.toLowerCase()))];
}

/** The order of sewing and the bundle, to be printed and ticked. */
export function makePages(steps: readonly MakeStep[], garment: Garment, cutList: readonly CutListCloth[]): WrittenPage {
  const bundle: WrittenBlock[] = cutList.map(({ cloth, lines }) => ({
    as: 'list',
    rows: [
      {
        words: `${CLOTHS[cloth]}: ${lines.map(({ name, count }) => `${count} ${name.toLowerCase()}`).join(', ')}`,
        box: true,
      },
    ],
  }));
  return {
    title: 'Make sheet',
    columns: 1,
    blocks: [
      { as: 'heading', words: 'The bundle' },
      ...bundle,
      { as: 'heading', words: 'In this order' },
      {
        as: 'list',
        rows: steps.map((step, i) => {
          const seams = seamNames(step, garment);
          const note = [step.note, seams.length > 0 ? `Closes: ${seams.join(', ')}.` : ''].filter(Boolean).join(' ');
          return { mark: String(i + 1), words: step.say, box: true, ...(note ? { note } : {}) };
        }),
      },
      {
        as: 'paragraph',
        words: 'Needles, pins, irons and blades hurt: count the pins, close the shears, and leave no hot iron alone.',
      },
    ],
  };
}
