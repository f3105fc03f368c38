import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { fieldName, stageOfField } from '../../planner/fieldNames';
import { newTicket, withTodaysFields } from '../../planner/newTicket';
import { planTicket } from '../../planner/plan';
import { exampleA, SAMPLE_RULES, SAMPLE_SHELF } from '../../testing/samples';
import { applyMend } from '../finding';
import { HouseRulesSchema } from '../houseRules';
import { SHELF_ITEMS } from '../shelf';
import { admitted, applyChange, type Ticket, TicketSchema } from '../ticket';
import { allBounds, boundsAt, leafAt } from './bounds';
import { boundsInWords, readField } from './readField';
import { changedThing, followRows, keptUnread, withoutValue, withUnread } from './unread';

const IN = { system: 'in', denominator: 16 } as const;
const MM = { system: 'mm' } as const;
const bounds = (at: string) => {
  const found = boundsAt(TicketSchema, at);
  if (!found) throw new Error(`nothing is typed at ${at}`);
  return found;
};
const read = (text: string, at: string, units: typeof IN | typeof MM = IN) => {
  const reading = readField(text, bounds(at), units);
  if (reading.state === 'unread') return say(reading.why, units);
  return reading.state === 'read' ? reading.value : reading.state;
};

describe('the bounds of a field', () => {
  it('are those of the schema, through whatever says that it may be absent', () => {
    expect(bounds('mount.readings.0.x')).toEqual({
      kind: 'number',
      least: -600,
      most: 600,
      whole: false,
      isLength: true,
    });
    expect(bounds('design.parts.0.stitches')).toMatchObject({
      least: 1,
      most: 2_000_000,
      whole: true,
      isLength: false,
    });
    expect(bounds('hoop.methodWhy')).toEqual({ kind: 'text', least: 0, most: 300 });
    expect(bounds('due')).toEqual({ kind: 'day' });
    expect(bounds('blankMinor')).toEqual({ kind: 'money' });
    expect(bounds('piece.sewing.seam')).toMatchObject({ most: 5000 });
    expect(boundsAt(TicketSchema, 'piece.kind')).toBeNull();
    expect(boundsAt(TicketSchema, 'piece.nothing.there')).toBeNull();
    expect(boundsAt(TicketSchema, 'log.minutes.nostage')).toBeNull();
    expect(boundsAt(TicketSchema, 'toString')).toBeNull();
  });

  it('are finite for every figure and every text of ticket, shelf and rules', () => {
    const schemas = { ticket: TicketSchema, rules: HouseRulesSchema, ...SHELF_ITEMS };
    const open = Object.entries(schemas).flatMap(([thing, schema]) =>
      allBounds(schema).flatMap(([at, b]) =>
        b.kind === 'day' ||
        b.kind === 'money' ||
        (Number.isFinite(b.most) && (b.kind === 'written' || Number.isFinite(b.least)))
          ? []
          : [`${thing} ${at}`],
      ),
    );
    expect(open.filter((at) => !at.startsWith('ticket settledAs'))).toEqual([]);
  });
});

