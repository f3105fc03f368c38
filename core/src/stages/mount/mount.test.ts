import fc from 'fast-check';
import { add, ORIGIN, rotate } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Machine, Shelf } from '../../model/shelf';
import { applyChange } from '../../model/ticket';
import type { QuarterTurn } from '../../model/ticket/hoop';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import type { DesignFacts } from '../design/designFacts';
import { machineFor } from '../hoop/machineFor';
import { rankTurns } from '../hoop/rankTurns';
import { inHoopFrame } from '../hoop/ring';
import { keyOrder, keysNeeded, keysShown } from './keys';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const [FLAT] = SAMPLE_SHELF.machines;
if (!FLAT) throw new Error('the sample shelf has a machine');
const ARM: Machine = {
  ...FLAT,
  id: 'machine-free-arm',
  name: 'Six-needle, free arm',
  needles: 6,
  bodySide: 'back',
  throatMm: 420,
};
const TURNS: readonly QuarterTurn[] = [0, 90, 180, 270];
const LONG = [
  { x: -50, y: -700 },
  { x: 50, y: -700 },
  { x: 50, y: 100 },
  { x: -50, y: 100 },
];
const lie = { outline: LONG, centre: { x: 0, y: 0 }, designTurnDeg: 0 };

describe('ranking the turns', () => {
  it('keeps the bulk out of the throat: a long piece points away from a body on the right', () => {
    const ranks = rankTurns(TURNS, lie, FLAT);
    expect(ranks.map((r) => [r.turnDeg, r.inThroatMm])).toEqual([
      [0, 50],
      [180, 50],
      [90, 100],
      [270, 700],
    ]);
    expect(ranks.at(-1)?.overMm).toBe(500);
  });

  it('lays it the other way where the body stands at the back', () => {
    const [best] = rankTurns(TURNS, lie, ARM);
    expect(best?.inThroatMm).toBe(50);
    expect(['to the right', 'to the left']).toContain(best?.topPoints);
  });

  it('keeps the order given without a machine', () => {
    expect(rankTurns([180, 0], lie, null).map((r) => r.turnDeg)).toEqual([180, 0]);
  });

  it('says where the top points as the operator sees it', () => {
    const top = { x: 0, y: -1 };
    for (const rank of rankTurns(TURNS, lie, null)) {
      const seen = inHoopFrame(top, { centre: { x: 0, y: 0 }, onPieceDeg: rank.turnDeg });
      const words =
        (seen?.y ?? 0) < -0.5
          ? 'away from you'
          : (seen?.y ?? 0) > 0.5
            ? 'towards you'
            : (seen?.x ?? 0) > 0.5
              ? 'to the right'
              : 'to the left';
      expect(rank.topPoints).toBe(words);
    }
  });
});

const WIDE = { widthMm: 400, heightMm: 400, round: false };

describe('the keys', () => {
  it('bring the visible centre onto its mark, whatever the turn, the mirror and the file’s own centre', () => {
    const offset = fc.record({ x: fc.integer({ min: -30, max: 30 }), y: fc.integer({ min: -30, max: 30 }) });
    fc.assert(
      fc.property(
        offset,
        offset,
        fc.constantFrom(...TURNS),
        fc.boolean(),
        (fileCentre, designAt, turnDeg, mirror) => {
          const facts = { fileCentre, hull: [ORIGIN] } as unknown as DesignFacts;
          const { keys } = keysShown(facts, WIDE, designAt, { turnDeg, mirror });
          // The machine puts the file's centre in the middle, then mirrors, turns and moves.
          const visible = { x: mirror ? fileCentre.x : -fileCentre.x, y: -fileCentre.y };
          const lands = add(rotate(visible, keys.turnDeg), keys.move);
          return Math.abs(lands.x - designAt.x) < 0.81 && Math.abs(lands.y - designAt.y) < 0.81;
        },
      ),
    );
  });

  it('are none for a centred, upright design', () => {
    const facts = { fileCentre: ORIGIN, hull: [ORIGIN] } as unknown as DesignFacts;
    const { keys } = keysShown(facts, WIDE, ORIGIN, { turnDeg: 0, mirror: false });
    expect(keysNeeded(keys)).toBe(false);
    expect(keyOrder(facts, keys, WIDE)).toEqual([]);
    expect(keysNeeded({ ...keys, mirror: true })).toBe(true);
  });
});

