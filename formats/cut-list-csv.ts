import type { CutListCloth } from '../core/piece/index.js';
import { trimmingName, type Trimming } from '../core/style/index.js';
import { writeTable } from './csv/index.js';

const cm = (mm: number | undefined): string => (mm === undefined ? '' : (mm / 10).toFixed(1));

/**
 * A cut list as CSV: one row a part, with its cloth, how many, how they are cut, and the area of one in cm²; then one
 * row a trimming, with length and width in cm.
 */
export const cutListCsv = (list: readonly CutListCloth[], trimmings: readonly Trimming[]): string =>
  writeTable(
    ['cloth', 'part', 'name', 'count', 'cut', 'leg', 'area of one in cm²', 'length in cm', 'width in cm'],
    [
      ...list.flatMap(({ cloth, lines }) =>
        lines.map(({ id, name, count, how, leg, area }) => [
          cloth,
          id,
          name,
          count,
          how,
          leg,
          (area / 100).toFixed(1),
          '',
          '',
        ]),
      ),
      ...trimmings.map((t) => ['trimming', t.kind, trimmingName(t), t.count, '', '', '', cm(t.length), cm(t.width)]),
    ],
  );
