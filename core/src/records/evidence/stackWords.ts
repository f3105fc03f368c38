import type { Sheet } from '../../model/ticket/layers';

/** A sheet as it counts in a stack: its stabilizer, and whether it is one with the cloth. */
export const sheetWord = ({ stabilizer, bond }: Pick<Sheet, 'stabilizer' | 'bond'>): string =>
  bond === 'none' ? stabilizer : `${stabilizer} ${bond}`;

/** A stack as its words: the sheets, and the topper where there is one. */
export const stackWords = (
  sheets: readonly Pick<Sheet, 'stabilizer' | 'bond'>[],
  topper: string,
): string[] => [...(topper === 'none' ? [] : [`${topper} on top`]), ...sheets.map(sheetWord)];

/** A stack as one text, whatever the order of its sheets. */
export const stackWord = (stack: readonly string[]): string => [...stack].sort().join(' + ') || 'nothing';
