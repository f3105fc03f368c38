import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { PIECE_KIND_IDS, type PieceKindId } from '../../model/pieceKindIds';
import { SCHOOL_IDS, type SchoolOf } from '../../model/schoolIds';
import type { Ticket } from '../../model/ticket';
import { planTicket } from '../../planner/plan';
import { deckOf, jobSteps } from '../../table/deck/jobSteps';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { PIECE_KINDS } from './kinds';
import { blankTaken, canWait, isRead, usualAt, usualBlanks, usualTaken, withRead } from './usual';

const CASES = PIECE_KIND_IDS.flatMap((kind) =>
  PIECE_KINDS[kind].placements.flatMap(({ id, rule }) =>
    (rule.by.endsWith('chest') ? SCHOOL_IDS.chest : (['table'] as const)).map(
      (school): [PieceKindId, string, SchoolOf<'chest'>] => [kind, id, school],
    ),
  ),
);

const rulesOf = (chest: SchoolOf<'chest'>) => ({ ...DEFAULT_HOUSE_RULES, schools: { chest } });
const marksOf = (ticket: Ticket, school: SchoolOf<'chest'>) =>
  planTicket(ticket, SAMPLE_SHELF, rulesOf(school)).place?.marks.map(({ text, figure }) => ({
    text,
    figure,
  }));
const read = (ticket: Ticket, readings: Record<string, number>): Ticket => ({
  ...ticket,
  piece: { ...ticket.piece, readings },
});

describe.each(CASES)('%s, %s, by %s', (kind, placement, school) => {
  const ticket = measuredTicket(kind, placement, [60, 40]);
  const { readings } = ticket.piece;
  const { asked, later } = planTicket(ticket, SAMPLE_SHELF, rulesOf(school)).piece;

  it('lets wait only what the marks do without', () => {
    const marks = marksOf(ticket, school);
    for (const { id } of later)
      for (const factor of [0.97, 1.03])
        expect(marksOf(read(ticket, { ...readings, [id]: (readings[id] ?? 0) * factor }), school)).toEqual(
          marks,
        );
  });

  it('is marked alike before they are read, which is said in Piece and in Hoop', () => {
    const early = Object.entries(readings).filter(([id]) => !later.some((r) => r.id === id));
    const plan = planTicket(read(ticket, Object.fromEntries(early)), SAMPLE_SHELF, rulesOf(school));
    const isFirst = (id: string) => !later.some((r) => r.id === id);
    expect(asked.map(({ id }) => isFirst(id))).toEqual(
      asked
        .map(({ id }) => isFirst(id))
        .sort()
        .reverse(),
    );
    if (plan.piece.geometry === null) {
      // A usual length could not be right beside what was read: then it is asked for.
      expect(plan.findings.some((f) => f.code === 'reading-missing')).toBe(true);
      return;
    }
    expect(plan.place?.marks.map(({ text, figure }) => ({ text, figure }))).toEqual(marksOf(ticket, school));
    expect(plan.piece.assumed).toEqual(later.map(({ id }) => id));
    const said = plan.findings.map(({ code }) => code);
    expect(said.includes('readings-later')).toBe(later.length > 0);
    expect(said.includes('hoop-by-usual')).toBe(later.length > 0 && plan.hoop?.laid != null);
  });
});

it('asks for a waiting reading on the table between the marks and the ring', () => {
  const ticket = measuredTicket('t-shirt', 'left-chest', [80, 60]);
  const plan = planTicket(
    read(ticket, { chestWidth: ticket.piece.readings.chestWidth ?? 0 }),
    SAMPLE_SHELF,
    DEFAULT_HOUSE_RULES,
  );
  const { later } = plan.piece;
  const phases = jobSteps(plan, DEFAULT_HOUSE_RULES).map((s) => s.phase);
  expect(phases.filter((phase) => phase.startsWith('measure'))).toEqual([
    'measure',
    'measure',
    ...later.map(() => 'measure the rest'),
  ]);
  const steps = deckOf('hoop', plan, DEFAULT_HOUSE_RULES).filter((s) => s.reading !== null);
  expect(steps.map((s) => s.reading)).toEqual(['length', 'shoulder', 'armhole']);
  expect(steps.map((s) => s.figure)).toEqual([null, null, null]);
});

