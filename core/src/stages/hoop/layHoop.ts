import { boxOf, heightOf, widthOf } from '../../base/geometry/box';
import { add, negate, type Point, rotate } from '../../base/geometry/point';
import { type Polygon, placed } from '../../base/geometry/polygon';
import { numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { Hoop } from '../../model/shelf';
import type { Method, QuarterTurn } from '../../model/ticket/hoop';
import type { DesignFacts } from '../design/designFacts';
import { fillPercent } from './fill';
import { allowedRegion, crookedRoom, type Field, type Pose, roomTowards, whyDesignDoesNotFit } from './fit';
import { fieldOf, type HoopVerdict } from './judgeHoop';
import { fieldOnPiece, hoopCentre, ringLies, ringOnPiece } from './ring';
import type { HoopSetting } from './setting';
import { type Split, type SplitPart, splitDesign } from './split';

/** A split design on the piece, and the part that is in the hoop now. */
export interface LaidSplit {
  split: Split;
  index: number;
  part: SplitPart;
  /** Every part's field on the piece, in the order of stitching. */
  fields: Point[][];
  /** Registration crosses on the piece. */
  crosses: Point[];
  /** Whether the ring lies clear for every part. */
  lies: boolean;
  /** How often the split design comes on the piece. */
  copies: number;
}

/** The chosen hoop where it lies on the piece. Corners in the piece frame, mm. */
export interface LaidHoop {
  verdict: HoopVerdict;
  turnDeg: QuarterTurn;
  /** The hoop's whole turn on the piece, the design's included. */
  onPieceDeg: number;
  /** The design's centre in the hoop frame. */
  designAt: Point;
  /** The field's centre. */
  centre: Point;
  ring: Point[];
  field: Point[];
  /** How much of the ring the piece fills, percent. */
  fillPercent: number;
  /** Where the design's centre may lie in this field, piece frame; empty where it fits nowhere. */
  allowed: Point[];
  /** How far the design may still be moved on the piece without moving the hoop, mm. */
  room: { up: number; down: number; left: number; right: number };
  /** How crooked it may lie either way and still fit, degrees; 360 where it may turn freely, null where it does not fit. */
  crookedMostDeg: number | null;
  /** Null for a design that is stitched whole. */
  split: LaidSplit | null;
}

/** How a hoop is to lie about what it stitches. */
export interface HoopPose {
  turnDeg: QuarterTurn;
  /** The design's centre in the hoop frame. */
  designAt: Point;
  /** What is stitched in it, about the design's centre, in the design's own turn. */
  hull: Polygon;
}

/** The design's centre in the hoop frame: as shifted, else where the ring lies, else in the middle. */
export function designAtFor(
  verdict: HoopVerdict,
  turnDeg: QuarterTurn,
  method: Method,
  shift: Point | null,
): Point {
  if (shift) return negate(shift);
  const found = verdict.turns.find((t) => t.turnDeg === turnDeg);
  return (method === 'hooped' ? found?.designAt : null) ?? found?.fitsAt ?? { x: 0, y: 0 };
}

/** The ways to move on the piece, as they lie in the hoop. */
function roomIn(hoop: Hoop, hull: Polygon, pose: Pose, onPieceDeg: number): LaidHoop['room'] {
  const towards = (x: number, y: number) =>
    roomTowards(hull, fieldOf(hoop), pose, rotate({ x, y }, -onPieceDeg));
  return { up: towards(0, -1), down: towards(0, 1), left: towards(-1, 0), right: towards(1, 0) };
}

const lies = (ring: Polygon, setting: HoopSetting): boolean =>
  ringLies(ring, setting.outline, numberFor(setting.rules, HOOP_NUMBERS.ringClearanceMm));

/** Lays a hoop on the piece in one turn. */
export function layHoop(
  verdict: HoopVerdict,
  { turnDeg, designAt, hull }: HoopPose,
  setting: HoopSetting,
): LaidHoop {
  const onPieceDeg = setting.designTurnDeg + turnDeg;
  const pose = { centre: hoopCentre(setting.designCentre, onPieceDeg, designAt), turnDeg: onPieceDeg };
  const ring = ringOnPiece(verdict.hoop, pose);
  return {
    verdict,
    turnDeg,
    onPieceDeg,
    designAt,
    centre: pose.centre,
    ring,
    field: fieldOnPiece(verdict.hoop, pose),
    fillPercent: fillPercent(
      { ...pose, widthMm: verdict.hoop.ringWidthMm, heightMm: verdict.hoop.ringHeightMm },
      setting.outline.outline,
    ),
    allowed: placed(allowedRegion(hull, fieldOf(verdict.hoop), -turnDeg), onPieceDeg, pose.centre),
    room: roomIn(verdict.hoop, hull, { turnDeg: -turnDeg, ...designAt }, onPieceDeg),
    crookedMostDeg: crookedMost(hull, fieldOf(verdict.hoop), { turnDeg: -turnDeg, ...designAt }),
    split: null,
  };
}

/** The same hoop laid elsewhere on the piece, as for another copy: its ring and its field there. */
export function laidElsewhere(
  laid: LaidHoop,
  { centre, onPieceDeg }: { centre: Point; onPieceDeg: number },
): LaidHoop {
  const { hoop } = laid.verdict;
  const pose = { centre, turnDeg: onPieceDeg };
  const there = { ring: ringOnPiece(hoop, pose), field: fieldOnPiece(hoop, pose) };
  return { ...laid, ...there, centre, onPieceDeg, split: null };
}

function crookedMost(hull: Polygon, field: Field, pose: Pose): number | null {
  if (whyDesignDoesNotFit(hull, field, pose)) return null;
  const { clockwiseDeg, counterDeg } = crookedRoom(hull, field, pose);
  return Math.min(clockwiseDeg, counterDeg);
}

/** A design split for a hoop in one of its turns; null where its field is too small for any part. */
export const splitFor = (hoop: Hoop, turnDeg: QuarterTurn, setting: HoopSetting): Split | null =>
  splitDesign({
    hull: setting.facts.hull,
    field: fieldOf(hoop),
    turnDeg: -turnDeg,
    overlapMm: numberFor(setting.rules, HOOP_NUMBERS.splitOverlapMm),
    crossOutMm: numberFor(setting.rules, HOOP_NUMBERS.crossOutMm),
    positions: hoop.positions,
    elements: setting.facts.artwork ? setting.facts.elements : [],
  });

/** How often the piece is hooped for a split: once in a hoop that is latched on in another place for the next part. */
export const hoopingsOfSplit = ({ parts, byPositions }: Split): number => (byPositions ? 1 : parts.length);

/** The turns in which a split takes the fewest hoopings, and of those the fewest parts, with the split. */
export function splitsOf(
  verdict: HoopVerdict,
  setting: HoopSetting,
): { turnDeg: QuarterTurn; split: Split }[] {
  const all = verdict.turns.flatMap(({ turnDeg }) => {
    const split = splitFor(verdict.hoop, turnDeg, setting);
    return split ? [{ turnDeg, split }] : [];
  });
  const least = (of: (split: Split) => number, among: typeof all) => {
    const fewest = Math.min(...among.map(({ split }) => of(split)));
    return among.filter(({ split }) => of(split) === fewest);
  };
  return least((split) => split.parts.length, least(hoopingsOfSplit, all));
}

/** Lays a hoop for one part of a split design; a repositioning hoop keeps its ring where it is for all of them. */
export function layPart(
  verdict: HoopVerdict,
  turnDeg: QuarterTurn,
  { split, index }: { split: Split; index: number },
  setting: HoopSetting,
): LaidHoop | null {
  const lieOf = (part: SplitPart): HoopPose => ({
    turnDeg,
    designAt: rotate(negate(part.centre), -turnDeg),
    hull: part.hull,
  });
  const at = Math.min(index, split.parts.length - 1);
  const part = split.parts[at];
  if (!part) return null;
  const all = split.parts.map((each) => layHoop(verdict, lieOf(each), setting));
  const whole = layHoop(verdict, { turnDeg, designAt: { x: 0, y: 0 }, hull: setting.facts.hull }, setting);
  const rings = split.byPositions ? [whole.ring] : all.map((laid) => laid.ring);
  const laid = all[at];
  if (!laid) return null;
  return {
    ...laid,
    ring: split.byPositions ? whole.ring : laid.ring,
    split: {
      split,
      index: at,
      part,
      fields: all.map((each) => each.field),
      crosses: split.crosses.map((cross) => add(setting.designCentre, rotate(cross, setting.designTurnDeg))),
      lies: rings.every((ring) => lies(ring, setting)),
      copies: Math.max(1, setting.copies.length),
    },
  };
}

/**
 * What is stitched in this hooping as a design of its own: of a split one the part's hull, its file centred on the
 * part. Still about the whole design's centre. A design stitched whole comes back as it is.
 */
export function factsInHoop(facts: DesignFacts, laid: LaidHoop): DesignFacts {
  if (!laid.split) return facts;
  const { part } = laid.split;
  const box = boxOf(part.hull);
  return {
    ...facts,
    hull: part.hull,
    widthMm: widthOf(box),
    heightMm: heightOf(box),
    fileCentre: part.centre,
  };
}
