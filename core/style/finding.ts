/** What a component finds that a maker should know: told, or a fault with its mend. */
export interface Finding {
  readonly component: string;
  readonly code: FindingCode;
  /** Lengths in mm; counts plain. */
  readonly figures: Readonly<Record<string, number>>;
  readonly weight: 'told' | 'caution' | 'out';
}

/** The codes of what components find; `words.ts` says them. */
export type FindingCode =
  | 'bandTwice'
  | 'cutWaist'
  | 'cutWaistTight'
  | 'zipLength'
  | 'zipShort'
  | 'elasticLength'
  | 'openingTight'
  | 'hemTight'
  | 'mouthGapes'
  | 'cordChild'
  | 'zipChild'
  | 'bandShort'
  | 'bandLong'
  | 'curvedHem'
  | 'loopStrip'
  | 'oneLeg'
  | 'seamOut';
