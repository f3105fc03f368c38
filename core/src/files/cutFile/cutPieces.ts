import { boxOf } from '../../base/geometry/box';
import {
  areaOf,
  type Clipper,
  islandsOf,
  type Region,
  type Ring,
  signedAreaOf,
} from '../../base/geometry/clip';
import type { Point } from '../../base/geometry/point';
import { mm, type Phrase, phrase } from '../../base/units/phrase';
import type { HouseRules } from '../../model/houseRules';
import type { AppliqueWay, Cloth } from '../../model/ticket/applique';
import type { ClothShape } from '../../stages/design/applique/cloths';
import { cutOffsetMm } from '../../stages/design/applique/cutOffset';
import { linesAsRings } from '../../stages/design/parts/stopsOfDesign';
import { ringsOfPath } from '../../stages/design/pathData';

/** One piece of cloth as it is cut, mm, upright as in the design, about the design's centre. */
export interface ClothPiece {
  name: string;
  region: Region;
}

/** All pieces of one cloth, cut one way. */
export interface ClothCut {
  cloth: Cloth;
  way: AppliqueWay;
  pieces: ClothPiece[];
  /** What is to be known before it is cut. */
  remarks: Phrase[];
}

const scaled = (rings: readonly Ring[], by: number): Point[][] =>
  rings.map((ring) => ring.map(({ x, y }) => ({ x: x * by, y: y * by })));

function outlineOf({ d, strokeMm }: ClothShape, scale: number, clip: Clipper): Region {
  const rings = scaled(ringsOfPath(d), scale);
  return strokeMm === null ? clip.union(rings, 'evenodd') : clip.union(linesAsRings(rings, strokeMm * scale));
}

/** A hole that a blade or scissors no longer follow, mm². */
const LEAST_HOLE_MM2 = 12;
/** A piece that is none, mm². */
const LEAST_PIECE_MM2 = 4;

const isHole = (ring: Ring): boolean => signedAreaOf(ring) < 0;

interface Cut {
  pieces: ClothPiece[];
  remarks: Phrase[];
}

/** A shape that must show cloth inside its edge, and does not. */
function hiddenBy({ name, applique }: ClothShape, outline: Region, { clip, scale }: CutWith): Phrase[] {
  if (applique.way === 'rawEdge' || applique.edge !== 'satin') return [];
  const edgeMm = applique.edgeMm * scale;
  return clip.offset(outline, -edgeMm / 2).length > 0
    ? []
    : [phrase`“${name}” is narrower than its edge of ${mm(edgeMm)}: none of the cloth is seen.`];
}

interface CutWith {
  clip: Clipper;
  scale: number;
  rules: HouseRules;
}

/** The pieces of a shape: what hangs together of it once it is grown; small holes are left uncut, and said. */
function cutOf(shape: ClothShape, withWhat: CutWith): Cut {
  const { clip, scale, rules } = withWhat;
  const outline = outlineOf(shape, scale, clip);
  const { name, applique } = shape;
  const offset = cutOffsetMm(applique, scale, rules);
  const grown = offset === 0 ? outline : clip.offset(outline, offset);
  const holes = outline.filter(isHole).length;
  // In the hoop a hole is cut with the rest, and folds go in by hand.
  const wholes = applique.way === 'trimmed' ? grown.filter((ring) => !isHole(ring)) : grown;
  const kept = wholes.filter((ring) => !isHole(ring) || -signedAreaOf(ring) >= LEAST_HOLE_MM2);
  const pieces = islandsOf(kept).filter((region) => areaOf(region) >= LEAST_PIECE_MM2);
  const cut = kept.filter(isHole).length;
  const uncut = applique.way === 'trimmed' ? 0 : holes - cut;
  return {
    pieces: pieces.map((region, i) => ({ name: pieces.length > 1 ? `${name}, ${i + 1}` : name, region })),
    remarks: [
      ...(pieces.length === 0 ? [phrase`“${name}” has no area that could be cut.`] : []),
      ...(uncut > 0
        ? [
            uncut === 1
              ? phrase`A hole of “${name}” closes up when the cloth is cut: snip it out once it is tacked down.`
              : phrase`Holes of “${name}” close up when the cloth is cut: snip them out once it is tacked down.`,
          ]
        : []),
      ...hiddenBy(shape, outline, withWhat),
    ],
  };
}

const sameCloth = (a: Cloth, b: Cloth): boolean =>
  a.name === b.name &&
  a.hex === b.hex &&
  a.stripMm === b.stripMm &&
  a.alongGrain === b.alongGrain &&
  a.fused === b.fused;

/** What is cut in the hoop lies over all its shapes at once: neighbours that meet are one piece. */
function asOnePiece(cut: ClothPiece[], clip: Clipper): ClothPiece[] {
  const all = clip.union(cut.flatMap(({ region }) => region));
  return islandsOf(all.filter((ring) => !isHole(ring))).map((region) => {
    const box = boxOf(region.flat());
    const within = cut.filter(({ region: own }) => {
      const [p] = own[0] ?? [];
      return p && p.x >= box.left && p.x <= box.right && p.y >= box.top && p.y <= box.bottom;
    });
    return { name: within.map(({ name }) => name).join(', '), region };
  });
}

/**
 * The pieces that a design takes of every cloth, mm at the size that it is stitched. Shapes without area have none, and it
 * is said.
 */
export function clothPieces(shapes: readonly ClothShape[], withWhat: CutWith): ClothCut[] {
  const cuts: ClothCut[] = [];
  for (const shape of shapes) {
    const { cloth, way } = shape.applique;
    const { pieces, remarks } = cutOf(shape, withWhat);
    const same = cuts.find((cut) => sameCloth(cut.cloth, cloth) && cut.way === way);
    if (same) {
      same.pieces.push(...pieces);
      same.remarks.push(...remarks);
    } else cuts.push({ cloth, way, pieces, remarks });
  }
  return cuts.map((cut) =>
    cut.way === 'trimmed' ? { ...cut, pieces: asOnePiece(cut.pieces, withWhat.clip) } : cut,
  );
}
