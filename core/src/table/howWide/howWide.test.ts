import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { EMPTY_SHELF } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import { newTicket } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import { designed } from '../../testing/designed';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { possibleWidths, widestAtPlace } from './howWide';

const MM = { system: 'mm', denominator: 16 } as const;
const RULES = DEFAULT_HOUSE_RULES;
const { hoops } = SAMPLE_SHELF;
const bare = (ticket: Ticket) => designed(ticket, { widthMm: null, heightMm: null, artwork: null });

describe('widths for a drawing of no size', () => {
  it('fill a hoop’s field and lie in it, corners too', () => {
    const unmeasured = newTicket('unmeasured', 't-shirt');
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 5, noNaN: true }), (upright) => {
        for (const { mm, why } of possibleWidths(upright, unmeasured, SAMPLE_SHELF, RULES)) {
          const hoop = hoops.find(({ name }) => say(why, MM) === `fills ${name}`);
          if (!hoop) throw new Error(say(why, MM));
          const height = mm * upright;
          expect(mm).toBeLessThanOrEqual(hoop.fieldWidthMm);
          expect(height).toBeLessThanOrEqual(hoop.fieldHeightMm);
          if (hoop.round) expect(Math.hypot(mm, height)).toBeLessThanOrEqual(hoop.fieldWidthMm);
        }
      }),
      { numRuns: 40 },
    );
  });

  it.each([
    ['tea-towel', 'middle-third', 0.6],
    ['bib', 'bib-middle', 1],
    ['work-jacket', 'full-back', 0.5],
  ] as const)(
    'at %s, %s: the most that fits brings no complaint, one millimetre more does',
    (kind, place, upright) => {
      const ticket = measuredTicket(kind, place, [30, 30 * upright]);
      const most = widestAtPlace(upright, [ticket, SAMPLE_SHELF, RULES]);
      if (most === null) throw new Error('nothing fits there');
      const complaints = (mm: number) => {
        const set = { widthMm: mm, heightMm: mm * upright };
        const { place: planned } = planTicket(designed(ticket, set), SAMPLE_SHELF, RULES);
        return (planned?.findings ?? [])
          .filter(({ severity }) => severity !== 'note')
          .map(({ code }) => code);
      };
      expect(complaints(most)).toEqual(complaints(6));
      expect(complaints(most + 1).length).toBeGreaterThan(complaints(6).length);
      const offered = possibleWidths(upright, bare(ticket), SAMPLE_SHELF, RULES).map(({ mm }) => mm);
      expect(offered[0]).toBe(most);
      expect(Math.max(...offered)).toBe(most);
    },
  );

  it('are each offered once, what the design has now first, and none without a hoop, readings or a size', () => {
    const now = possibleWidths(51 / 88, exampleA(), SAMPLE_SHELF, RULES);
    expect(now[0]).toMatchObject({ mm: 88 });
    expect(new Set(now.map(({ mm }) => mm)).size).toBe(now.length);
    expect(possibleWidths(1, newTicket('unmeasured', 't-shirt'), EMPTY_SHELF, RULES)).toEqual([]);
  });
});
