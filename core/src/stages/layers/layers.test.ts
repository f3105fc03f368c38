import { say } from '../../base/units/phrase';
import { STABILIZERS } from '../../catalogue/materials';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { applyChange, type Ticket } from '../../model/ticket';
import { CHOICE_PARTS, type LayersInput, type Sheet } from '../../model/ticket/layers';
import { planTicket } from '../../planner/plan';
import { designed, oneDesign } from '../../testing/designed';
import { exampleA, exampleB, SAMPLE_SHELF, sheet } from '../../testing/samples';
import { CHOICE_RULES, SUPPORT_RULES } from './rules';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const withSchools = (schools: HouseRules['schools']): HouseRules => ({ ...RULES, schools });

interface Case {
  cloth: string;
  stitches: number;
  colour?: string;
  thread?: string;
  towel?: boolean;
  schools?: HouseRules['schools'];
}

function ticketFor({ cloth, stitches, colour = '#C9D6DF', thread = '#7C93A6', towel = false }: Case): Ticket {
  const base = towel ? exampleB() : exampleA();
  const piece = { ...base.piece, fabricId: cloth, fabricChanges: {}, colour };
  const design = oneDesign(base.design, {
    widthMm: 90,
    heightMm: 90,
    stitches,
    densityClass: null,
    lettering: false,
    colours: [{ hex: thread, name: 'thread', stitches: null }],
  });
  const place = towel ? base.place : { ...base.place, placement: 'centre-chest' as const };
  return { ...base, piece, design, place };
}

const layersOf = (c: Case) => planTicket(ticketFor(c), SAMPLE_SHELF, withSchools(c.schools ?? {})).layers;

/** Medium is 110 to the cm² over 81 cm²; heavy 190. */
const [LIGHT, MEDIUM, HEAVY] = [4500, 8900, 15_400];

describe('small letters and young skin', () => {
  it('takes a fine needle and fine thread for small letters', () => {
    const ticket = designed(ticketFor({ cloth: 'jersey-tee', stitches: LIGHT }), {
      lettering: true,
      letterHeightMm: 5,
    });
    const layers = planTicket(ticket, SAMPLE_SHELF, RULES).layers;
    expect([layers?.parts.needle.choice.id, layers?.parts.thread.choice.id]).toEqual(['65', 'polyester-60']);
  });

  it('covers the back on young skin', () => {
    const ticket = ticketFor({ cloth: 'jersey-tee', stitches: LIGHT });
    const small = {
      ...ticket,
      piece: { ...ticket.piece, readings: { chestWidth: 300, length: 380, shoulder: 80, armhole: 140 } },
    };
    expect(planTicket(small, SAMPLE_SHELF, RULES).layers?.parts.cover.choice.id).toBe('soft-cover');
  });
});

