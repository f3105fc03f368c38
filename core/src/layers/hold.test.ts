import { planTicket } from '../plan';
import { DEFAULT_HOUSE_RULES } from '../rules/schema';
import { exampleA, exampleB, SAMPLE_SHELF } from '../testing/samples';
import type { Ticket } from '../ticket';
import { layerFacts } from './facts';
import { clampedSheet, holdAllowed, holdSheets } from './hold';
import { STABILIZERS, sheetsInWords } from './materials';
import { byPriority, decide } from './rule';
import { HOLDS, type Sheet, STABILIZER_IDS } from './schema';
import { SUPPORT_RULES } from './supportRules';

function factsOf(ticket: Ticket, schools = {}) {
  const rules = { ...DEFAULT_HOUSE_RULES, schools };
  const { piece, design, hoop } = planTicket(ticket, SAMPLE_SHELF, rules);
  if (!design.facts || !hoop) throw new Error('the examples can be planned');
  return layerFacts(piece, design.facts, hoop, rules);
}

const TEE = factsOf(exampleA());
const TOWEL = factsOf(exampleB());
const COLD = factsOf({ ...exampleA(), piece: { ...exampleA().piece, fabricChanges: { iron: 'no' } } });

describe('how a sheet may be held', () => {
  it('fuses only what is sold fusible, on what takes the iron', () => {
    for (const id of STABILIZER_IDS) {
      expect(holdAllowed('fused', id, TEE)).toBe(STABILIZERS[id].grade === 'fusible');
      expect(holdAllowed('fused', id, COLD)).toBe(false);
      expect(holdAllowed('sticky', id, TEE)).toBe(STABILIZERS[id].grade === 'sticky');
    }
  });

  it('is always allowed as proposed', () => {
    for (const facts of [TEE, TOWEL, COLD]) {
      for (const id of STABILIZER_IDS) {
        for (const sheet of holdSheets([id], facts))
          expect(holdAllowed(sheet.hold, sheet.stabilizer, facts)).toBe(true);
      }
    }
    expect(HOLDS[0]).toBe('fused');
  });

  it.each([
    ['fuse', 'spray'],
    ['spray', 'spray'],
    ['baste', 'basting box'],
  ])('follows the shop’s fix for shifting, %s, when it floats', (hold, expected) => {
    const facts = factsOf(exampleA(), { method: 'float', hold });
    expect(holdSheets(['cut-away', 'tear-away'], facts).map((s) => s.hold)).toEqual([expected, 'tape']);
  });
});

describe('what the ring clamps', () => {
  const sheet = (stabilizer: Sheet['stabilizer'], hold: Sheet['hold']): Sheet => ({ stabilizer, hold });
  it.each([
    ['hooped: the cloth, not one sheet', [sheet('cut-away', 'hooped')], false, null],
    [
      'the sticky one',
      [sheet('tear-away-light-fusible', 'fused'), sheet('tear-away-sticky', 'sticky')],
      true,
      1,
    ],
    ['else the bonded one', [sheet('cut-away', 'spray'), sheet('tear-away', 'tape')], true, 0],
    ['else the lowest', [sheet('mesh-fusible', 'fused')], true, 0],
    ['nothing where there is nothing', [], true, null],
  ] as const)('%s', (_, sheets, floated, expected) => {
    expect(clampedSheet(sheets, floated)).toBe(expected);
  });
});

describe('deciding', () => {
  it('takes the highest priority among the rules of the shop’s own schools', () => {
    expect(decide(byPriority(SUPPORT_RULES), TEE)?.rule.id).toBe('knit-cut-away');
    expect(
      decide(byPriority(SUPPORT_RULES), factsOf(exampleA(), { wearableBacking: 'washAway' }))?.rule.id,
    ).toBe('wearable-wash-away');
    expect(decide(byPriority(SUPPORT_RULES), TOWEL)?.rule.id).toBe('terry');
  });

  it('offers what else applies, the weightiest first, the other schools’ ways among it', () => {
    const others = decide(byPriority(SUPPORT_RULES), TEE)?.others.map((r) => r.id) ?? [];
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

it('says a stack in words, and an empty one too', () => {
  expect(
    sheetsInWords([
      { stabilizer: 'cut-away', hold: 'hooped' },
      { stabilizer: 'tear-away', hold: 'tape' },
    ]),
  ).toBe('Cut-away, medium, hooped + Tear-away, medium, tape');
  expect(sheetsInWords([])).toBe('Nothing underneath');
});
