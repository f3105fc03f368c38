import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import { type Sheet, STABILIZER_IDS, type StabilizerId } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { measuredTicket, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { layerFacts } from './facts';
import { does } from './placing';
import { substituteFor } from './substitutes';

const owning = (...types: StabilizerId[]): Shelf => ({
  ...SAMPLE_SHELF,
  materials: types.map((type, i) => ({
    id: `material-own-${i}`,
    name: type,
    type,
    widthMm: 500,
    metresLeft: 5,
    loose: [],
  })),
});

function substitute(
  ticket: Ticket,
  sheets: Sheet[],
  missing: StabilizerId,
  shelf: Shelf,
): StabilizerId | null {
  const { piece, design, hoop } = planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
  if (!design.facts || !hoop) throw new Error('it is planned');
  const facts = layerFacts(piece, design.facts, hoop, DEFAULT_HOUSE_RULES);
  const stack = { sheets, topper: 'none', cover: 'none', trim: 'rounded' };
  const mend = substituteFor(missing, stack, { facts, shelf });
  const change = mend?.change;
  const support = change?.stage === 'layers' ? change.set.support : null;
  const at = sheets.findIndex((s) => s.stabilizer === missing);
  return support?.sheets[at]?.stabilizer ?? null;
}

const sweatshirt = measuredTicket('sweatshirt', 'centre-chest', [60, 40]);
const napkin = applyChange(measuredTicket('napkin', 'corner', [40, 30]), {
  stage: 'hoop',
  set: { method: 'floated' },
});
const lace = applyChange(measuredTicket('ornament', 'centre', [50, 50]), {
  stage: 'piece',
  set: { fabricId: 'no-cloth' },
});

describe('a substitute does the same job or is not offered', () => {
  const interfacing = [sheet('interfacing', 'in the ring', 'fused'), sheet('mesh')];
  const carrier = [sheet('tear-away-sticky', 'in the ring', 'sticky', 'basting box')];

  it.each<[string, Ticket, Sheet[], StabilizerId, StabilizerId[], StabilizerId | null]>([
    [
      'a fusible tear-away for interfacing',
      sweatshirt,
      interfacing,
      'interfacing',
      ['tear-away-light-fusible'],
      null,
    ],
    [
      'fused mesh for interfacing',
      sweatshirt,
      interfacing,
      'interfacing',
      ['mesh-fusible', 'tear-away'],
      'mesh-fusible',
    ],
    [
      'a fusible for the only sheet that holds a floated napkin',
      napkin,
      carrier,
      'tear-away-sticky',
      ['tear-away-light-fusible'],
      null,
    ],
    [
      'another sticky sheet there',
      napkin,
      carrier,
      'tear-away-sticky',
      ['dissolving-sticky', 'tear-away-light-fusible'],
      'dissolving-sticky',
    ],
    [
      'anything that stays for lace on film',
      lace,
      [sheet('wash-away-film-heavy')],
      'wash-away-film-heavy',
      ['cut-away', 'mesh', 'tear-away'],
      null,
    ],
    [
      'what vanishes for lace on film',
      lace,
      [sheet('wash-away-film-heavy')],
      'wash-away-film-heavy',
      ['wash-away-cloth', 'cut-away'],
      'wash-away-cloth',
    ],
  ])('%s', (_, ticket, sheets, missing, shelf, expected) => {
    expect(substitute(ticket, sheets, missing, owning(...shelf))).toBe(expected);
  });

  it('whatever is owned, what stays is replaced by what stays, what carries by what carries', () => {
    let offered = 0;
    for (const missing of STABILIZER_IDS)
      for (const owned of STABILIZER_IDS) {
        if (owned === missing) continue;
        for (const ticket of [sweatshirt, napkin, lace]) {
          const found = substitute(ticket, [sheet(missing)], missing, owning(owned));
          if (!found) continue;
          offered++;
          for (const job of ['stays', 'vanishes'] as const)
            if (does(missing, job)) expect(does(found, job)).toBe(true);
          if (ticket !== sweatshirt && does(missing, 'carries')) expect(does(found, 'carries')).toBe(true);
        }
      }
    expect(offered).toBeGreaterThan(20);
  });
});
