import type { Mend } from '../findings/finding';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import { mm, percent, phrase } from '../units/phrase';
import type { HoopVerdict } from './judgeHoop';
import type { HoopInput } from './schema';

const set = (change: Partial<HoopInput>): Mend['change'] => ({ stage: 'hoop', set: change });

function turnRescue(chosen: HoopVerdict, input: HoopInput): Mend[] {
  if (input.turnDeg === null || !chosen.fits) return [];
  const other = chosen.turns.filter((t) => t.miss === null).sort((a, b) => b.spareMm - a.spareMm)[0];
  if (!other || other.turnDeg === input.turnDeg) return [];
  const by = (((other.turnDeg - input.turnDeg) % 360) + 360) % 360;
  return [
    {
      label: phrase`Turn the hoop ${String(by)}°`,
      result: phrase`fits with ${mm(other.spareMm)} to spare each side`,
      change: set({ turnDeg: other.turnDeg, shift: null }),
    },
  ];
}

function shrinkRescue(verdict: HoopVerdict, scalePercent: number, rules: HouseRules): Mend[] {
  const to = Math.floor(verdict.largestScale * scalePercent);
  if (verdict.fits || to < numberFor(rules, 'resizeLeastPercent') || to >= scalePercent) return [];
  const denser = ((100 / to) ** 2 - 1) * 100;
  return [
    {
      label: phrase`Shrink to ${percent(to)}`,
      result: phrase`fits ${verdict.hoop.name}; ${percent(denser)} denser with the same stitches`,
      change: { stage: 'design', set: { scalePercent: to } },
    },
  ];
}

function otherHoopRescue(chosen: HoopVerdict, all: readonly HoopVerdict[]): Mend[] {
  const other = all.find((v) => v.hoop.id !== chosen.hoop.id && v.fits && v.whyNotUsed === null);
  if (!other || (chosen.fits && chosen.whyNotUsed === null)) return [];
  const best = Math.max(...other.turns.filter((t) => t.miss === null).map((t) => t.spareMm));
  return [
    {
      label: phrase`Use ${other.hoop.name}`,
      result: phrase`fits with ${mm(best)} to spare each side`,
      change: set({ hoopId: other.hoop.id, turnDeg: null, shift: null }),
    },
  ];
}

/** Ways to make the chosen hoop work, or to leave it, in the order people try them. */
export function rescuesFor(
  chosen: HoopVerdict,
  all: readonly HoopVerdict[],
  input: HoopInput,
  context: { scalePercent: number; rules: HouseRules },
): Mend[] {
  return [
    ...turnRescue(chosen, input),
    ...(input.shift
      ? [
          {
            label: phrase`Centre it in the field`,
            result: phrase`the design back in the middle`,
            change: set({ shift: null }),
          },
        ]
      : []),
    ...shrinkRescue(chosen, context.scalePercent, context.rules),
    ...otherHoopRescue(chosen, all),
  ];
}

export const floatRescue = (): Mend => ({
  label: phrase`Float it`,
  result: phrase`only the stabilizer is hooped; baste the cloth on top`,
  change: set({ method: 'floated' }),
});
export const hoopRescue = (): Mend => ({
  label: phrase`Hoop it`,
  result: phrase`the cloth is held flat all round`,
  change: set({ method: 'hooped' }),
});
