import { add, fullTurnDeg, negate, type Point, rotate, subtract } from '../../base/geometry/point';
import type { DesignFacts } from '../design/designFacts';
import { fieldOf } from '../hoop/judgeHoop';
import { factsInHoop, type LaidHoop } from '../hoop/layHoop';
import type { HoopPlan } from '../hoop/planHoop';
import { inHoopFrame } from '../hoop/ring';
import type { PlacePlan } from '../place/planPlace';
import { type KeyStep, type Keys, keyOrder, keysShown } from './keys';

/** What to key in for one of several copies, or a part of one. Numbers count from 1. */
export interface CopyKeys {
  /** Its own within the job: that of the copy where the design is stitched whole. */
  number: number;
  copy: number;
  /** The part of a split design, from 1; null where it is stitched whole. */
  part: number | null;
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

/** "no. 2", "part 3", "part 3 of no. 2": what the keys are for. */
export function calledKeys({ copy, part }: Pick<CopyKeys, 'copy' | 'part'>): string {
  if (part === null) return `no. ${copy}`;
  return copy === 1 ? `part ${part}` : `part ${part} of no. ${copy}`;
}

/** "no. 2", "no. 2 to 4", "part 2 to part 3 of no. 2": all that is stitched after the first. */
export function whatFollows(copies: readonly Pick<CopyKeys, 'copy' | 'part'>[]): string {
  const [first, last] = [copies[0], copies[copies.length - 1]];
  if (!first || !last) return '';
  if (copies.length === 1) return calledKeys(first);
  return `${calledKeys(first)} to ${last.part === null ? last.copy : calledKeys(last)}`;
}

/**
 * The keys of every copy but the first, each seen from "centred, upright" in its own hooping: the hoop keeps its turn
 * on the piece, so a copy that is turned is turned by keys; where it then leaves the field, the
 * hoop is turned with it and the first one's keys serve. Empty where there is one copy.
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
  if (laid.split) return [];
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
          copy: i + 1,
          part: null,
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

/**
 * The keys of every part of a split design after the one in hand, then of all parts of each further copy: the hoop lies
 * about a copy as it lies about the first, turned with it. Empty for a design that is stitched whole.
 */
export function partKeys(
  {
    place,
    hoop: { laid },
    design,
    off,
  }: { place: PlacePlan; hoop: { laid: LaidHoop }; design: DesignFacts; off: Point },
  mirror: boolean,
): CopyKeys[] {
  const { split } = laid;
  if (!split) return [];
  const field = fieldOf(laid.verdict.hoop);
  const { parts, byPositions } = split.split;
  const copies = place.copies.length > 0 ? place.copies : [place];
  const all = copies.flatMap((copy, c) =>
    parts.map((part, p): CopyKeys => {
      const facts = factsInHoop(design, { ...laid, split: { ...split, part, index: p } });
      const hoopTurnDeg = fullTurnDeg(copy.turnDeg - place.turnDeg);
      const onPieceDeg = laid.onPieceDeg + hoopTurnDeg;
      const at = subtract(rotate(negate(part.centre), -laid.turnDeg), rotate(off, -onPieceDeg));
      const { keys } = keysShown(facts, field, at, { turnDeg: fullTurnDeg(-laid.turnDeg), mirror });
      return {
        number: c * parts.length + p + 1,
        copy: c + 1,
        part: p + 1,
        hooping: byPositions ? c + 1 : c * parts.length + p + 1,
        hoopTurnDeg,
        hoopAt: add(copy.centre, rotate(part.centre, copy.turnDeg)),
        onPieceDeg,
        keys,
        order: keyOrder(facts, keys, field),
      };
    }),
  );
  return all.filter(({ copy, part }) => copy > 1 || (part ?? 0) > split.index + 1);
}
