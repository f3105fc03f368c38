import { type Phrase, phrase } from '../../base/units/phrase';
import { codeOf, laysThread, type Stitches } from '../design/stitches/stitches';

/** What one penetration takes of the bobbin, in any unit: its stretch of thread, and a little for the stitch. */
export interface PerStitch {
  /** Share of the stretch laid on top. */
  factor: number;
  /** For each stitch, mm of top thread. */
  extraMm: number;
}

/** Where the bobbin ends: the stitch, from 0, and the last place before it where it is better changed. */
export interface BobbinEnd {
  stitch: number;
  /** A stitch at which the thread is new: the beginning of a stop, or after a trim. */
  changeAt: number;
}

const TRIM = codeOf('trim');

/** What each penetration takes, mm of top thread; a trim takes none. */
function taken({ x, y, kind, stop }: Stitches, i: number, { factor, extraMm }: PerStitch): number {
  const code = kind[i] ?? 0;
  if (code === TRIM) return 0;
  const isNew = i === 0 || stop[i] !== stop[i - 1];
  const laid =
    laysThread(code) && !isNew ? Math.hypot((x[i] ?? 0) - (x[i - 1] ?? 0), (y[i] ?? 0) - (y[i - 1] ?? 0)) : 0;
  return laid * factor + extraMm;
}

/**
 * The exact stitch at which a bobbin ends that has so much left, metres, when stop by stop so much of it is needed,
 * metres; null where it lasts. Within a stop it is used as its stitches lay thread.
 */
export function whereBobbinEnds(
  stitches: Stitches,
  { neededM, leftM, perStitch }: { neededM: readonly number[]; leftM: number; perStitch: PerStitch },
): BobbinEnd | null {
  const { kind, stop } = stitches;
  const sums = neededM.map(() => 0);
  for (let i = 0; i < kind.length; i++)
    sums[stop[i] ?? 0] = (sums[stop[i] ?? 0] ?? 0) + taken(stitches, i, perStitch);
  let [used, changeAt] = [0, 0];
  for (let i = 0; i < kind.length; i++) {
    const own = stop[i] ?? 0;
    if (i > 0 && (kind[i] === TRIM || own !== stop[i - 1])) changeAt = i;
    const sum = sums[own] ?? 0;
    used += sum > 0 ? (taken(stitches, i, perStitch) / sum) * (neededM[own] ?? 0) : 0;
    if (used > leftM) return { stitch: i, changeAt };
  }
  return null;
}

/** A bobbin's end in an order: in which of its stitchings, from 1, and where in that one. */
export interface BobbinEndsIn extends BobbinEnd {
  stitching: number;
}

/** Where the bobbin in the machine ends as planned; null where it lasts for all that is stitched. */
export function bobbinEndOf(
  plan: { stops: readonly { bobbinM: number }[]; bobbinLeftM: number; bobbinNeededM: number },
  stitches: Stitches,
  perStitch: PerStitch,
): BobbinEndsIn | null {
  const neededM = plan.stops.map(({ bobbinM }) => bobbinM);
  const once = neededM.reduce((sum, m) => sum + m, 0);
  if (once <= 0 || plan.bobbinLeftM >= plan.bobbinNeededM) return null;
  const whole = Math.floor(plan.bobbinLeftM / once);
  const end = whereBobbinEnds(stitches, { neededM, leftM: plan.bobbinLeftM - whole * once, perStitch });
  return end && { ...end, stitching: whole + 1 };
}

/** Where a bobbin ends, and where it is better changed, in words; `called` names the stop of a penetration. */
export function bobbinWords(
  { stitch, changeAt, stitching }: BobbinEndsIn,
  { stitchings, called }: { stitchings: number; called: (stitch: number) => string },
): Phrase {
  const which = stitchings > 1 ? phrase`In stitching ${String(stitching)} the` : phrase`The`;
  const better =
    changeAt > 0
      ? phrase`Change it before stitch ${String(changeAt + 1)}, in ${called(changeAt)}: the thread is new there.`
      : phrase`Change it before you start.`;
  return phrase`${which} bobbin ends at stitch ${String(stitch + 1)}, in ${called(stitch)}. ${better}`;
}

/** The first penetration of each stop; the number of all for one without any. */
export function firstsOf({ stop }: Stitches, stops: number): number[] {
  const firsts = Array.from({ length: stops }, () => stop.length);
  for (let i = stop.length - 1; i >= 0; i--) firsts[stop[i] ?? 0] = i;
  return firsts;
}
