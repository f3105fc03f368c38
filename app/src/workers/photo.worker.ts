import { KEPT_PHOTO } from '@zt/core/model/photo';
import { photoIdOf } from '@zt/core/model/photoId';
import { lookAtPhoto } from '@zt/core/records/photos/look';
import { expose, transfer } from 'comlink';

/** A photo as it is kept, or why there is none. */
export type Prepared = { ok: true; id: string; bytes: Uint8Array<ArrayBuffer> } | { ok: false; why: string };

/** How well it is drawn, at first and where it is still too large. */
const QUALITIES = [0.86, 0.7, 0.5];

/** Makes a photo of a file away from the screen's thread: turned right, no larger than it is kept, without place and device. */
const photoWorker = {
  prepare: async (file: Blob): Promise<Prepared> => {
    const look = lookAtPhoto(new Uint8Array(await file.arrayBuffer()));
    if (!look.ok) return look;
    const { widthPx, heightPx, orientation } = look.is;
    const isTurned = orientation > 4;
    const [wide, high] = isTurned ? [heightPx, widthPx] : [widthPx, heightPx];
    const scale = Math.min(1, KEPT_PHOTO.px / Math.max(wide, high));
    const [width, height] = [wide, high].map((side) => Math.max(1, Math.round(side * scale))) as [
      number,
      number,
    ];
    // Turned as the file says while it is read, and never larger in memory than it must be.
    const bitmap = await createImageBitmap(file, {
      imageOrientation: 'from-image',
      ...(scale < 1 ? { resizeWidth: width } : {}),
      resizeQuality: 'high',
    }).catch(() => null);
    if (!bitmap) return { ok: false, why: 'It cannot be read as a picture: the file is damaged.' };
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    if (!context) return { ok: false, why: 'This browser cannot draw it.' };
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, width, height);
    context.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    for (const quality of QUALITIES) {
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
      if (blob.size > KEPT_PHOTO.bytes) continue;
      const bytes = new Uint8Array(await blob.arrayBuffer());
      return transfer({ ok: true as const, id: photoIdOf(bytes), bytes }, [bytes.buffer]);
    }
    return { ok: false, why: 'It does not get small enough to be kept.' };
  },
};
export type PhotoWorker = typeof photoWorker;

expose(photoWorker);
