import type { CutListCloth } from '../core/piece/index.js';
import { writeTable } from './csv/index.js';

/** A cut list as CSV: one row a part, with its cloth, how many, how they are cut, and the area of one in cm². */
export const cutListCsv = (list: readonly CutListCloth[]): string =>
  writeTable(
    ['cloth', 'part', 'name', 'count', 'cut', 'leg', 'area of one in cm²'],
    list.flatMap(({ cloth, lines }) =>
      lines.map(({ id, name, count, how, leg, area }) => [cloth, id, name, count, how, leg, (area / 100).toFixed(1)]),
    ),
  );
