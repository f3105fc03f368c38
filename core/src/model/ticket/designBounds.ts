/** The longest side of a design, mm: beyond the largest frames in any shop. */
export const MOST_DESIGN_MM = 2000;
/** The most stitches of a design. */
export const MOST_STITCHES = 2_000_000;
/** The thinnest line of a drawing, mm. */
export const LEAST_STROKE_MM = 0.001;

/** The most letters of a design's name. */
export const MOST_DESIGN_NAME = 120;

/** What a design is called after the file it was read from. */
export const nameOfFile = (fileName: string): string =>
  fileName.replace(/\.svg$/i, '').slice(0, MOST_DESIGN_NAME);

/** The most of a drawing that a ticket holds; a drawing with more is thinned or refused when it is read. */
export const ARTWORK_BOUNDS = {
  fileName: 200,
  paths: 4000,
  letters: 1_000_000,
  hull: 2000,
  stops: 60,
  remarks: 100,
  cover: 1000,
} as const;

/** How many letters the path data of some shapes take, what of them is hidden too. */
export const lettersOfPaths = (paths: readonly { d: string; whole?: string | undefined }[]): number =>
  paths.reduce((sum, { d, whole }) => sum + d.length + (whole?.length ?? 0), 0);

/** The most parts of a design, and the most colour stops of all of them. */
export const MOST_PARTS = 60;
export const MOST_STOPS = 240;
/** How far a part is scaled, percent. */
export const PART_SCALE = { least: 10, most: 1000 } as const;
/** How high a capital is, mm. */
export const CAP_MM = { least: 1, most: 400 } as const;
/** The most letters that are set in one part. */
export const MOST_LETTERS = 200;

/** The most names of an order on one ticket, and the most that their outlines take, in letters of path data. */
export const MOST_NAMES = 120;
export const MOST_NAME_OUTLINES = 1_500_000;
/** How high the capitals of one name are, as a share of those of all. */
export const NAME_CAP_PERCENT = { least: 10, most: 200 } as const;
