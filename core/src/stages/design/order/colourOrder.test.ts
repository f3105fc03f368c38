import fc from 'fast-check';
import { colourOrder, runsOf, type ToOrder } from './colourOrder';

/** Drawings of up to nine shapes in up to four colours, any of them lying on any before it. */
const drawing = fc
  .array(fc.tuple(fc.nat({ max: 3 }), fc.array(fc.boolean(), { minLength: 9, maxLength: 9 })), {
    minLength: 1,
    maxLength: 9,
  })
  .map(
    (shapes): ToOrder => ({
      colours: shapes.map(([colour]) => colour),
      after: shapes.map(([, on], i) =>
        on.flatMap((lies, k) => (lies && k < i && (i + k) % 2 === 0 ? [k] : [])),
      ),
    }),
  );

/** The fewest runs by trying every order. */
function fewest({ colours, after }: ToOrder): number {
  const most = 2 ** colours.length;
  const known = new Map<number, number>();
  const from = (done: number, last: number): number => {
    if (done === most - 1) return 0;
    const key = done * 8 + last + 1;
    const before = known.get(key);
    if (before !== undefined) return before;
    let best = Infinity;
    colours.forEach((colour, shape) => {
      if (done & (1 << shape) || (after[shape] ?? []).some((k) => !(done & (1 << k)))) return;
      best = Math.min(best, from(done | (1 << shape), colour) + (colour === last ? 0 : 1));
    });
    known.set(key, best);
    return best;
  };
  return from(0, -1);
}

const isAllowed = (order: readonly number[], { after }: ToOrder): boolean =>
  order.every((shape, at) => (after[shape] ?? []).every((before) => order.indexOf(before) < at));

describe('the order of colours', () => {
  it('has as few thread changes as any that is allowed: against every order', () => {
    fc.assert(
      fc.property(drawing, (given) => {
        const { order, runs, bound } = colourOrder(given);
        expect([...order].sort((a, b) => a - b)).toEqual(given.colours.map((_, i) => i));
        expect(isAllowed(order, given)).toBe(true);
        expect(runsOf(order, given.colours)).toBe(runs);
        expect(runs).toBe(fewest(given));
        expect(bound).toBe(runs);
      }),
      { numRuns: 500 },
    );
  });

  it('puts nineteen stops of two colours that lie apart into two', () => {
    const colours = Array.from({ length: 19 }, (_, i) => i % 2);
    expect(colourOrder({ colours, after: colours.map(() => []) }).runs).toBe(2);
  });

  it('keeps what is drawn where nothing is gained', () => {
    expect(colourOrder({ colours: [2, 0, 1], after: [[], [], []] }).order).toEqual([0, 1, 2]);
    expect(colourOrder({ colours: [], after: [] })).toEqual({ order: [], runs: 0, bound: 0 });
  });

  it('of a large drawing finds an order that is allowed, and says how good any could be', () => {
    const colours = Array.from({ length: 300 }, (_, i) => (i * 7 + (i >> 2)) % 9);
    const after = colours.map((_, i) => (i % 3 === 0 && i > 12 ? [i - 5, i - 12] : []));
    const given = { colours, after };
    const { order, runs, bound } = colourOrder(given);
    expect(isAllowed(order, given)).toBe(true);
    expect(runs).toBeLessThan(
      runsOf(
        colours.map((_, i) => i),
        colours,
      ),
    );
    expect(bound).toBeLessThanOrEqual(runs);
    expect(bound).toBeGreaterThanOrEqual(9);
  });
});
