import { mm, type Phrase, phrase } from '../../base/units/phrase';
import type { PieceInput, StripEdge } from '../../model/ticket/piece';
import type { Readings } from './readings';

/** A length the maker may change in a sewing sum, mm. */
export interface SewingField {
  id: string;
  name: string;
  usualMm: number;
}

/** One thing to cut, worked out from finished lengths. */
export interface CutPiece {
  name: string;
  widthMm: number;
  heightMm: number;
  /** How the two came about. */
  sums: Phrase[];
}

/** A sewing sum that arises on a kind of piece: its fields and what is cut. Pure arithmetic, mm. */
export interface SewingSum {
  id: SewingSumId;
  name: string;
  fields: readonly SewingField[];
  cut: (of: (id: string) => number, readings: Readings, stripEdge: StripEdge | null) => CutPiece[];
}

export type SewingSumId = 'strip' | 'panel' | 'hem-band' | 'channel' | 'lining' | 'border' | 'wrap';

const SEAM: SewingField = { id: 'seam', name: 'seam allowance', usualMm: 12.7 };
const TURN_UNDER: SewingField = { id: 'turnUnder', name: 'turned under', usualMm: 12.7 };

/** Finished length with a seam at both ends. */
export const cutBetweenSeams = (finishedMm: number, seamMm: number): number => finishedMm + 2 * seamMm;

const betweenSeams = (name: string, finished: number, seam: number): Phrase =>
  phrase`${name}: ${mm(finished)} + 2 × ${mm(seam)} = ${mm(cutBetweenSeams(finished, seam))}`;

/** A strip sewn on with one seam and turned under on its other edge: as long as the panel between two seams. */
export function stripCut(
  finishedMm: number,
  lengthMm: number,
  turnUnderMm: number,
  seamMm: number,
): CutPiece {
  const heightMm = finishedMm + turnUnderMm + seamMm;
  return {
    name: 'strip',
    widthMm: cutBetweenSeams(lengthMm, seamMm),
    heightMm,
    sums: [
      phrase`width: ${mm(finishedMm)} + ${mm(turnUnderMm)} turned under + ${mm(seamMm)} seam = ${mm(heightMm)}`,
      betweenSeams('length', lengthMm, seamMm),
    ],
  };
}

/** A band folded double over an edge: twice its finished height and a seam on both long sides. */
function foldedBand(name: string, finishedMm: number, lengthMm: number, seamMm: number): CutPiece {
  const heightMm = 2 * finishedMm + 2 * seamMm;
  return {
    name,
    widthMm: cutBetweenSeams(lengthMm, seamMm),
    heightMm,
    sums: [
      phrase`width: 2 × ${mm(finishedMm)} + 2 × ${mm(seamMm)} = ${mm(heightMm)}, folded double`,
      betweenSeams('length', lengthMm, seamMm),
    ],
  };
}

/** A finished rectangle with a seam all round. */
function panelCut(name: string, widthMm: number, heightMm: number, seamMm: number): CutPiece {
  return {
    name,
    widthMm: cutBetweenSeams(widthMm, seamMm),
    heightMm: cutBetweenSeams(heightMm, seamMm),
    sums: [betweenSeams('across', widthMm, seamMm), betweenSeams('up', heightMm, seamMm)],
  };
}

/** A channel for a cord: as deep as the cord is thick, twice and a little, plus its fold and a turn. */
function channelCut(cordMm: number, easeMm: number, turnUnderMm: number): CutPiece {
  const depth = Math.PI * (cordMm / 2) + easeMm;
  return {
    name: 'drawstring channel, added above the finished top edge',
    widthMm: 0,
    heightMm: depth + turnUnderMm,
    sums: [
      phrase`channel: half round a ${mm(cordMm)} cord ${mm((Math.PI * cordMm) / 2)} + ${mm(easeMm)} ease = ${mm(depth)}`,
      phrase`to add to the cut height: ${mm(depth)} + ${mm(turnUnderMm)} turned under = ${mm(depth + turnUnderMm)}`,
    ],
  };
}

