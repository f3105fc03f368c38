import { afterAnswer, NEW_A_DAY, toAsk } from './schedule';

const day = (n: number, hour = 9) => new Date(Date.UTC(2026, 4, n, hour));
const KEYS = Array.from({ length: 12 }, (_, i) => `topic ${i}`);

it('what was wrong comes back the same day, what was right after days, later each time', () => {
  const wrong = afterAnswer('topic 1', undefined, false, day(4));
  expect(wrong.due < day(4, 12).toISOString()).toBe(true);
  let card = afterAnswer('topic 1', undefined, true, day(4));
  const gaps: number[] = [];
  for (let i = 0; i < 5; i += 1) {
    const at = new Date(Math.max(Date.parse(card.due), Date.parse(card.last ?? '')));
    const next = afterAnswer('topic 1', card, true, at);
    gaps.push((Date.parse(next.due) - at.getTime()) / 86_400_000);
    card = next;
  }
  expect(gaps).toEqual([...gaps].sort((a, b) => a - b));
  expect(gaps.at(-1)).toBeGreaterThan(10);
  const lapsed = afterAnswer('topic 1', card, false, new Date(card.due));
  expect(lapsed.lapses).toBe(1);
  expect([lapsed.asked, lapsed.right]).toEqual([7, 6]);
});

it('asks what is due, the longest first, then so many new ones a day', () => {
  expect(toAsk(KEYS, [], day(4))).toEqual(KEYS.slice(0, NEW_A_DAY));
  const old = { ...afterAnswer('topic 9', undefined, true, day(1)), due: day(3).toISOString() };
  const older = { ...afterAnswer('topic 8', undefined, true, day(1)), due: day(2).toISOString() };
  const later = { ...afterAnswer('topic 7', undefined, true, day(1)), due: day(9).toISOString() };
  expect(toAsk(KEYS, [old, later, older], day(4)).slice(0, 3)).toEqual(['topic 8', 'topic 9', 'topic 0']);
  expect(toAsk(KEYS, [later], day(4))).not.toContain('topic 7');
  const today = KEYS.slice(0, NEW_A_DAY).map((key) => ({
    ...afterAnswer(key, undefined, true, day(4)),
    due: day(8).toISOString(),
  }));
  expect(toAsk(KEYS, today, day(4, 10))).toEqual([]);
  expect(toAsk(KEYS, today, day(5))).toEqual(KEYS.slice(NEW_A_DAY));
  // A machine that was sold is asked of no more.
  expect(toAsk(['topic 1'], [old], day(4))).toEqual(['topic 1']);
});