describe('reasons', () => {
  it('are there for every part, with the school where one decided', () => {
    const layers = layersOf({ cloth: 'jersey-tee', stitches: HEAVY });
    expect(say(layers?.supportReason.text ?? [], MM)).toContain('Jersey tee is a knit with 22 % stretch');
    expect(layers?.supportReason.arithmetic.map((a) => say(a, MM))[0]).toBe(
      '1 + 1 (heavy) + 1 (15 400 stitches) = 3',
    );
    for (const part of CHOICE_PARTS)
      expect(say(layers?.parts[part].reason.text ?? [], MM).length).toBeGreaterThan(5);
    expect(layers?.parts.trim.reason.school?.chosen).toBe('6–12 mm, rounded');
  });

  it('say what a capped stack would have had', () => {
    const layers = layersOf({ cloth: 'terry-towel', stitches: HEAVY, towel: true });
    expect(layers?.supportReason.arithmetic.map((a) => say(a, MM)).join(' ')).toContain(
      'this stack takes 2 at most',
    );
  });

  it('offer the other ways, each with its reason', () => {
    const layers = layersOf({ cloth: 'jersey-tee', stitches: LIGHT });
    expect(layers?.supportAlternatives.length).toBeGreaterThanOrEqual(3);
    for (const other of layers?.supportAlternatives ?? [])
      expect(say(other.reason, MM).length).toBeGreaterThan(5);
  });

  it('have one id each', () => {
    const ids = [...SUPPORT_RULES, ...CHOICE_RULES].map((r) => r.id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('what must never be', () => {
  const overruled = (c: Case, set: Partial<LayersInput>, schools: HouseRules['schools'] = {}) => {
    const plan = planTicket(
      applyChange(ticketFor(c), { stage: 'layers', set }),
      SAMPLE_SHELF,
      withSchools(schools),
    );
    return plan.findings
      .filter((f) => f.stage === 'layers' && f.severity !== 'note')
      .map((f) => `${f.severity} ${f.code}`);
  };
  const sheets = (...list: Sheet[]) => ({ support: { sheets: list, why: 'a test' } });

  it('a sticky tear-away against the skin', () => {
    expect(
      overruled(
        { cloth: 'jersey-tee', stitches: LIGHT },
        sheets(sheet('tear-away-sticky', 'in the ring', 'sticky')),
      ),
    ).toContain('stop never-sticky-on-skin');
  });

  it('wash-away alone under a dense design on a knit, unless the shop believes in it', () => {
    const change = sheets(sheet('wash-away-cloth'));
    expect(overruled({ cloth: 'jersey-tee', stitches: MEDIUM }, change)).toContain(
      'stop never-wash-away-alone',
    );
    expect(
      overruled({ cloth: 'jersey-tee', stitches: MEDIUM }, change, { wearableBacking: 'washAway' }),
    ).toEqual(['warn never-wash-away-alone']);
    expect(overruled({ cloth: 'jersey-tee', stitches: LIGHT }, change)).toEqual([
      'warn layers-knit-not-permanent',
    ]);
  });

  it('nothing under a knit', () => {
    expect(overruled({ cloth: 'jersey-tee', stitches: LIGHT }, sheets())).toContain(
      'stop never-unsupported-knit',
    );
  });

  it('a hold that this sheet does not have', () => {
    expect(
      overruled({ cloth: 'jersey-tee', stitches: LIGHT }, sheets(sheet('cut-away', 'in the ring', 'fused'))),
    ).toContain('stop layers-hold-impossible');
  });

  it('pile without a topper goes with a warning', () => {
    const change: Partial<LayersInput> = { choices: { topper: { choice: 'none', why: '' } } };
    expect(overruled({ cloth: 'terry-towel', stitches: MEDIUM, towel: true }, change)).toEqual([
      'warn layers-sinks',
    ]);
  });

  it('is never proposed without a stop or a warning that says so', () => {
    const drape = layersOf({ cloth: 'lawn', stitches: HEAVY });
    expect(drape?.findings.map((f) => `${f.severity} ${f.code}`)).toContain('stop layers-drape-dense');
    const lighter = layersOf({ cloth: 'lawn', stitches: MEDIUM });
    expect(lighter?.findings.map((f) => `${f.severity} ${f.code}`)).toContain('warn layers-drape-dense');
  });
});

describe('the stack as it is drawn', () => {
  it('clamps the cloth when hooped, the sheet it lies on when floated', () => {
    expect(layersOf({ cloth: 'jersey-tee', stitches: LIGHT })?.stack.map((l) => [l.role, l.clamped])).toEqual(
      [
        ['cloth', true],
        ['sheet', true],
      ],
    );
    expect(
      layersOf({ cloth: 'jersey-tee', stitches: LIGHT, schools: { method: 'float' } })?.stack.map((l) => [
        l.role,
        l.clamped,
      ]),
    ).toEqual([
      ['cloth', false],
      ['sheet', true],
    ]);
  });

  it('notes what is not on the shelf', () => {
    const notes = planTicket(
      ticketFor({ cloth: 'linen', stitches: LIGHT, towel: true }),
      SAMPLE_SHELF,
      RULES,
    ).findings.filter((f) => f.code === 'layers-not-on-shelf');
    expect(notes.map((n) => say(n.text, MM))).toEqual([
      `${STABILIZERS['dissolving-sticky'].name} is not on your shelf: it is on the shopping list.`,
    ]);
  });
});

it('says of small letters what the shop’s own number says', () => {
  const small = designed(exampleA(), { lettering: true, letterHeightMm: 6.5 });
  const rules = { ...DEFAULT_HOUSE_RULES, numbers: { smallLetterMm: 7 } };
  const thread = planTicket(small, SAMPLE_SHELF, rules).layers?.parts.thread;
  expect([thread?.rule, say(thread?.reason.text ?? [], { system: 'mm' })]).toEqual([
    'thread-small-letters',
    'Letters under 7 mm close up in 40 wt.',
  ]);
  expect(planTicket(small, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).layers?.parts.thread.rule).toBe('thread-usual');
});
