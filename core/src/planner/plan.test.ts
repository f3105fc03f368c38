import { formatLength } from '../base/units/length';
import { say } from '../base/units/phrase';
import { keptUnread } from '../model/fields/unread';
import { isInTheWay } from '../model/finding';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { TicketSchema } from '../model/ticket';
import { exampleA, exampleB, SAMPLE_RULES, SAMPLE_SHELF, sheet } from '../testing/samples';
import { planTicket } from './plan';
import type { Plan } from './planned';

const IN = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;
const words = (plan: Plan) => (plan.place?.marks ?? []).map((step) => say(step.text, IN));

describe('worked example A: a T-shirt with a left chest design', () => {
  const plan = planTicket(exampleA(), SAMPLE_SHELF, SAMPLE_RULES);

  it('is a ticket of the schema', () => {
    expect(TicketSchema.safeParse(exampleA()).error).toBeUndefined();
  });

  it('puts the centre 102.0 mm from the centre line and 193.4 mm below the high point of shoulder', () => {
    expect(plan.place?.acrossMm).toBeCloseTo(102.0, 1);
    expect(plan.place?.depthMm).toBeCloseTo(193.4, 1);
    expect(formatLength(plan.place?.acrossMm ?? 0, IN)).toBe('4 in');
    expect(formatLength(plan.place?.depthMm ?? 0, IN)).toBe('7 5/8 in');
  });

  it("lies on the wearer's left, the viewer's right", () => {
    expect(plan.place?.centre.x).toBeGreaterThan(0);
    expect(plan.place?.placement.faces).toContain('on your right');
  });

  it('marks the middle 10 1/4 in from either side seam, and ends in centre and axis ends', () => {
    const steps = words(plan);
    expect(steps[0]).toBe(
      'Tape across, underarm to underarm: it reads 20 1/2 in. Mark half, 10 1/4 in from either side seam.',
    );
    expect(steps[2]).toContain('straight down 7 5/8 in');
    expect(steps[3]).toBe('From the centre line, 4 in to your right: chalk the centre.');
    expect(steps[4]).toContain('1 3/4 in either side of the centre');
    expect(plan.place?.marks[3]?.cross).toEqual(plan.place?.centre);
  });

  it('proposes the smallest hoop that fits and hoops it', () => {
    expect(plan.hoop?.laid?.verdict.hoop.id).toBe('hoop-100x100');
    expect(plan.hoop?.method).toBe('hooped');
    const miss = plan.hoop?.verdicts.find((v) => v.hoop.id === 'hoop-60x40');
    expect(say(miss?.line ?? [], MM)).toBe('Misses: 28 mm too wide and 11 mm too high; would need 68 %.');
  });

  it('supports it with something that stays in, a ballpoint needle, no topper but offers one', () => {
    expect(plan.layers?.sheets.map((s) => s.stabilizer)).toEqual(['cut-away']);
    expect(plan.layers?.parts.needle.choice.id).toBe('75-ballpoint');
    expect(plan.layers?.parts.topper.choice.id).toBe('none');
    expect(plan.layers?.parts.topper.alternatives.map((a) => a.choice.id)).toContain('soluble-film');
    expect(plan.layers?.parts.topper.reason.school?.chosen).toBe('where stitches could sink');
  });

  it('finds nothing wrong', () => {
    expect(plan.findings.filter((f) => f.severity !== 'note')).toEqual([]);
  });
});

describe('worked example B: a bath towel with a monogram above the border', () => {
  const plan = planTicket(exampleB(), SAMPLE_SHELF, { ...DEFAULT_HOUSE_RULES, units: MM });

  it('puts the centre at 34 cm from either side and 182.5 mm above the hem', () => {
    expect(plan.place?.centre).toEqual({ x: 0, y: -182.5 });
    const steps = (plan.place?.marks ?? []).map((step) => say(step.text, MM));
    expect(steps[0]).toContain('Mark half, 340 mm from either side edge.');
    expect(steps[2]).toContain('From the end hem up 182.5 mm');
  });

  it('stands 45 mm above the band, 135 mm above the hem', () => {
    const bottom = Math.max(...(plan.place?.footprint.map((p) => p.y) ?? []));
    expect(-bottom).toBeCloseTo(135, 6);
    expect(plan.place?.nearest).toEqual({ name: 'border band', mm: 45 });
  });

  it('floats it on fused light tear-away and a sticky sheet in the hoop, film on top', () => {
    expect(plan.hoop?.method).toBe('floated');
    expect(plan.layers?.sheets).toEqual([
      sheet('tear-away-light-fusible', 'on the piece', 'fused'),
      sheet('tear-away-sticky', 'in the ring', 'sticky', 'tape'),
    ]);
    expect(plan.layers?.parts.topper.choice.id).toBe('soluble-film');
    expect(plan.layers?.stack.map((l) => [l.role, l.clamped])).toEqual([
      ['topper', false],
      ['cloth', false],
      ['sheet', false],
      ['sheet', true],
    ]);
  });

  it('finishes film before tear-away', () => {
    const steps = plan.finish?.steps.map((s) => s.id) ?? [];
    expect(steps).toContain('film');
    expect(steps.indexOf('film')).toBeLessThan(steps.indexOf('tear-away'));
  });
});

describe('a plan that cannot be right', () => {
  it('stops at a missing reading and works out nothing that depends on it', () => {
    const ticket = exampleA();
    const plan = planTicket(
      { ...ticket, piece: { ...ticket.piece, readings: {} } },
      SAMPLE_SHELF,
      SAMPLE_RULES,
    );
    expect(plan.place).toBeNull();
    expect(plan.findings.filter(isInTheWay).map((f) => [f.severity, f.field])).toEqual([
      ['next', 'chestWidth'],
      ['next', 'length'],
      ['next', 'shoulder'],
      ['next', 'armhole'],
    ]);
  });

  it('keeps an unread reading with its words, and names the field', () => {
    const ticket = exampleA();
    const kept = keptUnread(TicketSchema, ticket, { at: 'piece.readings.length', text: 'two feet' });
    const plan = planTicket(kept, SAMPLE_SHELF, SAMPLE_RULES);
    expect(plan.findings.filter(isInTheWay).map((f) => [f.code, f.severity])).toEqual([['unread', 'stop']]);
    expect(say(plan.findings[0]?.text ?? [], IN)).toBe(
      'collar seam to hem: “two feet” does not read as a length. Try 7 1/2 in, 19 cm or 190 mm.',
    );
    expect(plan.hoop).toBeNull();
  });
});
