import type { HouseRules, Plan, Ticket } from '@zt/core';
import { answerStitches } from '@zt/core/stages/design/stitches/answer';
import { stitchesAsked } from '@zt/core/stages/design/stitches/asked';
import type { Stitches } from '@zt/core/stages/design/stitches/stitches';
import { clipperHere } from '../compiled';

/** So long the computer stitches before it looks after others, ms, and so long at most in all. */
const TURN_MS = 25;
const LIMIT_MS = 4000;

const turnOfOthers = (): Promise<void> => new Promise((next) => setImmediate(next));

/**
 * The stitches of a ticket's design; null for sizes off a machine, and where they take longer than anybody waits. Others
 * are answered in between.
 */
export async function stitchesOf(
  { design }: Ticket,
  { piece }: Plan,
  rules: HouseRules,
): Promise<Stitches | null> {
  const question = stitchesAsked(design, { fabric: piece.fabric, rules });
  if (!question) return null;
  const work = answerStitches(question, await clipperHere());
  const begun = performance.now();
  let turn = begun;
  for (;;) {
    const { value, done } = work.next();
    if (done) return value.stitches;
    const now = performance.now();
    if (now - begun > LIMIT_MS) return null;
    if (now - turn < TURN_MS) continue;
    await turnOfOthers();
    turn = performance.now();
  }
}
