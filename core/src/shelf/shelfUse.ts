import { z } from 'zod';
import { hoopingCount } from '../hoop/planHoop';
import { IdSchema } from '../ids';
import type { Sheet } from '../layers/schema';
import { cutSheets } from '../layers/sheetPieces';
import type { Plan } from '../plan';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import { eachOf, type Size, withLoose } from './cutting';
import {
  LooseSheetsSchema,
  type Machine,
  type Material,
  MOST_COUNTED,
  type Shelf,
  type SupplyType,
} from './schema';
import { needlesOf, suppliesFor } from './supplies';

const sizes = z.array(LooseSheetsSchema.omit({ count: true })).default([]);

/**
 * What a finished piece took off the shelf: metres of a roll and loose sheets, and the offcuts it put there; metres
 * of a thread; hours of each of a machine's needles; some of a supply, in its unit.
 */
export const ShelfUseSchema = z.discriminatedUnion('noun', [
  z.object({ noun: z.literal('materials'), id: IdSchema, metres: z.number(), sheets: sizes, offcuts: sizes }),
  z.object({ noun: z.literal('threads'), id: IdSchema, metres: z.number() }),
  z.object({ noun: z.literal('machines'), id: IdSchema, hours: z.array(z.number()) }),
  z.object({ noun: z.literal('supplies'), id: IdSchema, amount: z.number() }),
]);
export type ShelfUse = z.infer<typeof ShelfUseSchema>;

const MINUTES_AN_HOUR = 60;
const MM_A_METRE = 1000;

/** Loose sheets that `a` has and `b` has not, one by one. */
function moreOf(a: Material, b: Material): Size[] {
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
        metres,
        sheets: moreOf(before, now),
        offcuts: moreOf(now, before),
      },
    ];
  });
}

/** Metres of each owned thread in all copies, by its id; no more than is there: what is taken can be given back. */
function threadUses({ stitch }: Plan, copies: number): ShelfUse[] {
  const byId = new Map<string, number>();
  for (const { thread, topM } of stitch?.stops ?? [])
    if (thread) byId.set(thread.id, Math.min(thread.metresLeft, (byId.get(thread.id) ?? 0) + topM * copies));
  return [...byId].map(([id, metres]) => ({ noun: 'threads', id, metres }));
}

function needleUse({ stitch }: Plan, machine: Machine, copies: number): ShelfUse {
  const hours = needlesOf(machine).map(() => 0);
  for (const { needle, stitches } of stitch?.stops ?? [])
    hours[needle] = (hours[needle] ?? 0) + (stitches * copies) / machine.stitchesPerMinute / MINUTES_AN_HOUR;
  return { noun: 'machines', id: machine.id, hours };
}

/** Bobbins, spray and tape that a planned piece takes, each in its own unit; needles go when they are changed. */
export function suppliesNeeded(plan: Plan, rules: HouseRules): { type: SupplyType; amount: number }[] {
  const { stitch, layers, mount, hoop } = plan;
  if (!stitch || !layers || !hoop) return [];
  const hoopings = hoopingCount(hoop);
  const counted = (uses: (sheet: Sheet) => boolean) => layers.sheets.filter(uses).length * hoopings;
  const sprayed = counted((s) => s.bond === 'sprayed');
  const taped = counted((s) => s.fastening === 'tape');
  const fullM = mount?.machine?.bobbinMetres;
  const { id: bobbin } = layers.parts.bobbin.choice;
  const needs = [
    ...(fullM ? [{ type: bobbin as SupplyType, amount: stitch.bobbinNeededM / fullM }] : []),
    { type: 'spray' as const, amount: sprayed / numberFor(rules, 'sheetsACan') },
    { type: 'tape' as const, amount: (taped * numberFor(rules, 'tapeASheetMm')) / MM_A_METRE },
  ];
  return needs.filter(({ amount }) => amount > 0);
}

function supplyUses(plan: Plan, shelf: Shelf, rules: HouseRules): ShelfUse[] {
  return suppliesNeeded(plan, rules).flatMap(({ type, amount }) => {
    const [supply] = suppliesFor(type, plan.mount?.machine ?? null, shelf);
    return supply
      ? [{ noun: 'supplies' as const, id: supply.id, amount: Math.min(amount, supply.left) }]
      : [];
  });
}

/**
 * What finishing a planned piece takes off the shelf: its sheets and films, its threads, the time its needles
 * stitched, bobbin thread and adhesive. Never more than is there. Empty while the plan has no stitching.
 */
export function shelfUseOf(plan: Plan, shelf: Shelf, rules: HouseRules): ShelfUse[] {
  const { stitch, mount, place } = plan;
  if (!stitch) return [];
  const copies = Math.max(1, place?.copies.length ?? 1);
  return [
    ...materialUses(plan, shelf, rules),
    ...threadUses(plan, copies),
    ...(mount?.machine ? [needleUse(plan, mount.machine, copies)] : []),
    ...supplyUses(plan, shelf, rules),
  ];
}

/** A use with the item of the shelf that it changes, as that item then is. */
type ChangedItem = {
  [N in ShelfUse['noun']]: { noun: N; item: Shelf[N][number] };
}[ShelfUse['noun']];

/** A count as the shelf keeps it: to a millionth, and within its bounds. */
const rounded = (value: number): number => Math.min(MOST_COUNTED, Math.max(0, Math.round(value * 1e6) / 1e6));

/** How each noun's item is once a use of it is taken (`by` 1) or given back (`by` −1). */
const AFTER: {
  [N in ShelfUse['noun']]: (
    item: Shelf[N][number],
    use: Extract<ShelfUse, { noun: N }>,
    by: 1 | -1,
  ) => Shelf[N][number];
} = {
  materials: (item, { metres, sheets, offcuts }, by) => ({
    ...item,
    metresLeft: rounded(item.metresLeft - by * metres),
    loose:
      by === 1
        ? withLoose(withLoose(item.loose, sheets, -1), offcuts, 1)
        : withLoose(withLoose(item.loose, offcuts, -1), sheets, 1),
  }),
  threads: (item, { metres }, by) => ({ ...item, metresLeft: rounded(item.metresLeft - by * metres) }),
  machines: (item, { hours }, by) => ({
    ...item,
    fitted: needlesOf(item).map((needle, i) => ({
      ...needle,
      hours: rounded(needle.hours + by * (hours[i] ?? 0)),
    })),
  }),
  supplies: (item, { amount }, by) => ({ ...item, left: rounded(item.left - by * amount) }),
};

/**
 * The items of a shelf that uses change, as they are once taken (`by` 1) or given back (`by` −1). What is no longer
 * on the shelf is passed over, and so is an offcut that was used up in between.
 */
export function shelfAfter(uses: readonly ShelfUse[], shelf: Shelf, by: 1 | -1): ChangedItem[] {
  const changed = <N extends ShelfUse['noun']>(use: Extract<ShelfUse, { noun: N }>): ChangedItem[] => {
    const items: readonly Shelf[N][number][] = shelf[use.noun as N];
    const item = items.find(({ id }) => id === use.id);
    return item ? [{ noun: use.noun, item: AFTER[use.noun as N](item, use, by) } as ChangedItem] : [];
  };
  return uses.flatMap((use) => changed(use));
}
