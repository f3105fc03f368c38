import { numberFor } from '../../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../../catalogue/numbers/design';
import { STITCH_NUMBERS } from '../../../catalogue/numbers/stitch';
import type { HouseRules } from '../../../model/houseRules';
import type { Made, MadeStop } from '../../../model/ticket/made';
import type { Part } from '../../../model/ticket/part';
import { isSameStop, type PartStop } from '../../../model/ticket/partStop';
import { type DrawnPart, type StopOfPart, stitchesRead } from '../parts/drawnPart';
import type { DesignStop } from '../parts/stopsOfDesign';

/** What one stop comes to, at the size it was drawn. */
export interface StopCounts {
  stitches: number;
  /** Thread laid on top, mm. */
  threadMm: number;
  /** How often the thread is cut within it. */
  trims: number;
}

/** A stop with what it comes to. */
export type CountedStop = DesignStop & StopCounts;

/** Whether somebody typed a count over what was read: what the machine itself shows. */
export function isCountTyped(part: Part): boolean {
  const asRead = part.artwork?.source?.asRead;
  if (!asRead || part.letters) return false;
  return (
    part.stitches !== stitchesRead(part) ||
    part.colours.some(({ stitches }, i) => stitches !== asRead[i]?.stitches)
  );
}

/** As a machine counts what was made: by the shop's own factors. */
export const machineCount = ({ fill, satin, other }: MadeStop, rules: HouseRules): number =>
  Math.round(
    (fill * numberFor(rules, N.countFillPercent)) / 100 +
      (satin * numberFor(rules, N.countSatinPercent)) / 100 +
      other,
  );

/** Known by its count alone, as off a machine's screen: thread by a mean stitch, trims as a stop usually has. */
const byCount = (stitches: number, rules: HouseRules): StopCounts => ({
  stitches,
  threadMm: stitches * numberFor(rules, STITCH_NUMBERS.meanStitchMm),
  trims: numberFor(rules, STITCH_NUMBERS.trimsPerStop),
});

const stepOf = ({ applique }: StopOfPart): PartStop['step'] => applique?.step ?? null;

function countsOf(drawn: DrawnPart, at: PartStop, made: Made | null, rules: HouseRules): StopCounts {
  const own = drawn.stops.find((one) => one.stop === at.stop && stepOf(one) === at.step)?.stitches ?? 0;
  const here = made?.stops.find((one) => isSameStop(one, at));
  if (!here) return byCount(own, rules);
  const counted = machineCount(here, rules);
  // What a machine showed of a drawing says nothing of the lines round its cloth.
  const stitches = isCountTyped(drawn.part) && at.step === null ? own : counted;
  const by = counted > 0 ? stitches / counted : 1;
  return { stitches, threadMm: here.threadMm * by, trims: here.trims };
}

/**
 * Stops with their stitches, thread and trims: as they were made where they were, in the proportion of a count that was
 * typed; else by the count alone. At another size the machine keeps its stitches, and draws them out.
 */
export function stopsAsMade(
  stops: readonly DesignStop[],
  {
    parts,
    made,
    rules,
    scale,
  }: { parts: readonly DrawnPart[]; made: Made | null; rules: HouseRules; scale: number },
): CountedStop[] {
  const drawn = new Map(parts.map((part) => [part.part.id, part]));
  return stops.map((stop) => {
    const counts = stop.of.flatMap((at) => {
      const own = drawn.get(at.part);
      return own ? [countsOf(own, at, made, rules)] : [];
    });
    const sum = (of: (count: StopCounts) => number): number =>
      counts.reduce((total, one) => total + of(one), 0);
    return {
      ...stop,
      stitches: sum(({ stitches }) => stitches),
      threadMm: sum(({ threadMm }) => threadMm) * scale,
      trims: sum(({ trims }) => trims),
    };
  });
}
