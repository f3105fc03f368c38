import type { Finding } from '../../model/finding';
import type { Reason } from '../../model/reason';
import { type LogInput, type Outcome, outcomeOf } from '../../model/ticket/log';

/** What a report comes to. */
export interface LogPlan {
  outcome: Outcome;
  findings: Finding[];
  reasons: Reason[];
}

/** How the piece came out, by its gravest fault. */
export const planLog = (input: LogInput): LogPlan => ({
  outcome: outcomeOf(input),
  findings: [],
  reasons: [],
});
