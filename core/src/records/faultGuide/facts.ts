import { lightnessOf } from '../../base/colour/colour';
import { numberFor } from '../../catalogue/houseNumber';
import { STABILIZERS } from '../../catalogue/materials';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import type { HouseRules } from '../../model/houseRules';
import type { Plan } from '../../planner/planned';
import { isA } from '../../stages/piece/geometry';

/** What of a ticket tells why something went wrong: its own figures. */
export interface FaultFacts {
  cloth: string;
  stretchPercent: number;
  pileMm: number;
  weightGsm: number;
  ringMarks: boolean;
  isTubular: boolean;
  method: 'hooped' | 'floated';
  sheets: number;
  staysIn: boolean;
  isBonded: boolean;
  hasTopper: boolean;
  isThickBacking: boolean;
  stackMm: number;
  needle: string;
  needleHours: number;
  densityClass: string;
  stitches: number;
  /** Thread on the thickest place, mm on mm²; null where its stitches are not made. */
  mostCover: number | null;
  /** Of the thread that is least off the cloth's lightness. */
  leastContrast: number;
  marks: number;
  crookedDeg: number | null;
  turnKeyedDeg: number;
  leftOverMm: number;
  bobbinLeftM: number;
  bobbinNeededM: number;
  againstSkin: boolean;
}

/** The facts of a ticket as planned; null while it is not planned as far as the layers. */
export function faultFacts(plan: Plan, rules: HouseRules): FaultFacts | null {
  const { piece, design, place, hoop, layers, mount, stitch } = plan;
  if (!design.facts || !place || !hoop || !layers || !stitch) return null;
  const { fabric } = piece;
  const { facts } = design;
  const { sheets } = layers;
  const inRing = layers.stack.filter(({ sheet, clamped }) => sheet && clamped).length;
  const ground = lightnessOf(piece.colour);
  return {
    cloth: fabric.name.toLowerCase(),
    stretchPercent: fabric.stretchPercent,
    pileMm: fabric.pileMm,
    weightGsm: fabric.weightGsm,
    ringMarks: fabric.ringMarks,
    isTubular: piece.kind.form === 'tubular',
    method: hoop.method,
    sheets: sheets.length,
    staysIn: sheets.some(({ stabilizer }) => STABILIZERS[stabilizer].staysIn),
    isBonded: layers.bonded,
    hasTopper: layers.parts.topper.choice.id !== 'none',
    isThickBacking: sheets.some(({ stabilizer }) => stabilizer === 'cut-away'),
    stackMm: fabric.thicknessMm + inRing * numberFor(rules, HOOP_NUMBERS.sheetThicknessMm),
    needle: layers.parts.needle.choice.name,
    needleHours: mount?.machine?.fitted[0]?.hours ?? 0,
    densityClass: facts.densityClass,
    stitches: facts.stitches,
    mostCover: facts.made ? facts.made.mostCover / facts.scale : null,
    leastContrast: Math.min(100, ...facts.stops.map(({ hex }) => Math.abs(lightnessOf(hex) - ground))),
    marks: place.marks.length,
    crookedDeg: mount?.crooked?.crookedDeg ?? null,
    turnKeyedDeg: mount?.keys.turnDeg ?? 0,
    leftOverMm: mount?.crooked?.leftOverMm ?? 0,
    bobbinLeftM: stitch.bobbinLeftM,
    bobbinNeededM: stitch.bobbinNeededM,
    againstSkin: isA(piece.kind, 'against skin'),
  };
}
