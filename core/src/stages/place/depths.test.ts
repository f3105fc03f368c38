import { boxOf } from '../../base/geometry/box';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS } from '../../model/pieceKindIds';
import { applyChange, type Ticket } from '../../model/ticket';
import type { AskedDepth } from '../../model/ticket/place';
import { planTicket } from '../../planner/plan';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from '../piece/kinds';
import { depthLandmarks } from './depths';

const INCHES = { system: 'in', denominator: 16 } as const;
const IN = 25.4;
const placed = (ticket: Ticket, depth: AskedDepth) => {
  const plan = planTicket(
    applyChange(ticket, { stage: 'place', set: { depth } }),
    SAMPLE_SHELF,
    DEFAULT_HOUSE_RULES,
  );
  if (!plan.place) throw new Error('nothing is placed');
  return plan.place;
};

describe('a depth of the maker’s own', () => {
  it('a tote’s motif 7 in below the top edge, not below the handle stitching', () => {
    const place = placed(measuredTicket('tote', 'clear-face', [90, 60]), {
      from: 'topEdge',
      part: 'top',
      mm: 7 * IN,
    });
    expect(boxOf(place.footprint).top).toBeCloseTo(7 * IN, 6);
    const words = place.marks.map((m) => say(m.text, INCHES)).join('\n');
    expect(words).toContain('From the top edge straight down 8 3/16 in');
    expect(say(place.reasons[0]?.text ?? [], INCHES)).toBe('Its top 7 in below the top edge, as you set it.');
  });

  it('a towel’s bottom from the band, or from the hem', () => {
    const towel = measuredTicket('bath-towel', 'above-border', [90, 60]);
    const band = placed(towel, { from: 'bandTopRight', part: 'bottom', mm: 50 });
    expect(boxOf(band.footprint).bottom).toBeCloseTo(-90 - 50, 6);
    const hem = placed(towel, { from: 'hem', part: 'bottom', mm: 200 });
    expect(boxOf(hem.footprint).bottom).toBeCloseTo(-200, 6);
    expect(hem.marks.map((m) => say(m.text, { system: 'mm' })).join(' ')).toContain(
      'From the end hem up 230 mm',
    );
  });

  it('an unknown landmark leaves the rule’s own depth, and so does a spot along a crease', () => {
    const towel = measuredTicket('bath-towel', 'above-border', [90, 60]);
    const rule = planTicket(towel, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).place;
    expect(placed(towel, { from: 'nowhere', part: 'top', mm: 10 }).centre).toEqual(rule?.centre);
    const corner = measuredTicket('napkin', 'corner-diagonal', [40, 30]);
    const found = planTicket(corner, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).place;
    expect(placed(corner, { from: 'farHem', part: 'top', mm: 10 }).centre).toEqual(found?.centre);
  });
});

it('every face of every kind has landmarks to measure from, each with a name, from the top down', () => {
  for (const id of PIECE_KIND_IDS) {
    const kind = PIECE_KINDS[id];
    for (const view of kind.views) {
      const readings = Object.fromEntries(kind.readings.map((r) => [r.id, r.typicalMm]));
      const found = depthLandmarks(kind, view, view.outlineOf(readings));
      expect(found.length).toBeGreaterThan(0);
      expect(new Set(found.map((d) => d.name)).size).toBe(found.length);
      const levels = found.map((d) => d.at.y);
      expect(levels).toEqual([...levels].sort((a, b) => a - b));
    }
  }
});
