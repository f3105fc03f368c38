import type { PieceKind } from './geometry';
import { BATH_TOWEL, HAND_TOWEL } from './kinds/towel';
import { T_SHIRT } from './kinds/tShirt';
import type { PieceKindId } from './schema';

/** Every kind of piece; a new one is a file in `kinds/` and a line here. */
export const PIECE_KINDS: Record<PieceKindId, PieceKind> = {
  't-shirt': T_SHIRT,
  'bath-towel': BATH_TOWEL,
  'hand-towel': HAND_TOWEL,
};
