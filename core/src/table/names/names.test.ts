import fc from 'fast-check';
import { say } from '../../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, type Ticket, TicketSchema } from '../../model/ticket';
import { MOST_LETTERS, MOST_NAMES } from '../../model/ticket/designBounds';
import { makePlanner, planTicket } from '../../planner/plan';
import type { LettersSetting } from '../../stages/design/lettering/placedLetters';
import { named, plainSetting } from '../../testing/named';
import { measuredTicket, SAMPLE_SHELF } from '../../testing/samples';
import { grouped, partedFrom } from './grouping';
import { nameRun, totalOf } from './nameRun';
import { readNames } from './readNames';

const SHOP = { shelf: SAMPLE_SHELF, rules: DEFAULT_HOUSE_RULES };
const read = (text: string, sizes: readonly string[] = [], there = 0) => readNames(text, { sizes, there });
const textsOf = (text: string, sizes: readonly string[] = []) =>
  read(text, sizes).names.map((name) => (name.size ? `${name.text} on ${name.size}` : name.text));
const whys = (text: string, sizes: readonly string[] = [], there = 0) =>
  read(text, sizes, there).refused.map(({ line, why }) => `${line}: ${why}`);

describe('a list of names', () => {
  it('is a name a line, as it is typed or pasted', () => {
    expect(textsOf('\uFEFFAlma\r\n\r\n  Bo \nAnna   Katharina\n')).toEqual(['Alma', 'Bo', 'Anna Katharina']);
    expect(textsOf('Wiesen, Anna')).toEqual(['Wiesen, Anna']);
    expect(textsOf('')).toEqual([]);
  });

  it('is CSV with a heading, its columns in any order, as spreadsheets write it', () => {
    expect(textsOf('size;Name\nL;"Wiesen, Anna"\n;Bo', ['L'])).toEqual(['Wiesen, Anna on L', 'Bo']);
    expect(textsOf('Name\tSize\nAlma\tM', ['M'])).toEqual(['Alma on M']);
    expect(textsOf('name\nAlma')).toEqual(['Alma']);
  });

  it('takes a size without a heading where the order has it', () => {
    expect(textsOf('Alma, M\nBo, XXL', ['M'])).toEqual(['Alma on M', 'Bo, XXL']);
  });

  it('names each line that cannot be taken, with why, and takes the others', () => {
    const list = 'name,size\nAlma,M\n"Bo,M\n,M\nCid,XXL\nDora';
    expect(textsOf(list, ['M'])).toEqual(['Alma on M', 'Dora']);
    expect(whys(list, ['M'])).toEqual([
      '3: a quotation mark is opened and not closed',
      '4: there is no name on it',
      '5: the order has no size “XXL”; it has M',
    ]);
    expect(whys('name,size\nAlma,M')).toEqual(['2: the order has no sizes, and this is for “M”']);
    expect(read(list, ['M']).refused.map(({ text }) => text)).toEqual(['"Bo,M', ',M', 'Cid,XXL']);
  });

  it('takes no more letters and names than are kept', () => {
    const long = 'x'.repeat(MOST_LETTERS + 1);
    expect(whys(`Alma\n${long}`)).toEqual([
      `2: it has ${MOST_LETTERS + 1} letters; at most ${MOST_LETTERS} are set`,
    ]);
    expect(whys('Alma\nBo', [], MOST_NAMES - 1)).toEqual([`2: a ticket has at most ${MOST_NAMES} names`]);
  });

  it('never throws, and every line with something on it is taken or told', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme' })), fc.boolean(), (lines, hasHeading) => {
        const list = [...(hasHeading ? ['name,size'] : []), ...lines].join('\n');
        const { names, refused } = read(list, ['M']);
        const written = list.split(/\r\n|\r|\n/).filter((line) => line.trim() !== '').length;
        // Without a heading of ours the first line may be one of theirs.
        expect(written - names.length - refused.length).toBeGreaterThanOrEqual(0);
        expect(written - names.length - refused.length).toBeLessThanOrEqual(1);
        for (const { text } of names) expect(text.trim()).not.toBe('');
      }),
      { numRuns: 300 },
    );
  });
});

