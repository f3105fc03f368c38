import { lightnessOf } from '../../base/colour/colour';
import { type HouseNumber, numberFor } from '../../catalogue/houseNumber';
import { HOOP_NUMBERS } from '../../catalogue/numbers/hoop';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import { type HouseRules, type QuestionSchools, schoolsOfShop } from '../../model/houseRules';
import type { ThreadId } from '../../model/ticket/layers';
import type { DensityClass } from '../../model/ticket/part';
import { type DesignFacts, densityRank } from '../design/designFacts';
import { closesOnMm } from '../hoop/closesOn';
import { hoopKindOf } from '../hoop/kinds';
import type { HoopPlan } from '../hoop/planHoop';
import { isA } from '../piece/geometry';
import { holesStay } from '../piece/holesStay';
import { isKnit } from '../piece/isKnit';
import type { PiecePlan } from '../piece/planPiece';

/** What the layer rules may look at. */
export interface LayerFacts {
  structure: PiecePlan['fabric']['structure'];
  fabricName: string;
  knit: boolean;
  textured: boolean;
  thick: boolean;
  thin: boolean;
  pale: boolean;
  seeThrough: boolean;
  stretchPercent: number;
  iron: 'yes' | 'low' | 'no';
  mayGetWet: boolean;
  ringMarks: boolean;
  /** Holes of needles and pins stay in it. */
  holesStay: boolean;
  /** How far outside the design a basting box can be stitched, mm; null where there is no room for one. */
  bastingMm: number | null;
  /** A woven so light that it hangs. */
  drapes: boolean;
  satOn: boolean;
  toy: boolean;
  /** Carried, as a bag is. */
  carried: boolean;
  /** An ornament, with or without a cloth. */
  ornament: boolean;
  /** Linen of table and kitchen. */
  household: boolean;
  /** Whether the ring, where there is one, closes on the cloth and one sheet. */
  closesWithSheet: boolean;
  /** Cloth is laid on: a topper comes once that is down, when the basting box is long stitched. */
  appliqued: boolean;
  /** One colour of letters and nothing else. */
  plainLettering: boolean;
  /** Its ring lies flat on the cloth. */
  flatRing: boolean;
  /** The thread chosen, by its id; the rules on needles look at it. */
  thread: ThreadId;
  worn: boolean;
  /** Its back lies on skin. */
  againstSkin: boolean;
  /** Baby and toddler wear. */
  young: boolean;
  floated: boolean;
  /** 0 open … 4 very heavy. */
  rank: number;
  densityName: DensityClass;
  stitches: number;
  heavy: boolean;
  many: boolean;
  smallLetters: boolean;
  /** Greatest difference in L* between a thread and the ground. */
  contrast: number;
  strongContrast: boolean;
  looped: boolean;
  dark: boolean;
  schools: QuestionSchools;
  rules: HouseRules;
}

const DARK_LIGHTNESS = 40;
const SWEATSHIRT_MM = 1.5;

/** What of a piece and its design the layer rules go by. */
export type LayeredPiece = Pick<PiecePlan, 'fabric' | 'kind' | 'colour' | 'readings'>;
export type LayeredDesign = Pick<DesignFacts, 'densityClass' | 'stitches' | 'lettering' | 'letterHeightMm'> &
  Partial<Pick<DesignFacts, 'cloths'>> & { stops: readonly Pick<DesignFacts['stops'][number], 'hex'>[] };

/** Gathers the facts of one ticket for the rules. */
export function layerFacts(
  piece: LayeredPiece,
  design: LayeredDesign,
  hoop: Pick<HoopPlan, 'method'> & Partial<Pick<HoopPlan, 'laid' | 'bastingMm'>>,
  rules: HouseRules,
): LayerFacts {
  const { fabric, kind } = piece;
  const ground = lightnessOf(piece.colour);
  const contrast = Math.max(...design.stops.map((stop) => Math.abs(lightnessOf(stop.hex) - ground)));
  const rank = densityRank(design.densityClass);
  const at = (number: HouseNumber) => numberFor(rules, number);
  return {
    structure: fabric.structure,
    fabricName: fabric.name,
    knit: isKnit(fabric, rules),
    textured: fabric.surface === 'textured',
    thick: fabric.thicknessMm >= SWEATSHIRT_MM,
    thin: fabric.thicknessMm <= at(LAYER_NUMBERS.thinMm),
    pale: ground >= at(LAYER_NUMBERS.paleLightness),
    seeThrough: fabric.seeThrough,
    stretchPercent: fabric.stretchPercent,
    iron: fabric.iron,
    mayGetWet: fabric.mayGetWet,
    ringMarks: fabric.ringMarks,
    holesStay: holesStay(fabric),
    bastingMm: hoop.laid ? (hoop.bastingMm ?? null) : at(HOOP_NUMBERS.bastingOutsideMm),
    drapes: fabric.structure === 'stable woven' && fabric.weightGsm <= at(LAYER_NUMBERS.drapeGsm),
    satOn: isA(kind, 'sat on'),
    toy: isA(kind, 'toy'),
    carried: isA(kind, 'carried'),
    ornament: isA(kind, 'ornament'),
    household: isA(kind, 'table linen'),
    closesWithSheet:
      !hoop.laid ||
      fabric.thicknessMm + at(HOOP_NUMBERS.sheetThicknessMm) <= closesOnMm(hoop.laid.verdict.hoop, rules),
    appliqued: (design.cloths?.length ?? 0) > 0,
    plainLettering: design.lettering && design.stops.length === 1,
    flatRing: hoop.laid ? hoopKindOf(hoop.laid.verdict.hoop).flat : false,
    thread: 'polyester-40',
    worn: isA(kind, 'worn'),
    againstSkin: isA(kind, 'against skin'),
    young:
      isA(kind, 'worn') &&
      (isA(kind, 'baby') || (piece.readings.chestWidth ?? Infinity) <= at(LAYER_NUMBERS.toddlerChestMm)),
    floated: hoop.method === 'floated',
    rank,
    densityName: design.densityClass,
    stitches: design.stitches,
    heavy: rank >= 3 || design.stitches > at(LAYER_NUMBERS.heavyStitches),
    many: design.stitches > at(LAYER_NUMBERS.manyStitches),
    smallLetters:
      design.lettering &&
      design.letterHeightMm !== null &&
      design.letterHeightMm < at(LAYER_NUMBERS.smallLetterMm),
    contrast,
    strongContrast: contrast >= at(LAYER_NUMBERS.strongContrast),
    looped: fabric.structure === 'pile' || fabric.structure === 'waffle',
    dark: ground <= DARK_LIGHTNESS,
    schools: schoolsOfShop(rules),
    rules,
  };
}
