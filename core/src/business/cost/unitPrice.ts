import type { SheetSize } from '../../ledger/rolls/cutting';
import type { Material, Paid, Shelf, SupplyType, Thread } from '../../model/shelf';

/** What one unit costs, in parts of the smallest coin; null where nobody has said what was paid. */
export const unitMinor = (paid: Paid | null | undefined): number | null =>
  paid ? paid.minor / paid.amount : null;

/** The cheapest of some, by what is paid for a unit; null where it is known of none. */
const cheapest = <T extends { paid?: Paid | null | undefined }>(
  items: readonly T[],
): { item: T; minor: number } | null =>
  items
    .flatMap((item) => {
      const minor = unitMinor(item.paid);
      return minor === null ? [] : [{ item, minor }];
    })
    .sort((a, b) => a.minor - b.minor)[0] ?? null;

/** What a piece of a material takes of what it is cut from, and what that costs. */
export interface SheetShare {
  material: Material;
  /** Metres of the roll, or sheets where there is no roll. */
  amount: number;
  /** Pieces side by side on the roll, or on a sheet. */
  abreast: number;
  /** What one metre, or one sheet, costs. */
  unitMinor: number;
}

/**
 * The share of a roll that a piece takes: its length along the roll, over as many as lie abreast; so what is cut away
 * beside them is paid for, and the rest of a row is the next piece’s. Null where the roll is too narrow.
 */
function shareOfRoll(piece: SheetSize, widthMm: number): Pick<SheetShare, 'amount' | 'abreast'> | null {
  const ways = [
    [piece.widthMm, piece.heightMm],
    [piece.heightMm, piece.widthMm],
  ].flatMap(([across = 0, along = 0]) => {
    const abreast = Math.floor((widthMm + 1e-9) / across);
    return abreast < 1 ? [] : [{ abreast, amount: along / 1000 / abreast }];
  });
  return ways.sort((a, b) => a.amount - b.amount)[0] ?? null;
}

/** The share of the largest loose sheet that a piece takes, in a grid; null where none holds it. */
function shareOfSheet(piece: SheetSize, { loose }: Material): Pick<SheetShare, 'amount' | 'abreast'> | null {
  const inGrid = (w: number, h: number, sheet: SheetSize) =>
    Math.floor((sheet.widthMm + 1e-9) / w) * Math.floor((sheet.heightMm + 1e-9) / h);
  const most = Math.max(
    0,
    ...loose.flatMap((sheet) => [
      inGrid(piece.widthMm, piece.heightMm, sheet),
      inGrid(piece.heightMm, piece.widthMm, sheet),
    ]),
  );
  return most === 0 ? null : { abreast: most, amount: 1 / most };
}

/** What a piece of some type of material costs off the shelf, the cheapest way; null where no price is known. */
export function sheetShare(
  type: string,
  piece: SheetSize,
  materials: readonly Material[],
): SheetShare | null {
  const shares = materials.flatMap((material): SheetShare[] => {
    const minor = unitMinor(material.paid);
    if (material.type !== type || minor === null) return [];
    const share = material.widthMm > 0 ? shareOfRoll(piece, material.widthMm) : shareOfSheet(piece, material);
    return share ? [{ ...share, material, unitMinor: minor }] : [];
  });
  return shares.sort((a, b) => a.amount * a.unitMinor - b.amount * b.unitMinor)[0] ?? null;
}

/**
 * What a metre of a thread costs: as this spool was paid, else as the dearest of its weight and fibre, so that nothing is
 * priced too low. `like` says which it was; null where no such thread has a price.
 */
export function threadMinor(
  thread: Pick<Thread, 'weight' | 'fibre'> & Partial<Pick<Thread, 'paid'>>,
  { threads }: Pick<Shelf, 'threads'>,
): { minor: number; like: string | null } | null {
  const own = unitMinor(thread.paid);
  if (own !== null) return { minor: own, like: null };
  const [dearest] = threads
    .filter(({ weight, fibre }) => weight === thread.weight && fibre === thread.fibre)
    .flatMap(({ name, paid }) => {
      const minor = unitMinor(paid);
      return minor === null ? [] : [{ minor, like: name }];
    })
    .sort((a, b) => b.minor - a.minor);
  return dearest ?? null;
}

/** What one unit of a supply costs, the cheapest of the shelf; null where no price is known. */
export const supplyMinor = (type: SupplyType, { supplies }: Pick<Shelf, 'supplies'>): number | null =>
  cheapest(supplies.filter((one) => one.type === type))?.minor ?? null;
