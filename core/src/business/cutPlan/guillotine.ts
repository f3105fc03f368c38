import type { Box } from '../../base/geometry/box';

/** A rectangle to be cut, mm, with what it is known by. */
export interface Wanted {
  id: string;
  widthMm: number;
  heightMm: number;
}

/** A piece where it lies on what it is cut from, mm from its corner: x along, y across. */
export interface PlacedSheet {
  id: string;
  at: Box;
}

/**
 * A straight cut from edge to edge of what is then in the hand, mm; `along` runs along x. A cut at the far edge of what it
 * is of takes that off the roll.
 */
export interface Cut {
  of: Box;
  way: 'along' | 'across';
  atMm: number;
}

/** What is cut from one sheet, or one length of a roll: the pieces, the cuts in their order, and what is left, mm. */
export interface SheetCut {
  placed: PlacedSheet[];
  cuts: Cut[];
  left: Box[];
}

/** How a sheet is parted beside a piece: the longer way first, or the shorter. */
export type SplitBy = 'longer' | 'shorter';

const EPSILON_MM = 1e-6;
const width = ({ left, right }: Box): number => right - left;
const height = ({ top, bottom }: Box): number => bottom - top;

interface Lying {
  piece: Wanted;
  along: number;
  across: number;
}

/** The ways a piece may lie: as it is measured, and a quarter turned. */
const waysOf = (piece: Wanted): Lying[] =>
  piece.widthMm === piece.heightMm
    ? [{ piece, along: piece.widthMm, across: piece.heightMm }]
    : [
        { piece, along: piece.widthMm, across: piece.heightMm },
        { piece, along: piece.heightMm, across: piece.widthMm },
      ];

const fitsIn = ({ along, across }: Lying, free: Box): boolean =>
  along <= width(free) + EPSILON_MM && across <= height(free) + EPSILON_MM;

/** The rests of a sheet once a piece is cut from its corner, and the two cuts, the first from edge to edge of it. */
function partedBy(free: Box, { along, across }: Lying, by: SplitBy): { cuts: Cut[]; rests: Box[] } {
  const [x, y] = [free.left + along, free.top + across];
  const isAcrossFirst =
    by === 'longer'
      ? width(free) - along >= height(free) - across
      : width(free) - along < height(free) - across;
  const strip: Box = isAcrossFirst ? { ...free, right: x } : { ...free, bottom: y };
  const cuts: Cut[] = [
    isAcrossFirst ? { of: free, way: 'across', atMm: x } : { of: free, way: 'along', atMm: y },
    isAcrossFirst ? { of: strip, way: 'along', atMm: y } : { of: strip, way: 'across', atMm: x },
  ];
  const rests: Box[] = isAcrossFirst
    ? [
        { ...free, left: x },
        { ...strip, top: y },
      ]
    : [
        { ...free, top: y },
        { ...strip, left: x },
      ];
  const isReal = ({ of, way, atMm }: Cut): boolean =>
    way === 'across' ? atMm < of.right - EPSILON_MM : atMm < of.bottom - EPSILON_MM;
  return {
    cuts: cuts.filter(isReal),
    rests: rests.filter((rest) => width(rest) > EPSILON_MM && height(rest) > EPSILON_MM),
  };
}

/** The free sheet and the way in which a piece leaves the least beside it on one side. */
function bestFit(free: readonly Box[], piece: Wanted): { at: number; lying: Lying } | null {
  let best: { at: number; lying: Lying; spare: number } | null = null;
  for (const [at, box] of free.entries())
    for (const lying of waysOf(piece)) {
      if (!fitsIn(lying, box)) continue;
      const spare = Math.min(width(box) - lying.along, height(box) - lying.across);
      if (!best || spare < best.spare - EPSILON_MM) best = { at, lying, spare };
    }
  return best;
}

const cornerOf = ({ left, top }: Box, { along, across }: Lying): Box => ({
  left,
  top,
  right: left + along,
  bottom: top + across,
});

/**
 * Cuts pieces from one sheet by straight cuts from edge to edge: each, in the order given, from the free rest that it fits
 * best (guillotine packing, best short side; Jylänki 2010, §2). What fits no more is left out. `first` lies in the corner.
 */
