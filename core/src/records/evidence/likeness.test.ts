import fc from 'fast-check';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { HOOPED_TEE } from '../../testing/pieceConditions';
import { differencesOf, distanceOf, LIKENESS, likePieces, tableOf } from './likeness';
import { NO_RISK, type PieceConditions, type PieceRecord } from './pieceRecord';

const RULES = DEFAULT_HOUSE_RULES;
const TEE: PieceConditions = { ...HOOPED_TEE, stack: ['mesh-fusible fused', 'cut-away'] };

const anything = fc.record<PieceConditions>({
  fabricId: fc.constantFrom('jersey-tee', 'rib', 'terry', 'linen'),
  structure: fc.constantFrom('knit', 'pile', 'stable woven'),
  stretchPercent: fc.integer({ min: 0, max: 80 }),
  pileMm: fc.integer({ min: 0, max: 9 }),
  rank: fc.integer({ min: 0, max: 4 }),
  sizeMm: fc.integer({ min: 5, max: 600 }),
  method: fc.constantFrom('hooped', 'floated', 'partly'),
  stack: fc.array(fc.constantFrom('cut-away', 'mesh', 'tear-away', 'cut-away fused'), { maxLength: 4 }),
});

it('is nothing to itself, the same both ways, and never over one', () => {
  fc.assert(
    fc.property(anything, anything, (a, b) => {
      expect(distanceOf(a, a, RULES)).toBe(0);
      expect(distanceOf(a, b, RULES)).toBeCloseTo(distanceOf(b, a, RULES), 12);
      expect(distanceOf(a, b, RULES)).toBeLessThanOrEqual(1 + 1e-12);
      expect(differencesOf(a, b, RULES).length === 0).toBe(distanceOf(a, b, RULES) === 0);
    }),
  );
});

it('is the weighted mean of what differs, by figures: floated, and one of three sheets another', () => {
  const floated: PieceConditions = { ...TEE, method: 'floated', stack: ['cut-away', 'tear-away'] };
  const weights = Object.values(LIKENESS).reduce((sum, { weight }) => sum + weight.value, 0);
  // Method 2 × 1, stack 3 × (1 − 1/3).
  expect(distanceOf(TEE, floated, RULES)).toBeCloseTo((2 * 1 + 3 * (2 / 3)) / weights, 12);
  expect(differencesOf(TEE, { ...floated, stretchPercent: 22 }, RULES)).toEqual([
    'method',
    'stack',
    'stretch',
  ]);
});

it('follows the shop’s own weights; without any all pieces are alike', () => {
  const cloth: HouseRules = { ...RULES, numbers: { likeCloth: 100 } };
  const other: PieceConditions = { ...TEE, fabricId: 'rib' };
  expect(distanceOf(TEE, other, cloth)).toBeGreaterThan(distanceOf(TEE, other, RULES));
  const none = Object.fromEntries(Object.values(LIKENESS).map(({ weight }) => [weight.id, 0]));
  expect(distanceOf(TEE, other, { ...RULES, numbers: none })).toBe(0);
});

it('finds the nearest pieces, as a sort of all would, and none that are not alike', () => {
  const recordOf = (conditions: PieceConditions, i: number): PieceRecord => ({
    ...conditions,
    id: `entry-${i}`,
    loggedAt: new Date(Date.UTC(2025, 0, 1 + i)).toISOString(),
    name: '',
    pieces: 1,
    who: '',
    faults: {},
    risks: NO_RISK,
  });
  fc.assert(
    fc.property(anything, fc.array(anything, { maxLength: 60 }), (target, others) => {
      const records = others.map(recordOf);
      const found = likePieces(target, tableOf(records), { rules: RULES, most: 7 });
      const all = records
        .map((record) => distanceOf(target, record, RULES))
        .filter((distance) => distance <= 0.2)
        .sort((a, b) => a - b);
      expect(found.map(({ distance }) => distance)).toEqual(all.slice(0, 7));
    }),
  );
});