/** A band round something round, its ends overlapping. */
function wrapCut(acrossMm: number, overlapMm: number, heightMm: number): CutPiece {
  const round = Math.PI * acrossMm;
  return {
    name: 'wrap, finished length',
    widthMm: round + overlapMm,
    heightMm,
    sums: [
      phrase`round it: π × ${mm(acrossMm)} = ${mm(round)}`,
      phrase`${mm(round)} + ${mm(overlapMm)} overlap = ${mm(round + overlapMm)}`,
    ],
  };
}

/** Every sewing sum by id. A kind names those that arise on it. */
export const SEWING_SUMS: Readonly<Record<SewingSumId, SewingSum>> = {
  strip: {
    id: 'strip',
    name: 'Contrast strip',
    fields: [{ id: 'stripWidth', name: 'strip, finished width', usualMm: 150 }, TURN_UNDER, SEAM],
    cut: (of, r, edge) => {
      const length = edge === 'left' || edge === 'right' ? r.height : r.width;
      return [stripCut(of('stripWidth'), length ?? 0, of('turnUnder'), of('seam'))];
    },
  },
  panel: {
    id: 'panel',
    name: 'Panel to cut',
    fields: [SEAM],
    cut: (of, r) => [panelCut('panel', r.width ?? 0, r.height ?? 0, of('seam'))],
  },
  border: {
    id: 'border',
    name: 'Border band on a towel or cloth',
    fields: [{ id: 'bandWidth', name: 'band, finished width', usualMm: 60 }, SEAM],
    cut: (of, r) => [
      {
        ...panelCut('band', r.width ?? 0, of('bandWidth'), of('seam')),
        name: 'band, both long edges turned under',
      },
    ],
  },
  'hem-band': {
    id: 'hem-band',
    name: 'Hem band, folded double',
    fields: [{ id: 'bandWidth', name: 'band, finished width', usualMm: 60 }, SEAM],
    cut: (of, r) => [
      foldedBand('hem band', of('bandWidth'), r.circumference ?? r.panelWidth ?? 0, of('seam')),
    ],
  },
  channel: {
    id: 'channel',
    name: 'Drawstring channel',
    fields: [
      { id: 'cord', name: 'cord, thickness', usualMm: 6 },
      { id: 'ease', name: 'ease', usualMm: 10 },
      TURN_UNDER,
    ],
    cut: (of) => [channelCut(of('cord'), of('ease'), of('turnUnder'))],
  },
  wrap: {
    id: 'wrap',
    name: 'Wrap round a candle or a jar',
    fields: [
      { id: 'across', name: 'straight across it', usualMm: 70 },
      { id: 'overlap', name: 'overlap', usualMm: 12 },
    ],
    cut: (of, r) => [wrapCut(of('across'), of('overlap'), r.height ?? 0)],
  },
  lining: {
    id: 'lining',
    name: 'Bag and its lining',
    fields: [SEAM, { id: 'liningLess', name: 'lining narrower by', usualMm: 3 }],
    cut: (of, r) => [
      panelCut('outside, twice', r.width ?? 0, r.height ?? 0, of('seam')),
      panelCut(
        'lining, twice',
        Math.max(0, (r.width ?? 0) - of('liningLess')),
        Math.max(0, (r.height ?? 0) - of('liningLess')),
        of('seam'),
      ),
    ],
  },
};

/** What was entered for a field of a sum, else its usual length, mm. */
export function sewingLength(
  id: SewingSumId,
  field: string,
  entered: Readonly<Record<string, number>>,
): number {
  return entered[field] ?? SEWING_SUMS[id].fields.find((f) => f.id === field)?.usualMm ?? 0;
}

/** The cut pieces of a kind's sums from what the maker entered, usual lengths standing in. */
export function sewingCuts(
  ids: readonly SewingSumId[],
  { sewing, stripEdge }: Pick<PieceInput, 'sewing' | 'stripEdge'>,
  readings: Readings,
): { sum: SewingSum; pieces: CutPiece[] }[] {
  return ids.map((id) => ({
    sum: SEWING_SUMS[id],
    pieces: SEWING_SUMS[id].cut((field) => sewingLength(id, field, sewing), readings, stripEdge),
  }));
}
