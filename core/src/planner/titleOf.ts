import type { LogSummary } from '../model/logEntry';
import type { Ticket } from '../model/ticket';
import { PIECE_KINDS } from '../stages/piece/kinds';

/**
 * What a ticket is called: its name, or while it has none its design, or how many names it has, or what is lettered in it,
 * and its piece.
 */
export function titleOf({ name, design, piece }: Pick<Ticket, 'name' | 'design' | 'piece'>): string {
  if (name.trim() !== '') return name;
  const kind = PIECE_KINDS[piece.kind].name;
  const letters =
    design.parts
      .find((part) => part.letters)
      ?.letters?.text.trim()
      .replace(/\s+/g, ' ') ?? '';
  const names = design.names?.rows.length ?? 0;
  const drawn = design.name.trim() || (names > 1 ? `${names} names` : letters);
  return drawn === '' ? `New: ${kind}` : `${drawn}, ${kind}`;
}

/** What a line of the logbook is called: its name, or while it had none its piece. */
export const entryTitleOf = ({ name, kind }: Pick<LogSummary, 'name' | 'kind'>): string =>
  name.trim() === '' ? PIECE_KINDS[kind].name : name;
