import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import type { HouseRules } from '../../model/houseRules';
import type { Material, Shelf } from '../../model/shelf';
import type { ChoicePart } from '../../model/ticket/layers';
import type { Plan } from '../../planner/planned';
import { hoopingCount } from '../../stages/hoop/planHoop';
import { type CutFrom, cutPieces } from './cutting';

/** A piece to cut for one ticket: of what, how large, and what it is cut from. */
export interface SheetPiece {
  /** The material it is of, by the trade's name, as the shelf has it. */
  type: string;
  name: string;
  widthMm: number;
  heightMm: number;
  /** How many such pieces: one to each hooping of every piece in the order. */
  count: number;
  /** Loose sheets and offcuts first, then a roll. */
  from: CutFrom[];
  /** How many of them nothing on the shelf is large enough for. */
  missing: number;
}

type Wanted = Pick<SheetPiece, 'type' | 'name' | 'widthMm' | 'heightMm' | 'count'> & {
  /** What it is for, in words. */
  serves: string;
};

/**
 * The pieces a ticket's stack is cut from: what is in the ring is the ring and its allowance, what is not the
 * field and its allowance, a film or a cover the design and its own. Empty while the plan has no hoop.
 */
export function wantedPieces({ piece, layers, hoop, design }: Plan, rules: HouseRules): Wanted[] {
  if (!layers || !hoop?.laid || !hoop.cut || !design.facts) return [];
  const count = hoopingCount(hoop) * piece.pieces;
  const { widthMm, heightMm, patch } = hoop.cut;
  const sheets = layers.stack.flatMap(({ sheet, clamped, name }) => {
    const size = clamped ? { widthMm, heightMm } : patch;
    const serves = clamped ? 'For the ring, with enough to grip all round.' : 'A patch over the whole field.';
    return sheet ? [{ type: sheet.stabilizer, name, ...size, count, serves }] : [];
  });
  const { facts } = design;
  const over = (part: ChoicePart, beyondMm: number, serves: string) => {
    const { id, name } = layers.parts[part].choice;
    const size = { widthMm: facts.widthMm + 2 * beyondMm, heightMm: facts.heightMm + 2 * beyondMm };
    return id === 'none' ? [] : [{ type: id, name, ...size, count, serves }];
  };
  return [
    ...sheets,
    ...over(
      'topper',
      numberFor(rules, LAYER_NUMBERS.topperBeyondMm),
      'Laid on top, before the first stitch.',
    ),
    ...over('cover', numberFor(rules, LAYER_NUMBERS.coverBeyondMm), 'Over the back, when all is stitched.'),
  ];
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
