import { shortened } from '../base/shortened';
import { type Phrase, phrase } from '../base/units/phrase';
import { type Bounds, boundsAt, leafAt } from '../model/fields/bounds';
import { type Reader, readField } from '../model/fields/readField';
import { type Finding, finding } from '../model/finding';
import { type Ticket, TicketSchema } from '../model/ticket';
import { fieldName, stageOfField } from './fieldNames';

/** Why a text is kept unread: what its field takes. A text that reads now was typed in other units. */
export function whyUnread(text: string, bounds: Bounds, reader: Reader): Phrase {
  const reading = readField(text, bounds, reader);
  return reading.state === 'unread' ? reading.why : phrase`“${text}” was not taken: type it again.`;
}

const SHOWN_LETTERS = 40;

function unreadFinding(ticket: Ticket, at: string, reader: Reader): Finding {
  const stage = stageOfField(at);
  const name = fieldName(at, ticket);
  const text = ticket.unread[at] ?? '';
  const bounds = boundsAt(TicketSchema, at);
  const why = bounds
    ? whyUnread(bounds.kind === 'text' ? text : shortened(text, SHOWN_LETTERS), bounds, reader)
    : phrase`“${shortened(text, SHOWN_LETTERS)}” belongs to no field.`;
  const empty = leafAt(TicketSchema, at)?.empty ?? null;
  const then = empty === null ? phrase`${name} keeps the value it has` : phrase`${name} is left empty`;
  return finding(stage, 'unread', bounds?.kind === 'number' ? 'stop' : 'warn', phrase`${name}: ${why}`, {
    mends: [
      {
        label: phrase`Leave it out`,
        result: then,
        change: { stage, set: {}, unread: { [at]: '' } },
      },
    ],
  });
}

/** What was typed on a ticket and could not be taken: a figure is in the way; words and money are not. */
export function unreadFindings(ticket: Ticket, reader: Reader): Finding[] {
  return Object.keys(ticket.unread).map((at) => unreadFinding(ticket, at, reader));
}

/** Whether a field is only missing because what was typed for it is kept unread. */
export const isKeptUnread = ({ unread }: Ticket, { stage, code, field }: Finding): boolean =>
  code.endsWith('-missing') &&
  field !== undefined &&
  (`${stage}.${field}` in unread || `${stage}.readings.${field}` in unread);
