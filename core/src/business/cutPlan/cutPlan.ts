import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import { eachOf, type SheetSize, withLoose } from '../../ledger/rolls/cutting';
import type { HouseRules } from '../../model/houseRules';
import { LOOSE_BOUNDS, type Material } from '../../model/shelf';
import { wantedPieces } from '../../planner/hands/wantedPieces';
import type { Plan } from '../../planner/planned';
import {
  bySize,
  type Cut,
  cutFromRoll,
  cutFromSheet,
  type PlacedSheet,
  type SheetCut,
  type Wanted,
} from './guillotine';

/** A piece to cut, with its number on the plan, what it is of and whom it is for. Lengths in mm. */
export interface SheetToCut extends Wanted {
  no: number;
  type: string;
  name: string;
  ticketId: string;
  title: string;
  serves: string;
}

/** What one thing is cut into: a loose sheet, or a length off a roll. */
export interface CutSource {
  material: Pick<Material, 'id' | 'name' | 'type' | 'widthMm'>;
  /** The loose sheet it is; null for the roll. */
  sheet: SheetSize | null;
  /** As it lies: along by across, mm; of a roll the length that is taken. */
  lengthMm: number;
  acrossMm: number;
  placed: PlacedSheet[];
  cuts: Cut[];
  /** What is left and large enough to keep, mm. */
  offcuts: SheetSize[];
  /** The share that is neither piece nor kept, 0 to 1. */
  waste: number;
}

/** Everything that is cut for some tickets: from what, how, and what nothing on the shelf is large enough for. */
export interface CutPlan {
  pieces: SheetToCut[];
  sources: CutSource[];
  missing: SheetToCut[];
  /** Pieces beyond those that are planned in one go. */
  beyond: number;
  /** The shelf’s materials once all is cut. */
  after: Material[];
}

/** A ticket’s plan, with what it is called. */
export interface PlannedTicket {
  ticketId: string;
  title: string;
  plan: Plan;
}

/** No more pieces than this are cut in one plan. */
export const MOST_PLANNED_SHEETS = 600;

const EDGE = { left: 0, top: 0 };
const sizeOf = (box: { left: number; right: number; top: number; bottom: number }): SheetSize => ({
  widthMm: Math.floor(box.right - box.left + 1e-9),
  heightMm: Math.floor(box.bottom - box.top + 1e-9),
});

function piecesOf(tickets: readonly PlannedTicket[], rules: HouseRules): Omit<SheetToCut, 'no'>[] {
  return tickets.flatMap(({ ticketId, title, plan }) =>
    wantedPieces(plan, rules).flatMap(({ type, name, widthMm, heightMm, count, serves }, i) =>
      Array.from({ length: count }, (_, n) => ({
        id: `${ticketId}:${i}:${n}`,
        type,
        name,
        widthMm,
        heightMm,
        ticketId,
        title,
        serves,
      })),
    ),
  );
}

/** What is cut from one source, with what of it is kept. */
function sourceOf(
  material: Material,
  {
    cut,
    sheet,
    lengthMm,
    acrossMm,
  }: { cut: SheetCut; sheet: SheetSize | null; lengthMm: number; acrossMm: number },
  leastMm: number,
): CutSource {
  const offcuts = cut.left
    .map(sizeOf)
    .filter((size) => Math.min(size.widthMm, size.heightMm) >= Math.max(leastMm, LOOSE_BOUNDS.leastMm));
  const area = ({ widthMm, heightMm }: SheetSize) => widthMm * heightMm;
  const used =
    cut.placed.reduce((sum, { at }) => sum + (at.right - at.left) * (at.bottom - at.top), 0) +
    offcuts.reduce((sum, size) => sum + area(size), 0);
  const { id, name, type, widthMm } = material;
  return {
    material: { id, name, type, widthMm },
    sheet,
    lengthMm,
    acrossMm,
    placed: cut.placed,
    cuts: cut.cuts,
    offcuts,
    waste: Math.max(0, 1 - used / (lengthMm * acrossMm)),
  };
}

