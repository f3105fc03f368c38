import fc from 'fast-check';
import { bobbinPlan } from './bobbinPlan';

it('changes between pieces, by hand: 60 m, 11 m a piece', () => {
  // Five pieces take 55 m; the sixth, with 15 % to spare, would want 12.65 m of the 5 that are left.
  expect(bobbinPlan({ pieces: 12, eachM: 11, leftM: 60, fullM: 60, leastShare: 1.15 })).toEqual({
    after: [5, 10],
    before: false,
    wind: 2,
    leftM: 38,
  });
  expect(bobbinPlan({ pieces: 1, eachM: 11, leftM: 4, fullM: 60, leastShare: 1.15 })).toEqual({
    after: [],
    before: true,
    wind: 1,
    leftM: 49,
  });
});

it('a piece that wants more than a bobbin has more wound for it', () => {
  const plan = bobbinPlan({ pieces: 2, eachM: 70, leftM: 60, fullM: 60, leastShare: 1.15 });
  expect(plan.wind * 60 + 60).toBeGreaterThanOrEqual(140);
  expect(plan.after).toEqual([1]);
});

it('whoever winds and changes so never runs out within a piece, and winds no more than is needed for that', () => {
  const metres = fc.double({ min: 0.5, max: 60, noNaN: true });
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), metres, metres, (pieces, eachM, leftM) => {
      fc.pre(eachM * 1.15 <= 60);
      const plan = bobbinPlan({ pieces, eachM, leftM, fullM: 60, leastShare: 1.15 });
      let left = leftM;
      let put = 0;
      for (let piece = 1; piece <= pieces; piece += 1) {
        if (piece === 1 ? plan.before : plan.after.includes(piece - 1)) {
          // Not before it has to be.
          expect(left).toBeLessThan(eachM * 1.15);
          left = 60;
          put += 1;
        }
        expect(left).toBeGreaterThanOrEqual(eachM * 1.15 - 1e-9);
        left -= eachM;
      }
      expect([put, left]).toEqual([plan.wind, expect.closeTo(plan.leftM, 6)]);
    }),
  );
});
