import fc from 'fast-check';
import { boxOf } from '../../base/geometry/box';
import { add, distance, rotate } from '../../base/geometry/point';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../../model/houseRules';
import { PIECE_KIND_IDS, type PieceKindId } from '../../model/pieceKindIds';
import { applyChange, type Ticket } from '../../model/ticket';
import type { Evenness, Grain } from '../../model/ticket/piece';
import { planTicket } from '../../planner/plan';
import { followActs, type PieceOnTable } from '../../testing/followActs';
import { report } from '../../testing/report';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { planDesign } from '../design/planDesign';
import { PIECE_KINDS } from '../piece/kinds';
import { planPiece } from '../piece/planPiece';
import { landmark } from './placement';
import { type PlacePlan, placementOf, planPlace } from './planPlace';

const MM = { system: 'mm' } as const;

const CASES = PIECE_KIND_IDS.flatMap((kind) =>
  PIECE_KINDS[kind].placements.map((p): [PieceKindId, string] => [kind, p.id]),
);
const LINES = ['wearers', 'seams', 'grain'] as const;
const CHESTS = ['table', 'armhole', 'collar'] as const;

/** Piece and place of a ticket alone: what the chalk depends on. */
function planned(ticket: Ticket, rules: HouseRules) {
  const placement = placementOf(ticket.place, ticket.piece.kind);
  const piece = planPiece(ticket.piece, rules, { viewId: placement.view });
  const { facts } = planDesign(ticket.design, rules, piece.fabric);
  const { geometry } = piece;
  if (!geometry || !facts) throw new Error(`${ticket.piece.kind} is not measured`);
  const input = ticket.place;
  return { piece, place: planPlace({ placement, input, piece: { ...piece, geometry }, facts, rules }) };
}

/** How a piece was really cut: its middle leans off the landmark's line. */
interface Cut {
  offsetMm: number;
  slope: number;
}

/** The piece on the table: as wide as it was measured, its middle where it was cut. */
function onTable(ticket: Ticket, rules: HouseRules, cut: Cut): PieceOnTable {
  const { piece } = planned(ticket, rules);
  const { left, right } = piece.view.halving;
  const half = distance(landmark(piece.sketch, left), landmark(piece.sketch, right)) / 2;
  const at = (y: number) => cut.offsetMm + cut.slope * y;
  return { edgesAt: (y) => ({ left: at(y) - half, right: at(y) + half }) };
}

/** The same piece, read at two heights and along its grain. */
function measured(ticket: Ticket, rules: HouseRules, cut: Cut, grain: Grain | null): Ticket {
  const { piece } = planned(ticket, rules);
  const { datumSign } = piece.view;
  const table = onTable(ticket, rules, cut);
  const span = Math.abs(piece.sketch.centreTo - piece.sketch.centreFrom);
  const rows = [0.25, 0.8].map((share): Evenness => {
    const atMm = span * share;
    const { left, right } = table.edgesAt(datumSign * atMm);
    return { atMm, leftMm: -left, rightMm: right };
  });
  return applyChange(ticket, { stage: 'piece', set: { evenness: rows, grain } });
}

/** How far from its plan the chalk lands when the steps are followed to the letter, mm. */
function missedBy(place: PlacePlan, table: PieceOnTable): number {
  const landed = followActs(
    place.marks.flatMap((mark) => mark.acts),
    table,
  );
  return landed ? distance(landed, place.centre) : Number.POSITIVE_INFINITY;
}

let followed = 0;

/** Follows every way of marking on a piece; what lands farther than a millimetre from its plan. */
function wrongWays(ticket: Ticket, rules: HouseRules, table: PieceOnTable): string[] {
  return planned(ticket, rules).place.methods.flatMap((method) => {
    const { place } = planned(applyChange(ticket, { stage: 'place', set: { method } }), rules);
    followed++;
    const off = missedBy(place, table);
    return off <= 1
      ? []
      : [`${ticket.piece.kind} ${ticket.place.placement} ${method}: ${off.toFixed(1)} mm off`];
  });
}

