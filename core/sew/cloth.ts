/** A cloth as it hangs and pulls (docs/trade/virtual-toile.md): stiffness along and across for a metre of width. */
export interface ClothMatter {
  readonly id: string;
  readonly label: string;
  /** Kilograms for a square metre. */
  readonly weight: number;
  /** Newtons for a metre of width: along the warp, across in the weft, and askew. */
  readonly warp: number;
  readonly weft: number;
  readonly shear: number;
  /** Bending stiffness, in N m. */
  readonly bending: number;
  /** Friction on the body. */
  readonly friction: number;
}

/** Cloths by name, from what is generally known of them, not measured. */
export const CLOTH_MATTER: readonly ClothMatter[] = [
  { id: 'calico', label: 'Calico', weight: 0.15, warp: 9000, weft: 7000, shear: 100, bending: 8e-6, friction: 0.35 },
  { id: 'denim', label: 'Denim', weight: 0.42, warp: 18000, weft: 9000, shear: 200, bending: 60e-6, friction: 0.4 },
  { id: 'wool', label: 'Wool', weight: 0.24, warp: 7000, weft: 5000, shear: 45, bending: 8e-6, friction: 0.3 },
  { id: 'jersey', label: 'Jersey', weight: 0.22, warp: 500, weft: 300, shear: 45, bending: 2e-6, friction: 0.35 },
];
