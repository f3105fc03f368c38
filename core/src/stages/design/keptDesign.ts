import type { Unread } from '../../model/fields/unread';
import type { Offers } from '../../model/offer';
import type { Artwork } from '../../model/ticket/artwork';
import { type DesignInput, EMPTY_DESIGN } from '../../model/ticket/design';
import { EMPTY_PART, FIRST_PART, type Part } from '../../model/ticket/part';

/** A drawing as it was kept before letters were set here, and drawings kept. */
type Newer = 'letters' | 'madeFrom' | 'source';
type KeptArtwork = Omit<Artwork, Newer> & Partial<Pick<Artwork, Newer>>;
const artworkOfToday = (artwork: KeptArtwork): Artwork => ({
  letters: [],
  madeFrom: '',
  source: null,
  ...artwork,
});

/** What a design of one part said of that part, before a design had parts. */
const OF_ITS_PART = [
  'widthMm',
  'heightMm',
  'stitches',
  'densityClass',
  'colours',
  'lettering',
  'letterHeightMm',
  'artwork',
  'elementMoves',
] as const;
type OldDesign = Partial<Pick<DesignInput, 'name' | 'hasUp' | 'looks' | 'scalePercent'>> &
  Partial<Omit<Pick<Part, (typeof OF_ITS_PART)[number]>, 'artwork'>> & { artwork?: KeptArtwork | null };
export type KeptDesign = OldDesign | DesignInput;

const isOfToday = (kept: KeptDesign): kept is DesignInput => 'parts' in kept;

/** A design of any version as it is kept today: one from before there were parts is its own only part. */
export function designOfToday(kept: KeptDesign): DesignInput {
  if (isOfToday(kept)) {
    const parts = kept.parts.map((part) =>
      part.artwork ? { ...part, artwork: artworkOfToday(part.artwork) } : part,
    );
    return { ...EMPTY_DESIGN, ...kept, parts };
  }
  const { name = '', hasUp = true, looks = null, scalePercent = 100, artwork, ...rest } = kept;
  const own = Object.fromEntries(
    OF_ITS_PART.filter((key) => key !== 'artwork' && key in rest).map((key) => [key, rest[key as 'widthMm']]),
  );
  const part: Part = { ...EMPTY_PART, ...own, artwork: artwork ? artworkOfToday(artwork) : null };
  return { ...EMPTY_DESIGN, name, hasUp, looks, scalePercent, parts: [part] };
}

const MOVED = new RegExp(`^(unread\\.)?design\\.(${OF_ITS_PART.join('|')})(?=\\.|$)`);

/** The path of a field of a design as it is today; rows are named as unread texts name them, by their place. */
const pathOfToday = (at: string, row: string): string => at.replace(MOVED, `$1design.parts.${row}.$2`);

/** Texts that could not be taken, by the paths of today. */
export const unreadOfToday = (unread: Unread): Unread =>
  Object.fromEntries(Object.entries(unread).map(([at, text]) => [pathOfToday(at, '0'), text]));

/** Values offered from another device, by the paths of today; a whole design as it is kept today. */
export const offersOfToday = (offers: Offers): Offers =>
  Object.fromEntries(
    Object.entries(offers).map(([id, offer]) => {
      const value = offer.at === 'design' ? { value: designOfToday(offer.value as KeptDesign) } : {};
      const row = offer.at.startsWith('unread.') ? '0' : FIRST_PART;
      return [id, { ...offer, ...value, at: pathOfToday(offer.at, row) }];
    }),
  );
