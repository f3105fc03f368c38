import { sheetsInWords } from '../layers/materials';
import { CHOICE_PARTS } from '../layers/schema';
import { type Plan, planTicket } from '../plan';
import type { Shelf } from '../shelf/schema';
import type { Ticket } from '../ticket';
import { type Phrase, phrase } from '../units/phrase';
import type { HouseRules } from './schema';

/** A ticket that house rules plan otherwise than others did, and what of it. */
export interface ChangedTicket {
  id: string;
  name: string;
  changes: Phrase[];
}

/** What is read of a plan to tell whether it changed, each in a few words. */
const READ: readonly ((plan: Plan) => string)[] = [
  (plan) => plan.place?.placement.name ?? '',
  (plan) => (plan.hoop ? plan.hoop.method : ''),
  (plan) => plan.hoop?.laid?.verdict.hoop.name ?? '',
  (plan) => (plan.layers ? sheetsInWords(plan.layers.sheets) : ''),
  ...CHOICE_PARTS.map((part) => (plan: Plan) => plan.layers?.parts[part].choice.name ?? ''),
];

function movedWords(before: Plan, after: Plan): Phrase[] {
  const [a, b] = [before.place?.centre, after.place?.centre];
  if (!a || !b) return [];
  const mm = Math.hypot(a.x - b.x, a.y - b.y);
  return mm < 0.5 ? [] : [phrase`the design lies ${{ mm }} elsewhere`];
}

/** The tickets that other house rules plan otherwise, each with what changes; those that stay as they are not named. */
export function whatChanges(
  tickets: readonly Ticket[],
  shelf: Shelf,
  { before, after }: { before: HouseRules; after: HouseRules },
): ChangedTicket[] {
  return tickets.flatMap((ticket) => {
    const [was, is] = [planTicket(ticket, shelf, before), planTicket(ticket, shelf, after)];
    const changes = READ.flatMap((read) => {
      const [a, b] = [read(was), read(is)];
      return a === b ? [] : [phrase`${b || 'nothing'} instead of ${a || 'nothing'}`];
    });
    const all = [...changes, ...movedWords(was, is)];
    return all.length === 0 ? [] : [{ id: ticket.id, name: ticket.name, changes: all }];
  });
}
