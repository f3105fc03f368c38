import type { Finding } from '../../model/finding';
import type { Reason } from '../../model/reason';
import { type LogInput, type Outcome, offBy, outcomeOf } from '../../model/ticket/log';

/** What a report comes to. */
export interface LogPlan {
  outcome: Outcome;
  /** How far off its place the pieces are, mm, and how far turned, clockwise; null where it was not measured. */
  off: { mm: number | null; turnDeg: number | null };
  findings: Finding[];
  reasons: Reason[];
}

/** How the piece came out, by its gravest fault, and where it lies by the tape; the design so wide, mm. */
export const planLog = (input: LogInput, widthMm: number): LogPlan => ({
  outcome: outcomeOf(input),
  off: offBy(input, widthMm),
  findings: [],
  reasons: [],
});