describe('a field', () => {
  it.each([
    ['30', 'mount.readings.0.x', '“30” was not taken: a length from 0 in to 23 5/8 in.'],
    ['20', 'design.parts.0.letterHeightMm', '“20” was not taken: a length from 1/32 in to 15 3/4 in.'],
    ['2026-02-31', 'due', '“2026-02-31” was not taken: a day, written 2026-12-24.'],
    ['2026-02-28', 'due', '2026-02-28'],
    ['4.2', 'blankMinor', 420],
    ['-4', 'blankMinor', '“-4” was not taken: An amount is written as 12.50.'],
    [
      'x'.repeat(301),
      'hoop.methodWhy',
      'at most 300 letters; 301 are typed. They stay here, and are not used.',
    ],
    [
      '2 000 001',
      'design.parts.0.stitches',
      '“2 000 001” was not taken: a whole number from 1 to 2 000 000.',
    ],
    ['12,5', 'design.scalePercent', 12.5],
    ['12.5', 'design.parts.0.stitches', '“12.5” was not taken: a whole number from 1 to 2 000 000.'],
    ['1e5', 'design.parts.0.stitches', '“1e5” was not taken: a whole number from 1 to 2 000 000.'],
    ['many', 'design.parts.0.stitches', '“many” was not taken: a whole number from 1 to 2 000 000.'],
    ['', 'design.parts.0.stitches', 'empty'],
    ['44.2 mm', 'piece.readings.length', 44.2],
  ])('reads %s at %s', (text, at, value) => {
    expect(read(text, at)).toEqual(value);
  });

  it('is complete once the unit is written, and not before', () => {
    const complete = (text: string) => {
      const reading = readField(text, bounds('piece.readings.length'), IN);
      return reading.state === 'read' && reading.complete;
    };
    expect(['4', '44', '44.', '44.2', '44.2 ', '7 1/2', '7½'].map(complete)).toEqual(Array(7).fill(false));
    expect(['44.2 mm', '7 1/2 in', '7½"', '19cm'].map(complete)).toEqual(Array(4).fill(true));
  });

  it('takes just what its schema takes, figure by figure', () => {
    const figures = allBounds(TicketSchema).filter(
      ([at, b]) => b.kind === 'number' && !at.includes('settled'),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...figures),
        fc.double({ min: -20_000, max: 3_000_000, noNaN: true }),
        ([, b], raw) => {
          if (b.kind !== 'number') return;
          const figure = b.isLength ? Math.abs(raw) : raw;
          const text = figure.toFixed(3);
          const value = Number(text);
          const least = b.isLength ? Math.max(0, b.least) : b.least;
          const most = b.isLength && b.least < 0 ? Math.max(b.most, -b.least) : b.most;
          const fits = value >= least && value <= most && (!b.whole || Number.isInteger(value));
          expect(readField(text, b, MM).state === 'read').toBe(fits);
        },
      ),
      { numRuns: 500 },
    );
  });

  it('says its bounds in the units shown', () => {
    expect(say(boundsInWords(bounds('place.offset.x')), MM)).toBe('a length from 0 mm to 10000 mm');
    expect(say(boundsInWords({ kind: 'text', least: 1, most: 120 }), MM)).toBe('1 to 120 letters');
  });
});

describe('an unread text', () => {
  const kept = (ticket: Ticket, at: string, text: string) => keptUnread(TicketSchema, ticket, { at, text });

  it('stands with the ticket, its field left empty where it may be', () => {
    const ticket = kept(exampleA(), 'piece.readings.length', 'two feet');
    expect(ticket.unread).toEqual({ 'piece.readings.length': 'two feet' });
    expect('length' in ticket.piece.readings).toBe(false);
    expect(kept(exampleA(), 'design.parts.0.widthMm', 'x').design.parts[0]?.widthMm).toBeNull();
    expect(kept(exampleA(), 'design.scalePercent', 'x').design.scalePercent).toBe(100);
    expect(TicketSchema.safeParse(ticket).error).toBeUndefined();
  });

  it('is in the way when a figure is wanted, and a warning for words; leaving it out ends it', () => {
    const figure = kept(exampleA(), 'place.edgeGapMm', '9 miles');
    const words = kept(figure, 'log.note', 'x'.repeat(5000));
    const found = () =>
      planTicket(words, SAMPLE_SHELF, SAMPLE_RULES).findings.filter((f) => f.code === 'unread');
    expect(found().map((f) => [f.stage, f.severity])).toEqual([
      ['place', 'stop'],
      ['log', 'warn'],
    ]);
    const results = found().flatMap((f) => f.mends.map((m) => say(m.result, MM)));
    expect(results).toEqual(['gap from the edge is left empty', 'note keeps the value it has']);
    const mended = found()
      .flatMap((f) => f.mends)
      .reduce<Ticket>(applyMend, words);
    expect(mended.unread).toEqual({});
    expect(planTicket(mended, SAMPLE_SHELF, SAMPLE_RULES).findings.some((f) => f.code === 'unread')).toBe(
      false,
    );
  });

  it('is let go when its field gets a value, and goes with its row', () => {
    const set = (ticket: Ticket, sizes: Ticket['piece']['sizes']) =>
      applyChange(ticket, { stage: 'piece', set: { sizes } });
    const sizes = ['a', 'b', 'c'].map((name) => ({ name, count: 1, readings: {} }));
    const ticket = kept(set(exampleA(), sizes), 'piece.sizes.1.readings.length', 'x');
    const [a, b, c] = ticket.piece.sizes;
    if (!a || !b || !c) throw new Error('three sizes were put');
    expect(Object.keys(set(ticket, [b, c]).unread)).toEqual(['piece.sizes.0.readings.length']);
    expect(Object.keys(set(ticket, [c, a, b]).unread)).toEqual(['piece.sizes.2.readings.length']);
    expect(set(ticket, [a, c]).unread).toEqual({});
    expect(Object.keys(set(ticket, [a, { ...b, name: 'bb' }, c]).unread)).toEqual([
      'piece.sizes.1.readings.length',
    ]);
    expect(set(ticket, [a, { ...b, readings: { length: 5 } }, c]).unread).toEqual({});
    const taken = applyChange(ticket, {
      stage: 'piece',
      set: {},
      unread: { 'piece.sizes.1.readings.length': '' },
    });
    expect(taken.unread).toEqual({});
  });

  it('of an older ticket comes along', () => {
    const bare = newTicket('an-old-ticket', 't-shirt');
    const old = { ...bare, unread: undefined, piece: { ...bare.piece, unread: { length: 'two feet' } } };
    expect(withTodaysFields(old as unknown as Ticket).unread).toEqual({
      'piece.readings.length': 'two feet',
    });
  });

  it('has bounds of its own', () => {
    const many = Array.from({ length: 700 }, (_, i) => `piece.readings.r${i}`);
    const unread = many.reduce((texts, at) => withUnread(texts, at, 'x'.repeat(30_000)), {});
    expect(TicketSchema.safeParse({ ...exampleA(), unread }).error).toBeUndefined();
    expect(withoutValue(TicketSchema, exampleA(), 'piece.nothing.there')).toEqual(exampleA());
    expect(followRows({}, exampleA(), null)).toEqual({});
  });

  it('of a shelf item goes with its rows too', () => {
    const loose = [1, 2].map((count) => ({ widthMm: 100, heightMm: 100, count }));
    const roll = { ...SAMPLE_SHELF.materials[0], loose, unread: { 'loose.1.count': 'two' } } as never;
    const after = changedThing(roll, { ...(roll as object), loose: [loose[1]] } as never, null);
    expect((after as { unread: object }).unread).toEqual({ 'loose.0.count': 'two' });
  });
});

