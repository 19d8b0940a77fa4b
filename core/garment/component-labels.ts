/** What the components of a style are called, by name: for whoever tells of them without making them. */
export const COMPONENT_LABELS = {
  band: 'Straight band',
  casing: 'Casing',
  coinPocket: 'Coin pocket',
  draping: 'Blocks for draping',
  drawstring: 'Drawstring',
  flare: 'Flare',
  fly: 'Fly',
  fullLeg: 'Full from the thigh',
  hem: 'Hem',
  hemCurve: 'Hem curve',
  inSeamPocket: 'In-seam pocket',
  kneePatch: 'Knee patch',
  length: 'Shorts and cropped',
  lining: 'Lining',
  loops: 'Belt loops',
  onePiece: 'One piece without a side',
  patchPocket: 'Patch pocket behind',
  pleats: 'Front pleats',
  shapedBand: 'Shaped band',
  slantPocket: 'Slant pocket',
  slit: 'Slit',
  tabs: 'Side tabs',
  taper: 'Taper',
  waistDrop: 'Where the waist sits',
  waistFacing: 'Facing at the waist',
  weltPocket: 'Welt pocket behind',
  yoke: 'Back yoke',
  zip: 'Zip',
} as const satisfies Readonly<Record<string, string>>;

/** What a component is called; its name where it is not known. */
export const componentLabel = (id: string): string => (COMPONENT_LABELS as Readonly<Record<string, string>>)[id] ?? id;
