import fc from 'fast-check';
import { say } from '../base/units/phrase';
import { STAGES } from '../model/stages';
import { type Ticket, TicketSchema } from '../model/ticket';
import { USUAL_LETTERING } from '../model/ticket/lettering';
import type { Names } from '../model/ticket/names';
import { EMPTY_PART, FIRST_PART, type Part } from '../model/ticket/part';
import { planTicket } from '../planner/plan';
import { setLetters } from '../stages/design/lettering/setLetters';
import { withName } from '../stages/design/names/rows';
import { designed } from '../testing/designed';
import { named, plainSetting } from '../testing/named';
import { rowOfName } from '../testing/rowOfName';
import { exampleA, SAMPLE_RULES, SAMPLE_SHELF } from '../testing/samples';
import { variedJob } from '../testing/variedTickets';
import { offeredInWords } from './inWords';
import { mergeTickets } from './mergeTickets';
import { offerLeft, offerTaken } from './offers';

const WHO = { by: 'a phone', when: '2026-05-04T10:00:00.000Z' };
const BASE = exampleA();
const MM = { system: 'mm' } as const;
const merge = (mine: Ticket, theirs: Ticket) => mergeTickets({ base: BASE, mine, theirs }, WHO);
const onlyOffer = (ticket: Ticket): string => Object.keys(ticket.offers)[0] ?? '';

it('whatever two devices make of a ticket can be saved, and so can what is said of each offer', () => {
  const stages = fc.subarray([...STAGES]);
  fc.assert(
    fc.property(fc.nat(2000), fc.nat(2000), stages, stages, (m, t, mineIn, theirsIn) => {
      const [one, other] = [variedJob(m).ticket, variedJob(t).ticket];
      const taking = (from: Ticket, which: readonly string[]): Ticket =>
        ({ ...BASE, ...Object.fromEntries(which.map((stage) => [stage, from[stage as 'piece']])) }) as Ticket;
      const merged = merge(taking(one, mineIn), taking(other, theirsIn));
      expect(TicketSchema.safeParse(merged).error).toBeUndefined();
      expect(() => planTicket(merged, SAMPLE_SHELF, SAMPLE_RULES)).not.toThrow();
      for (const id of Object.keys(merged.offers))
        expect(TicketSchema.safeParse(offerLeft(merged, id)).error).toBeUndefined();
      if (mineIn.every((stage) => !theirsIn.includes(stage))) expect(merged.offers).toEqual({});
    }),
    { numRuns: 100 },
  );
});

it('stages settled on either device are settled, one taken back is not, and nothing is asked', () => {
  const base = { ...BASE, settled: ['piece', 'design'] } satisfies Ticket;
  const three = {
    base,
    mine: { ...base, settled: ['piece', 'design', 'place'] } satisfies Ticket,
    theirs: { ...base, settled: ['piece', 'hoop'] } satisfies Ticket,
  };
  expect(mergeTickets(three, WHO)).toMatchObject({ settled: ['piece', 'hoop', 'place'], offers: {} });
});

it('parts put in another order on one device stay so, whatever another device makes of one of them', () => {
  const parts = ['the-crest', 'the-name', 'the-year'].map((id) => ({ ...EMPTY_PART, id, widthMm: 40 }));
  const of = (...next: Part[]): Ticket => ({ ...BASE, design: { ...BASE.design, parts: next } });
  const [crest = EMPTY_PART, name = EMPTY_PART, year = EMPTY_PART] = parts;
  const wider = { ...name, widthMm: 55 };
  const [moved, widened] = [of(year, crest, name), of(crest, wider, year)];
  for (const [mine, theirs] of [
    [moved, widened],
    [widened, moved],
  ] as const) {
    const merged = mergeTickets({ base: of(crest, name, year), mine, theirs }, WHO);
    expect(merged.design.parts).toEqual([year, crest, wider]);
    expect(merged.offers).toEqual({});
  }
  const bow = { ...EMPTY_PART, id: 'the-bow-below', widthMm: 20 };
  const added = mergeTickets(
    { base: of(crest, name, year), mine: moved, theirs: of(crest, name, year, bow) },
    WHO,
  );
  expect(added.design.parts).toEqual([year, crest, name, bow]);
});

it('names that are made at two tables are ticked by both, and each name changed is changed', () => {
  const rows = ['Alma', 'Bo', 'Cid'].map(rowOfName);
  const names = { part: FIRST_PART, allowedMm: null, onTable: 'row-of-name-0', rows };
  const of = (next: Names): Ticket => ({ ...BASE, design: { ...BASE.design, names: next } });
  const done = (id: string) => withName(names, id, { done: true });
  const three = {
    base: of(names),
    mine: of(withName(done('row-of-name-0'), 'row-of-name-2', { text: 'Cyd' })),
    theirs: of(done('row-of-name-1')),
  };
  const merged = mergeTickets(three, WHO);
  expect(merged.design.names?.rows.map(({ text, done: isDone }) => [text, isDone])).toEqual([
    ['Alma', true],
    ['Bo', true],
    ['Cyd', false],
  ]);
  expect(merged.offers).toEqual({});
});

