import { boxOf, inflate, widthOf } from '../base/geometry/box';
import type { Clipper, Region } from '../base/geometry/clip';
import type { Point } from '../base/geometry/point';
import { toEnd } from '../base/inSteps';
import { numberFor } from '../catalogue/houseNumber';
import { DESIGN_NUMBERS } from '../catalogue/numbers/design';
import { type ClothCut, clothPieces } from '../files/cutFile/cutPieces';
import type { CutAsked } from '../files/cutFile/cutSheet';
import { type Laid, nest } from '../files/cutFile/nest';
import type { Cloth } from '../model/ticket/applique';
import { CHALK, grainArrow, line, type PaperDrawing, type PaperMark, text } from './drawing';

/** Patterns are laid so wide where none of them is wider, mm: what a page takes. */
const PAGE_MM = 170;
const GAP_MM = 8;
const LETTERS_MM = 3.2;

/** The patterns of one cloth, and what they are called. */
export interface Patterns {
  title: string;
  drawing: PaperDrawing;
}

const mirrored = (region: Region, widthMm: number): Region =>
  region.map((ring) => ring.map(({ x, y }) => ({ x: widthMm - x, y })));

/** Outlines to cut along, and of turned edges the fold. */
function outlines(region: Region, fold: Region): PaperMark[] {
  return [
    ...region.map((ring) => line(ring, { closed: true, widthMm: 0.3 })),
    ...fold.map((ring) => line(ring, { closed: true, widthMm: 0.2, dashMm: [3, 1.5], colour: CHALK })),
  ];
}

function grainOf({ x, y }: Point, high: number, { alongGrain }: Cloth): PaperMark[] {
  const reach = Math.min(18, Math.max(6, high / 4));
  return alongGrain ? grainArrow({ x, y: y + reach }, { x, y: y - reach }) : [];
}

/** How its words say which side is up. */
const sideWords = ({ fused, name }: Cloth): string =>
  fused
    ? `${name}: a mirror, to trace on the paper of the web; fuse, then cut.`
    : `${name}: right side of the cloth up, pattern as it is.`;

function* laidOut(
  { cloth, pieces }: ClothCut,
  clip: Clipper,
): Generator<unknown, { laid: Laid[]; widthMm: number }> {
  const widest = Math.max(PAGE_MM, ...pieces.map(({ region }) => Math.ceil(widthOf(boxOf(region.flat())))));
  const asked = { pieces, times: 1, widthMm: widest, gapMm: GAP_MM, alongGrain: cloth.alongGrain };
  const { laid } = yield* nest(asked, clip);
  return { laid, widthMm: widest };
}

function drawingOf(
  cut: ClothCut,
  laid: readonly Laid[],
  widthMm: number,
  asked: CutAsked & { clip: Clipper },
): PaperDrawing {
  const { cloth, pieces } = cut;
  const foldMm = cut.way === 'turned' ? numberFor(asked.rules, DESIGN_NUMBERS.turnedMm) : 0;
  const marks = laid.flatMap(({ region, piece, turnDeg }): PaperMark[] => {
    const fold = foldMm > 0 ? asked.clip.offset(region, -foldMm) : [];
    const [cutLine, foldLine] = cloth.fused
      ? [mirrored(region, widthMm), mirrored(fold, widthMm)]
      : [region, fold];
    const box = boxOf(cutLine.flat());
    const middle = { x: (box.left + box.right) / 2, y: (box.top + box.bottom) / 2 };
    const times = asked.times > 1 ? `, cut ${asked.times}` : '';
    const turned = turnDeg === 180 ? ' (upside down)' : '';
    return [
      ...outlines(cutLine, foldLine),
      ...grainOf(middle, box.bottom - box.top, cloth),
      text({ x: middle.x, y: box.bottom + LETTERS_MM + 1 }, `${pieces[piece]?.name ?? ''}${times}${turned}`, {
        sizeMm: LETTERS_MM,
        anchor: 'middle',
      }),
    ];
  });
  const box = boxOf([{ x: 0, y: 0 }, { x: widthMm, y: 0 }, ...laid.flatMap(({ region }) => region.flat())]);
  const foot = box.bottom + 14;
  return {
    box: inflate({ ...box, bottom: foot + 4 }, 4),
    marks: [...marks, text({ x: 0, y: foot }, sideWords(cloth), { bold: true, sizeMm: 4 })],
  };
}

/** Paper patterns of every cloth of a design at true size, to cut it by hand; none where it is all thread. */
export function patternDrawings(asked: CutAsked, clip: Clipper): Patterns[] {
  const cuts = clothPieces(asked.facts.cloths, { clip, scale: asked.facts.scale, rules: asked.rules });
  return cuts.flatMap((cut): Patterns[] => {
    if (cut.pieces.length === 0) return [];
    const { laid, widthMm } = toEnd(laidOut(cut, clip));
    return [{ title: cut.cloth.name || 'cloth', drawing: drawingOf(cut, laid, widthMm, { ...asked, clip }) }];
  });
}
