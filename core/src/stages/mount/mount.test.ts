import fc from 'fast-check';
import { add, ORIGIN, rotate } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Machine, Shelf } from '../../model/shelf';
import { applyChange } from '../../model/ticket';
import type { QuarterTurn } from '../../model/ticket/hoop';
import { planTicket } from '../../planner/plan';
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
    const towel = planTicket(exampleB(), SAMPLE_SHELF, RULES);
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
