import type { HowFar } from '../../base/inSteps';
import { count, type Phrase, phrase } from '../../base/units/phrase';
import { sheetsInWords } from '../../catalogue/materials';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { CHOICE_PARTS } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import type { Plan } from '../../planner/planned';
import { jobSteps } from '../deck/jobSteps';
import type { Step } from '../deck/step';

/** A ticket that house rules plan otherwise than others did, and what of it. */
export interface ChangedTicket {
  id: string;
  name: string;
  changes: Phrase[];
}

/** What is decided in a plan, each in a few words: what is told first when it changes. */
const DECIDED: readonly ((plan: Plan) => string)[] = [
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

/** So many changed steps are told one by one; the others are counted. */
const TOLD = 2;

/** What a person does at the table: the words of every step, the acts at each stop among them. */
const doneIn = (plan: Plan, rules: HouseRules): { key: string; text: Phrase }[] => [
  ...jobSteps(plan, rules).map(({ text, hint }: Step) => ({ key: JSON.stringify([text, hint]), text })),
  ...(plan.stitch?.acts ?? []).map((text) => ({ key: JSON.stringify(text), text })),
];

/** The steps that are new or said otherwise, the first of them in words. */
function stepWords(before: ReturnType<typeof doneIn>, after: ReturnType<typeof doneIn>): Phrase[] {
  const had = new Set(before.map(({ key }) => key));
  const has = new Set(after.map(({ key }) => key));
  const made = after.filter(({ key }) => !had.has(key));
  const gone = before.filter(({ key }) => !has.has(key));
  const told = made.slice(0, TOLD).map(({ text }) => phrase`now “${text}”`);
  const left = made.length - told.length;
  if (made.length === 0 && gone[0]) return [phrase`no longer “${gone[0].text}”`];
  return left > 0 ? [...told, phrase`${count(left)} more ${left === 1 ? 'step' : 'steps'}`] : told;
}

/** What other house rules change on a ticket; nothing where it stays as it is. */
function changesOf(
  ticket: Ticket,
  shelf: Shelf,
  { before, after }: { before: HouseRules; after: HouseRules },
): Phrase[] {
  const [was, is] = [planTicket(ticket, shelf, before), planTicket(ticket, shelf, after)];
  const decided = DECIDED.flatMap((read) => {
    const [a, b] = [read(was), read(is)];
    return a === b ? [] : [phrase`${b || 'nothing'} instead of ${a || 'nothing'}`];
  });
  const changes = [...decided, ...movedWords(was, is)];
  return changes.length > 0 ? changes : stepWords(doneIn(was, before), doneIn(is, after));
}

/**
 * The tickets that other house rules plan otherwise, each with what changes; those that stay as they are not named. Yields
 * before each ticket how many were read.
 */
export function* whatChanges(
  tickets: readonly Ticket[],
  shelf: Shelf,
  rules: { before: HouseRules; after: HouseRules },
): Generator<HowFar, ChangedTicket[]> {
  const changed: ChangedTicket[] = [];
  for (const [read, ticket] of tickets.entries()) {
    yield { read, of: tickets.length };
    const changes = changesOf(ticket, shelf, rules);
    if (changes.length > 0) changed.push({ id: ticket.id, name: ticket.name, changes });
  }
  return changed;
}