describe('whoever follows the steps lands within a millimetre of the plan', () => {
  it.each(CHESTS)('on even pieces of every kind at every place, every way, the chest %s', (chest) => {
    const rules: HouseRules = { ...DEFAULT_HOUSE_RULES, schools: { chest } };
    const asked = chest === 'table' ? CASES : CASES.filter(([, placement]) => placement.includes('chest'));
    const wrong = asked.flatMap(([kind, placement]) => {
      const ticket = measuredTicket(kind, placement, [40, 30]);
      return wrongWays(ticket, rules, onTable(ticket, rules, { offsetMm: 0, slope: 0 }));
    });
    expect(wrong).toEqual([]);
  });

  it('on unevenly cut pieces, by every line, moved off its rule and turned', () => {
    const cut = fc.record({
      offsetMm: fc.integer({ min: -120, max: 120 }).map((n) => n / 10),
      slope: fc.integer({ min: -30, max: 30 }).map((n) => n / 1000),
    });
    const grain = fc.option(
      fc.record({ overMm: fc.constant(300), driftMm: fc.integer({ min: -20, max: 20 }) }),
    );
    const offset = fc.record({ x: fc.integer({ min: -20, max: 20 }), y: fc.integer({ min: -20, max: 20 }) });
    fc.assert(
      fc.property(
        fc.constantFrom(...CASES),
        fc.constantFrom(...LINES),
        cut,
        grain,
        offset,
        ([kind, placement], line, how, drift, moved) => {
          const rules: HouseRules = { ...DEFAULT_HOUSE_RULES, schools: { centreLine: line } };
          const even = applyChange(measuredTicket(kind, placement, [40, 30]), {
            stage: 'place',
            set: { offset: moved },
          });
          const ticket = measured(even, rules, how, drift);
          expect(wrongWays(ticket, rules, onTable(even, rules, how))).toEqual([]);
        },
      ),
      { numRuns: 200 },
    );
    report(`ways of marking followed to the letter on even and uneven pieces: ${followed}`);
  });
});