it('a depth from another landmark lets nothing wait', () => {
  const ticket = measuredTicket('t-shirt', 'left-chest', [80, 60]);
  const asked: Ticket = {
    ...ticket,
    place: { ...ticket.place, depth: { from: 'hem', part: 'bottom', mm: 200 } },
  };
  expect(planTicket(asked, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).piece.later).toEqual([]);
});

describe('usual blanks', () => {
  it.each(PIECE_KIND_IDS)('of %s lie within its bounds and agree with one another', (id) => {
    const kind = PIECE_KINDS[id];
    const blanks = usualBlanks(kind);
    expect(blanks.length).toBeGreaterThan(0);
    for (const { readings } of blanks) {
      for (const { id: reading, leastMm, mostMm, optional } of kind.readings) {
        if (optional) continue;
        expect(readings[reading]).toBeGreaterThanOrEqual(leastMm);
        expect(readings[reading]).toBeLessThanOrEqual(mostMm);
      }
      expect(kind.contradictions(readings)).toEqual([]);
    }
  });

  it('an adult M tee is 20 1/2 in across, each size wider and longer than the one before', () => {
    const blanks = usualBlanks(PIECE_KINDS['t-shirt']);
    const m = blanks.find(({ name }) => name === 'adult M');
    expect(m?.readings.chestWidth).toBeCloseTo(520.7, 6);
    const [widths, lengths] = [
      blanks.map((b) => b.readings.chestWidth ?? 0),
      blanks.map((b) => b.readings.length ?? 0),
    ];
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
    expect(lengths).toEqual([...lengths].sort((a, b) => a - b));
    const grow = (values: number[]) => (values.at(-1) ?? 0) / (values[0] ?? 1);
    expect(grow(lengths)).toBeLessThan(grow(widths));
  });

  it('what was taken as usual warns until each is read', () => {
    const { piece, ...rest } = measuredTicket('t-shirt', 'left-chest', [80, 60]);
    const assumed = { ...rest, piece: { ...piece, assumed: ['chestWidth'] } };
    const codes = (ticket: Ticket) =>
      planTicket(ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).findings.map(({ code }) => code);
    expect(codes(assumed)).toContain('readings-as-usual');
    expect(isRead(assumed.piece, 'chestWidth')).toBe(false);
    const taken = { ...assumed, piece: { ...assumed.piece, ...withRead(assumed.piece, 'chestWidth', 515) } };
    expect(codes(taken)).not.toContain('readings-as-usual');
    expect(isRead(taken.piece, 'chestWidth')).toBe(true);
  });
});

it('a usual size brings what the marks ask for, unread; a measured blank counts as read', () => {
  const { piece } = planTicket(
    measuredTicket('t-shirt', 'left-chest', [80, 60]),
    SAMPLE_SHELF,
    DEFAULT_HOUSE_RULES,
  );
  const [blank] = usualBlanks(PIECE_KINDS['t-shirt']);
  const taken = blank && usualTaken(blank, piece);
  expect(taken).toEqual({ readings: { chestWidth: blank?.readings.chestWidth }, assumed: ['chestWidth'] });
  const own = { readings: { chestWidth: 500 }, fabricId: 'jersey-tee', fabricChanges: {}, colour: '#112233' };
  expect(blankTaken(own)).toEqual({ ...own, assumed: [] });
});

it('at the usual reading all others are usual', () => {
  const { readings } = PIECE_KINDS['bath-towel'];
  expect(usualAt({ readings }, 'width', 680)).toEqual(
    Object.fromEntries(readings.map((r) => [r.id, r.typicalMm])),
  );
  const [length] = readings.filter(({ id }) => id === 'length');
  expect(length && canWait(length, { by: 'above-band', school: 'table' })).toBe(true);
  expect(length && canWait(length, { by: 'middle', school: 'table' })).toBe(false);
});
