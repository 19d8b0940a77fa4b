import type { CheckId } from '../check/index.js';
import table from './knowledge.json' with { type: 'json' };
import type { DoesId } from './does.js';

/** Where on the body something is seen. */
export type SeenWhere = 'front' | 'side' | 'back';

/** At which height of the body, from the waist down. */
export const SEEN_AT = ['waist', 'seat', 'crotch', 'thigh', 'leg', 'hem'] as const;
export type SeenAt = (typeof SEEN_AT)[number];

/** Something that is seen on a toile, in makers' words. */
export interface Seen {
  readonly id: string;
  readonly where: SeenWhere;
  /** The height it is found at on the drawn body; at every height of its side where it is left out. */
  readonly at?: SeenAt;
  readonly words: string;
}

/** A way in which a toile is pinned. */
export interface PinKind {
  readonly id: string;
  /** Where on the drawn body it is found; everywhere where that is left out. */
  readonly where?: SeenWhere;
  readonly at?: SeenAt;
  readonly words: string;
  /** How often what is pinned at one place goes into the amount: a pin at each side is twice that of the girth. */
  readonly times?: number;
}

/** A cause of what is seen: how strongly each thing that is seen speaks for it, and which figures would. */
export interface Cause {
  readonly id: string;
  readonly words: string;
  readonly why: string;
  /** What is done about it. */
  readonly does: DoesId;
  readonly seen: Readonly<Record<string, number>>;
  readonly evidence: readonly (
    | { readonly check: CheckId; readonly is: 'low' | 'high' }
    | { readonly figure: 'seatLean'; readonly is: 'low' | 'high' }
  )[];
  /** The pins that say by how much. */
  readonly pins: readonly string[];
}

/** What is known of toiles (docs/trade/toile.md): what is seen, what may cause it, how it is pinned. */
export interface Knowledge {
  readonly seen: readonly Seen[];
  readonly causes: readonly Cause[];
  readonly pins: readonly PinKind[];
}

/** The shipped knowledge: a table of data, read as it stands. */
export const KNOWLEDGE = table as unknown as Knowledge;

/** What is seen, by its name; nothing where what is known has none of that name. */
export const seenNamed = (id: string, { seen }: Knowledge = KNOWLEDGE): Seen | undefined =>
  seen.find((s) => s.id === id);

/** A pin by its name. */
export const pinNamed = (id: string, { pins }: Knowledge = KNOWLEDGE): PinKind | undefined =>
  pins.find((p) => p.id === id);

/** A place on the drawn body. */
export interface BodyPlace {
  readonly where: SeenWhere;
  readonly at: SeenAt;
}

/** What of a list belongs to a place of the body: what has no place of its own belongs to every one. */
export const atPlace = <T extends Partial<BodyPlace>>(list: readonly T[], place: BodyPlace): T[] =>
  list.filter((one) => (one.where ?? place.where) === place.where && (one.at ?? place.at) === place.at);

/** The places of the body at which something is seen or pinned, side by side and from the waist down. */
export function placesOf({ seen, pins }: Knowledge): BodyPlace[] {
  const there = new Set([...seen, ...pins].map(({ where, at }) => `${where} ${at}`));
  return (['front', 'side', 'back'] as const).flatMap((where) =>
    SEEN_AT.filter((at) => there.has(`${where} ${at}`)).map((at) => ({ where, at })),
  );
}
