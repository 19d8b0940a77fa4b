import type { Drawing, WrittenBlock, WrittenPage } from '../drawing/index.js';
import type { Garment } from '../garment/index.js';
import type { CutListCloth } from '../piece/index.js';
import type { Reader } from '../refusal/index.js';
import { trimmingWords, type Styled } from '../style/index.js';
import type { MakeStep } from './make-step.js';

const CLOTHS = { shell: 'Shell', lining: 'Lining', pocketing: 'Pocketing', interfacing: 'Interfacing' } as const;

/** The names of the seams that a step closes, each once. */
export function seamNames({ seams }: MakeStep, garment: Garment): readonly string[] {
  return [...new Set(garment.seams.filter((s) => seams.includes(s.id)).map((s) => s.label.toLowerCase()))];
}

/** How the pieces of a cloth lie on it, as a small picture: the lay drawn at full size, and what is said of it. */
export interface LayPicture {
  readonly cloth: keyof typeof CLOTHS;
  readonly drawing: Drawing;
  readonly words: string;
}

/** On paper a lay is drawn so many times smaller, or smaller still where it would be wider than the page. */
const LAY_SCALE = 20;

/** The order of sewing, the bundle with its trimmings and how it was laid, to be printed and ticked. */
export function makePages(
  steps: readonly MakeStep[],
  { garment, trimmings }: Pick<Styled, 'garment' | 'trimmings'>,
  cutList: readonly CutListCloth[],
  reader: Reader,
  lays: readonly LayPicture[] = [],
): WrittenPage {
  const laid = lays.flatMap(({ cloth, drawing, words }): WrittenBlock[] => [
    { as: 'heading', words: `Laid on the ${CLOTHS[cloth].toLowerCase()}` },
    { as: 'paragraph', words },
    { as: 'sketch', drawing, label: `The lay on the ${CLOTHS[cloth].toLowerCase()}`, scale: LAY_SCALE },
  ]);
  const bundle: WrittenBlock[] = cutList.map(({ cloth, lines }) => ({
    as: 'list',
    rows: [
      {
        words: `${CLOTHS[cloth]}: ${lines.map(({ name, count }) => `${count} ${name.toLowerCase()}`).join('; ')}`,
        box: true,
      },
    ],
  }));
  if (trimmings.length > 0) {
    const words = `Trimmings: ${trimmings.map((t) => trimmingWords(t, reader)).join('; ')}`;
    bundle.push({ as: 'list', rows: [{ words, box: true }] });
  }
  return {
    title: 'Make sheet',
    columns: 1,
    blocks: [
      { as: 'heading', words: 'The bundle' },
      ...bundle,
      ...laid,
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
