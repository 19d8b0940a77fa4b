/** A formula, or one for each value of a choice, which may rest on a further choice. */
export type FormulaText = string | { readonly choice: string; readonly by: Readonly<Record<string, FormulaText>> };

/** A named choice with a few values; the first is the default. */
export interface Choice {
  readonly id: string;
  readonly label: string;
  readonly values: readonly { readonly id: string; readonly label: string; readonly about: string }[];
}

/** A figure that a maker may set for a draft. Without a formula it counts only where it is set by hand. */
export interface Setting {
  readonly name: string;
  readonly label: string;
  /** A length unless it is a plain share. */
  readonly kind?: 'length' | 'share';
  readonly formula?: FormulaText;
  readonly reason: string;
  /** The figures within which the setting makes sense, in mm or as a share. */
  readonly least: number;
  readonly most: number;
  /** Choices under which it counts; always where there are none. */
  readonly when?: Readonly<Record<string, string>>;
  /** A limit of the house, shown apart from what a maker sets for a draft. */
  readonly group?: 'house';
  /** True where its inches are smaller for a child. */
  readonly shrinks?: boolean;
  /** True where it is shown on the board as a slider. */
  readonly slider?: boolean;
}
