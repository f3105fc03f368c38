import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import { eachOf, type SheetSize, withLoose } from '../../ledger/rolls/cutting';
import { cutSheets } from '../../ledger/rolls/sheetPieces';
import type { HouseRules } from '../../model/houseRules';
import {
  isSameThread,
  type Machine,
  type Material,
  type Shelf,
  type SupplyType,
  type Thread,
} from '../../model/shelf';
import type { ShelfUse } from '../../model/shelfUse';
import type { Sheet } from '../../model/ticket/layers';
import { hoopingsOn } from '../../planner/hands/hoopings';
import type { Plan } from '../../planner/planned';
import type { StitchPlan } from '../../stages/stitch/planStitch';
import { spoolsOf, takeFrom } from '../../stock/spools';
import { needlesOf, suppliesFor } from '../../stock/supplies';

const MINUTES_AN_HOUR = 60;
const MM_A_METRE = 1000;

/** Loose sheets that `a` has and `b` has not, one by one. */
function moreOf(a: Material, b: Material): SheetSize[] {
  const [more, fewer] = [a, b].map(({ loose }) => withLoose([], eachOf(loose), 1));
  const there = eachOf(fewer ?? []);
  return eachOf(withLoose(more ?? [], there, -1));
}

function materialUses(plan: Plan, shelf: Shelf, rules: HouseRules): ShelfUse[] {
  const { after } = cutSheets(plan, shelf, rules);
  return after.flatMap((now): ShelfUse[] => {
    const before = shelf.materials.find((m) => m.id === now.id);
    if (!before || before === now) return [];
    const metres = before.metresLeft - now.metresLeft;
    return [
      {
        noun: 'materials',
        id: now.id,
        name: now.name,
        metres,
        sheets: moreOf(before, now),
        offcuts: moreOf(now, before),
      },
    ];
  });
}

/** Metres of each thread of a plan, all its stops and stitchings together. */
export function threadsNeeded({ stops, stitchings }: StitchPlan): { thread: Thread; metres: number }[] {
  const needs: { thread: Thread; metres: number }[] = [];
  for (const { thread, topM } of stops) {
    if (!thread) continue;
    const same = needs.find((need) => isSameThread(need.thread, thread));
    if (same) same.metres += topM * stitchings;
    else needs.push({ thread, metres: topM * stitchings });
  }
  return needs;
}

/** Metres off each spool: from as many spools of a thread as it needs, never more than they have. */
function threadUses(stitch: StitchPlan, shelf: Shelf): ShelfUse[] {
  return threadsNeeded(stitch).flatMap(({ thread, metres }) =>
    takeFrom(spoolsOf(thread, shelf.threads), metres, (spool) => spool.metresLeft).map(
      ({ lot: { id, name }, amount }): ShelfUse => ({ noun: 'threads', id, name, metres: amount }),
    ),
  );
}

function machineUse(stitch: StitchPlan, machine: Machine): ShelfUse {
  const hours = needlesOf(machine).map(() => 0);
  for (const { needle, stitches } of stitch.stops)
    hours[needle] =
      (hours[needle] ?? 0) + (stitches * stitch.stitchings) / machine.stitchesPerMinute / MINUTES_AN_HOUR;
  const { id, name, bobbinLeftM: was } = machine;
  return { noun: 'machines', id, name, hours, bobbin: { was, is: stitch.bobbinAfterM } };
}

/** Bobbins, spray and tape that a planned piece takes, each in its own unit; needles go when they are changed. */
export function suppliesNeeded(plan: Plan, rules: HouseRules): { type: SupplyType; amount: number }[] {
  const { stitch, layers, mount, hoop } = plan;
  if (!stitch || !layers || !hoop) return [];
  const hoopings = hoopingsOn(plan) * plan.piece.pieces;
  const counted = (uses: (sheet: Sheet) => boolean) => layers.sheets.filter(uses).length * hoopings;
  const sprayed = counted((s) => s.bond === 'sprayed');
  const taped = counted((s) => s.fastening === 'tape');
  const fullM = mount?.machine?.bobbinMetres;
  const { id: bobbin } = layers.parts.bobbin.choice;
  const needs = [
    ...(fullM ? [{ type: bobbin as SupplyType, amount: stitch.bobbinNeededM / fullM }] : []),
    { type: 'spray' as const, amount: sprayed / numberFor(rules, LAYER_NUMBERS.sheetsACan) },
    { type: 'tape' as const, amount: (taped * numberFor(rules, LAYER_NUMBERS.tapeASheetMm)) / MM_A_METRE },
  ];
  return needs.filter(({ amount }) => amount > 0);
}

function supplyUses(plan: Plan, shelf: Shelf, rules: HouseRules): ShelfUse[] {
  return suppliesNeeded(plan, rules).flatMap(({ type, amount }) => {
    return takeFrom(suppliesFor(type, plan.mount?.machine ?? null, shelf), amount, ({ left }) => left).map(
      ({ lot: { id, name }, amount: taken }) => ({
        noun: 'supplies' as const,
        id,
        name,
        type,
        amount: taken,
      }),
    );
  });
}

/**
 * What finishing a planned piece takes off the shelf: its sheets and films, its threads, the time its needles
 * stitched, bobbin thread and adhesive. Never more than is there. Empty while the plan has no stitching.
 */
export function shelfUseOf(plan: Plan, shelf: Shelf, rules: HouseRules): ShelfUse[] {
  const { stitch, mount } = plan;
  if (!stitch) return [];
  return [
    ...materialUses(plan, shelf, rules),
    ...threadUses(stitch, shelf),
    ...(mount?.machine ? [machineUse(stitch, mount.machine)] : []),
    ...supplyUses(plan, shelf, rules),
  ];
}