/** A loose sheet as full as it gets, parted the longer or the shorter way. */
function fullest(size: SheetSize, pieces: readonly SheetToCut[]): SheetCut {
  const sheet = { ...EDGE, right: size.widthMm, bottom: size.heightMm };
  const ways = (['longer', 'shorter'] as const).map((by) => cutFromSheet(sheet, pieces, { by }));
  const used = ({ placed }: SheetCut) =>
    placed.reduce((sum, { at }) => sum + (at.right - at.left) * (at.bottom - at.top), 0);
  return [...ways].sort((a, b) => used(b) - used(a))[0] ?? { placed: [], cuts: [], left: [sheet] };
}

/** Cuts the pieces of one sort: loose sheets first, the smallest of them first, then rolls, the one begun most first. */
function cutOneSort(
  pieces: readonly SheetToCut[],
  materials: readonly Material[],
  leastMm: number,
): { sources: CutSource[]; missing: SheetToCut[] } {
  let open = bySize(pieces);
  const sources: CutSource[] = [];
  const take = (source: CutSource) => {
    if (source.placed.length === 0) return;
    sources.push(source);
    const done = new Set(source.placed.map(({ id }) => id));
    open = open.filter(({ id }) => !done.has(id));
  };
  const loose = materials
    .flatMap((material) => eachOf(material.loose).map((size) => ({ material, size })))
    .sort((a, b) => a.size.widthMm * a.size.heightMm - b.size.widthMm * b.size.heightMm);
  for (const { material, size } of loose) {
    const cut = fullest(size, open);
    take(sourceOf(material, { cut, sheet: size, lengthMm: size.widthMm, acrossMm: size.heightMm }, leastMm));
  }
  for (const material of [...materials].sort((a, b) => a.metresLeft - b.metresLeft)) {
    if (material.widthMm === 0 || open.length === 0) continue;
    const cut = cutFromRoll(open, material.widthMm, material.metresLeft * 1000);
    take(
      sourceOf(material, { cut, sheet: null, lengthMm: cut.lengthMm, acrossMm: material.widthMm }, leastMm),
    );
  }
  return { sources, missing: open };
}

/** A material once everything of a plan is cut from it. */
function afterCutting(material: Material, sources: readonly CutSource[]): Material {
  const own = sources.filter(({ material: { id } }) => id === material.id);
  const takenMm = own.reduce((sum, { sheet, lengthMm }) => sum + (sheet ? 0 : lengthMm), 0);
  const sheets = own.flatMap(({ sheet }) => (sheet ? [sheet] : []));
  return {
    ...material,
    metresLeft: Math.max(0, material.metresLeft - takenMm / 1000),
    loose: withLoose(
      withLoose(material.loose, sheets, -1),
      own.flatMap(({ offcuts }) => offcuts),
      1,
    ),
  };
}

/**
 * The sheets of all tickets laid out together over offcuts and rolls, to be cut by straight cuts from edge to edge, and
 * numbered in the order they are cut. Of more than `MOST_SHEETS` the rest is counted.
 */
export function cutPlan(
  tickets: readonly PlannedTicket[],
  materials: readonly Material[],
  rules: HouseRules,
): CutPlan {
  const leastMm = numberFor(rules, LAYER_NUMBERS.leastOffcutMm);
  const all = piecesOf(tickets, rules);
  const wanted = all.slice(0, MOST_PLANNED_SHEETS).map((piece): SheetToCut => ({ ...piece, no: 0 }));
  const types = [...new Set(wanted.map(({ type }) => type))];
  const sorts = types.map((type) =>
    cutOneSort(
      wanted.filter((piece) => piece.type === type),
      materials.filter((material) => material.type === type),
      leastMm,
    ),
  );
  const sources = sorts.flatMap((sort) => sort.sources);
  const order = new Map(sources.flatMap(({ placed }) => placed).map(({ id }, i) => [id, i + 1]));
  const numbered = wanted
    .map((piece) => ({ ...piece, no: order.get(piece.id) ?? 0 }))
    .sort((a, b) => a.no - b.no);
  return {
    pieces: numbered.filter(({ no }) => no > 0),
    sources,
    missing: numbered.filter(({ no }) => no === 0),
    beyond: all.length - wanted.length,
    after: materials.map((material) => afterCutting(material, sources)),
  };
}