it('letters that were retyped on two devices are asked about once: what is made of them is not', async () => {
  const setting = await plainSetting();
  const typed = (text: string, capMm = 12): Ticket => {
    const letters = { ...USUAL_LETTERING, text, capMm };
    const set = setLetters(letters, setting);
    if (!set.ok) throw new Error('plain letters can be set');
    const { ok: _, ...made } = set;
    return designed(BASE, { letters, ...made });
  };
  const three = { base: typed('Anna'), mine: typed('Anne'), theirs: typed('Hannah', 14) };
  const merged = mergeTickets(three, WHO);
  expect(
    Object.values(merged.offers).map(({ at, value }) => [at.split('.').slice(-2).join('.'), value]),
  ).toEqual([['letters.text', 'Anne']]);
  const own = (ticket: Ticket) => {
    const { artwork, widthMm, heightMm, stitches } = ticket.design.parts[0] ?? EMPTY_PART;
    return { artwork, widthMm, heightMm, stitches };
  };
  expect(own(merged)).toEqual(own(three.theirs));
  // What only one of them set again is taken whole.
  const grown = mergeTickets({ ...three, theirs: { ...three.base, name: 'Another name' } }, WHO);
  expect(own(grown)).toEqual(own(three.mine));
});

it('settings of names are never asked about, and stay whole', async () => {
  const setting = await plainSetting();
  const of = (...texts: string[]) => named(BASE, texts, { setting });
  const merged = mergeTickets(
    { base: of('Alma', 'Bo'), mine: of('Alma', 'Bob'), theirs: of('Elma', 'Bo') },
    WHO,
  );
  expect(merged.design.names?.rows.map(({ text }) => text)).toEqual(['Elma', 'Bob']);
  expect(merged.offers).toEqual({});
  const both = mergeTickets({ base: of('Alma'), mine: of('Elma'), theirs: of('Ulma') }, WHO);
  expect(Object.values(both.offers).map(({ value }) => value)).toEqual(['Elma']);
  expect(both.design.nameSets).toEqual(of('Ulma').design.nameSets);
});

it('what the stitches of a design come to is never asked about, and stays whole', () => {
  const of = (madeFrom: string, fill: number, name = BASE.name): Ticket => ({
    ...BASE,
    name,
    design: {
      ...BASE.design,
      made: {
        madeFrom,
        stops: [
          {
            part: FIRST_PART,
            stop: 0,
            step: null,
            fill,
            satin: 0,
            other: 9,
            threadMm: 100,
            trims: 1,
            jumps: 0,
          },
        ],
        mostCover: 3,
        spots: [],
        thinned: {},
        onTop: null,
      },
    },
  });
  const both = mergeTickets({ base: BASE, mine: of('a', 100), theirs: of('b', 250) }, WHO);
  expect(both.design.made).toEqual(of('b', 250).design.made);
  expect(both.offers).toEqual({});
  const alone = mergeTickets({ base: BASE, mine: of('a', 100), theirs: { ...BASE, name: 'Another' } }, WHO);
  expect([alone.design.made, alone.name]).toEqual([of('a', 100).design.made, 'Another']);
});

it('a length is offered in the units of who reads, found at its stage, and gone once it is settled', () => {
  const at = (widthMm: number): Ticket => designed(BASE, { widthMm });
  const merged = merge(at(85), at(90));
  const id = onlyOffer(merged);
  const offer = merged.offers[id];
  const words = offer && offeredInWords(TicketSchema, merged, offer, '10:00');
  expect(say(words?.stands ?? [], MM)).toBe('Here stands 90 mm.');
  expect(say(words?.offered ?? [], MM)).toBe('From a phone, 10:00: 85 mm.');
  const said = (ticket: Ticket) =>
    planTicket(ticket, SAMPLE_SHELF, SAMPLE_RULES)
      .findings.filter(({ code }) => code === 'offered')
      .map(({ stage, field, text }) => [stage, field, say(text, MM)]);
  expect(said(merged)).toEqual([
    ['design', id, 'design width was changed on two devices: say which is right.'],
  ]);
  expect([offerTaken(merged, id).design.parts[0]?.widthMm, said(offerTaken(merged, id))]).toEqual([85, []]);
  expect([offerLeft(merged, id).design.parts[0]?.widthMm, said(offerLeft(merged, id))]).toEqual([90, []]);
});

it('texts that could not be taken are offered too, by the field they stand in', () => {
  const typed = (text: string): Ticket => ({ ...BASE, unread: { 'place.edgeGapMm': text } });
  const merged = merge(typed('about two'), typed('some'));
  const taken = offerTaken(merged, onlyOffer(merged));
  expect(taken.unread).toEqual({ 'place.edgeGapMm': 'about two' });
  expect(TicketSchema.safeParse(taken).error).toBeUndefined();
});