export function cutFromSheet(
  sheet: Box,
  pieces: readonly Wanted[],
  { by, first }: { by: SplitBy; first?: Lying },
): SheetCut {
  let free = [sheet];
  const placed: PlacedSheet[] = [];
  const cuts: Cut[] = [];
  const put = (at: number, lying: Lying) => {
    const box = free[at];
    if (!box) return;
    const parted = partedBy(box, lying, by);
    placed.push({ id: lying.piece.id, at: cornerOf(box, lying) });
    cuts.push(...parted.cuts);
    free = [...free.slice(0, at), ...free.slice(at + 1), ...parted.rests];
  };
  if (first) put(0, first);
  for (const piece of pieces) {
    if (piece === first?.piece) continue;
    const best = bestFit(free, piece);
    if (best) put(best.at, best.lying);
  }
  return { placed, cuts, left: free };
}

const areaOf = ({ at }: PlacedSheet): number => width(at) * height(at);

/** One row of a roll: a length across its whole width, begun with a piece that is as long as the row. */
function bestRow(
  fromMm: number,
  widthMm: number,
  pieces: readonly Wanted[],
): (SheetCut & { lengthMm: number }) | null {
  let best: (SheetCut & { lengthMm: number }) | null = null;
  let bestShare = -1;
  const tried = new Set<string>();
  for (const piece of pieces)
    for (const lying of waysOf(piece)) {
      const key = `${lying.along} ${lying.across}`;
      if (lying.across > widthMm + EPSILON_MM || tried.has(key)) continue;
      tried.add(key);
      const row: Box = { left: fromMm, right: fromMm + lying.along, top: 0, bottom: widthMm };
      for (const by of ['longer', 'shorter'] as const) {
        const cut = cutFromSheet(row, pieces, { by, first: lying });
        const share = cut.placed.reduce((sum, one) => sum + areaOf(one), 0) / (widthMm * lying.along);
        if (share > bestShare + EPSILON_MM) [best, bestShare] = [{ ...cut, lengthMm: lying.along }, share];
      }
    }
  return best;
}

/** What is cut off a roll: how much of it, and what fits no more. */
export interface RollCut extends SheetCut {
  lengthMm: number;
  notPlaced: Wanted[];
}

/**
 * Cuts pieces off a roll in rows, as scissors do: a length across the whole width, then what lies on it. Of all rows that
 * could come next the one is taken that is used best. Pieces wider than the roll either way, and those for which it is too
 * short, are not placed.
 */
export function cutFromRoll(pieces: readonly Wanted[], widthMm: number, longestMm: number): RollCut {
  const roll: RollCut = { placed: [], cuts: [], left: [], lengthMm: 0, notPlaced: [] };
  let open = bySize(pieces);
  while (open.length > 0) {
    const row = bestRow(
      roll.lengthMm,
      widthMm,
      open.filter((piece) =>
        waysOf(piece).some(({ along }) => roll.lengthMm + along <= longestMm + EPSILON_MM),
      ),
    );
    if (!row || roll.lengthMm + row.lengthMm > longestMm + EPSILON_MM) break;
    roll.lengthMm += row.lengthMm;
    const own: Box = { left: roll.lengthMm - row.lengthMm, right: roll.lengthMm, top: 0, bottom: widthMm };
    roll.cuts.push({ of: own, way: 'across', atMm: roll.lengthMm }, ...row.cuts);
    roll.placed.push(...row.placed);
    roll.left.push(...row.left);
    const done = new Set(row.placed.map(({ id }) => id));
    open = open.filter(({ id }) => !done.has(id));
  }
  return { ...roll, notPlaced: open };
}

/** The longest first, of equal ones the widest. */
export const bySize = <T extends Wanted>(pieces: readonly T[]): T[] =>
  [...pieces].sort(
    (a, b) =>
      Math.max(b.widthMm, b.heightMm) - Math.max(a.widthMm, a.heightMm) ||
      Math.min(b.widthMm, b.heightMm) - Math.min(a.widthMm, a.heightMm),
  );
