import type { Finding } from '../../model/finding';
import type { Reason } from '../../model/reason';
import type { LayersInput } from '../../model/ticket/layers';
import { type LogInput, type Outcome, offBy, outcomeOf } from '../../model/ticket/log';
import { type AsItIs, trialFindings } from './trial';

/** What a report comes to. */
export interface LogPlan {
  outcome: Outcome;
  /** How far off its place the pieces are, mm, and how far turned, clockwise; null where it was not measured. */
  off: { mm: number | null; turnDeg: number | null };
  findings: Finding[];
  reasons: Reason[];
}

/** What the plan has of a piece: the design so wide, mm, and how it is held; null while that is not known. */
interface Planned {
  widthMm: number;
  held: AsItIs | null;
  layers: LayersInput;
}

/** How the piece came out, by its gravest fault, where it lies by the tape, and whether what is tried is tried by itself. */
export const planLog = (input: LogInput, { widthMm, held, layers }: Planned): LogPlan => ({
  outcome: outcomeOf(input),
  off: offBy(input, widthMm),
  findings: held ? trialFindings(input.trial, held, layers) : [],
  reasons: [],
});
