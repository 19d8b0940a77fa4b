import { expose } from 'comlink';

/** A photo made small: JPEG, and its size in pixels. */
export interface SmallPhoto {
  readonly jpeg: Uint8Array;
  readonly width: number;
  readonly height: number;
}

/** The longer side of a kept photo, in pixels, and the most it may hold, in bytes. */
const LONGEST = 1600;
const MOST = 300_000;
/** Tried in turn: how fine it is kept, and by what it is made smaller still. */
const TRIED: readonly (readonly [number, number])[] = [
  [0.82, 1],
  [0.7, 1],
  [0.6, 0.8],
  [0.5, 0.6],
  [0.4, 0.4],
];

const keeper = {
  /** A picture file made small enough to be kept; rejects for what is no picture that the browser reads. */
  async small(file: Blob): Promise<SmallPhoto> {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
    const fit = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    try {
      for (const [quality, by] of TRIED) {
        const [width, height] = [picture.width, picture.height].map((n) => Math.max(1, Math.round(n * fit * by)));
        const canvas = new OffscreenCanvas(width ?? 1, height ?? 1);
        const context = canvas.getContext('2d');
        if (!context) throw new Error('No room to draw in');
        context.drawImage(picture, 0, 0, canvas.width, canvas.height);
        const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
        if (blob.size <= MOST) {
          return { jpeg: new Uint8Array(await blob.arrayBuffer()), width: canvas.width, height: canvas.height };
        }
      }
    } finally {
      picture.close();
    }
    throw new Error('The picture cannot be made small enough');
  },
};

/** What the worker of photos does. */
export type PhotoKeeper = typeof keeper;

expose(keeper);
