import fc from 'fast-check';
import { boxAbout, cornersOf } from '../../base/geometry/box';
import { type Point, rotate } from '../../base/geometry/point';
import { clearanceToLine, containsPoint, hullOf } from '../../base/geometry/polygon';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import { applyChange, type Ticket } from '../../model/ticket';
import type { HoopInput } from '../../model/ticket/hoop';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { exampleA, exampleB, SAMPLE_SHELF } from '../../testing/samples';
import { allowedCentres, largestScale, spareMm, whyDesignDoesNotFit } from './fit';
import { whyHoopCannotBe } from './whyHoopCannotBe';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const planOf = (ticket: Ticket, shelf: Shelf = SAMPLE_SHELF, rules = RULES) =>
  planTicket(ticket, shelf, rules);
const hooped = (ticket: Ticket, set: Partial<HoopInput>): Ticket =>
  applyChange(ticket, { stage: 'hoop', set });
const sized = (ticket: Ticket, widthMm: number, heightMm: number): Ticket =>
  designed(ticket, { widthMm, heightMm });

const FIELD = { widthMm: 100, heightMm: 80, round: false };
const coordinate = fc.double({ min: -70, max: 70, noNaN: true });
const hulls = fc
  .array(fc.record({ x: coordinate, y: coordinate }), { minLength: 3, maxLength: 12 })
  .map(hullOf);
const pose = fc.record({
  turnDeg: fc.double({ min: -360, max: 360, noNaN: true }),
  x: fc.double({ min: -30, max: 30, noNaN: true }),
  y: fc.double({ min: -30, max: 30, noNaN: true }),
});

/** The plain way: sample the turned outline closely and ask of every point whether it is in the field. */
function samplesInside(
  hull: readonly Point[],
  field: typeof FIELD,
  at: { turnDeg: number; x: number; y: number },
): boolean {
  return hull.every((a, i) => {
    const b = hull[(i + 1) % hull.length] ?? a;
    return Array.from({ length: 25 }, (_, k) => {
      const p = rotate({ x: a.x + ((b.x - a.x) * k) / 24, y: a.y + ((b.y - a.y) * k) / 24 }, at.turnDeg);
      const [x, y] = [p.x + at.x, p.y + at.y];
      return field.round
        ? Math.hypot(x, y) <= field.widthMm / 2
        : Math.abs(x) <= field.widthMm / 2 && Math.abs(y) <= field.heightMm / 2;
    }).every(Boolean);
  });
}

/** Whether a point lies so near the field's edge that the last bit of a sum decides; the edge has a test of its own. */
function onTheEdge(
  hull: readonly Point[],
  field: typeof FIELD,
  at: { turnDeg: number; x: number; y: number },
): boolean {
  return hull.some((point) => {
    const p = rotate(point, at.turnDeg);
    const [x, y] = [Math.abs(p.x + at.x), Math.abs(p.y + at.y)];
    const gaps = field.round
      ? [Math.hypot(x, y) - field.widthMm / 2]
      : [x - field.widthMm / 2, y - field.heightMm / 2];
    return gaps.some((gap) => Math.abs(gap) < 1e-9);
  });
}