describe('the words of the steps', () => {
  const wordsOf = (ticket: Ticket, rules = DEFAULT_HOUSE_RULES) =>
    (planTicket(ticket, SAMPLE_SHELF, rules).place?.marks ?? []).map((m) => say(m.text, MM));

  it('of an uneven shirt name the level that was read, and never halve it', () => {
    const tee = measuredTicket('t-shirt', 'centre-chest', [40, 30]);
    const uneven = applyChange(tee, {
      stage: 'piece',
      set: {
        evenness: [
          { atMm: 150, leftMm: 250, rightMm: 262 },
          { atMm: 450, leftMm: 246, rightMm: 266 },
        ],
      },
    });
    const words = wordsOf(uneven);
    expect(words[0]).toBe(
      'At 450 mm below the collar seam the tape reads 512 mm across: mark 246 mm from the edge on your left.',
    );
    expect(words[1]).toBe(
      'At 150 mm below the collar seam the tape reads 512 mm across: mark 250 mm from the edge on your left.',
    );
    expect(words[2]).toMatch(/^Join both marks: that is the wearer's line/);
    expect(words.join(' ')).not.toMatch(/half/i);
    const seams = wordsOf(uneven, { ...DEFAULT_HOUSE_RULES, schools: { centreLine: 'seams' } });
    expect(seams.join(' ')).toMatch(/mark 256 mm from the edge on your left/);
  });

  it('of a closed hem read what lies on the table: half of its round', () => {
    const skirt = applyChange(measuredTicket('skirt-hem', 'hem-border', [90, 60]), {
      stage: 'piece',
      set: { readings: { circumference: 58 * 25.4, hemDepth: 30 } },
    });
    const inches = { system: 'in', denominator: 16 } as const;
    const words = (planTicket(skirt, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).place?.marks ?? []).map((m) =>
      say(m.text, inches),
    );
    expect(words[0]).toBe(
      'Tape across, laid flat, side seam to side seam: it reads 29 in. Mark half, 14 1/2 in from either side seam.',
    );
    expect(words.some((text) => /turned over, .* of the middle of the back/.test(text))).toBe(true);
  });

  it.each([0, 40, -95])('of a closed hem lead to every repeat, the first one moved by %d mm', (moved) => {
    const round = 1480;
    const skirt = applyChange(
      applyChange(measuredTicket('skirt-hem', 'hem-border', [90, 60]), {
        stage: 'piece',
        set: { readings: { circumference: round, hemDepth: 30 } },
      }),
      { stage: 'place', set: { offset: { x: moved, y: 0 } } },
    );
    const place = planTicket(skirt, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).place;
    const found = (place?.marks ?? []).flatMap((mark) => {
      const text = say(mark.text, MM);
      const no = /^No\. (\d+): .*Chalk its centre/.exec(text)?.[1];
      return no === undefined ? [] : [{ text, copy: place?.copies[Number(no) - 1], figure: mark.figure }];
    });
    expect(found.length).toBe((place?.copies.length ?? 0) - 1);
    for (const { text, copy, figure } of found) {
      const [, far, side] = /([\d.]+) mm to your (left|right)/.exec(text) ?? [null, '0', 'right'];
      const over = text.includes('turned over');
      const across = Number(far) * (side === 'right' ? 1 : -1);
      // Turned over like a page, the back's left is the front's right.
      const x = over ? round / 2 + across : across;
      const off = ((copy?.centre.x ?? Number.NaN) - x) / round;
      expect(Math.abs(off - Math.round(off)) * round).toBeLessThan(0.2);
      expect(figure === null ? '0' : say([figure], MM)).toBe(far === '0' ? '0' : `${far} mm`);
    }
  });

  it('of four corners give every corner its centre and both axis ends', () => {
    const cloth = measuredTicket('bread-cloth', 'four-corners', [60, 40]);
    const words = wordsOf(cloth);
    for (const no of [2, 3, 4]) {
      expect(words.filter((text) => text.startsWith(`No. ${no}: `))).toHaveLength(2);
      expect(words.some((text) => text.startsWith(`No. ${no}: both axis ends, 30 mm either side`))).toBe(
        true,
      );
    }
  });

  it.each(['four-corners', 'four-corners-diagonal'])(
    'of %s lead to every copy and to both its axis ends',
    (id) => {
      const cloth = measuredTicket('bread-cloth', id, [60, 40]);
      const plan = planTicket(cloth, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
      const { place, piece } = plan;
      const box = boxOf(piece.geometry?.outline ?? []);
      const words = wordsOf(cloth);
      expect(place?.copies).toHaveLength(4);
      for (const [i, copy] of (place?.copies ?? []).entries()) {
        if (i === 0) continue;
        const own = words.filter((text) => text.startsWith(`No. ${i + 1}: `)).join(' ');
        const from = (edge: string) =>
          Number(new RegExp(`([\\d.]+) mm from the ${edge}`).exec(own)?.[1] ?? Number.NaN);
        const x = /side edge on your left/.test(own)
          ? box.left + from('side edge on your left')
          : box.right - from('side edge on your right');
        const y = /top edge/.test(own) ? box.top + from('top edge') : box.bottom - from('bottom edge');
        expect(distance({ x, y }, copy.centre)).toBeLessThan(0.2);
        const ends = own.slice(own.indexOf('the right one'));
        const go = (more: string, less: string) =>
          Number(new RegExp(`([\\d.]+) mm (?:to the )?${more}`).exec(ends)?.[1] ?? 0) -
          Number(new RegExp(`([\\d.]+) mm (?:to the )?${less}`).exec(ends)?.[1] ?? 0);
        const right = add(copy.centre, rotate({ x: 30, y: 0 }, copy.turnDeg));
        const chalked = add(copy.centre, { x: go('right', 'left'), y: go('down', 'up') });
        expect(distance(chalked, right)).toBeLessThan(0.2);
      }
    },
  );
});
