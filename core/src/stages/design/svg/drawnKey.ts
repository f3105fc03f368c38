import type { DrawingId } from '../../../model/drawing';
import { STITCHED, type StitchFigures } from '../stitchFigures';

/** Counts up where the same drawing comes to other shapes: what was read before is read again. */
const READ = 2;

/** What a drawing was read for: its size, the shop's figures, the cloth that shows through. */
export interface ReadFor {
  drawing: DrawingId;
  widthMm: number;
  figures: StitchFigures;
  cloth: string;
}

/** What shapes were read from, in one text: where it is another one, the drawing is to be read again. */
export function drawnKey({ drawing, widthMm, figures, cloth }: ReadFor): string {
  const { fillRowMm, fillStitchMm, underlay, satinPitchMm, satinMostMm, satinLeastMm, runStitchMm } = figures;
  return JSON.stringify([
    STITCHED,
    READ,
    drawing,
    Math.round(widthMm * 100) / 100,
    cloth.toUpperCase(),
    [fillRowMm, fillStitchMm, underlay, satinPitchMm, satinMostMm, satinLeastMm, runStitchMm],
  ]);
}
