import { applyChange, type Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { casesOf } from '../../testing/cases';
import { designed } from '../../testing/designed';
import { exampleB, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { variedJob } from '../../testing/variedTickets';

/** A monogram on a towel, floated in the hoop of 100 × 100. */
const towel = (widthMm: number, heightMm: number): Ticket =>
  applyChange(designed(exampleB(), { widthMm, heightMm }), {
    stage: 'hoop',
    set: { hoopId: 'hoop-100x100', method: 'floated' },
  });
const planOf = (ticket: Ticket) => planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES);

it.each([
  [90, 90, 5],
  [94, 90, 3],
  [95, 90, null],
  [100, 90, null],
])('a design of %s × %s in a field of 100 × 100 has room for a basting box of %s mm', (width, height, mm) => {
  const { hoop, layers, mount, findings } = planOf(towel(width, height));
  expect(hoop?.bastingMm).toBe(mm);
  expect(layers?.bastingMm).toBe(mm);
  expect(layers?.topperHeldBy).toBe(mm === null ? 'pins' : 'basting box');
  expect(mount?.checklist.some(({ id }) => id === 'baste')).toBe(mm !== null);
  expect(findings.map(({ code }) => code)).not.toContain('layers-hold-impossible');
});

it('one that was asked for and has no room is named, and what is offered mends it', () => {
  const asked = applyChange(towel(100, 90), {
    stage: 'layers',
    set: {
      support: {
        sheets: [
          { stabilizer: 'tear-away-sticky', where: 'in the ring', bond: 'sticky', fastening: 'basting box' },
        ],
        why: '',
      },
    },
  });
  const found = planOf(asked).findings.find(({ code }) => code === 'layers-hold-impossible');
  const [mend] = found?.mends ?? [];
  expect(found?.severity).toBe('stop');
  expect(mend).toBeDefined();
  if (!mend) return;
  const after = planOf(applyChange(asked, mend.change));
  expect(after.findings.map(({ code }) => code)).not.toContain('layers-hold-impossible');
  expect(after.layers?.sheets[0]?.fastening).toBe('tape');
});

/** The corners of a box so far outside some points, where a machine stitches them: by the field's own sides alone. */
it('of varied jobs no basting box that is promised leaves its field, and none is on cloth where holes stay', () => {
  let basted = 0;
  for (let n = 0; n < casesOf(5000, 220); n += 1) {
    const { ticket, shelf, rules } = variedJob(n);
    const { hoop, layers, design, piece, place, findings } = planTicket(ticket, shelf, rules);
    if (!hoop?.laid || !layers || layers.bastingMm === null || !design.facts) continue;
    if (findings.some(({ code }) => ['layers-hold-impossible', 'hoop-misses'].includes(code))) continue;
    basted += 1;
    expect(piece.fabric.structure).not.toBe('faux suede');
    const { laid } = hoop;
    // Copies and parts have their own test: here the one design in the one hooping.
    if (laid.split || (place?.copies.length ?? 0) > 1) continue;
    const { hoop: bought } = laid.verdict;
    const [across, along] =
      laid.turnDeg % 180 === 0
        ? [design.facts.widthMm, design.facts.heightMm]
        : [design.facts.heightMm, design.facts.widthMm];
    const reach = {
      x: across / 2 + layers.bastingMm + Math.abs(laid.designAt.x),
      y: along / 2 + layers.bastingMm + Math.abs(laid.designAt.y),
    };
    if (bought.round)
      expect(reach.x ** 2 + reach.y ** 2).toBeLessThanOrEqual((bought.fieldWidthMm / 2) ** 2 + 1e-6);
    else {
      expect(reach.x).toBeLessThanOrEqual(bought.fieldWidthMm / 2 + 1e-6);
      expect(reach.y).toBeLessThanOrEqual(bought.fieldHeightMm / 2 + 1e-6);
    }
  }
  expect(basted).toBeGreaterThan(casesOf(250, 10));
});
