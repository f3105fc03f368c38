import { say } from '../../base/units/phrase';
import type { Earned } from '../../model/weeks';
import { changedNumbers, type MadeThen, marginOf, mondays, sayEarned, sayWeeks, weeksOf } from './weeks';

const at = (iso: string) => Date.parse(iso);
const made = (iso: string, more: Partial<MadeThen> = {}): MadeThen => ({
  atMs: at(iso),
  pieces: 1,
  spoilt: 0,
  plannedMinutes: null,
  wasMinutes: null,
  ...more,
});
const earned = (day: string, promisedMinor: number, costMinor: number | null): Earned => ({
  id: `order-${day}`,
  name: day,
  day,
  promisedMinor,
  costMinor,
});

it('weeks begin on Mondays by the shop’s own clocks, over a change of them too', () => {
  const begins = mondays(at('2026-10-28T12:00Z'), 2, 'Europe/Berlin');
  expect(begins.map((ms) => new Date(ms).toISOString())).toEqual([
    '2026-10-18T22:00:00.000Z',
    '2026-10-25T23:00:00.000Z',
    '2026-11-01T23:00:00.000Z',
  ]);
});

it('counts what was made and earned, by hand', () => {
  const begins = mondays(at('2026-11-29T20:00Z'), 3, 'UTC');
  const weeks = weeksOf(
    {
      made: [
        made('2026-11-08T23:59Z', { pieces: 40 }),
        made('2026-11-09T00:00Z', { pieces: 3, spoilt: 1, plannedMinutes: 30, wasMinutes: 36 }),
        made('2026-11-15T23:59Z', { pieces: 2, plannedMinutes: 20, wasMinutes: null }),
        made('2026-11-29T10:00Z', { pieces: 5, plannedMinutes: 10, wasMinutes: 9 }),
        made('2026-11-30T10:00Z', { pieces: 70 }),
      ],
      earned: [
        earned('2026-11-10', 10_000, 7_000),
        earned('2026-11-12', 5_000, null),
        earned('2026-11-24', 0, 900),
        earned('2026-11-01', 99, 1),
      ],
    },
    begins,
    'UTC',
  );
  expect(weeks).toEqual([
    {
      monday: '2026-11-09',
      pieces: 5,
      spoilt: 1,
      plannedMinutes: 30,
      wasMinutes: 36,
      timed: 1,
      orders: 2,
      promisedMinor: 15_000,
      countedMinor: 10_000,
      costMinor: 7_000,
    },
    expect.objectContaining({ monday: '2026-11-16', pieces: 0, orders: 0 }),
    expect.objectContaining({ monday: '2026-11-23', pieces: 5, wasMinutes: 9, orders: 1, costMinor: 900 }),
  ]);
  expect([marginOf(10_000, 7_000), marginOf(0, 900), marginOf(100, 130)]).toEqual([30, null, -30]);
});

it('numbers that were changed most come first; what was put back is as usual again', () => {
  const states: Record<string, number>[] = [{}, { a: 1 }, { a: 2, b: 1 }, { a: 2 }, { a: 3 }];
  expect(changedNumbers(states)).toEqual([
    { id: 'a', times: 3, value: 3 },
    { id: 'b', times: 2, value: null },
  ]);
  expect(changedNumbers([])).toEqual([]);
});

it('says what was made and how long it took, and what an order left', () => {
  const EUR = { system: 'mm' } as const;
  const [week] = weeksOf({ made: [], earned: [] }, mondays(0, 1, 'UTC'), 'UTC');
  if (!week) throw new Error('there is a week');
  const words = (more: Partial<typeof week>) => say(sayWeeks([{ ...week, ...more }]), EUR);
  expect(words({ pieces: 1 })).toBe('1 piece, 0 spoilt. No minutes at the machine were taken.');
  expect(words({ pieces: 7, spoilt: 1, plannedMinutes: 40, wasMinutes: 50 })).toBe(
    '7 pieces, 1 spoilt. The machine took 25 % longer than it was planned to.',
  );
  expect(words({ plannedMinutes: 40, wasMinutes: 30 })).toContain('25 % shorter than');
  expect(words({ plannedMinutes: 40, wasMinutes: 40 })).toContain('took as long as it was planned to.');
  expect(say(sayEarned(earned('2026-11-10', 10_000, 7_000), 'EUR'), EUR)).toBe(
    '€100.00 promised, €70.00 cost: €30.00 left',
  );
  expect(say(sayEarned(earned('2026-11-10', 500, 720), 'EUR'), EUR)).toBe(
    '€5.00 promised, €7.20 cost: €2.20 put in',
  );
  expect(say(sayEarned(earned('2026-11-10', 500, null), 'EUR'), EUR)).toBe(
    '€5.00 promised; what it cost was not worked out',
  );
});
