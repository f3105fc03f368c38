import type { Box } from '../../base/geometry/box';
import { LOOSE_BOUNDS, type LooseSheets, type Material } from '../../model/shelf';

/** A rectangle of a material, mm. */
export interface SheetSize {
  widthMm: number;
  heightMm: number;
}

/** Where some of the wanted pieces come from: one loose sheet, or a length of the roll. */
export interface CutFrom {
  material: Material;
  count: number;
  /** The loose sheet it is; null for the roll. */
  sheet: SheetSize | null;
  /** Metres of the roll; 0 for a loose sheet. */
  metres: number;
  /** How each piece lies: on a sheet as the sheet is measured; off a roll across it by along it. */
  lies: SheetSize;
  /** Pieces side by side across the roll; 1 on a sheet. */
  perRow: number;
  /** What is left of it and large enough to keep. */
  offcuts: SheetSize[];
}

/** What one cutting takes: from where, how many pieces nothing served, and the materials as they then are. */
export interface Cutting {
  from: CutFrom[];
  missing: number;
  after: Material[];
}

const MM_A_METRE = 1000;
const areaOf = ({ widthMm, heightMm }: SheetSize): number => widthMm * heightMm;
const turned = ({ widthMm, heightMm }: SheetSize): SheetSize => ({ widthMm: heightMm, heightMm: widthMm });
const sameSize = (a: SheetSize, b: SheetSize): boolean =>
  a.widthMm === b.widthMm && a.heightMm === b.heightMm;
/** Offcuts are measured to whole millimetres, never larger than they are. */
const whole = (mm: number): number => Math.min(LOOSE_BOUNDS.mostMm, Math.floor(mm + 1e-9));
const kept = (sizes: readonly SheetSize[], leastMm: number): SheetSize[] =>
  sizes
    .map(({ widthMm, heightMm }) => ({ widthMm: whole(widthMm), heightMm: whole(heightMm) }))
    .filter((s) => Math.min(s.widthMm, s.heightMm) >= Math.max(leastMm, LOOSE_BOUNDS.leastMm));

/** Loose sheets one by one. */
export const eachOf = (loose: readonly LooseSheets[]): SheetSize[] =>
  loose.flatMap(({ widthMm, heightMm, count }) =>
    Array.from({ length: count }, () => ({ widthMm, heightMm })),
  );

/**
 * Loose sheets with some added (`by` 1) or taken (`by` −1), in the order of their size; never fewer than none. Of
 * more sizes than a shelf keeps, the smallest go.
 */
export function withLoose(
  loose: readonly LooseSheets[],
  sizes: readonly SheetSize[],
  by: 1 | -1,
): LooseSheets[] {
  const next = loose.map((sheets) => ({ ...sheets }));
  for (const size of sizes) {
    const there = next.find((sheets) => sameSize(sheets, size));
    if (there) there.count = Math.min(LOOSE_BOUNDS.mostOfOne, there.count + by);
    else if (by > 0) next.push({ ...size, count: 1 });
  }
  return next
    .filter((sheets) => sheets.count > 0)
    .sort((a, b) => areaOf(a) - areaOf(b) || a.widthMm - b.widthMm)
    .slice(-LOOSE_BOUNDS.mostSizes);
}

/** What is left of a sheet when a piece is cut from its corner, by two straight cuts: the way with the larger rest. */
function restsOf(sheet: SheetSize, piece: SheetSize): SheetSize[] {
  const right = sheet.widthMm - piece.widthMm;
  const below = sheet.heightMm - piece.heightMm;
  const ways: [SheetSize, SheetSize][] = [
    [
      { widthMm: right, heightMm: sheet.heightMm },
      { widthMm: piece.widthMm, heightMm: below },
    ],
    [
      { widthMm: right, heightMm: piece.heightMm },
      { widthMm: sheet.widthMm, heightMm: below },
    ],
  ];
  const largest = (way: readonly SheetSize[]) => Math.max(...way.map(areaOf));
  return [...ways].sort((a, b) => largest(b) - largest(a))[0] ?? [];
}

/** How the piece lies on a sheet that holds it; null when it does not. */
function layOn(sheet: SheetSize, piece: SheetSize): SheetSize | null {
  const holds = (p: SheetSize) => p.widthMm <= sheet.widthMm + 1e-9 && p.heightMm <= sheet.heightMm + 1e-9;
  return [piece, turned(piece)].find(holds) ?? null;
}

/** One piece from the smallest loose sheet that holds it; null when none does. */
function fromLoose(piece: SheetSize, materials: readonly Material[], leastMm: number): CutFrom | null {
  const options = materials
    .flatMap((material) => material.loose.map(({ widthMm, heightMm }) => ({ material, widthMm, heightMm })))
    .flatMap(({ material, ...sheet }) => {
      const lies = layOn(sheet, piece);
      return lies ? [{ material, sheet, lies, offcuts: kept(restsOf(sheet, lies), leastMm) }] : [];
    })
    .sort((a, b) => areaOf(a.sheet) - areaOf(b.sheet));
  const [best] = options;
  return best ? { ...best, count: 1, perRow: 1, metres: 0 } : null;
}

