import type { LayShape, Placed } from './job.js';
import { layAreaOf } from './estimate.js';
import type { FoundLay } from './search.js';

/** A garment's shapes on one cloth, by whose it is. */
export interface LaidFor {
  readonly key: string;
  readonly shapes: readonly LayShape[];
}

/** Garments that are laid beside one another from one straight cut to the next. */
export interface Section {
  readonly keys: readonly string[];
  /** The shapes of all of them, each by a name of its own. */
  readonly shapes: readonly LayShape[];
}

/** A shape of one of many garments, by a name of its own. */
const named = (key: string, shape: LayShape): LayShape => ({ ...shape, id: `${key}/${shape.id}` });

/**
 * Many garments in sections of so many, largest beside largest, so that the legs of a section are about of one length
 * (docs/trade/sizes.md). Garments without shapes are in none.
 */
export function sectionsOf(garments: readonly LaidFor[], each: number): readonly Section[] {
  const sorted = garments
    .filter(({ shapes }) => shapes.length > 0)
    .map((g) => ({ ...g, area: layAreaOf(g.shapes) }))
    .sort((a, b) => b.area - a.area);
  const sections: Section[] = [];
  for (let i = 0; i < sorted.length; i += each) {
    const together = sorted.slice(i, i + each);
    sections.push({
      keys: together.map((g) => g.key),
      shapes: together.flatMap(({ key, shapes }) => shapes.map((s) => named(key, s))),
    });
  }
  return sections;
}

/**
 * Sections two by two, each beside the next, laid as they were one after the other: what a search begins from, so that it is
 * never longer than they were. An odd last one stays by itself.
 */
export function sectionsPaired(laid: readonly LaidSection[], gap: number): readonly LaidSection[] {
  const paired: LaidSection[] = [];
  for (let i = 0; i < laid.length; i += 2) {
    const [first, second] = laid.slice(i, i + 2);
    if (!first) continue;
    if (!second) {
      paired.push(first);
      continue;
    }
    const { length, shapes, placed } = sectionsJoined([first, second], gap);
    const area = (one: LaidSection): number => one.lay.use * one.lay.length;
    paired.push({
      section: { keys: [...first.section.keys, ...second.section.keys], shapes },
      lay: { length, placed, use: (area(first) + area(second)) / length },
    });
  }
  return paired;
}

/** A section with its lay. */
export interface LaidSection {
  readonly section: Section;
  readonly lay: FoundLay;
}

/** Sections laid one after the other on one cloth, a gap apart: how long they are together, where every copy lies; mm. */
export function sectionsJoined(
  laid: readonly LaidSection[],
  gap: number,
): {
  readonly length: number;
  readonly shapes: readonly LayShape[];
  readonly placed: readonly Placed[];
} {
  let [at, length] = [0, 0];
  const shapes: LayShape[] = [];
  const placed: Placed[] = [];
  for (const { section, lay } of laid) {
    shapes.push(...section.shapes);
    placed.push(...lay.placed.map((p) => ({ ...p, x: p.x + at })));
    length = at + lay.length;
    at = length + gap;
  }
  return { length, shapes, placed };
}
