import type { PieceKindId } from '../piece/schema';
import { ABOVE_BORDER } from './aboveBorder';
import { CHEST_PLACEMENTS } from './chest';
import type { Placement } from './placement';

/** Every placement; a new one is a record in its file and a place in this list. */
export const PLACEMENTS: readonly Placement[] = [...CHEST_PLACEMENTS, ABOVE_BORDER];

/** The placements a kind of piece has, the usual one first. */
export const placementsFor = (kind: PieceKindId): Placement[] =>
  PLACEMENTS.filter((p) => p.kinds.includes(kind));