/** Rows of pieces across a roll, as much of its length as they take, and what is left beside them. */
function offRoll(
  piece: SheetSize,
  count: number,
  rollWidthMm: number,
): Pick<CutFrom, 'metres' | 'lies' | 'perRow' | 'offcuts'> | null {
  const ways = [piece, turned(piece)].flatMap((lies) => {
    const { widthMm: across, heightMm: along } = lies;
    const perRow = Math.floor((rollWidthMm + 1e-9) / across);
    if (perRow < 1) return [];
    const full = Math.floor(count / perRow);
    const last = count - full * perRow;
    const beside = (inRow: number, rows: number): SheetSize[] =>
      rows === 0 ? [] : [{ widthMm: rollWidthMm - inRow * across, heightMm: rows * along }];
    return [
      {
        lies,
        perRow,
        metres: ((full + (last > 0 ? 1 : 0)) * along) / MM_A_METRE,
        offcuts: [...beside(perRow, full), ...beside(last, last > 0 ? 1 : 0)],
      },
    ];
  });
  return ways.sort((a, b) => a.metres - b.metres)[0] ?? null;
}

/** As many pieces as a roll has enough for, at most `count`; null when it has not enough for one. */
function mostOff(material: Material, piece: SheetSize, count: number, leastMm: number): CutFrom | null {
  for (let n = count; n > 0; n--) {
    const cut = offRoll(piece, n, material.widthMm);
    if (!cut) return null;
    if (cut.metres <= material.metresLeft + 1e-9)
      return { ...cut, material, sheet: null, count: n, offcuts: kept(cut.offcuts, leastMm) };
    // no row more than there is length for
    n = Math.min(n, Math.floor((n * material.metresLeft) / cut.metres) + cut.perRow);
  }
  return null;
}

/** The rest off a roll: one that has enough for all, else the one that was begun most; null when none has for one. */
function fromRoll(
  piece: SheetSize,
  count: number,
  materials: readonly Material[],
  leastMm: number,
): CutFrom | null {
  const options = materials.flatMap((material) => mostOff(material, piece, count, leastMm) ?? []);
  const all = (cut: CutFrom) => Number(cut.count === count);
  return (
    options.sort(
      (a, b) =>
        all(b) - all(a) || (all(a) ? a.metres - b.metres : a.material.metresLeft - b.material.metresLeft),
    )[0] ?? null
  );
}

/** A material once it was cut. */
function cut(material: Material, { sheet, metres, offcuts }: CutFrom): Material {
  if (sheet) return { ...material, loose: withLoose(withLoose(material.loose, [sheet], -1), offcuts, 1) };
  return {
    ...material,
    metresLeft: Math.max(0, material.metresLeft - metres),
    loose: withLoose(material.loose, offcuts, 1),
  };
}

/**
 * Cuts some pieces of one size: each from the smallest loose sheet that holds it (a piece may lie either way
 * round), the rest in rows off as many rolls as it needs. Offcuts with both sides at least `leastMm` are kept.
 * Straight cuts only.
 */
export function cutPieces(
  piece: SheetSize,
  count: number,
  materials: readonly Material[],
  leastMm: number,
): Cutting {
  let after = [...materials];
  const from: CutFrom[] = [];
  const take = (next: CutFrom) => {
    from.push(next);
    after = after.map((m) => (m.id === next.material.id ? cut(m, next) : m));
  };
  let wanted = count;
  for (; wanted > 0; wanted--) {
    const next = fromLoose(piece, after, leastMm);
    if (!next) break;
    take(next);
  }
  while (wanted > 0) {
    const roll = fromRoll(piece, wanted, after, leastMm);
    if (!roll) break;
    take(roll);
    wanted -= roll.count;
  }
  return { from, missing: wanted, after };
}

/**
 * A cut as it is drawn, mm from the corner of what is cut: a sheet as it is measured, of a roll the length that is
 * taken, with the roll's width upright; and the pieces on it, in rows along the roll.
 */
export function layoutOf({ sheet, metres, material, lies, count, perRow }: CutFrom): {
  source: SheetSize;
  pieces: Box[];
} {
  const { widthMm: along, heightMm: across } = sheet ? lies : turned(lies);
  return {
    source: sheet ?? { widthMm: metres * MM_A_METRE, heightMm: material.widthMm },
    pieces: Array.from({ length: count }, (_, i) => {
      const [left, top] = [Math.floor(i / perRow) * along, (i % perRow) * across];
      return { left, top, right: left + along, bottom: top + across };
    }),
  };
}
