import { dominantColours } from '@zt/core/base/colour/dominant';
import { expose } from 'comlink';

/** The picture is looked at no larger than this on its longer side: colours need no detail. */
const LOOK_PX = 120;

/** Finds a picture's colours away from the screen's thread. Null for a file that is no picture. */
const coloursWorker = {
  coloursOf: async (file: Blob, count: number) => {
    const bitmap = await createImageBitmap(file).catch(() => null);
    if (!bitmap) return null;
    const scale = Math.min(1, LOOK_PX / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [bitmap.width, bitmap.height].map((side) =>
      Math.max(1, Math.round(side * scale)),
    );
    const canvas = new OffscreenCanvas(width ?? 1, height ?? 1);
    const context = canvas.getContext('2d');
    if (!context) return null;
    context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
    return dominantColours(context.getImageData(0, 0, canvas.width, canvas.height).data, count);
  },
};
export type ColoursWorker = typeof coloursWorker;

expose(coloursWorker);
