import fc from 'fast-check';
import { say } from '../base/units/phrase';
import { numberFor } from '../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../catalogue/numbers/place';
import { schoolsOf } from '../catalogue/schools';
import { newTicket } from '../planner/newTicket';
import { planTicket } from '../planner/plan';
import { nextStage, stageStates } from '../planner/stageStates';
import { deckOf } from '../table/deck/jobSteps';
import { HOUSE_NUMBERS } from '../table/houseRules/numbers';
import { exampleA, exampleB, SAMPLE_RULES, SAMPLE_SHELF } from '../testing/samples';
import { DEFAULT_HOUSE_RULES, HouseRulesSchema, schoolFor, schoolsOfShop } from './houseRules';
import { PIECE_KIND_IDS } from './pieceKindIds';
import { QUESTION_IDS } from './schoolIds';
import { STAGES } from './stages';
import { applyChange, ChangeSchema, TicketSchema } from './ticket';

const IN = { system: 'in', denominator: 16 } as const;
const plan = (ticket = exampleA()) => planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES);

describe('a ticket', () => {
  it.each(PIECE_KIND_IDS)('starts bare and of the schema: %s', (kind) => {
    const ticket = newTicket('a-new-ticket', kind);
    expect(TicketSchema.safeParse(ticket).error).toBeUndefined();
    const { findings } = planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES);
    expect(findings.filter((f) => f.severity === 'next').length).toBeGreaterThan(2);
    expect(findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });

  it('changes one stage and leaves the old one as it was', () => {
    const before = exampleA();
    const copy = JSON.parse(JSON.stringify(before));
    const after = applyChange(before, { stage: 'place', set: { turnDeg: 5 } });
    expect(before).toEqual(copy);
    expect(after.place).toEqual({ ...before.place, turnDeg: 5 });
    expect(after.piece).toBe(before.piece);
  });

  it.each([
    [{ stage: 'hoop', set: { method: 'floated' } }, true],
    [{ stage: 'hoop', set: { method: 'glued' } }, false],
    [{ stage: 'nowhere', set: {} }, false],
    [{ stage: 'piece', set: { colour: 'red' } }, false],
  ])('takes the change %j: %s', (change, ok) => {
    expect(ChangeSchema.safeParse(change).success).toBe(ok);
  });

  it('is refused with the field at fault', () => {
    const wrong = { ...exampleA(), due: 'tomorrow' };
    expect(TicketSchema.safeParse(wrong).error?.issues[0]?.path).toEqual(['due']);
  });
});

describe('the plan', () => {
  it('is pure: the same inputs, the same plan, and nothing changed', () => {
    const ticket = exampleB();
    const copy = JSON.parse(JSON.stringify(ticket));
    expect(JSON.stringify(plan(ticket))).toBe(JSON.stringify(plan(ticket)));
    expect(ticket).toEqual(copy);
  });

  it('never throws on a ticket of the schema', () => {
    const length = fc.oneof(fc.constant(0), fc.double({ min: -10, max: 5000, noNaN: true }));
    const readings = fc.dictionary(
      fc.constantFrom('chestWidth', 'length', 'shoulder', 'armhole', 'width', 'bandHeight', 'bandTop'),
      length,
    );
    const design = fc.record({
      widthMm: fc.option(length),
      heightMm: fc.option(length),
      stitches: fc.option(fc.integer({ min: 1, max: 100_000 })),
      scalePercent: fc.integer({ min: 10, max: 200 }),
    });
    const place = fc.record({
      offset: fc.record({ x: length, y: length }),
      turnDeg: fc.integer({ min: -360, max: 360 }),
    });
    fc.assert(
      fc.property(fc.constantFrom(...PIECE_KIND_IDS), readings, design, place, (kind, r, d, p) => {
        const bare = newTicket('any-ticket', kind);
        const ticket = {
          ...bare,
          piece: { ...bare.piece, readings: r },
          design: { ...bare.design, ...d },
          place: { ...bare.place, ...p },
        };
        return Array.isArray(plan(ticket).findings);
      }),
      { numRuns: 300 },
    );
  });

  it('puts the gravest finding first', () => {
    const severities = plan(newTicket('a-new-ticket', 't-shirt')).findings.map((f) => f.severity);
    expect(severities).toEqual(
      [...severities].sort((a, b) => 'stop warn note'.indexOf(a) - 'stop warn note'.indexOf(b)),
    );
  });

  it('offers only mends that are changes of the schema', () => {
    const troubled = applyChange(exampleB(), { stage: 'place', set: { offset: { x: 0, y: 60 } } });
    const mends = [
      ...plan(troubled).findings,
      ...plan(applyChange(exampleA(), { stage: 'hoop', set: { hoopId: 'hoop-60x40' } })).findings,
    ].flatMap((f) => f.mends);
    expect(mends.length).toBeGreaterThan(2);
    for (const mend of mends) expect(ChangeSchema.safeParse(mend.change).success).toBe(true);
  });
});

