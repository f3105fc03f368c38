import { phrase } from '../../base/units/phrase';
import { type Finding, finding } from '../../model/finding';
import type { PiecePlan } from '../../stages/piece/planPiece';

/** Whether the ring has room is judged by usual lengths while some were not read on this piece. */
export function ringByUsual({ kind, assumed }: Pick<PiecePlan, 'kind' | 'assumed'>): Finding[] {
  const names = kind.readings.filter(({ id }) => assumed.includes(id)).map(({ name }) => name);
  if (names.length === 0) return [];
  const text = phrase`The ring’s room is judged by usual lengths. Read on this piece before it closes: ${names.join(', ')}.`;
  return [finding('hoop', 'hoop-by-usual', 'note', text)];
}
