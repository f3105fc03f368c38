import type { Plan } from '../plan';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Material, Shelf } from '../shelf/schema';
import type { ChoicePart } from './schema';

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
 * The pieces a ticket's stack is cut from: what is in the ring is the ring and its allowance, what is not the
 * field and its allowance, a film or a cover the design and its own. Empty while the plan has no hoop.
 */
export function sheetPieces(plan: Plan, shelf: Shelf, rules: HouseRules): SheetPiece[] {
  const { layers, hoop, design } = plan;
  if (!layers || !hoop?.laid || !hoop.cut || !design.facts) return [];
  const count = Math.max(1, hoop.hoopings.length, hoop.laid.split?.split.parts.length ?? 1);
  const { widthMm, heightMm, patch } = hoop.cut;
  const sheets = layers.stack.flatMap(({ sheet, clamped, name }) => {
    const size = clamped ? { widthMm, heightMm } : patch;
    return sheet ? [cutFrom({ type: sheet.stabilizer, name, ...size, count }, shelf)] : [];
  });
  const { facts } = design;
  const over = (part: ChoicePart, beyondMm: number) => {
    const { id, name } = layers.parts[part].choice;
    const size = { widthMm: facts.widthMm + 2 * beyondMm, heightMm: facts.heightMm + 2 * beyondMm };
    return id === 'none' ? [] : [cutFrom({ type: id, name, ...size, count }, shelf)];
  };
  return [
    ...sheets,
    ...over('topper', numberFor(rules, 'topperBeyondMm')),
    ...over('cover', numberFor(rules, 'coverBeyondMm')),
  ];
}
