import { z } from 'zod';
import { IdSchema } from '../ids';
import { sheetPieces } from '../layers/sheetPieces';
import type { Plan } from '../plan';
import type { HouseRules } from '../rules/schema';
import type { Shelf } from './schema';

/** What a finished piece took off the shelf: metres of a roll or a thread, hours of a machine's needle. */
export const ShelfUseSchema = z.discriminatedUnion('noun', [
  z.object({ noun: z.literal('materials'), id: IdSchema, metres: z.number() }),
  z.object({ noun: z.literal('threads'), id: IdSchema, metres: z.number() }),
  z.object({ noun: z.literal('machines'), id: IdSchema, hours: z.number() }),
]);
export type ShelfUse = z.infer<typeof ShelfUseSchema>;

const MINUTES_AN_HOUR = 60;

/** Uses of one thing as one, in the order they first come. */
function summed(uses: readonly { id: string; metres: number }[]): { id: string; metres: number }[] {
  const byId = new Map<string, number>();
  for (const { id, metres } of uses) byId.set(id, (byId.get(id) ?? 0) + metres);
  return [...byId].map(([id, metres]) => ({ id, metres }));
}

/** No more than is there: what is taken must be what can be given back. */
const atMost = (metres: number, left: number): number => Math.min(metres, left);

/**
 * What finishing a planned piece takes off the shelf: its sheets and films by the metre of their rolls, its threads,
 * and the time its needle stitched. Never more than is there. Empty while the plan has no stitching.
 */
export function shelfUseOf(plan: Plan, shelf: Shelf, rules: HouseRules): ShelfUse[] {
  const { stitch, mount, place, design } = plan;
  if (!stitch || !design.facts) return [];
  const copies = Math.max(1, place?.copies.length ?? 1);
  const rolls = summed(
    sheetPieces(plan, shelf, rules).flatMap(({ roll, metres }) =>
      roll && metres !== null ? [{ id: roll.id, metres }] : [],
    ),
  );
  const threads = summed(
    stitch.stops.flatMap(({ thread, topM }) => (thread ? [{ id: thread.id, metres: topM * copies }] : [])),
  );
  const leftOf = (items: readonly { id: string; metresLeft: number }[], id: string) =>
    items.find((item) => item.id === id)?.metresLeft ?? 0;
  const machine = mount?.machine;
  const hours = machine ? (design.facts.stitches * copies) / machine.stitchesPerMinute / MINUTES_AN_HOUR : 0;
  return [
    ...rolls.map(({ id, metres }) => ({
      noun: 'materials' as const,
      id,
      metres: atMost(metres, leftOf(shelf.materials, id)),
    })),
    ...threads.map(({ id, metres }) => ({
      noun: 'threads' as const,
      id,
      metres: atMost(metres, leftOf(shelf.threads, id)),
    })),
    ...(machine ? [{ noun: 'machines' as const, id: machine.id, hours }] : []),
  ];
}

/** A use with the item of the shelf that it changes, as that item then is. */
type ChangedItem =
  | { noun: 'materials'; item: Shelf['materials'][number] }
  | { noun: 'threads'; item: Shelf['threads'][number] }
  | { noun: 'machines'; item: Shelf['machines'][number] };

/**
 * The items of a shelf that uses change, as they are once taken (`by` 1) or given back (`by` −1). What is no longer
 * on the shelf is passed over.
 */
export function shelfAfter(uses: readonly ShelfUse[], shelf: Shelf, by: 1 | -1): ChangedItem[] {
  const rounded = (value: number) => Math.max(0, Math.round(value * 1e6) / 1e6);
  return uses.flatMap((use): ChangedItem[] => {
    if (use.noun === 'machines') {
      const item = shelf.machines.find((m) => m.id === use.id);
      const needleHours = rounded((item?.needleHours ?? 0) + by * use.hours);
      return item ? [{ noun: 'machines', item: { ...item, needleHours } }] : [];
    }
    if (use.noun === 'threads') {
      const item = shelf.threads.find((t) => t.id === use.id);
      return item
        ? [{ noun: 'threads', item: { ...item, metresLeft: rounded(item.metresLeft - by * use.metres) } }]
        : [];
    }
    const item = shelf.materials.find((m) => m.id === use.id);
    return item
      ? [{ noun: 'materials', item: { ...item, metresLeft: rounded(item.metresLeft - by * use.metres) } }]
      : [];
  });
}