describe('the fit test', () => {
  it.each([FIELD, { widthMm: 120, heightMm: 120, round: true }])(
    'agrees with sampling the turned outline: %j',
    (field) => {
      fc.assert(
        fc.property(
          hulls,
          pose,
          (hull, at) =>
            onTheEdge(hull, field, at) ||
            (whyDesignDoesNotFit(hull, field, at) === null) === samplesInside(hull, field, at),
        ),
        { numRuns: 3000 },
      );
    },
  );

  it('counts the very edge as inside, and a hair beyond as outside', () => {
    const box = cornersOf(boxAbout({ x: 0, y: 0 }, 100, 80));
    expect(whyDesignDoesNotFit(box, FIELD, { turnDeg: 0, x: 0, y: 0 })).toBeNull();
    expect(whyDesignDoesNotFit(box, FIELD, { turnDeg: 180, x: 0, y: 0 })).toBeNull();
    expect(whyDesignDoesNotFit(box, FIELD, { turnDeg: 0, x: 0.01, y: 0 })?.widthMm).toBeCloseTo(0.01, 9);
    expect(whyDesignDoesNotFit(box, FIELD, { turnDeg: 90, x: 0, y: 0 })).toEqual({
      widthMm: 0,
      heightMm: 10,
    });
  });

  it('asks of a turned box just its half-extents: hx = (w|cos θ| + h|sin θ|)/2', () => {
    const side = fc.double({ min: 1, max: 150, noNaN: true });
    fc.assert(
      fc.property(side, side, fc.double({ min: -360, max: 360, noNaN: true }), (w, h, deg) => {
        const [c, s] = [Math.abs(Math.cos((deg * Math.PI) / 180)), Math.abs(Math.sin((deg * Math.PI) / 180))];
        const [hx, hy] = [(w * c + h * s) / 2, (w * s + h * c) / 2];
        const miss = whyDesignDoesNotFit(cornersOf(boxAbout({ x: 0, y: 0 }, w, h)), FIELD, {
          turnDeg: deg,
          x: 0,
          y: 0,
        });
        const expected = [Math.max(0, hx - 50), Math.max(0, hy - 40)];
        return (
          Math.abs((miss?.widthMm ?? 0) - (expected[0] ?? 0)) < 1e-9 &&
          Math.abs((miss?.heightMm ?? 0) - (expected[1] ?? 0)) < 1e-9
        );
      }),
    );
  });

  it('fits as an outline where its box does not', () => {
    const diamond = [
      { x: 0, y: -45 },
      { x: 45, y: 0 },
      { x: 0, y: 45 },
      { x: -45, y: 0 },
    ];
    const round = { widthMm: 100, heightMm: 100, round: true };
    expect(whyDesignDoesNotFit(diamond, round, { turnDeg: 0, x: 0, y: 0 })).toBeNull();
    expect(
      whyDesignDoesNotFit(cornersOf(boxAbout({ x: 0, y: 0 }, 90, 90)), round, { turnDeg: 0, x: 0, y: 0 }),
    ).not.toBeNull();
  });

  it('allows just the centres at which it fits', () => {
    fc.assert(
      fc.property(hulls, pose, (hull, at) => {
        const allowed = allowedCentres(hull, FIELD, at.turnDeg);
        const fits = whyDesignDoesNotFit(hull, FIELD, at) === null;
        const within =
          allowed !== null &&
          at.x >= allowed.left &&
          at.x <= allowed.right &&
          at.y >= allowed.top &&
          at.y <= allowed.bottom;
        return fits === within || onTheEdge(hull, FIELD, at);
      }),
      { numRuns: 1000 },
    );
  });

  it('fits exactly at the largest scale', () => {
    fc.assert(
      fc.property(hulls, fc.constantFrom(0, 90), (hull, turnDeg) => {
        const scale = largestScale(hull, FIELD, turnDeg);
        if (!Number.isFinite(scale)) return true;
        const scaled = (factor: number) =>
          hull.map((p) => ({ x: p.x * scale * factor, y: p.y * scale * factor }));
        return spareMm(scaled(0.999), FIELD, turnDeg) >= 0 && spareMm(scaled(1.001), FIELD, turnDeg) <= 0;
      }),
    );
  });
});

describe('every hoop’s verdict', () => {
  it('has figures in a line, fitting ones first by their field', () => {
    const verdicts = planOf(exampleA()).hoop?.verdicts ?? [];
    expect(verdicts.map((v) => [v.hoop.id, say(v.line, MM)])).toEqual([
      ['hoop-100x100', 'Fits with 6 mm to spare each side.'],
      ['hoop-round150', 'Fits with 24.1 mm to spare each side.'],
      ['hoop-130x180', 'Fits with 39.5 mm to spare each side.'],
      ['hoop-200x200', 'Fits with 56 mm to spare each side.'],
      ['hoop-60x40', 'Misses: 28 mm too wide and 11 mm too high; would need 68 %.'],
    ]);
  });

  it('says when a turn helps', () => {
    const plan = planOf(sized(exampleA(), 150, 60));
    expect(say(plan.hoop?.verdicts.find((v) => v.hoop.id === 'hoop-130x180')?.line ?? [], MM)).toContain(
      'Turn 90°: fits with 15 mm',
    );
    expect(plan.hoop?.laid?.turnDeg === 90 || plan.hoop?.laid?.turnDeg === 270).toBe(true);
  });

  it('keeps every ring it hoops inside the hoopable face by its clearance', () => {
    const offset = fc.record({ x: fc.integer({ min: -40, max: 40 }), y: fc.integer({ min: -40, max: 120 }) });
    fc.assert(
      fc.property(offset, fc.integer({ min: 30, max: 95 }), (move, width) => {
        const ticket = applyChange(sized(exampleA(), width, width * 0.8), {
          stage: 'place',
          set: { offset: move },
        });
        const plan = planOf(ticket);
        const face = plan.piece.geometry?.hoopable ?? [];
        if (!plan.hoop?.laid || plan.hoop.method !== 'hooped' || plan.hoop.findings.length > 0) return true;
        const { ring } = plan.hoop.laid;
        return ring.every((p) => containsPoint(face, p)) && clearanceToLine(ring, face).mm >= 10 - 1e-6;
      }),
      { numRuns: 60 },
    );
  });
});

