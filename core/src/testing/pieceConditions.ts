import type { PieceConditions } from '../records/evidence/pieceRecord';

/** A hooped tee on light mesh, as pieces are likened. */
export const HOOPED_TEE: PieceConditions = {
  fabricId: 'jersey-tee',
  structure: 'knit',
  stretchPercent: 20,
  pileMm: 0,
  rank: 2,
  sizeMm: 90,
  method: 'hooped',
  stack: ['mesh'],
};
