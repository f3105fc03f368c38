import type { DisplayUnits } from '@zt/core/base/units/length';
import { type LogEntry, summaryOf } from '@zt/core/model/logEntry';
import { type CardPaperId, type EntrySheet, entrySheet, type MeasureWords } from '@zt/core/paper/index';
import { entryTitleOf } from '@zt/core/planner/titleOf';
import { lookAtPhoto } from '@zt/core/records/photos/look';
import type { PhotoStore } from '../../photos/photoStore';
import { measureWords, pagesToPdf } from '../paper/drawingToPdf';

/** The day of a moment as it is written on paper, in the time of the shop's computer. */
const dayOf = (iso: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** An entry as a PDF with its photos; one that is not there any more is left out. */
export async function entryToPdf(
  entry: LogEntry,
  { paper, photos, units }: { paper: CardPaperId; photos: PhotoStore; units: DisplayUnits },
): Promise<Uint8Array> {
  const found = await Promise.all(
    entry.log.photos.map(async (photo) => {
      const jpeg = await photos.get(photo.id);
      const look = jpeg && lookAtPhoto(jpeg);
      if (!jpeg || !look?.ok) return [];
      return [{ ...photo, jpeg, widthPx: look.is.widthPx, heightPx: look.is.heightPx }];
    }),
  );
  const printed = found.flat();
  const set = (measure: MeasureWords): EntrySheet =>
    entrySheet(entry, { paper, measure, units, photos: printed, day: dayOf(entry.loggedAt) });
  const { photos: places } = set(await measureWords());
  const placed = places.flatMap(({ id, box }) => {
    const photo = printed.find((one) => one.id === id);
    return photo ? [{ page: 0, box, jpeg: photo.jpeg }] : [];
  });
  return pagesToPdf((measure) => set(measure).pages, entryTitleOf(summaryOf(entry)), placed);
}
