import fc from 'fast-check';
import { add, type Point, rotate } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import type { MarkFound, MarkId } from '../../model/ticket/mount';
import { planTicket } from '../../planner/plan';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { crookedRoom, whyDesignDoesNotFit } from '../hoop/fit';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const stepping = (turnStepDeg: 1 | 10 | 90): Shelf => ({
  ...SAMPLE_SHELF,
  machines: SAMPLE_SHELF.machines.map((m) => ({ ...m, turnStepDeg })),
});

/** The marks as they would be found were the piece turned and shifted in its hoop from where it should lie. */
function found(ticket: Ticket, crookedDeg: number, shift: Point, marks: readonly MarkId[]): MarkFound[] {
  const should = planTicket(ticket, SAMPLE_SHELF, RULES).mount?.marksShould;
  if (!should) throw new Error('nothing was mounted');
  return marks.map((mark) => ({ mark, ...add(rotate(should[mark], crookedDeg), shift) }));
}
const read = (ticket: Ticket, readings: MarkFound[], shelf = SAMPLE_SHELF) =>
  planTicket(applyChange(ticket, { stage: 'mount', set: { readings } }), shelf, RULES);
const THREE: readonly MarkId[] = ['centre', 'left', 'right'];

describe('a cloth hooped crooked', () => {
  const cloth = { ...measuredTicket('bread-cloth', 'centre', [80, 54]) };

  it('by 3.4°, on a machine that turns by 1°: turn 3°, hardly anything left', () => {
    const plan = read(cloth, found(cloth, 3.4, { x: 4, y: -2 }, THREE), stepping(1));
    const { crooked, keys } = plan.mount ?? {};
    expect(crooked?.crookedDeg).toBeCloseTo(3.4, 9);
    const straight = planTicket(cloth, SAMPLE_SHELF, RULES).mount?.keys;
    expect(keys?.turnDeg).toBe(((straight?.turnDeg ?? 0) + 3) % 360);
    // What the turn leaves, and at most half a tenth each way of the move.
    const byTurn = Math.hypot(40, 27) * ((0.4 * Math.PI) / 180);
    expect(crooked?.leftOverMm).toBeGreaterThan(byTurn - 0.08);
    expect(crooked?.leftOverMm).toBeLessThan(byTurn + 0.08);
    expect(plan.findings.filter((f) => f.stage === 'mount' && f.severity === 'stop')).toEqual([]);
  });

  it.each([
    [0.7, 0.3],
    [-0.6, 0.75],
    [0.04, -0.7],
  ])('a move of %s, %s mm that is not keyed is counted in what is left', (x, y) => {
    const { crooked, keys } = read(cloth, found(cloth, 0, { x, y }, THREE), stepping(1)).mount ?? {};
    expect(keys?.move).toEqual({ x: 0, y: 0 });
    expect(crooked?.leftOverMm).toBeCloseTo(Math.hypot(x, y), 6);
  });

  it('on one that turns by 90° only: hoop it again, and how', () => {
    const plan = read(cloth, found(cloth, 3.4, { x: 0, y: 0 }, THREE), stepping(90));
    const again = plan.findings.find((f) => f.code === 'mount-crooked-again');
    expect(again?.severity).toBe('stop');
    expect(say(again?.text ?? [], MM)).toMatch(
      /^The machine turns by 90°: 2.9 mm are left at the farthest corner. Hoop it again: hold the centre and bring the (left|right) axis end 2.4 mm (away from you|towards you|to the left|to the right). Or save the file turned 3.4° clockwise and load that.$/,
    );
  });

  it('keys bring the design onto its marks, whatever the lie', () => {
    const pose = fc.record({
      crooked: fc.integer({ min: -12, max: 12 }),
      x: fc.integer({ min: -8, max: 8 }),
      y: fc.integer({ min: -8, max: 8 }),
    });
    fc.assert(
      fc.property(pose, ({ crooked, x, y }) => {
        const ticket = exampleA();
        const readings = found(ticket, crooked, { x, y }, THREE);
        const straight = planTicket(ticket, SAMPLE_SHELF, RULES).mount?.keys.turnDeg ?? 0;
        const keys = read(ticket, readings).mount?.keys;
        const centre = readings.find((r) => r.mark === 'centre');
        return (
          keys !== undefined &&
          centre !== undefined &&
          Math.hypot(keys.move.x - centre.x, keys.move.y - centre.y) < 0.1 &&
          keys.turnDeg === (straight + crooked + 360) % 360
        );
      }),
      { numRuns: 60 },
    );
  });

  it('says what cannot tell an angle, and keeps the keys as planned', () => {
    const one = read(cloth, found(cloth, 3, { x: 0, y: 0 }, ['centre']));
    expect(say(one.findings.find((f) => f.code === 'mount-crooked-too-few')?.text ?? [], MM)).toBe(
      'One mark tells the place but not the angle: read a second one.',
    );
    expect(one.mount?.keys).toEqual(planTicket(cloth, SAMPLE_SHELF, RULES).mount?.keys);
    const swapped = found(cloth, 2, { x: 0, y: 0 }, THREE).map((r) => ({
      ...r,
      mark: ({ centre: 'centre', left: 'right', right: 'left' } as Record<string, MarkId>)[r.mark] ?? r.mark,
    }));
    expect(read(cloth, swapped).findings.map((f) => f.code)).toContain('mount-crooked-swapped');
  });

  it('names the mark that was read wrongly', () => {
    const readings = found(cloth, 1, { x: 0, y: 0 }, ['centre', 'left', 'right', 'top']);
    const wrong = readings.map((r) => (r.mark === 'top' ? { ...r, x: r.x + 12 } : r));
    const text = read(cloth, wrong).findings.find((f) => f.code === 'mount-readings-disagree')?.text ?? [];
    expect(say(text, MM)).toMatch(/^The readings disagree by [\d.]+ mm. Read the top axis end again.$/);
  });

  it('finds a knit stretched in the hoop', () => {
    const tee = exampleA();
    const readings = found(tee, 0, { x: 0, y: 0 }, THREE).map((r) => ({
      ...r,
      x: r.x * 1.04,
      y: r.y * 1.04,
    }));
    const texts = read(tee, readings).findings.map((f) => say(f.text, MM));
    expect(texts.some((t) => t.startsWith('Stretched by 4 % across; a knit stands 2 %.'))).toBe(true);
  });
});