describe('hooped or floated', () => {
  it('floats what a ring would mark, whatever the shop prefers', () => {
    const plan = planOf(exampleB());
    expect(plan.hoop?.method).toBe('floated');
    // Its field has no room for a basting box: the sheet is taped.
    expect(plan.layers?.bastingMm).toBeNull();
    expect(say(plan.hoop?.reasons[0]?.text ?? [], MM)).toBe(
      'Floated: the cloth is 3.4 mm thick, it closes on 3 mm.',
    );
  });

  it.each([
    ['hoop', 'hooped'],
    ['floatLight', 'hooped'],
    ['float', 'floated'],
  ])('by the school %s a medium design on jersey is %s', (method, expected) => {
    expect(planOf(exampleA(), SAMPLE_SHELF, { ...RULES, schools: { method } }).hoop?.method).toBe(expected);
  });

  it('floats a light one where the shop floats light designs', () => {
    const light = designed(exampleA(), { stitches: 1500 });
    expect(planOf(light, SAMPLE_SHELF, { ...RULES, schools: { method: 'floatLight' } }).hoop?.method).toBe(
      'floated',
    );
  });

  it('hoops a heavy design on a knit even where floating is the custom', () => {
    const heavy = designed(exampleA(), { stitches: 9000 });
    expect(planOf(heavy, SAMPLE_SHELF, { ...RULES, schools: { method: 'float' } }).hoop?.method).toBe(
      'hooped',
    );
  });

  it('warns when a heavy design is floated on a knit all the same', () => {
    const ticket = hooped(designed(exampleA(), { stitches: 9000 }), {
      method: 'floated',
    });
    const finding = planOf(ticket).findings.find((f) => f.code === 'hoop-float-puckers');
    expect(finding?.severity).toBe('warn');
    expect(finding?.mends[0] && planOf(applyChange(ticket, finding.mends[0].change)).hoop?.method).toBe(
      'hooped',
    );
  });

  it('stops a hoop closed on cloth that is too thick for it', () => {
    const ticket = hooped(exampleB(), { method: 'hooped', hoopId: 'hoop-100x100' });
    const finding = planOf(ticket).findings.find((f) => f.code === 'hoop-cannot-close');
    expect(say(finding?.text ?? [], MM)).toContain('the cloth is 3.4 mm thick, it closes on 3 mm');
    expect(say(finding?.mends[0]?.label ?? [], MM)).toBe('Float it');
  });
});

it('cuts stabilizer 25 mm beyond the ring all round, a patch as far beyond the field', () => {
  expect(planOf(exampleA()).hoop?.cut).toEqual({
    widthMm: 182,
    heightMm: 190,
    patch: { widthMm: 150, heightMm: 150 },
  });
});

describe('a kind of hoop that is not known here', () => {
  const shelf: Shelf = {
    ...SAMPLE_SHELF,
    hoops: SAMPLE_SHELF.hoops.map((hoop) => ({ ...hoop, kind: 'of tomorrow' })),
  };

  it('never fits, and says why', () => {
    const [hoop] = shelf.hoops;
    expect(hoop && whyHoopCannotBe(hoop)).toBe(
      'Its kind, “of tomorrow”, is not known here: choose another on the shelf.',
    );
    const { hoop: plan, mount, findings } = planOf(exampleA(), shelf);
    expect(plan?.proposedId).toBeNull();
    expect(mount).toBeNull();
    const stop = findings.find((f) => f.code === 'hoop-none-fits');
    expect(say(stop?.text ?? [], MM)).toContain('its kind, “of tomorrow”, is not known here');
  });

  it('cannot be used though the ticket asks for it', () => {
    const asked = hooped(exampleA(), { hoopId: 'hoop-100x100' });
    expect(
      planOf(asked, shelf).findings.some((f) => f.code === 'hoop-opening' && f.severity === 'stop'),
    ).toBe(true);
  });
});
