import type { DrawnPart } from './drawnPart';

/** Whether there are letters in a design, and how high the smallest of them are, mm; null where nobody said. */
export interface LettersOf {
  lettering: boolean;
  letterHeightMm: number | null;
}

/** Letters that were set here, and those that somebody else drew. */
export function lettersOf(parts: readonly DrawnPart[], scale: number): LettersOf {
  const heights = parts.flatMap(({ part }) => {
    const own = (part.scalePercent / 100) * scale;
    if (part.letters) return (part.artwork?.letters ?? []).map(({ heightMm }) => heightMm * own);
    return part.lettering && part.letterHeightMm !== null ? [part.letterHeightMm * own] : [];
  });
  return {
    lettering: parts.some(({ part }) => part.lettering || part.letters !== null),
    letterHeightMm: heights.length > 0 ? Math.min(...heights) : null,
  };
}
