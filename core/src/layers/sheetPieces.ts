import type { Plan } from '../plan';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Material, Shelf } from '../shelf/schema';
import { STABILIZERS } from './materials';

/** A piece to cut for one ticket: of what, how large, and what that takes off the roll. */
export interface SheetPiece {
  /** The material it is of, by the trade's name, as the shelf has it. */
  type: string;
  name: string;
  widthMm: number;
  heightMm: number;
  /** How many such pieces: one to each hooping. */
  count: number;
  /** The roll on the shelf that it is cut from; null where there is none. */
  roll: Material | null;
  /** Metres of that roll for all of them, side by side as the roll's width allows; null without a roll. */
  metres: number | null;
}

/** Room of a film beyond the design on each side, mm. */
const FILM_BEYOND_MM = 10;
const MM_A_METRE = 1000;

/** Metres of a roll for some pieces, laid the way that takes less; null when the roll is narrower than a piece. */
export function metresOf(
  piece: { widthMm: number; heightMm: number },
  count: number,
  rollWidthMm: number,
): number | null {
  const ways = [
    [piece.widthMm, piece.heightMm],
    [piece.heightMm, piece.widthMm],
  ].flatMap(([across = 0, along = 0]) => {
    const perRow = Math.floor((rollWidthMm + 1e-9) / across);
    return perRow < 1 ? [] : [(count * along) / perRow];
  });
  return ways.length === 0 ? null : Math.min(...ways) / MM_A_METRE;
}

function cutFrom(
  piece: Pick<SheetPiece, 'type' | 'name' | 'widthMm' | 'heightMm' | 'count'>,
  shelf: Shelf,
): SheetPiece {
  const rolls = shelf.materials
    .filter((m) => m.type === piece.type)
    .flatMap((roll) => {
      const metres = metresOf(piece, piece.count, roll.widthMm);
      return metres === null ? [] : [{ roll, metres }];
    })
    .sort((a, b) => Number(b.roll.metresLeft >= b.metres) - Number(a.roll.metresLeft >= a.metres));
  const [best] = rolls;
  return { ...piece, roll: best?.roll ?? null, metres: best?.metres ?? null };
}

/**
 * The pieces a ticket's stack is cut from: what is in the ring is the ring and its allowance, what is fused, slid
 * under or taped the field and its allowance, a film the design and 10 mm. Empty while the plan has no hoop.
 */
export function sheetPieces(plan: Plan, shelf: Shelf, rules: HouseRules): SheetPiece[] {
  const { layers, hoop, design } = plan;
  if (!layers || !hoop?.laid || !hoop.cut || !design.facts) return [];
  const count = Math.max(1, hoop.hoopings.length, hoop.laid.split?.split.parts.length ?? 1);
  const { widthMm, heightMm, patch } = hoop.cut;
  const sheetLayers = layers.stack.filter((layer) => layer.role === 'sheet');
  const sheets = layers.sheets.map((sheet, i) => {
    const clamped = sheetLayers[i]?.clamped === true && sheet.hold !== 'fused';
    const size = clamped ? { widthMm, heightMm } : patch;
    const { name } = STABILIZERS[sheet.stabilizer];
    return cutFrom({ type: sheet.stabilizer, name, ...size, count }, shelf);
  });
  const beyond = 2 * FILM_BEYOND_MM;
  const over = { widthMm: design.facts.widthMm + beyond, heightMm: design.facts.heightMm + beyond };
  const parts = [layers.parts.topper.choice, layers.parts.cover.choice].filter((c) => c.id !== 'none');
  const allowance = 2 * numberFor(rules, 'coverBeyondMm');
  const cover = {
    widthMm: design.facts.widthMm + allowance,
    heightMm: design.facts.heightMm + allowance,
  };
  const films = parts.map(({ id, name }) =>
    cutFrom({ type: id, name, ...(layers.parts.cover.choice.id === id ? cover : over), count }, shelf),
  );
  return [...sheets, ...films];
}
