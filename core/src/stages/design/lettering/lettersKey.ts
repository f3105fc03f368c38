import type { HouseRules } from '../../../model/houseRules';
import { CAP_MM } from '../../../model/ticket/designBounds';
import type { Lettering } from '../../../model/ticket/lettering';
import type { Part } from '../../../model/ticket/part';
import { STITCHED, type StitchFigures, stitchFigures } from '../stitchFigures';

/** What letters are made from, in one text: where it is another one, they are to be set again. */
export function lettersKey(letters: Lettering, figures: StitchFigures): string {
  const { text, face, capMm, spacingMm, linePercent, align, baseline, radiusMm, monogram } = letters;
  const { fillRowMm, fillStitchMm, underlay, satinPitchMm, satinMostMm, satinLeastMm, runStitchMm } = figures;
  return JSON.stringify([
    STITCHED,
    [text, face, capMm, spacingMm, linePercent, align, baseline, radiusMm, monogram?.frame ?? null],
    [fillRowMm, fillStitchMm, underlay, satinPitchMm, satinMostMm, satinLeastMm, runStitchMm],
  ]);
}

/** The letters of a part as they are to be set: as high as the part shows them, within what letters may be. */
export function lettersToSet({ letters, scalePercent }: Part): Lettering | null {
  if (!letters) return null;
  const capMm = Math.round(letters.capMm * scalePercent) / 100;
  return { ...letters, capMm: Math.min(CAP_MM.most, Math.max(CAP_MM.least, capMm)) };
}

/** Whether a part's letters stand as its recipe and the shop's figures say. A part without letters does. */
export const areLettersSet = ({ letters, artwork }: Part, rules: HouseRules): boolean =>
  !letters || artwork?.madeFrom === lettersKey(letters, stitchFigures(rules));
