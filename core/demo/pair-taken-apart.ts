import type { Reference } from '../reference/index.js';

/**
 * The cook's old kitchen pair, taken apart and traced: two pieces as they lay on the table, in centimetres. Made up.
 */
export const PAIR_TAKEN_APART: Reference = {
  name: 'kitchen-pair-taken-apart.svg',
  date: '2026-09-04',
  mmPerUnit: 10,
  unitFrom: 'file',
  shapes: [
    {
      layer: 'back, left',
      closed: true,
      piece: 'back',
      curves: [
        141.2, 9.802, 131.707, 10.632, 122.033, 14.177, 112.712, 12.195, 110.911, 20.665, 109.11, 29.136, 109.301,
        37.606, 109.35, 39.771, 109.53, 41.935, 110, 44.1, 112.01, 53.35, 119.341, 62.6, 119.7, 71.85, 120.267, 86.467,
        120.833, 101.083, 121.4, 115.7, 130.8, 115.7, 140.2, 115.7, 149.6, 115.7, 150.167, 101.083, 150.733, 86.467,
        151.3, 71.85, 151.628, 63.378, 157.686, 54.437, 161, 45.923, 147.583, 40.7, 143.773, 39.216, 143.098, 31.5,
        142.465, 24.267, 141.833, 17.035, 141.2, 9.802,
      ],
      marks: [
        { at: 0, name: 'waist' },
        { at: 0.102, name: 'side' },
        { at: 0.479, name: 'hem' },
        { at: 0.579, name: 'inseam' },
        { at: 0.835, name: 'rise' },
      ],
    },
    {
      layer: 'front, left',
      closed: true,
      piece: 'front',
      curves: [
        9, 11.331, 18.535, 12.102, 28.196, 11.703, 37.687, 10.5, 38.767, 19.025, 39.847, 27.55, 40.108, 36.075, 40.189,
        38.75, 40.19, 41.425, 40, 44.1, 39.343, 53.35, 36.401, 62.6, 36, 71.85, 35.367, 86.467, 34.733, 101.083, 34.1,
        115.7, 26.033, 115.7, 17.967, 115.7, 9.9, 115.7, 9.267, 101.083, 8.633, 86.467, 8, 71.85, 7.539, 61.206, 7.068,
        53.005, 4, 44.1, 6.419, 43.267, 6.567, 41.433, 6.836, 38.1, 7.558, 29.177, 8.279, 20.254, 9, 11.331,
      ],
      marks: [
        { at: 0, name: 'waist' },
        { at: 0.109, name: 'side' },
        { at: 0.508, name: 'hem' },
        { at: 0.599, name: 'inseam' },
        { at: 0.872, name: 'rise' },
      ],
    },
  ],
  places: {
    front: { from: { x: 22.339, y: 63.219 }, to: { x: 176.7, y: 511.943 }, turn: 0, mirrored: true },
    back: { from: { x: 134.975, y: 62.751 }, to: { x: 248.881, y: 506.797 }, turn: 0, mirrored: false },
  },
  leftOut: [
    { what: 'text', count: 3 },
    { what: 'pictures', count: 1 },
  ],
};
