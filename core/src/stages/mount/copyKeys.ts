import { add, fullTurnDeg, type Point, rotate, subtract } from '../../base/geometry/point';
import type { DesignFacts } from '../design/designFacts';
import { fieldOf } from '../hoop/judgeHoop';
import type { LaidHoop } from '../hoop/layHoop';
import type { HoopPlan } from '../hoop/planHoop';
import { inHoopFrame } from '../hoop/ring';
import type { PlacePlan } from '../place/planPlace';
import { type KeyStep, type Keys, keyOrder, keysShown } from './keys';

/** What to key in for one of several copies. Numbers count from 1. */
export interface CopyKeys {
  number: number;
  /** The hooping that reaches it. */
  hooping: number;
  /** How far the hoop is turned on the piece from how it lay for the first, clockwise; 0 where it lies the same. */
  hoopTurnDeg: number;
  /** Where the hoop centre lies on the piece for it, mm, and how far the hoop is turned there in all, clockwise. */
  hoopAt: Point;
  onPieceDeg: number;
  keys: Keys;
  order: KeyStep[];
}

/**
 * The keys of every copy but the first, each seen from "centred, upright" in its own hooping: the hoop keeps its turn
 * on the piece, so a copy that is turned is turned by keys; where it then leaves the field, the
 * hoop is turned with it and the first one's keys serve. Empty where there is one copy, or the design is split.
 */
export function copyKeys(
  {
    place,
    hoop,
    facts,
    off,
  }: {
    place: PlacePlan;
    hoop: HoopPlan & { laid: LaidHoop };
    facts: DesignFacts;
    /** How far stitching lies off its marks, on the piece, mm: every copy is keyed against it. */
    off: Point;
  },
  firstKeys: Keys,
): CopyKeys[] {
  const { mirror } = firstKeys;
  const { laid, hoopings } = hoop;
  const field = fieldOf(laid.verdict.hoop);
  const all = hoopings.flatMap(({ copies, centre }, h) =>
    copies.flatMap((i): CopyKeys[] => {
      const copy = place.copies[i];
      if (!copy) return [];
      const at = inHoopFrame(subtract(copy.centre, off), { centre, onPieceDeg: laid.onPieceDeg });
      const turnDeg = fullTurnDeg(copy.turnDeg - laid.onPieceDeg);
      const asHooped = keysShown(facts, field, at, { turnDeg, mirror });
      const withIt = asHooped.miss !== null;
      const keys = withIt ? firstKeys : asHooped.keys;
      const hoopTurnDeg = withIt ? fullTurnDeg(copy.turnDeg - place.turnDeg) : 0;
      // Turned with its copy the hoop lies about it as it lay about the first.
      const hoopAt = withIt
        ? add(copy.centre, rotate(subtract(laid.centre, place.centre), hoopTurnDeg))
        : centre;
      return [
        {
          number: i + 1,
          hooping: h + 1,
          hoopTurnDeg,
          hoopAt,
          onPieceDeg: laid.onPieceDeg + hoopTurnDeg,
          keys,
          order: keyOrder(facts, keys, field),
        },
      ];
    }),
  );
  return all.filter(({ number }) => number > 1).sort((a, b) => a.number - b.number);
}