it('a change past its bounds is taken without what is refused, and says what', () => {
  const { change, refused } = admitted({ stage: 'hoop', set: { part: 64, methodWhy: 'so' } });
  expect(change.set).toEqual({ methodWhy: 'so' });
  expect(refused.map((r) => r.at)).toEqual(['hoop.part']);
});

it('every typed field of a ticket has a name in words and a stage', () => {
  const odd = allBounds(TicketSchema)
    .filter(([at]) => !/^(settled|unread|id$|design.artwork)/.test(at))
    .map(([at]) => at.replace('readings.*', 'readings.length').replace('sewing.*', 'sewing.seam'))
    .map((at) => at.replaceAll('*', '0'))
    .filter((at) => !/^[a-z][a-z0-9 ,/%²]*$/.test(fieldName(at, exampleA())) || !stageOfField(at));
  expect(odd).toEqual([]);
});

describe('what is written in one way of its own', () => {
  const rules = (at: string) => {
    const bounds = boundsAt(HouseRulesSchema, at);
    if (!bounds) throw new Error(`something is typed at ${at}`);
    return (text: string) => readField(text, bounds, { system: 'mm' }).state;
  };

  it.each([
    ['currency', ['JPY', 'EUR'], ['yen', 'eur', '', 'JPYX']],
    ['hours.week.Friday', ['', 'closed', '9–17', '22:00–2:00'], ['nine to five', '9', '9–25']],
    ['hours.zone', ['', 'Europe/Lisbon'], ['Lisbon upon Sea']],
    ['hours.closed', ['', '2026-12-24, 2026-12-31'], ['24.12.']],
  ])('%s is taken exactly where the server takes it', (at, taken, refused) => {
    const schema = leafAt(HouseRulesSchema, at)?.schema;
    for (const text of [...taken, ...refused])
      expect([at, text, rules(at)(text) === 'read']).toEqual([at, text, schema?.safeParse(text).success]);
    expect(taken.map(rules(at)).every((state) => state === 'read')).toBe(true);
    expect(refused.map(rules(at)).every((state) => state === 'unread')).toBe(true);
  });
});
