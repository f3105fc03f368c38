import type { Point } from '../../base/geometry/point';
import { type DisplayUnits, parseLength } from '../../base/units/length';
import { mm, say } from '../../base/units/phrase';
import { STABILIZERS } from '../../catalogue/materials';
import type { Act } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import type { LaidHoop } from '../../stages/hoop/layHoop';
import type { LayersPlan } from '../../stages/layers/planLayers';
import { holesStay } from '../../stages/piece/holesStay';
import type { Results } from '../planned';
import type { RefusalCode } from './refusal';
import type { WorkState } from './workState';

/** A copy of the design on the piece: where its middle belongs and how it lies turned. */
interface Spot {
  centre: Point;
  turnDeg: number;
}

/** What is true of the things on the table, whatever an act says of them. */
export interface Job {
  results: Results;
  layers: LayersPlan;
  laid: LaidHoop;
  isFloated: boolean;
  isTubular: boolean;
  hasCloth: boolean;
  takesIron: boolean;
  holesStay: boolean;
  copies: readonly Spot[];
  /** What is stitched of each part, about the design's centre, in its own turn, and where its file's centre lies; one where it is whole. */
  parts: readonly { hull: readonly Point[]; fileCentre: Point }[];
  units: DisplayUnits;
  /** How far off its marks stitching is wanted, piece frame: a first piece of a run that lay off. */
  wantedOff: Point;
  /** Hoopings of the piece before the part in hand: their sheets are used. */
  hoopedBefore: number;
  /** Marks were read off the hoop: it lies otherwise than planned, and the first copy is keyed by that. */
  isRead: boolean;
}

/** The things of a plan that reaches the machine; null for one that waits or stands still before. */
export function jobOf(
  results: Results,
  rules: HouseRules,
  sample: { right: number | null; down: number | null },
): Job | null {
  const { piece, design, place, hoop, layers, mount } = results;
  if (!place || !hoop?.laid || !layers || !mount || !design.facts || !piece.geometry) return null;
  const { split } = hoop.laid;
  return {
    results,
    layers,
    laid: hoop.laid,
    isFloated: hoop.method === 'floated',
    isTubular: piece.kind.form === 'tubular',
    hasCloth: piece.fabric.structure !== 'no cloth',
    takesIron: piece.fabric.iron !== 'no',
    holesStay: holesStay(piece.fabric),
    copies: place.copies.length > 0 ? place.copies : [place],
    parts: split
      ? split.split.parts.map(({ hull, centre }) => ({ hull, fileCentre: centre }))
      : [{ hull: design.facts.hull, fileCentre: design.facts.fileCentre }],
    units: rules.units,
    wantedOff: { x: sample.right ?? 0, y: sample.down ?? 0 },
    hoopedBefore: split && !split.split.byPositions ? split.index : 0,
    isRead: mount.crooked !== null,
  };
}

/** A length as it is read off a step: by the marks of the reader's tape. */
export function asPrinted(value: number, units: DisplayUnits): number {
  const read = parseLength(say([mm(value)], units), units.system);
  return read.ok ? read.mm : value;
}

/** What an act is carried out in. */
export interface Hands {
  job: Job;
  state: WorkState;
  act: Act;
  refuse: (code: RefusalCode) => void;
}

export const familyOf = ({ layers }: Job, sheet: number): string => {
  const kept = layers.sheets[sheet];
  return kept ? STABILIZERS[kept.stabilizer].family : '';
};
