import { DaySheetSchema, EMPTY_DAY } from '@zt/core/model/day';
import { DEFAULT_HOUSE_RULES, HouseRulesSchema } from '@zt/core/model/houseRules';
import { newOrder, OrderSchema } from '@zt/core/model/order';
import { PIECE_KIND_IDS } from '@zt/core/model/pieceKindIds';
import { SHELF_ITEMS, SHELF_NOUNS } from '@zt/core/model/shelf';
import { applyChange, type Ticket, TicketSchema } from '@zt/core/model/ticket';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { readSvg } from '@zt/core/stages/design/svg/readSvg';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { casesOf } from '@zt/core/testing/cases';
import { designed } from '@zt/core/testing/designed';
import { report } from '@zt/core/testing/report';
import { measuredTicket, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { toolsHere } from './compiled';
import { mutated, randomFrom } from './testing/fuzz';
import { openTestApp, type TestApp } from './testing/testApp';

const BODIES = Number(process.env.BODIES ?? casesOf(2000, 80));
let tickets: Ticket[] = [];
beforeAll(async () => {
  const setting = {
    figures: stitchFigures(DEFAULT_HOUSE_RULES),
    tools: await toolsHere(),
    cloth: '#ffffff',
    widthMm: null,
  };
  tickets = ticketsWith(readSvg(STAR, 'star.svg', setting));
});

const STAR =
  '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="60mm" viewBox="0 0 80 60"><path d="M40 2 52 58 2 20H78L28 58Z" fill="#1F3A5F"/><circle cx="20" cy="20" r="12" fill="#E0B33A"/></svg>';

/** Every kind at every place, some with a drawing, some with all that a ticket can hold. */
const ticketsWith = (star: ReturnType<typeof readSvg>): Ticket[] =>
  PIECE_KIND_IDS.flatMap((kind, k) =>
    PIECE_KINDS[kind].placements.map((p, i) => {
      const ticket = measuredTicket(kind, p.id, [60 + 7 * k, 50]);
      const drawn =
        star.ok && (k + i) % 2 === 0
          ? designed(ticket, { artwork: star.artwork, colours: star.colours })
          : ticket;
      const full = applyChange(drawn, {
        stage: 'mount',
        set: {
          readings: [
            { mark: 'centre', x: 2, y: 1 },
            { mark: 'left', x: -30, y: 1 },
            { mark: 'right', x: 30, y: 2 },
          ],
          obstacles: [{ kind: 'pin', x: 40, y: 3, turnDeg: 90 }],
        },
      });
      const sized = applyChange(full, {
        stage: 'piece',
        set: {
          sizes: [{ name: 'a', count: 2, readings: ticket.piece.readings }],
          evenness: [{ atMm: 100, leftMm: 250, rightMm: 252 }],
          grain: { overMm: 300, driftMm: 4 },
          sewing: { seam: 10 },
        },
      });
      const placed = applyChange(sized, {
        stage: 'place',
        set: { depth: i % 3 === 0 ? { from: 'hem', part: 'centre', mm: 200 } : null, edgeGapMm: 20 },
      });
      return applyChange(placed, { stage: 'hoop', set: { split: i % 2 === 0, shift: { x: 1, y: 1 } } });
    }),
  );

interface Sent {
  what: string;
  send: (shop: TestApp) => Promise<{ status: number }>;
}

const at = <T>(items: readonly T[], i: number): T => items[i % items.length] as T;

/** The requests of one round: the same seed, the same requests. */
function requestOf(i: number): Sent {
  const random = randomFrom(i);
  const ticket = at(tickets, i);
  const body = mutated(random, ticket, TicketSchema) as Ticket;
  const noun = at(SHELF_NOUNS, i);
  const shelf = { ...SAMPLE_SHELF };
  const item = shelf[noun][0] ?? { id: 'nothing-there', name: 'x' };
  const changedItem = mutated(random, item, SHELF_ITEMS[noun]);
  const rules = mutated(
    random,
    { ...DEFAULT_HOUSE_RULES, numbers: { edgeGapMm: 20, repeatGapMm: 10 } },
    HouseRulesSchema,
  );
  const paper = at(['template.pdf', 'ruler.pdf', 'template.svg', 'sheet.svg', 'sheet.png', 'trace.svg'], i);
  const kinds: (() => Sent)[] = [
    () => ({ what: 'plan', send: (shop) => shop.post('/api/plan', { ticket: body }) }),
    () => ({
      what: 'plan with shelf and rules',
      send: (shop) =>
        shop.post('/api/plan', {
          ticket: body,
          shelf: { ...shelf, [noun]: [changedItem] },
          houseRules: rules,
        }),
    }),
    () => ({
      what: `ticket and its ${paper}`,
      send: async (shop) => {
        const id = `fuzzed-ticket-${i}`;
        const saved = await shop.put(`/api/tickets/${id}`, { ticket: { ...body, id }, rev: 0 });
        if (saved.status >= 500) return saved;
        return shop.raw(`/api/paper/${id}/${paper}`);
      },
    }),
    () => ({ what: 'practice', send: (shop) => shop.put('/api/practice', { ticket: body }) }),
    () => ({
      what: 'log entry',
      send: async (shop) => {
        const id = `fuzzed-logged-${i}`;
        await shop.put(`/api/tickets/${id}`, { ticket: { ...body, id }, rev: 0 });
        const log = mutated(random, ticket.log, TicketSchema.shape.log);
        return shop.post('/api/logbook', { id: `fuzzed-entry-${i}`, ticket: { ...body, id, log } });
      },
    }),
    () => ({
      what: `shelf, ${noun}`,
      send: (shop) => shop.putItem(noun, changedItem),
    }),
    () => ({ what: 'rules', send: (shop) => shop.put('/api/rules', { rules }) }),
    () => ({
      what: 'day',
      send: async (shop) => {
        const stand = { at: 'machine' as const, hoop: 'hoop-number-a', run: 2, sinceMs: 1_796_000_000_000 };
        const base = { ...EMPTY_DAY, stands: { [`${ticket.id}:0:0`]: stand }, pinned: [`${ticket.id}:0:0`] };
        const saved = await shop.put('/api/day', { sheet: mutated(random, base, DaySheetSchema) });
        return saved.status >= 500 ? saved : shop.raw('/api/day');
      },
    }),
    () => ({
      what: 'order with its cost and quote',
      send: async (shop) => {
        const id = `fuzzed-order-${i}`;
        const base = { ...newOrder(id, 'Tees', '2026-05-04'), promisedMinor: 1250, brought: 'six' };
        const order = { ...(mutated(random, base, OrderSchema) as object), id };
        const saved = await shop.put(`/api/orders/${id}`, { order });
        if (saved.status >= 500) return saved;
        const ofOrder = { ...body, id: `fuzzed-ordered-${i}`, orderId: id };
        await shop.put(`/api/tickets/${ofOrder.id}`, { ticket: ofOrder, rev: 0 });
        const quote = await shop.raw(`/api/orders/${id}/quote.pdf`);
        return quote.status >= 500 ? quote : shop.raw(`/api/orders/${id}/cost`);
      },
    }),
    () => ({ what: 'no JSON', send: (shop) => shop.put(`/api/tickets/${ticket.id}`, `{"ticket":${i}`) }),
  ];
  return at(kinds, Math.floor(random() * 1000) + i)();
}

let shop: TestApp;
beforeAll(async () => {
  shop = await openTestApp();
  for (const noun of SHELF_NOUNS) for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
});
afterAll(() => shop.close());

it(
  `answers ${BODIES} requests that were tampered with: none fails, every page opens after`,
  async () => {
    const wrong: string[] = [];
    const answers = new Map<string, number>();
    for (let i = 0; i < BODIES; i++) {
      const sent = requestOf(i);
      const { status } = await sent.send(shop);
      answers.set(String(status), (answers.get(String(status)) ?? 0) + 1);
      if (status >= 500) wrong.push(`${i} ${sent.what}: ${status}`);
    }
    report(`${BODIES} tampered requests answered: ${[...answers].map(([s, n]) => `${n} × ${s}`).join(', ')}`);
    expect(wrong).toEqual([]);
    const PAGES = ['tickets', 'shelf', 'rules', 'logbook', 'set-aside', 'openapi.json'];
    for (const page of PAGES) expect([page, (await shop.get(`/api/${page}`)).status]).toEqual([page, 200]);
    expect(await (await shop.get('/api/set-aside')).json()).toEqual([]);
  },
  600_000 + 40 * BODIES,
);
