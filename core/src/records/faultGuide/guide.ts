import type { DisplayUnits } from '../../base/units/length';
import { type Phrase, say } from '../../base/units/phrase';
import type { FaultId } from '../../model/faults';
import { type LogInput, MOST_NEXT_TIME } from '../../model/ticket/log';
import { CAUSES } from './causes';
import type { FaultFacts } from './facts';

/** A cause as it stands on a ticket: what speaks for it there, and how strongly. */
export interface RankedCause {
  id: string;
  text: Phrase;
  because: Phrase | null;
  /** 0: usual, but nothing on this ticket speaks for it; 3: its figures do. */
  likely: number;
  now: Phrase;
  next: Phrase;
}

/**
 * Why a fault may have come about on this ticket: what its own figures speak for first, then what is usual, in the order
 * of the trade. A cause that its figures speak against comes last.
 */
export const causesOf = (fault: FaultId, facts: FaultFacts): RankedCause[] =>
  CAUSES[fault]
    .map(({ id, text, likely, because, now, next }) => ({
      id,
      text,
      because: likely(facts) > 0 ? because(facts) : null,
      likely: likely(facts),
      now,
      next,
    }))
    .sort((a, b) => b.likely - a.likely);

/**
 * What goes into the log once a cause is found: the fault, slight unless it was worse already, and what to do next time,
 * once. What has no room any more is left out.
 */
export function withCause(
  { faults, nextTime }: Pick<LogInput, 'faults' | 'nextTime'>,
  fault: FaultId,
  { cause, units }: { cause: Pick<RankedCause, 'next'>; units: DisplayUnits },
): Pick<LogInput, 'faults' | 'nextTime'> {
  const next = say(cause.next, units);
  const together = nextTime.includes(next) ? nextTime : `${nextTime} ${next}`.trim();
  return {
    faults: { ...faults, [fault]: Math.max(1, faults[fault] ?? 0) },
    nextTime: together.length <= MOST_NEXT_TIME ? together : nextTime,
  };
}