describe('an order of names', () => {
  let setting: LettersSetting;
  beforeAll(async () => {
    setting = await plainSetting();
  });
  const run = (texts: readonly string[], placement = 'corner') =>
    nameRun(named(measuredTicket('napkin', placement, [50, 12]), texts, { setting }), SHOP);

  it('has for each name what planning it alone gives', () => {
    for (const one of run(['Alma', 'Maximiliane', 'Bo'])) {
      const alone = planTicket(one.ticket, SAMPLE_SHELF, DEFAULT_HOUSE_RULES);
      expect(one.acrossMm).toBe(alone.place?.acrossMm);
      expect(one.depthMm).toBe(alone.place?.depthMm);
      expect(one.nameMm).toBeCloseTo(alone.design.facts?.widthMm ?? Number.NaN, 1);
    }
  });

  it('takes all the stitches of all of them', () => {
    const rows = run(['Alma', 'Maximiliane', 'Bo']);
    const total = totalOf(rows);
    const [first] = rows;
    expect(total.stitches).toBe(rows.reduce((sum, { stitches }) => sum + (stitches ?? 0), 0));
    const { stitch, design } = first?.plan ?? {};
    expect((stitch?.stitchings ?? 0) * (design?.facts?.stitches ?? 0)).toBeCloseTo(total.stitches, 3);
    expect(total.widestSetMm).toBe(Math.max(...rows.map(({ set }) => set?.widthMm ?? 0)));
    expect(rows.map((one) => one.isTooWide)).toEqual([false, false, false]);
  });

  it('says of one piece what is wrong with that one only', () => {
    const rows = run(['Bo', 'Alma', 'Maximiliane Theodora Wilhelmine von Wiesen und zum Steinbruch']);
    expect(rows[0]?.troubles).toEqual([]);
    expect((rows[2]?.troubles ?? []).map((text) => say(text, { system: 'mm' })).join(' ')).not.toBe('');
  });

  it('comes out the same where each name has a planner that remembers', () => {
    const ticket = named(measuredTicket('napkin', 'corner', [50, 12]), ['Alma', 'Bo'], { setting });
    const planners = new Map<string, ReturnType<typeof makePlanner>>();
    const plannerOf = (id: string) => {
      const planner = planners.get(id) ?? makePlanner();
      planners.set(id, planner);
      return planner;
    };
    const { names } = ticket.design;
    const done = names && { ...names, rows: names.rows.map((row) => ({ ...row, done: true })) };
    const next = { ...ticket, design: { ...ticket.design, names: done } };
    const before = nameRun(ticket, { ...SHOP, plannerOf });
    const after = nameRun(next, { ...SHOP, plannerOf });
    expect(after.map(({ plan }) => plan)).toEqual(nameRun(next, SHOP).map(({ plan }) => plan));
    // Nothing of it is worked out again.
    expect(after.map(({ plan }, i) => plan.hoop === before[i]?.plan.hoop)).toEqual([true, true]);
  });

  it('is empty without names', () => {
    expect(nameRun(measuredTicket('napkin', 'corner', [50, 12]), SHOP)).toEqual([]);
  });

  describe('in groups', () => {
    const order = (texts: readonly string[]) =>
      named(measuredTicket('napkin', 'centre', [50, 12]), texts, { setting });
    const found = (ticket: Ticket) =>
      grouped(ticket, nameRun(ticket, SHOP), { ...SHOP, plannerOf: () => planTicket });
    const NAMES = ['Bo', 'Bartholomew', 'Al', 'Jo'];

    it('each in the smallest hoop that takes it: what is saved is the difference of what is cut', () => {
      const ticket = order(NAMES);
      const groups = found(ticket);
      expect(groups?.groups.map(({ rows }) => rows.map(({ text }) => text))).toEqual([
        ['Bartholomew'],
        ['Bo', 'Al', 'Jo'],
      ]);
      // One sheet a piece, 25 mm past the ring on each side.
      const rings = new Map(
        SAMPLE_SHELF.hoops.map((h) => [h.id, (h.ringWidthMm + 50) * (h.ringHeightMm + 50)]),
      );
      const [large = 0, small = 0] = groups?.groups.map(({ hoop: { id } }) => rings.get(id) ?? 0) ?? [];
      expect(groups?.togetherMm2).toBeCloseTo(4 * large, 3);
      expect(groups?.savedMm2).toBeCloseTo(3 * (large - small), 3);
    });

    it('says nothing where one hoop is best for all', () => {
      expect(found(order(['Bo', 'Al']))).toBeNull();
      expect(found(order(['Bo']))).toBeNull();
    });

    it('a group gets a ticket of its own: no name is lost, none is there twice, and its hoop is the smaller one', () => {
      const ticket = order(NAMES);
      const [large, small] = found(ticket)?.groups ?? [];
      const parted = small && partedFrom(ticket, small, 'ticket-of-the-small');
      if (!parted || !large) throw new Error('no groups');
      const left = applyChange(ticket, parted.change);
      const texts = (t: Ticket) => t.design.names?.rows.map(({ text }) => text) ?? [];
      expect([...texts(left), ...texts(parted.ticket)].sort()).toEqual([...NAMES].sort());
      for (const one of [left, parted.ticket]) {
        expect(TicketSchema.parse(one)).toEqual(one);
        expect(Object.keys(one.design.nameSets).sort()).toEqual(
          (one.design.names?.rows ?? []).map(({ id }) => id).sort(),
        );
      }
      const hoopOf = (t: Ticket) => planTicket(t, SAMPLE_SHELF, DEFAULT_HOUSE_RULES).hoop?.laid?.verdict.hoop;
      expect(hoopOf(parted.ticket)?.id).toBe(small.hoop.id);
      expect(hoopOf(left)?.id).toBe(large.hoop.id);
    });
  });
});
