import { say } from '../../base/units/phrase';
import { heldInWords } from '../../catalogue/materials';
import { PHASES } from '../../model/deed';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { STAGES } from '../../model/stages';
import { applyChange, type Ticket } from '../../model/ticket';
import { METHODS } from '../../model/ticket/hoop';
import { BONDS, FASTENINGS, type Sheet, type StabilizerId, WHERES } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { PIECE_KINDS } from '../../stages/piece/kinds';
import { report } from '../../testing/report';
import { exampleA, exampleB, measuredTicket, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { deckOf, jobSteps } from './jobSteps';
import type { Step } from './step';
import { nameOf } from './words/say';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const stepsOf = (ticket: Ticket, rules = RULES) => jobSteps(planTicket(ticket, SAMPLE_SHELF, rules), rules);
const wordsOf = (ticket: Ticket, rules = RULES) => stepsOf(ticket, rules).map((step) => say(step.text, MM));
const supported = (ticket: Ticket, ...sheets: ReturnType<typeof sheet>[]) =>
  applyChange(ticket, { stage: 'layers', set: { support: { sheets, why: 'a trial' } } });
const by = (ticket: Ticket, method: 'hooped' | 'floated') =>
  applyChange(ticket, { stage: 'hoop', set: { method } });

/** Every kind of piece at each of its places, hooped, floated and as proposed. */
const EVERYTHING: Ticket[] = PIECE_KIND_IDS.flatMap((kind) =>
  PIECE_KINDS[kind].placements.flatMap((p) => {
    const ticket = measuredTicket(kind, p.id, [40, 30]);
    return [ticket, by(ticket, 'hooped'), by(ticket, 'floated')];
  }),
);

const JOBS = EVERYTHING.map((ticket) => ({ ticket, steps: stepsOf(ticket) }));

describe('the job as one ordered list', () => {
  it(`keeps the order of the hands, each step once, over ${EVERYTHING.length} tickets`, () => {
    let counted = 0;
    for (const { steps } of JOBS) {
      counted += steps.length;
      const phases = steps.map((step) => PHASES.indexOf(step.phase));
      expect(phases).toEqual([...phases].sort((a, b) => a - b));
      expect(new Set(steps.map((step) => step.id)).size).toBe(steps.length);
    }
    report(`${counted} steps of ${EVERYTHING.length} tickets in the order of the hands`);
    expect(counted).toBeGreaterThan(1000);
  });

  it('has every stage’s deck as a slice of it', () => {
    const plan = planTicket(exampleA(), SAMPLE_SHELF, RULES);
    const ids = jobSteps(plan, RULES).map((step) => step.id);
    for (const stage of STAGES) {
      const deck = deckOf(stage, plan, RULES).map((step) => step.id);
      const from = ids.indexOf(deck[0] ?? '');
      expect(deck).toEqual(deck.length === 0 ? [] : ids.slice(from, from + deck.length));
    }
  });

  it('fuses and sprays before the ring closes on the cloth, and begins at the cloth', () => {
    const ticket = by(
      supported(
        exampleA(),
        sheet('mesh-fusible', 'in the ring', 'fused'),
        sheet('cut-away', 'in the ring', 'sprayed'),
        sheet('tear-away'),
      ),
      'hooped',
    );
    const words = wordsOf(ticket);
    const at = (part: RegExp) => words.findIndex((text) => part.test(text));
    expect(at(/^Fuse the light mesh cut-away, fusible to the wrong side of the cloth/)).toBeGreaterThan(0);
    expect(at(/^Spray the cut-away, medium and smooth it onto the light mesh/)).toBe(at(/^Fuse/) + 1);
    expect(at(/^Spray/)).toBeLessThan(at(/^Lay the tear-away, medium under the cloth/));
    expect(at(/^Lay the tear-away/)).toBeLessThan(at(/^Press the inner ring in/));
  });

  it('names each sheet that is cut, with its own size: the ring’s for the ring, a patch for the piece', () => {
    const words = wordsOf(exampleB());
    const cuts = words.filter((text) => text.startsWith('Cut the'));
    expect(cuts[0]).toMatch(/^Cut the tear-away, light, fusible: \d/);
    expect(cuts[1]).toMatch(/^Cut the tear-away, self-adhesive: \d/);
    expect(cuts[2]).toMatch(/^Cut the .*film: \d/i);
  });

  it('has nothing to cut or to close while nothing is known', () => {
    const bare = { ...exampleA(), piece: { ...exampleA().piece, readings: {} } };
    expect(new Set(stepsOf(bare).map((step) => step.phase))).toEqual(new Set(['measure']));
  });
});

describe('no two steps contradict', () => {
  it('a knit that is snugged is not told not to be pulled', () => {
    const rules: HouseRules = { ...RULES, schools: { knitTension: 'snug' } };
    const deck = deckOf('hoop', planTicket(by(exampleA(), 'hooped'), SAMPLE_SHELF, rules), rules);
    const tension = deck.find((step) => step.id === 'tension');
    expect(say(tension?.text ?? [], MM)).toMatch(/^Snug it after closing/);
    expect(tension?.hint).toBeNull();
  });

  it.each(['wool-felt', 'velvet', 'plush', 'faux-leather', 'merino'])(
    '%s is neither washed nor pressed before it is marked',
    (fabricId) => {
      const ticket = applyChange(exampleA(), { stage: 'piece', set: { fabricId, fabricChanges: {} } });
      for (const prepare of ['wash', 'press']) {
        const [first] = deckOf(
          'place',
          planTicket(ticket, SAMPLE_SHELF, { ...RULES, schools: { prepare } }),
          RULES,
        );
        expect(say(first?.text ?? [], MM)).toMatch(/^Neither washed nor pressed/);
      }
    },
  );

  it('a choice stands on its card where there is more than one way, and only there; each way changes the steps', () => {
    const counted = { method: 0, 'way round': 0 };
    for (const { ticket, steps } of JOBS.slice(0, 60)) {
      const plan = planTicket(ticket, SAMPLE_SHELF, RULES);
      const stepFor = (choice: Step['choice']) => steps.filter((step) => step.choice === choice);
      expect(stepFor('method')).toHaveLength(plan.place && plan.place.methods.length > 1 ? 1 : 0);
      expect(stepFor('way round')).toHaveLength(
        plan.hoop?.laid && plan.mount && plan.mount.ranks.length > 1 ? 1 : 0,
      );
      const said = (changed: Ticket) =>
        jobSteps(planTicket(changed, SAMPLE_SHELF, RULES), RULES)
          .map((step) => say(step.text, MM))
          .join('\n');
      const now = said(ticket);
      const otherMethod = plan.place?.methods.find((method) => method !== plan.place?.method);
      if (otherMethod && stepFor('method').length > 0) {
        expect(said(applyChange(ticket, { stage: 'place', set: { method: otherMethod } }))).not.toBe(now);
        counted.method++;
      }
      const otherWay = plan.mount?.ranks.find(({ topPoints }) => topPoints !== plan.mount?.chosen.topPoints);
      if (otherWay && stepFor('way round').length > 0) {
        const set = { turnDeg: otherWay.turnDeg, shift: null };
        expect(said(applyChange(ticket, { stage: 'hoop', set }))).not.toBe(now);
        counted['way round']++;
      }
    }
    expect(Math.min(...Object.values(counted))).toBeGreaterThan(5);
  });

  it('sentences fit the piece: no sleeve where there is none, no wearer where nobody wears it', () => {
    let checked = 0;
    for (const { ticket, steps } of JOBS) {
      const kind = PIECE_KINDS[ticket.piece.kind];
      const text = steps
        .filter((step) => step.phase !== 'measure')
        .map((step) => `${say(step.text, MM)} ${say(step.hint ?? [], MM)}`)
        .join('\n');
      checked++;
      if (!kind.traits.includes('sleeves')) expect(text).not.toMatch(/sleeve/);
      if (!kind.traits.includes('worn')) expect(text).not.toMatch(/wearer|person/);
      expect(text).not.toMatch(/undefined|NaN| in in |\bpoints ,/);
    }
    report(`sentences of ${checked} tickets fit their piece`);
  });
});

describe('every answer about a sheet', () => {
  const BY_BOND: Record<Sheet['bond'], StabilizerId> = {
    none: 'cut-away',
    sprayed: 'cut-away',
    fused: 'mesh-fusible',
    sticky: 'wash-away-sticky',
  };
  const answers = WHERES.flatMap((where) =>
    BONDS.flatMap((bond) => FASTENINGS.map((fastening) => sheet(BY_BOND[bond], where, bond, fastening))),
  );

  it.each(METHODS)('changes what the hands do: %s', (method) => {
    const said = new Map<string, string>();
    for (const one of answers) {
      const ticket = by(supported(exampleA(), one, sheet('tear-away')), method);
      const plan = planTicket(ticket, SAMPLE_SHELF, RULES);
      if (plan.findings.some((f) => f.code === 'layers-hold-impossible')) continue;
      const words = jobSteps(plan, RULES)
        .map((s) => say(s.text, MM))
        .join('\n');
      const held = `${one.stabilizer}, ${heldInWords(one)}`;
      expect([held, said.get(words)]).toEqual([held, undefined]);
      said.set(words, held);
    }
    report(`answers about a sheet that change the steps, ${method}: ${said.size}`);
    expect(said.size).toBeGreaterThan(30);
  });

  it('never has a sheet bonded before the ring closes and slipped under it afterwards', () => {
    for (const method of METHODS)
      for (const one of answers.filter((s) => s.where === 'under the ring' && s.bond !== 'fused')) {
        const ticket = by(supported(exampleA(), one, sheet('tear-away')), method);
        const steps = jobSteps(planTicket(ticket, SAMPLE_SHELF, RULES), RULES);
        const name = nameOf(one);
        const handled = steps.filter((s) => s.phase !== 'cut' && say(s.text, MM).includes(name));
        expect(handled.filter((s) => s.phase === 'bond')).toEqual([]);
        expect(handled.filter((s) => s.phase === 'hoop').length).toBeGreaterThan(0);
      }
  });

  it('says every bond, whatever the ring does', () => {
    const told = { fused: /[Ff]use /, sprayed: /Spray /, sticky: /Peel the paper off|Score the paper/ };
    for (const method of METHODS)
      for (const one of answers) {
        const ticket = by(supported(exampleA(), one, sheet('tear-away')), method);
        const plan = planTicket(ticket, SAMPLE_SHELF, RULES);
        if (one.bond === 'none' || plan.findings.some((f) => f.code === 'layers-hold-impossible')) continue;
        const words = jobSteps(plan, RULES).map((s) => say(s.text, MM));
        expect([heldInWords(one), method, words.some((w) => told[one.bond as 'fused'].test(w))]).toEqual([
          heldInWords(one),
          method,
          true,
        ]);
      }
  });
});
