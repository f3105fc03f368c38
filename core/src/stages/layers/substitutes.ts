import { count, type Phrase, phrase } from '../../base/units/phrase';
import { type MaterialJob, STABILIZERS } from '../../catalogue/materials';
import type { Mend } from '../../model/finding';
import type { Shelf } from '../../model/shelf';
import { type Sheet, STABILIZER_IDS, type StabilizerId } from '../../model/ticket/layers';
import type { LayerFacts } from './facts';
import { breaksNever, type Stack } from './never';
import { does } from './placing';
import { type RiskBar, riskSum, risksOf } from './risk';

/** The materials of which the shelf has some left. */
export const ownedTypes = (shelf: Shelf): ReadonlySet<string> =>
  new Set(shelf.materials.filter((m) => m.metresLeft > 0 || m.loose.length > 0).map((m) => m.type));

/** The jobs a sheet is there for in its stack: what its substitute must do as well. */
function jobsNeeded({ stabilizer, where }: Sheet, { floated, structure }: LayerFacts): MaterialJob[] {
  const own = (['stays', 'vanishes'] as const).filter((job) => does(stabilizer, job));
  const carries = where === 'in the ring' && (floated || structure === 'no cloth');
  return carries ? [...own, 'carries'] : own;
}

/** The same place in the stack with another stabilizer, as fast to the cloth as before; null where it cannot be. */
function replaced(sheet: Sheet, stabilizer: StabilizerId, facts: LayerFacts): Sheet | null {
  if (sheet.bond === 'none') return { ...sheet, stabilizer };
  if (does(stabilizer, 'fuses') && facts.iron !== 'no' && sheet.where !== 'under the ring')
    return { ...sheet, stabilizer, bond: 'fused' };
  if (does(stabilizer, 'sticks')) return { ...sheet, stabilizer, bond: 'sticky' };
  return does(stabilizer, 'fuses') ? null : { ...sheet, stabilizer, bond: 'sprayed' };
}

/** Whether a stabilizer does every job that a sheet is there for, and none that would undo the stack. */
function isStandIn(id: StabilizerId, sheet: Sheet, facts: LayerFacts): boolean {
  const leavesNothing = facts.structure === 'no cloth' || facts.structure === 'sheer';
  if (leavesNothing && !does(id, 'vanishes')) return false;
  return jobsNeeded(sheet, facts).every((job) => does(id, job));
}

/** The stacks in the order of their risk, the least first, without those that must never be. */
export const byRisk = <T extends { stack: Stack }>(options: readonly T[], facts: LayerFacts): T[] =>
  options
    .filter(({ stack }) => !breaksNever(stack, facts))
    .map((option) => ({ option, sum: riskSum(facts, option.stack) }))
    .sort((a, b) => a.sum - b.sum)
    .map(({ option }) => option);

/** What a change of stack does to the risks, the greatest first: "puckering 12 more". */
export function riskChange(before: readonly RiskBar[], after: readonly RiskBar[]): Phrase {
  const changes = after
    .map((bar, i) => ({ risk: bar.risk, by: Math.round(bar.points - (before[i]?.points ?? 0)) }))
    .filter(({ by }) => Math.abs(by) >= 1)
    .sort((a, b) => b.by - a.by)
    .map(({ risk, by }) => phrase`${risk} ${count(Math.abs(by))} ${by > 0 ? 'more' : 'less'}`);
  if (changes.length === 0) return phrase`no risk changes`;
  return changes.flatMap((change, i) => (i === 0 ? change : [', ', ...change]));
}

/**
 * The nearest thing on the shelf to a sheet that is not there: of those that do the same jobs the one that raises
 * the sum of the risks least and breaks no never; null when nothing on the shelf will do.
 */
export function substituteFor(
  missing: StabilizerId,
  stack: Stack,
  { facts, shelf }: { facts: LayerFacts; shelf: Shelf },
): Mend | null {
  const owned = ownedTypes(shelf);
  const wanted = stack.sheets.filter((s) => s.stabilizer === missing);
  const standIns = STABILIZER_IDS.filter(
    (id) => id !== missing && owned.has(id) && wanted.every((sheet) => isStandIn(id, sheet, facts)),
  );
  const options = standIns.flatMap((id) => {
    const sheets = stack.sheets.flatMap((s) =>
      s.stabilizer === missing ? (replaced(s, id, facts) ?? []) : s,
    );
    return sheets.length < stack.sheets.length ? [] : [{ id, stack: { ...stack, sheets } }];
  });
  const [best] = byRisk(options, facts);
  if (!best) return null;
  return {
    label: phrase`Use ${STABILIZERS[best.id].name} instead`,
    result: phrase`on your shelf; ${riskChange(risksOf(facts, stack), risksOf(facts, best.stack))}`,
    change: {
      stage: 'layers',
      set: {
        support: { sheets: [...best.stack.sheets], why: `${STABILIZERS[missing].name} is not on the shelf` },
      },
    },
  };
}