describe('the tape', () => {
  it('goes on with the first stage that is not settled', () => {
    const ticket = { ...exampleA(), settled: ['piece', 'design'] as const };
    const states = stageStates({ settled: [...ticket.settled] }, plan());
    expect(nextStage(states)).toBe('place');
    expect(states.map((s) => s.stage)).toEqual([...STAGES]);
    expect(nextStage(states.map((s) => ({ ...s, settled: true })))).toBe('log');
  });

  it('unsettles what has a stop, and blocks what waits for it', () => {
    const ticket = exampleA();
    const broken = { ...ticket, settled: [...STAGES], piece: { ...ticket.piece, readings: {} } };
    const states = stageStates(broken, plan(broken));
    expect(states[0]).toEqual({ stage: 'piece', settled: false, trouble: 'next', blocked: false });
    expect(states.filter((s) => s.blocked).map((s) => s.stage)).toEqual(STAGES.slice(2));
  });
});

describe('cards at the table', () => {
  it.each(STAGES.filter((s) => s !== 'design' && s !== 'log'))('%s has a deck', (stage) => {
    for (const ticket of [exampleA(), exampleB()]) {
      const deck = deckOf(stage, plan(ticket), DEFAULT_HOUSE_RULES);
      expect(deck.length).toBeGreaterThan(0);
      for (const card of deck) expect(say(card.text, IN).length).toBeGreaterThan(3);
    }
  });

  it('has none where the plan waits', () => {
    expect(deckOf('hoop', plan(newTicket('a-new-ticket', 't-shirt')), DEFAULT_HOUSE_RULES)).toEqual([]);
    expect(deckOf('design', plan(), DEFAULT_HOUSE_RULES)).toEqual([]);
  });

  it('says the cautions where the hazard is', () => {
    const cautions = (stage: (typeof STAGES)[number], ticket = exampleA()) =>
      deckOf(stage, plan(ticket), DEFAULT_HOUSE_RULES)
        .flatMap((c) => c.caution ?? [])
        .join(' ');
    expect(cautions('stitch')).toContain('never reach in while it runs');
    expect(cautions('layers', exampleB())).toContain('Iron and steam burn');
    const sprayed = applyChange(exampleA(), { stage: 'hoop', set: { method: 'floated' } });
    expect(cautions('hoop', sprayed)).toContain('well aired');
  });
});

describe('house rules', () => {
  it('have a default school to every question, and take another', () => {
    for (const question of QUESTION_IDS)
      expect(schoolFor(DEFAULT_HOUSE_RULES, question)).toBe(schoolsOf(question)[0]?.[0]);
    expect(schoolsOfShop({ ...DEFAULT_HOUSE_RULES, schools: { topper: 'always' } }).topper).toBe('always');
  });

  it('refuse a school that there is not, naming the question', () => {
    const read = HouseRulesSchema.safeParse({ ...DEFAULT_HOUSE_RULES, schools: { topper: 'sometimes' } });
    expect(read.error?.issues[0]?.path).toEqual(['schools', 'topper']);
  });

  it('give every number a name, a unit and a reason, and follow the shop’s own', () => {
    for (const rule of HOUSE_NUMBERS)
      expect(rule.name.length > 3 && rule.reason.length > 10 && rule.value >= 0).toBe(true);
    expect(numberFor(DEFAULT_HOUSE_RULES, PLACE_NUMBERS.leastClearanceMm)).toBe(10);
    expect(
      numberFor(
        { ...DEFAULT_HOUSE_RULES, numbers: { leastClearanceMm: 14 } },
        PLACE_NUMBERS.leastClearanceMm,
      ),
    ).toBe(14);
  });
});
