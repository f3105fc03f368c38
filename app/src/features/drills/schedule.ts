import type { DrillCard } from '@zt/core/model/drillCard';
import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs';

/** The scheduler as it is published (FSRS); days are not spread by chance, so that what is due is due. */
const scheduler = fsrs({ enable_fuzz: false });

const cardOf = (kept: DrillCard | undefined, now: Date): Card =>
  kept
    ? {
        due: new Date(kept.due),
        stability: kept.stability,
        difficulty: kept.difficulty,
        elapsed_days: kept.elapsedDays,
        scheduled_days: kept.scheduledDays,
        learning_steps: kept.learningSteps,
        reps: kept.reps,
        lapses: kept.lapses,
        state: kept.state,
        ...(kept.last ? { last_review: new Date(kept.last) } : {}),
      }
    : createEmptyCard(now);

/** A topic after an answer: what was wrong comes back soon, what was right later and later. */
export function afterAnswer(key: string, kept: DrillCard | undefined, right: boolean, now: Date): DrillCard {
  const { card } = scheduler.next(cardOf(kept, now), now, right ? Rating.Good : Rating.Again);
  return {
    key,
    due: card.due.toISOString(),
    last: now.toISOString(),
    begun: kept?.begun ?? now.toISOString(),
    stability: card.stability,
    difficulty: card.difficulty,
    elapsedDays: card.elapsed_days,
    scheduledDays: card.scheduled_days,
    learningSteps: card.learning_steps,
    reps: card.reps,
    lapses: card.lapses,
    state: card.state,
    asked: (kept?.asked ?? 0) + 1,
    right: (kept?.right ?? 0) + (right ? 1 : 0),
  };
}

/** So many topics are begun a day beside those that come back. */
export const NEW_A_DAY = 8;

/** The topics to be asked now: those that are due, the longest first, then new ones up to what a day takes. */
export function toAsk(keys: readonly string[], cards: readonly DrillCard[], now: Date): string[] {
  const byKey = new Map(cards.map((card) => [card.key, card]));
  const due = cards
    .filter(({ key, due: at }) => keys.includes(key) && at <= now.toISOString())
    .sort((a, b) => (a.due < b.due ? -1 : 1))
    .map(({ key }) => key);
  const today = now.toISOString().slice(0, 10);
  const started = cards.filter(({ begun }) => begun.slice(0, 10) === today).length;
  const fresh = keys.filter((key) => !byKey.has(key)).slice(0, Math.max(0, NEW_A_DAY - started));
  return [...due, ...fresh];
}