describe('how much more it may turn', () => {
  const hull = [
    { x: -40, y: -25 },
    { x: 40, y: -25 },
    { x: 40, y: 25 },
    { x: -40, y: 25 },
  ];

  it('is where a point leaves the field, by small steps', () => {
    const at = fc.record({
      x: fc.integer({ min: -8, max: 8 }),
      y: fc.integer({ min: -10, max: 10 }),
      round: fc.boolean(),
    });
    fc.assert(
      fc.property(at, ({ x, y, round }) => {
        const field = { widthMm: 112, heightMm: round ? 112 : 84, round };
        const pose = { turnDeg: 0, x, y };
        if (whyDesignDoesNotFit(hull, field, pose)) return true;
        const { clockwiseDeg, counterDeg } = crookedRoom(hull, field, pose);
        const fits = (turnDeg: number) => whyDesignDoesNotFit(hull, field, { ...pose, turnDeg }) === null;
        const holds = (room: number, way: 1 | -1) =>
          room >= 360 || ((room < 0.02 || fits(way * (room - 0.01))) && !fits(way * (room + 0.01)));
        const clear = Array.from({ length: 50 }, (_, i) => i / 50).every(
          (t) => fits(t * (clockwiseDeg - 0.01)) && fits(-t * (counterDeg - 0.01)),
        );
        return (
          holds(clockwiseDeg, 1) &&
          holds(counterDeg, -1) &&
          (clear || clockwiseDeg < 0.02 || counterDeg < 0.02)
        );
      }),
      { numRuns: 300 },
    );
  });

  it('is all round where nothing is in the way', () => {
    expect(
      crookedRoom(hull, { widthMm: 300, heightMm: 300, round: true }, { turnDeg: 0, x: 5, y: 5 }),
    ).toEqual({
      clockwiseDeg: 360,
      counterDeg: 360,
    });
  });
});
