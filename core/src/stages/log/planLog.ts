import { deg, mm, type Phrase, phrase } from '../../base/units/phrase';
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

/** Nearer to straight than this nothing is called turned, degrees. */
const STRAIGHT_DEG = 0.05;

/** How far off its place a piece lies, and how far turned; null where that was not measured. */
export function offInWords({ mm: off, turnDeg }: LogPlan['off']): Phrase | null {
  if (off === null) return null;
  const by = phrase`${mm(off)} off its place`;
  if (turnDeg === null) return by;
  if (Math.abs(turnDeg) < STRAIGHT_DEG) return phrase`${by}, not turned`;
  return phrase`${by}, turned ${deg(Math.abs(turnDeg))} ${turnDeg > 0 ? 'clockwise' : 'counter-clockwise'}`;
}

/** How the piece came out, by its gravest fault, where it lies by the tape, and whether what is tried is tried by itself. */
export const planLog = (input: LogInput, { widthMm, held, layers }: Planned): LogPlan => ({
  outcome: outcomeOf(input),
  off: offBy(input, widthMm),
  findings: held ? trialFindings(input.trial, held, layers) : [],
  reasons: [],
});
