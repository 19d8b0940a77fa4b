import type { Reader } from '../refusal/index.js';

/** What a garment takes beside cloth. */
export type TrimmingKind = 'zip' | 'invisibleZip' | 'elastic' | 'cord' | 'eyelets' | 'fastening';

/** Something to have ready beside the cloth. Lengths in mm. */
export interface Trimming {
  /** The component that it belongs to. */
  readonly component: string;
  readonly kind: TrimmingKind;
  readonly count: number;
  /** To be cut or bought this long, laps included; nothing where it has none, or none that may be told. */
  readonly length?: number;
  readonly width?: number;
}

const NAMES: Readonly<Record<TrimmingKind, readonly [one: string, more: string]>> = {
  zip: ['Zip', 'Zips'],
  invisibleZip: ['Invisible zip', 'Invisible zips'],
  elastic: ['Elastic', 'Elastics'],
  cord: ['Cord', 'Cords'],
  eyelets: ['Eyelet', 'Eyelets'],
  fastening: ['Hook and bar, or button', 'Hooks and bars, or buttons'],
};

/** What a trimming is called, by how many there are. */
export const trimmingName = ({ kind, count }: Trimming): string => NAMES[kind][count === 1 ? 0 : 1];

/** A trimming with its figures, in the reader's unit: “1 elastic, 3 cm wide, 75 cm long”. */
export function trimmingWords(trimming: Trimming, reader: Reader): string {
  const { count, length, width } = trimming;
  return [
    `${count} ${trimmingName(trimming).toLowerCase()}`,
    ...(width === undefined ? [] : [`${reader.length(width)} wide`]),
    ...(length === undefined ? [] : [`${reader.length(length)} long`]),
  ].join(', ');
}
