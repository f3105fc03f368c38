/** The longest side of a design, mm: beyond the largest frames in any shop. */
export const MOST_DESIGN_MM = 2000;
/** The most stitches of a design. */
export const MOST_STITCHES = 2_000_000;
/** The thinnest line of a drawing, mm. */
export const LEAST_STROKE_MM = 0.001;

/** The most of a drawing that a ticket holds; a drawing with more is thinned or refused when it is read. */
export const ARTWORK_BOUNDS = {
  paths: 4000,
  letters: 1_000_000,
  hull: 2000,
  stops: 60,
  remarks: 100,
  cover: 1000,
} as const;
