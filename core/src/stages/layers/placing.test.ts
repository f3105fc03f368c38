import { say } from '../../base/units/phrase';
import { heldInWords, STABILIZERS, sheetsInWords } from '../../catalogue/materials';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Ticket } from '../../model/ticket';
import { BONDS, FASTENINGS, STABILIZER_IDS, type StabilizerId, WHERES } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { layerFacts } from './facts';
import { floatsOnNothing, placeSheets, whySheetCannot } from './placing';
import { decide } from './rule';
import { SUPPORT_RULES } from './rules';

const MM = { system: 'mm' } as const;

function factsOf(ticket: Ticket, schools = {}) {
  const rules = { ...DEFAULT_HOUSE_RULES, schools };
  const { piece, design, hoop } = planTicket(ticket, SAMPLE_SHELF, rules);
  if (!design.facts || !hoop) throw new Error('the examples can be planned');
  return layerFacts(piece, design.facts, hoop, rules);
}
const placed = (ids: StabilizerId[], facts: ReturnType<typeof factsOf>) =>
  placeSheets(ids, { further: 'tear-away' }, facts);

const TEE = factsOf(exampleA());
const TOWEL = factsOf(exampleB());
const COLD = factsOf({ ...exampleA(), piece: { ...exampleA().piece, fabricChanges: { iron: 'no' } } });

describe('how a sheet may be held', () => {
  it('is fused only where it is sold fusible, on what takes the iron; stuck only where it is sold sticky', () => {
    for (const id of STABILIZER_IDS) {
      const fused = sheet(id, 'in the ring', 'fused');
      expect(whySheetCannot(fused, TEE) === null).toBe(STABILIZERS[id].grade === 'fusible');
      expect(whySheetCannot(fused, COLD)).not.toBeNull();
      const stuck = sheet(id, 'in the ring', 'sticky');
      expect(whySheetCannot(stuck, TEE) === null).toBe(STABILIZERS[id].grade === 'sticky');
    }
  });

  it('is never left to nothing on the piece', () => {
    expect(say(whySheetCannot(sheet('mesh', 'on the piece'), TEE) ?? [], MM)).toMatch(/^Nothing holds Light/);
    expect(whySheetCannot(sheet('mesh', 'on the piece', 'none', 'pins'), TEE)).toBeNull();
    expect(whySheetCannot(sheet('mesh', 'under the ring'), TEE)).toBeNull();
  });

  it('is always allowed as proposed, and a floated piece lies on something, whatever the stack and the school', () => {
    let proposed = 0;
    for (const hold of ['fuse', 'spray', 'sticky', 'baste'])
      for (const method of ['hoop', 'float'])
        for (const ticket of [exampleA(), exampleB()]) {
          const facts = factsOf(ticket, { hold, method });
          for (const first of STABILIZER_IDS)
            for (const more of [[], [first], ['tear-away' as const]]) {
              const sheets = placed([first, ...more], facts);
              proposed++;
              expect(sheets.flatMap((s) => whySheetCannot(s, facts) ?? [])).toEqual([]);
              expect(floatsOnNothing(sheets, facts)).toBe(false);
            }
        }
    expect(proposed).toBe(4 * 2 * 2 * 12 * 3);
  });
});

describe('the three answers of a sheet', () => {
  it('a jersey in the ring is bonded to its first sheet, as this shop holds knits', () => {
    expect(placed(['cut-away', 'tear-away'], TEE)).toEqual([
      sheet('cut-away', 'in the ring', 'sprayed'),
      sheet('tear-away'),
    ]);
    const snug = factsOf(exampleA(), { knitTension: 'snug' });
    expect(placed(['cut-away'], snug)).toEqual([sheet('cut-away')]);
  });

  it.each([
    ['fuse', ['in the ring, sprayed', 'in the ring']],
    ['spray', ['in the ring, sprayed', 'in the ring, sprayed']],
    ['sticky', ['in the ring, sprayed', 'in the ring']],
    ['baste', ['in the ring, sprayed, with a basting box', 'in the ring']],
  ])('hooped, in a shop whose fix for shifting is %s', (hold, expected) => {
    const facts = factsOf(exampleA(), { hold });
    expect(placed(['cut-away', 'cut-away'], facts).map(heldInWords)).toEqual(expected);
  });

  it.each([
    ['fuse', ['Cut-away, medium, in the ring, sprayed, with a basting box']],
    ['spray', ['Cut-away, medium, in the ring, sprayed, with a basting box']],
    [
      'sticky',
      [
        'Wash-away, self-adhesive, in the ring, stuck to the cloth, with a basting box',
        'Cut-away, medium, in the ring',
      ],
    ],
    ['baste', ['Cut-away, medium, in the ring, with a basting box']],
  ])('floated, in a shop whose fix for shifting is %s', (hold, expected) => {
    const facts = factsOf(exampleA(), { hold, method: 'float' });
    expect(placed(['cut-away'], facts).map((s) => sheetsInWords([s]))).toEqual(expected);
  });

  it('a fused sheet of a floated piece is on the piece, and a sheet for it to lie on is added', () => {
    const facts = factsOf(exampleA(), { method: 'float' });
    expect(placed(['mesh-fusible'], facts)).toEqual([
      sheet('mesh-fusible', 'on the piece', 'fused'),
      sheet('tear-away', 'in the ring', 'sprayed', 'basting box'),
    ]);
    expect(placed(['tear-away-light-fusible', 'tear-away-sticky'], TOWEL)).toEqual([
      sheet('tear-away-light-fusible', 'on the piece', 'fused'),
      sheet('tear-away-sticky', 'in the ring', 'sticky', 'tape'),
    ]);
  });

  it('a rule may say where its own sheets are', () => {
    const under = placeSheets(
      ['tear-away'],
      { further: 'tear-away', held: { where: 'under the ring' } },
      COLD,
    );
    expect(under).toEqual([sheet('tear-away', 'under the ring', 'sprayed', 'tape')]);
  });
});

describe('deciding', () => {
  it('takes the first in their order among the rules of the shop’s own schools', () => {
    expect(decide(SUPPORT_RULES, TEE)?.rule.id).toBe('knit-cut-away');
    expect(decide(SUPPORT_RULES, factsOf(exampleA(), { wearableBacking: 'washAway' }))?.rule.id).toBe(
      'wearable-wash-away',
    );
    expect(decide(SUPPORT_RULES, TOWEL)?.rule.id).toBe('terry');
  });

  it('offers what else applies, the weightiest first, the other schools’ ways among it', () => {
    const others = decide(SUPPORT_RULES, TEE)?.others.map((r) => r.id) ?? [];
    expect(others).toEqual([
      'wearable-wash-away',
      'wearable-mesh-tear',
      'knit-fused-mesh',
      'woven-tear-away',
    ]);
  });

  it('is null where nothing applies', () => {
    expect(decide([], TEE)).toBeNull();
  });
});

it('says every way of holding in words of its own', () => {
  const words = WHERES.flatMap((where) =>
    BONDS.flatMap((bond) => FASTENINGS.map((f) => heldInWords(sheet('mesh', where, bond, f)))),
  );
  expect(new Set(words).size).toBe(WHERES.length * BONDS.length * FASTENINGS.length);
  expect(sheetsInWords([sheet('cut-away'), sheet('tear-away', 'under the ring', 'none', 'tape')])).toBe(
    'Cut-away, medium, in the ring + Tear-away, medium, slipped under the ring, taped',
  );
  expect(sheetsInWords([])).toBe('Nothing underneath');
});
