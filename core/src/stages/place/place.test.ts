import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { GRADE_ANCHORS, GRADED } from '../../catalogue/gradedTable';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { PIECE_KIND_IDS, type PieceKindId } from '../../model/pieceKindIds';
import { applyChange, type Ticket } from '../../model/ticket';
import type { PlaceInput } from '../../model/ticket/place';
import { planTicket } from '../../planner/plan';
import { exampleA, exampleB, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';
import { gradedAt } from './graded';
import { placementsFor } from './planPlace';
import { dragGridMm, snapOffset } from './snap';

const MM = { system: 'mm' } as const;
const RULES: HouseRules = { ...DEFAULT_HOUSE_RULES, units: MM };
const planOf = (ticket: Ticket, rules = RULES) => planTicket(ticket, SAMPLE_SHELF, rules);
const placed = (ticket: Ticket, set: Partial<PlaceInput>): Ticket =>
  applyChange(ticket, { stage: 'place', set });
const sized = (chestWidth: number): Ticket => {
  const ticket = exampleA();
  const scale = chestWidth / 520.7;
  return {
    ...ticket,
    piece: {
      ...ticket.piece,
      readings: { chestWidth, length: 640 * scale, shoulder: 148 * scale, armhole: 222 * scale },
    },
  };
};

describe('graded tables', () => {
  it.each(Object.entries(GRADED))('%s holds exactly at its anchors and is clamped outside', (_, values) => {
    GRADE_ANCHORS.forEach((anchor, i) => {
      expect(gradedAt(GRADE_ANCHORS, values, anchor)).toBe(values[i]);
    });
    expect(gradedAt(GRADE_ANCHORS, values, 100)).toBe(values[0]);
    expect(gradedAt(GRADE_ANCHORS, values, 900)).toBe(values[3]);
  });

  it('rises with the chest width', () => {
    const width = fc.double({ min: 200, max: 800, noNaN: true });
    fc.assert(
      fc.property(width, width, fc.constantFrom(...Object.values(GRADED)), (a, b, values) => {
        const [small, large] = [Math.min(a, b), Math.max(a, b)];
        return gradedAt(GRADE_ANCHORS, values, small) <= gradedAt(GRADE_ANCHORS, values, large) + 1e-12;
      }),
    );
  });

  it('interpolates as by hand', () => {
    expect(gradedAt(GRADE_ANCHORS, GRADED.chestFromCentreLine, 520.7)).toBeCloseTo(
      100 + (15.7 / 115) * 15,
      9,
    );
  });
});

describe('chest placements', () => {
  it.each([300, 385, 505, 620])('at chest %d the left chest stands on its table', (width) => {
    const i = (GRADE_ANCHORS as readonly number[]).indexOf(width);
    const plan = planOf(sized(width));
    expect(plan.place?.acrossMm).toBeCloseTo(GRADED.chestFromCentreLine[i] ?? 0, 6);
    expect(plan.place?.depthMm).toBeCloseTo(GRADED.chestBelowShoulderPoint[i] ?? 0, 6);
  });

  it('mirrors left and right: on a front the wearer’s left is the viewer’s right', () => {
    const left = planOf(placed(exampleA(), { placement: 'left-chest' })).place;
    const right = planOf(placed(exampleA(), { placement: 'right-chest' })).place;
    expect(left?.centre.x).toBeGreaterThan(0);
    expect(right?.centre.x).toBeCloseTo(-(left?.centre.x ?? 0), 9);
    expect(right?.placement.faces).toBe("Wearer's right chest, on your left as it faces you");
  });

  it('sets the centre chest’s top below the collar seam by the table', () => {
    const place = planOf(placed(sized(505), { placement: 'centre-chest' })).place;
    expect(Math.min(...(place?.footprint.map((p) => p.y) ?? []))).toBeCloseTo(75, 6);
    expect(place?.centre.x).toBe(0);
  });

  it('by armhole: level with its middle, halfway to its seam', () => {
    const plan = planOf(placed(exampleA(), { school: 'armhole' }));
    const { shoulderRight, underarmRight } = plan.piece.sketch.landmarks;
    expect(plan.place?.centre.y).toBeCloseTo(((shoulderRight?.y ?? 0) + (underarmRight?.y ?? 0)) / 2, 6);
    expect(plan.place?.centre.x).toBeGreaterThan(90);
    expect(plan.place?.centre.x).toBeLessThan(125);
    expect(plan.place?.reasons[0]?.school?.chosen).toBe('by armhole');
  });

  it('by armhole: the centre chest’s top is level with the armhole’s middle', () => {
    const place = planOf(placed(exampleA(), { placement: 'centre-chest', school: 'armhole' })).place;
    const top = Math.min(...(place?.footprint.map((p) => p.y) ?? []));
    expect(top).toBeGreaterThan(40);
  });

  it('by collar: the template’s paper touches the collar seam', () => {
    for (const placement of ['left-chest', 'centre-chest'] as const) {
      const place = planOf(placed(exampleA(), { placement, school: 'collar' })).place;
      expect(Math.min(...(place?.footprint.map((p) => p.y) ?? []))).toBeCloseTo(25, 6);
    }
  });

  it('follows the shop’s school unless the ticket has its own', () => {
    const shop: HouseRules = { ...RULES, schools: { chest: 'collar' } };
    expect(planOf(exampleA(), shop).place?.school).toBe('collar');
    expect(planOf(placed(exampleA(), { school: 'table' }), shop).place?.school).toBe('table');
  });
});

describe('towels', () => {
  const CASES: ['bath-towel' | 'hand-towel', number, number, number][] = [
    ['bath-towel', 60, 90, 135],
    ['hand-towel', 45, 70, 110],
    ['bath-towel', 0, 0, 120],
    ['hand-towel', 0, 0, 90],
  ];
  it.each(CASES)(
    '%s with a band of %d up to %d: bottom %d above the hem',
    (kind, bandHeight, bandTop, bottom) => {
      const ticket = exampleB();
      const readings = { width: 480, length: 900, bandHeight, bandTop };
      const place = planOf({ ...ticket, piece: { ...ticket.piece, kind, readings } }).place;
      expect(-Math.max(...(place?.footprint.map((p) => p.y) ?? []))).toBeCloseTo(bottom, 6);
    },
  );

  it('follows the shop’s own figure', () => {
    const place = planOf(exampleB(), { ...RULES, numbers: { aboveBandBathMm: 60 } }).place;
    expect(place?.depthMm).toBeCloseTo(197.5, 9);
  });
});

describe('a gap from an edge of a cushion', () => {
  // 400 × 400 mm, its lower edge at 0; a design of 80 × 60 mm, 50 mm from the edge
  const CENTRES: [string, number, number][] = [
    ['gap-from-edge', 0, -80],
    ['gap-from-top', 0, -320],
    ['gap-from-left', -110, -200],
    ['gap-from-right', 110, -200],
  ];
  it.each(CENTRES)('%s: centred along it, its nearest stitches at the gap', (placement, x, y) => {
    const ticket = measuredTicket('cushion', placement, [80, 60]);
    const cushion = placed(ticket, { edgeGapMm: 50 });
    const place = planOf(cushion).place;
    expect(place?.centre.x).toBeCloseTo(x, 6);
    expect(place?.centre.y).toBeCloseTo(y, 6);
    expect(place?.findings).toEqual([]);
    const words = place?.marks.map((m) => say(m.text, MM)).join(' ');
    expect(words).toContain(x === 0 ? 'centre line' : '90 mm from the side seam on your');
  });
});

describe('moving it off the rule', () => {
  it('snaps to the rule, else to the tape’s grid', () => {
    expect(snapOffset({ x: 3.9, y: -3.9 }, MM, 4)).toEqual({ x: 0, y: 0 });
    expect(snapOffset({ x: 12.4, y: -13 }, MM, 4)).toEqual({ x: 10, y: -15 });
    const inches = { system: 'in', denominator: 16 } as const;
    expect(snapOffset({ x: 10, y: 0 }, inches, 4).x).toBeCloseTo(9.525, 9);
  });

  it('lands on the grid, never farther than half a step or the snap', () => {
    const offset = fc.record({
      x: fc.double({ min: -200, max: 200, noNaN: true }),
      y: fc.double({ min: -200, max: 200, noNaN: true }),
    });
    fc.assert(
      fc.property(offset, (raw) => {
        const { x } = snapOffset(raw, MM, 4);
        const steps = x / dragGridMm(MM);
        return Math.abs(steps - Math.round(steps)) < 1e-9 && Math.abs(x - raw.x) <= 4;
      }),
    );
  });

  it('moves the footprint by just the offset', () => {
    const at = (x: number, y: number) => planOf(placed(exampleA(), { offset: { x, y } })).place?.centre;
    const rule = at(0, 0);
    expect(at(7, -3)).toEqual({ x: (rule?.x ?? 0) + 7, y: (rule?.y ?? 0) - 3 });
  });
});

describe('checks', () => {
  const findings = (ticket: Ticket) => planOf(ticket).findings.filter((f) => f.stage === 'place');

  it('stops a design that lies over the band, and mends it so that it is clear', () => {
    const ticket = placed(exampleB(), { offset: { x: 0, y: 60 } });
    const [finding] = findings(ticket);
    expect(finding?.code).toBe('place-crosses');
    expect(say(finding?.text ?? [], MM)).toBe('The design lies over the border band.');
    for (const mend of finding?.mends ?? []) expect(findings(applyChange(ticket, mend.change))).toEqual([]);
    expect(finding?.mends).toHaveLength(2);
  });

  it('warns of less than 10 mm, with the figure', () => {
    const [finding] = findings(placed(exampleB(), { offset: { x: 0, y: 39 } }));
    expect(finding?.severity).toBe('warn');
    expect(say(finding?.text ?? [], MM)).toBe('Only 6 mm from the border band; keep 10 mm.');
    expect(say(finding?.mends[0]?.label ?? [], MM)).toBe('Move 4 mm up');
  });

  it('stops a design that hangs off the piece', () => {
    const [finding] = findings(placed(exampleB(), { offset: { x: 330, y: 0 } }));
    expect(finding?.code).toBe('place-off-piece');
    expect(say(finding?.text ?? [], MM)).toContain('hangs 37.5 mm over the edge');
  });

  it('sees a design on its head, and one below the waist', () => {
    expect(findings(placed(exampleA(), { turnDeg: 180 })).map((f) => f.code)).toContain('place-upside-down');
    expect(findings(placed(exampleA(), { offset: { x: 0, y: 350 } })).map((f) => f.code)).toContain(
      'place-below-waist',
    );
  });

  it('finds nothing wrong at any size of the tables', () => {
    const width = fc.double({ min: 420, max: 700, noNaN: true });
    fc.assert(
      fc.property(width, (chest) => findings(sized(chest)).every((f) => f.severity === 'note')),
      { numRuns: 40 },
    );
  });
});

describe('mark cards', () => {
  const PLACED = PIECE_KIND_IDS.flatMap((kind) =>
    PIECE_KINDS[kind].placements.map((p): [PieceKindId, string] => [kind, p.id]),
  );
  it.each(PLACED)(
    'on a %s, %s: every way ends in the centre, its axis ends and the wrong side',
    (kind, placement) => {
      const base = measuredTicket(kind, placement, [40, 30]);
      for (const method of planOf(base).place?.methods ?? []) {
        const place = planOf(placed(base, { method })).place;
        const words = place?.marks.map((m) => say(m.text, MM)) ?? [];
        expect(place?.method).toBe(method);
        expect(place?.marks.some((m) => m.cross?.x === place.centre.x && m.cross.y === place.centre.y)).toBe(
          true,
        );
        expect(words.join(' ')).toMatch(/both axis ends/);
        expect(words.at(-1)).toContain('Push a pin through the centre');
        const [a, b] = place?.axisEnds ?? [];
        expect(Math.hypot((b?.x ?? 0) - (a?.x ?? 0), (b?.y ?? 0) - (a?.y ?? 0))).toBeCloseTo(40, 6);
      }
    },
  );

  it('reads the moved spot, not the rule', () => {
    const place = planOf(placed(exampleA(), { offset: { x: 10, y: 5 } })).place;
    const words = place?.marks.map((m) => say(m.text, MM)).join(' ') ?? '';
    expect(words).toContain('straight down 198.4 mm');
    expect(words).toContain('112 mm to your right');
  });

  it('finger-presses what takes no iron', () => {
    const ticket = placed(exampleB(), { method: 'fold' });
    const cold = { ...ticket, piece: { ...ticket.piece, fabricChanges: { iron: 'no' as const } } };
    expect(say(planOf(cold).place?.marks[1]?.hint ?? [], MM)).toContain('finger-press');
  });

  it('carries the cautions of ink and pile', () => {
    const words = planOf(exampleB())
      .place?.cautions.map((c) => say(c, MM))
      .join(' ');
    expect(words).toContain('Heat sets some inks');
    expect(words).toContain('placement marker');
  });

  it('knows the placements of every kind', () => {
    expect(placementsFor('t-shirt').map((p) => p.id)).toEqual([
      'left-chest',
      'right-chest',
      'centre-chest',
      'full-front',
      'upper-back',
      'full-back',
      'sleeve',
      'hem-corner-left',
      'hem-corner-right',
    ]);
    expect(placementsFor('hand-towel').map((p) => p.id)).toEqual(['above-border']);
  });
});

describe('a hem corner', () => {
  const corner = (readings: Record<string, number>) => {
    const measured = measuredTicket('hoodie', 'hem-corner-left', [60, 40]);
    const { hemBand: _, pocketFoot: __, ...taken } = measured.piece.readings;
    return planTicket(
      applyChange(measured, { stage: 'piece', set: { readings: { ...taken, ...readings } } }),
      SAMPLE_SHELF,
      DEFAULT_HOUSE_RULES,
    );
  };
  const asUsual = (plan: ReturnType<typeof corner>) =>
    plan.findings.filter((f) => f.code === 'reading-taken-as-usual').map((f) => f.field);

  it('says which of its lengths were not measured, with the usual ones that stand in', () => {
    expect(asUsual(corner({}))).toEqual(['pocketFoot', 'hemBand']);
    expect(asUsual(corner({ hemBand: 60, pocketFoot: 330 }))).toEqual([]);
    const chest = applyChange(measuredTicket('hoodie', 'left-chest', [60, 40]), { stage: 'hoop', set: {} });
    expect(
      planTicket(chest, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).piece.asked.map(({ id }) => id),
    ).not.toContain('hemBand');
  });

  it('rises with a deeper rib, and goes out with a wider pocket, by what was measured', () => {
    const [usual, deeper] = [corner({ hemBand: 60 }), corner({ hemBand: 95 })];
    expect((usual.place?.centre.y ?? 0) - (deeper.place?.centre.y ?? 0)).toBeCloseTo(35, 6);
    const [narrow, wide] = [corner({ pocketFoot: 360 }), corner({ pocketFoot: 400 })];
    expect((wide.place?.centre.x ?? 0) - (narrow.place?.centre.x ?? 0)).toBeCloseTo(10, 6);
  });
});
