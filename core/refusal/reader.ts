/** How the figures of a sentence are read: in the reader's unit. */
export interface Reader {
  /** A length as the reader's tape shows it, with its unit. */
  readonly length: (mm: number) => string;
  /** A length as it was entered, without rounding, with its unit. */
  readonly exact: (mm: number) => string;
  /** A lower limit that can be entered as it is said: rounded up to the tape. */
  readonly least: (mm: number) => string;
  /** An upper limit that can be entered as it is said: rounded down to the tape. */
  readonly most: (mm: number) => string;
}

/** What is the matter, and the way out: a plain sentence each. */
export type Said = readonly [reason: string, wayOut: string];
