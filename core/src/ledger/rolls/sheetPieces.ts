import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import type { HouseRules } from '../../model/houseRules';
import type { Material, Shelf } from '../../model/shelf';
import { type WantedPiece, wantedPieces } from '../../planner/hands/wantedPieces';
import type { Plan } from '../../planner/planned';
import { type CutFrom, cutPieces } from './cutting';

/** A piece to cut for one ticket, and what it is cut from. */
export interface SheetPiece extends Omit<WantedPiece, 'thing' | 'serves'> {
  /** Loose sheets and offcuts first, then a roll. */
  from: CutFrom[];
  /** How many of them nothing on the shelf is large enough for. */
  missing: number;
}

/** The pieces of a ticket, each cut from what those before it leave, and the materials once all are cut. */
export function cutSheets(
  plan: Plan,
  shelf: Pick<Shelf, 'materials'>,
  rules: HouseRules,
): { pieces: SheetPiece[]; after: Material[] } {
  const leastMm = numberFor(rules, LAYER_NUMBERS.leastOffcutMm);
  const after = new Map(shelf.materials.map((m) => [m.id, m]));
  const pieces = wantedPieces(plan, rules).map((wanted) => {
    const ofType = [...after.values()].filter((m) => m.type === wanted.type);
    const cutting = cutPieces(wanted, wanted.count, ofType, leastMm);
    for (const material of cutting.after) after.set(material.id, material);
    return { ...wanted, from: cutting.from, missing: cutting.missing };
  });
  return { pieces, after: [...after.values()] };
}

/** The pieces to cut for a ticket, and from what. */
export const sheetPieces = (plan: Plan, shelf: Shelf, rules: HouseRules): SheetPiece[] =>
  cutSheets(plan, shelf, rules).pieces;
