import { containsPoint } from '../../base/geometry/polygon';
import { say } from '../../base/units/phrase';
import { FABRICS } from '../../catalogue/fabrics';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { FabricSchema, type PieceInput } from '../../model/ticket/piece';
import { exampleA, exampleB } from '../../testing/samples';
import { planPiece } from './planPiece';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const tee = (changes: Partial<PieceInput> = {}): PieceInput => ({ ...exampleA().piece, ...changes });

describe('the fabric library', () => {
  it('has some 25 cloths, each with every property', () => {
    expect(FABRICS.length).toBeGreaterThanOrEqual(25);
    for (const fabric of FABRICS) expect(FabricSchema.safeParse(fabric).success).toBe(true);
    expect(new Set(FABRICS.map((f) => f.id)).size).toBe(FABRICS.length);
  });
});

describe('readings that cannot be right', () => {
  const BAD: [string, Partial<PieceInput>, string, string][] = [
    [
      'missing',
      { readings: { length: 620, shoulder: 145, armhole: 220 } },
      'chestWidth',
      'Still to measure: underarm to underarm.',
    ],
    [
      'absurd',
      { readings: { ...exampleA().piece.readings, chestWidth: 4000 } },
      'chestWidth',
      '4000 mm for underarm to underarm cannot be right: it lies between 180 mm and 1000 mm.',
    ],
    [
      'negative',
      { readings: { ...exampleA().piece.readings, length: -20 } },
      'length',
      '-20 mm for collar seam to hem cannot be right: it lies between 200 mm and 1200 mm.',
    ],
    [
      'contradicting',
      { readings: { chestWidth: 520, length: 300, shoulder: 145, armhole: 340 } },
      'length',
      'collar seam to hem 300 mm and armhole depth 340 mm cannot both be right: the underarm would lie at or below the hem.',
    ],
  ];
  it.each(BAD)('%s: names the field and both figures, and draws no geometry', (_, changes, field, words) => {
    const plan = planPiece(tee(changes), RULES);
    const finding = plan.findings.find((f) => f.field === field);
    expect(finding?.severity).toBe(words.startsWith('Still to measure') ? 'next' : 'stop');
    expect(say(finding?.text ?? [], MM)).toBe(words);
    expect(plan.geometry).toBeNull();
  });

  it('questions a band that reaches over the hem', () => {
    const piece = {
      ...exampleB().piece,
      readings: { width: 680, length: 1350, bandHeight: 90, bandTop: 60 },
    };
    expect(say(planPiece(piece, RULES).findings[0]?.text ?? [], MM)).toContain(
      'the band would reach over the hem',
    );
  });
});

describe('asymmetry', () => {
  const leaning = [
    { atMm: 150, leftMm: 274, rightMm: 286 },
    { atMm: 450, leftMm: 268, rightMm: 292 },
  ];

  it('fits the edges’ middle: lean in degrees and offset at the collar', () => {
    const { centreLine, findings } = planPiece(tee({ evenness: leaning }), RULES);
    expect(centreLine.offsetMm).toBeCloseTo(3, 6);
    expect(centreLine.leanDeg).toBeCloseTo((-Math.atan(6 / 300) * 180) / Math.PI, 6);
    expect(centreLine.uneven).toBe(true);
    expect(findings.map((f) => f.code)).toEqual(['piece-uneven']);
    expect(centreLine.used).toEqual({ offset: 0, slope: 0 });
  });

  it('uses the seams’ line when the shop says so', () => {
    const plan = planPiece(tee({ evenness: leaning }), { ...RULES, schools: { centreLine: 'seams' } });
    expect(plan.centreLine.used).toEqual(plan.centreLine.seams);
    expect(plan.reasons.find((r) => r.about === 'centreLine')?.school?.chosen).toBe("the seams' line");
  });

  it('draws the grain’s line beside them, and uses it when the shop says so', () => {
    const plan = planPiece(tee({ grain: { overMm: 300, driftMm: 9 } }), RULES);
    expect(say(plan.findings[0]?.text ?? [], MM)).toContain(
      "The grain leans 1.7°. Placed by the wearer's line; the seams' line and the grain's line are drawn too.",
    );
    expect(plan.centreLine.used).toEqual({ offset: 0, slope: 0 });
    const byGrain = planPiece(tee({ grain: { overMm: 300, driftMm: 9 } }), {
      ...RULES,
      schools: { centreLine: 'grain' },
    });
    expect(byGrain.centreLine.used).toEqual({ offset: 0, slope: 0.03 });
    expect(byGrain.reasons.find((r) => r.about === 'centreLine')?.school?.chosen).toBe("the grain's line");
  });

  it('ignores what nobody would see', () => {
    const plan = planPiece(tee({ evenness: [{ atMm: 200, leftMm: 259, rightMm: 261 }] }), RULES);
    expect(plan.centreLine.uneven).toBe(false);
    expect(plan.findings).toEqual([]);
  });

  it('counts heights upwards on a towel', () => {
    const piece = {
      ...exampleB().piece,
      evenness: [
        { atMm: 0, leftMm: 340, rightMm: 340 },
        { atMm: 400, leftMm: 330, rightMm: 350 },
      ],
    };
    const { centreLine } = planPiece(piece, RULES);
    expect(centreLine.leanDeg).toBeCloseTo((Math.atan(10 / 400) * 180) / Math.PI, 6);
  });
});

describe('no-go areas', () => {
  it('holds the collar rib of a tee and the band of a towel', () => {
    const teeArea = planPiece(tee(), RULES).geometry?.noGo.find((n) => n.id === 'rib')?.area ?? [];
    expect(containsPoint(teeArea, { x: 0, y: -9 })).toBe(true);
    const band = planPiece(exampleB().piece, RULES).geometry?.noGo.find((n) => n.id === 'band')?.area ?? [];
    expect(containsPoint(band, { x: 0, y: -60 })).toBe(true);
    expect(containsPoint(band, { x: 0, y: -95 })).toBe(false);
  });

  it('leaves the band out where there is none', () => {
    const piece = { ...exampleB().piece, readings: { width: 680, length: 1350, bandHeight: 0, bandTop: 0 } };
    expect(planPiece(piece, RULES).geometry?.noGo.map((n) => n.id)).not.toContain('band');
  });
});