describe('the plan', () => {
  it('proposes the turn with the least bulk and turns the design against it', () => {
    const plan = planTicket(exampleA(), SAMPLE_SHELF, RULES);
    expect(plan.mount?.chosen).toEqual(plan.mount?.ranks[0]);
    expect(((plan.mount?.keys.turnDeg ?? 0) + (plan.hoop?.laid?.turnDeg ?? 0)) % 360).toBe(0);
  });

  it('warns when another way round leaves less in the throat, and mends it', () => {
    const worst = planTicket(exampleB(), SAMPLE_SHELF, RULES).mount?.ranks.at(-1);
    const ticket = applyChange(exampleB(), { stage: 'hoop', set: { turnDeg: worst?.turnDeg ?? 0 } });
    const finding = planTicket(ticket, SAMPLE_SHELF, RULES).findings.find((f) => f.code === 'mount-throat');
    expect(finding?.severity).toBe('warn');
    const mended =
      finding?.mends[0] && planTicket(applyChange(ticket, finding.mends[0].change), SAMPLE_SHELF, RULES);
    expect(mended?.mount?.chosen.inThroatMm).toBeLessThan(worst?.inThroatMm ?? 0);
  });

  it('never mirrors lettering', () => {
    const ticket = applyChange(exampleB(), { stage: 'mount', set: { mirror: true } });
    expect(planTicket(ticket, SAMPLE_SHELF, RULES).findings.map((f) => f.code)).toContain(
      'mount-mirrored-letters',
    );
    const figure = applyChange(exampleA(), { stage: 'mount', set: { mirror: true } });
    expect(planTicket(figure, SAMPLE_SHELF, RULES).findings.map((f) => f.code)).not.toContain(
      'mount-mirrored-letters',
    );
  });

  it('builds the checklist from this ticket', () => {
    const ids = (plan: ReturnType<typeof planTicket>) => plan.mount?.checklist.map((c) => c.id) ?? [];
    expect(ids(planTicket(exampleA(), SAMPLE_SHELF, RULES))).not.toContain('topper');
    const small = designed(exampleB(), { widthMm: 90, heightMm: 90 });
    const towel = planTicket(small, SAMPLE_SHELF, RULES);
    expect(ids(towel)).toEqual(expect.arrayContaining(['topper', 'baste', 'trace', 'latched']));
    expect(
      towel.mount?.checklist
        .flatMap((c) => c.caution ?? [])
        .map(String)
        .join(' '),
    ).toContain('wear glasses');
    expect(say(towel.mount?.checklist.find((c) => c.id === 'baste')?.text ?? [], MM)).toBe(
      'Basting box 5 mm outside the design, stitched first.',
    );
    expect(say(towel.mount?.checklist.find((c) => c.id === 'topper')?.text ?? [], MM)).toBe(
      'Water-soluble film on top: the basting box holds it.',
    );
  });

  it('takes the machine asked for only where it takes the hoop', () => {
    const shelf: Shelf = { ...SAMPLE_SHELF, machines: [FLAT, ARM] };
    const [hoop] = SAMPLE_SHELF.hoops;
    expect(machineFor({ machineId: ARM.id }, hoop ?? null, shelf)?.id).toBe(FLAT.id);
    expect(machineFor({ machineId: ARM.id }, null, shelf)?.id).toBe(ARM.id);
    expect(
      machineFor({ machineId: null }, null, {
        ...shelf,
        machines: [],
      }),
    ).toBeNull();
  });

  it('notes a hoop that no machine takes', () => {
    const shelf: Shelf = { ...SAMPLE_SHELF, machines: [ARM] };
    expect(planTicket(exampleA(), shelf, RULES).findings.map((f) => f.code)).toContain('mount-no-machine');
  });
});

it('a machine with a figure that could not be taken stops the keys, until it is typed again', () => {
  const withMachine = (unread: Record<string, string>): Shelf => ({
    ...SAMPLE_SHELF,
    machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, unread })),
  });
  const stopped = (shelf: Shelf) =>
    planTicket(exampleA(), shelf, RULES).findings.some(
      (f) => f.code === 'mount-machine-unread' && f.severity === 'stop',
    );
  expect(stopped(withMachine({ throatMm: '9 miles' }))).toBe(true);
  expect(stopped(withMachine({ name: 'x'.repeat(200) }))).toBe(false);
  expect(stopped(withMachine({}))).toBe(false);
});

describe('the first piece of a run', () => {
  const crests = { ...exampleA(), piece: { ...exampleA().piece, quantity: 12 } };
  const measured = (right: number | null, down: number | null, turnDeg: QuarterTurn = 0) => {
    const { hoop, mount } = crests;
    const ticket = {
      ...crests,
      hoop: { ...hoop, turnDeg },
      mount: { ...mount, sample: { right, down } },
    };
    return planTicket(ticket, SAMPLE_SHELF, RULES).mount;
  };

  it('measured off its marks has the rest keyed so much the other way, however the hoop is turned', () => {
    for (const turnDeg of TURNS) {
      const [plain, carried] = [measured(null, null, turnDeg), measured(3, -2, turnDeg)];
      if (!plain || !carried) throw new Error('the crest is mounted');
      const { centre, right } = plain.marksShould;
      // To the right on the piece, as the hoop's grid has it, and down from there.
      const length = Math.hypot(right.x - centre.x, right.y - centre.y);
      const across = { x: (right.x - centre.x) / length, y: (right.y - centre.y) / length };
      const down = { x: -across.y, y: across.x };
      const by = { x: carried.designAt.x - plain.designAt.x, y: carried.designAt.y - plain.designAt.y };
      expect(by.x).toBeCloseTo(-3 * across.x + 2 * down.x, 0);
      expect(by.y).toBeCloseTo(-3 * across.y + 2 * down.y, 0);
      expect(by.x * across.x + by.y * across.y).toBeLessThan(-2.8);
    }
  });

  it('says so with its figures; of one that lies right nothing is said', () => {
    const words = (right: number | null, down: number | null) =>
      measured(right, down)?.reasons.flatMap(({ about, text }) =>
        about === 'sample' ? [say(text, MM)] : [],
      );
    expect(words(3, -2)).toEqual([
      'The first piece of the run lay 3 mm to the right and 2 mm too high of its marks: the rest is keyed so much the other way.',
    ]);
    expect(words(null, null)).toEqual([]);
    expect(words(0, 0)).toEqual([]);
  });
});
