import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import type { ShelfNoun } from '@zt/core/model/shelf';
import { type Ticket, TicketSchema } from '@zt/core/model/ticket';
import { newTicket } from '@zt/core/planner/newTicket';
import { planTicket } from '@zt/core/planner/plan';
import { frozenPlan } from '@zt/core/records/logbook/frozenPlan';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { sql } from 'drizzle-orm';
import { readConfig } from './config/config';
import { openStore } from './db/client';
import { openDrawings } from './demo/designs';
import { seedDemo } from './demo/seedDemo';
import { DEMO_SHELF } from './demo/shelf';
import { demoTickets } from './demo/tickets';
import { readBench } from './features/tickets/reader';
import { openTestApp, type TestApp } from './testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const saveTicket = (ticket: Ticket, rev = 0) => shop.put(`/api/tickets/${ticket.id}`, { ticket, rev });
const entryOf = (ticket: Ticket, id: string) => ({ id, ticket });

describe('tickets', () => {
  it('come back as they were saved', async () => {
    const saved = await saveTicket(exampleA());
    expect([saved.status, await saved.json()]).toEqual([200, { rev: 1, onBench: true }]);
    const kept = await (await shop.get(`/api/tickets/${exampleA().id}`)).json();
    expect(kept).toEqual({
      ticket: exampleA(),
      rev: 1,
      updatedAt: '2026-05-04T10:00:00.000Z',
      loggedAs: null,
      onBench: true,
    });
    expect(await shop.bench()).toHaveLength(1);
  });

  it('are never overwritten by a save that did not see the last one', async () => {
    await saveTicket(exampleA());
    await saveTicket({ ...exampleA(), name: 'second' }, 1);
    const late = await saveTicket({ ...exampleA(), name: 'late' }, 1);
    expect([late.status, await late.json()]).toEqual([
      409,
      { code: 'conflict', rev: 2, message: expect.stringContaining('Nothing was overwritten') },
    ]);
    const kept = await (await shop.get(`/api/tickets/${exampleA().id}`)).json();
    expect(kept.ticket.name).toBe('second');
  });

  it('take twenty saves at once: one wins each revision', async () => {
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, i) => saveTicket({ ...exampleA(), name: `try ${i}` })),
    );
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
    expect(answers.filter((a) => a.status === 409)).toHaveLength(19);
  });

  it('keep twenty different tickets saved at once', async () => {
    const tickets = Array.from({ length: 20 }, (_, i) => newTicket(`many-ticket-${i}`, 'bath-towel'));
    const answers = await Promise.all(tickets.map((t) => saveTicket(t)));
    expect(answers.every((a) => a.status === 200)).toBe(true);
    expect(await shop.bench()).toHaveLength(20);
  });

  it('name the field that cannot be read, and save nothing', async () => {
    const wrong = { ...exampleA(), piece: { ...exampleA().piece, colour: 'red' } };
    const answer = await shop.put(`/api/tickets/${wrong.id}`, { ticket: wrong, rev: 0 });
    const body = await answer.json();
    expect(answer.status).toBe(400);
    expect(body.issues[0].path).toBe('ticket.piece.colour');
    expect(body.message).toContain('Nothing was saved.');
    expect((await shop.get(`/api/tickets/${wrong.id}`)).status).toBe(404);
  });

  it('refuse a body that is no JSON, an address that names another, and one that is too large', async () => {
    expect((await shop.put('/api/tickets/ticket-example-a', '{ not json')).status).toBe(400);
    const other = await shop.put('/api/tickets/another-ticket', { ticket: exampleA(), rev: 0 });
    expect((await other.json()).code).toBe('wrong-id');
    const huge = await shop.put('/api/tickets/ticket-example-a', `"${'x'.repeat(9 * 1024 * 1024)}"`);
    expect([huge.status, (await huge.json()).code]).toEqual([413, 'too-large']);
  });

  it('are taken off the bench and put back', async () => {
    await saveTicket(exampleA());
    expect((await shop.remove(`/api/tickets/${exampleA().id}`)).status).toBe(200);
    expect(await shop.bench()).toEqual([]);
    expect((await shop.post(`/api/tickets/${exampleA().id}/restore`)).status).toBe(200);
    expect(await shop.bench()).toHaveLength(1);
    expect((await shop.remove('/api/tickets/no-such-ticket')).status).toBe(404);
  });

  it('are there after the shop is closed and opened again, in a file written ahead', async () => {
    await saveTicket(exampleA());
    const again = await openStore(shop.url, join(process.cwd(), 'server/src/db/migrations'), shop.access);
    expect((await readBench(again.db, {})).tickets).toHaveLength(1);
    expect(await again.db.get<{ journal_mode: string }>(sql`PRAGMA journal_mode`)).toEqual({
      journal_mode: 'wal',
    });
    await again.close();
  });
});

describe('the plan', () => {
  const plan = async (body: unknown) => (await shop.post('/api/plan', body)).json();

  it('works out example A inline: 102.0 and 193.4 mm, the smallest hoop, support that stays', async () => {
    const answer = await plan({ ticket: exampleA(), shelf: SAMPLE_SHELF });
    expect(answer.place.acrossMm).toBeCloseTo(102.0, 1);
    expect(answer.place.depthMm).toBeCloseTo(193.4, 1);
    expect(answer.place.centre.x).toBeGreaterThan(0);
    expect(answer.hoop.laid.verdict.hoop.name).toBe('100 × 100 screw hoop');
    expect(answer.layers.sheets).toEqual([
      { stabilizer: 'cut-away', where: 'in the ring', bond: 'sprayed', fastening: 'none' },
    ]);
    expect(answer.layers.parts.needle.choice.id).toBe('75-ballpoint');
    expect(answer.layers.parts.topper.choice.id).toBe('none');
    expect(answer.reasons.map((r: { about: string }) => r.about)).toEqual(
      expect.arrayContaining(['place', 'method', 'hoop', 'support', 'needle', 'mount', 'time']),
    );
  });

  it('works out example B by its id, with the shop’s shelf', async () => {
    for (const hoop of SAMPLE_SHELF.hoops) await shop.putItem('hoops', hoop);
    await saveTicket(exampleB());
    const answer = await plan({ ticketId: exampleB().id });
    expect(answer.place.centre).toEqual({ x: 0, y: -182.5 });
    expect(answer.hoop.method).toBe('floated');
    expect(answer.layers.sheets.map((s: { stabilizer: string }) => s.stabilizer)).toEqual([
      'tear-away-light-fusible',
      'tear-away-sticky',
    ]);
    expect(answer.layers.parts.topper.choice.id).toBe('soluble-film');
    const steps = answer.finish.steps.map((s: { id: string }) => s.id);
    expect(steps.indexOf('film')).toBeLessThan(steps.indexOf('tear-away'));
  });

  it('is the same plan as the app works out', async () => {
    const answer = await plan({ ticket: exampleA(), shelf: SAMPLE_SHELF, houseRules: DEFAULT_HOUSE_RULES });
    expect(answer).toEqual(frozenPlan(planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES)));
  });

  it('follows house rules given, refuses ones that there are not, and misses a ticket by name', async () => {
    const always = await plan({
      ticket: exampleA(),
      shelf: SAMPLE_SHELF,
      houseRules: { ...DEFAULT_HOUSE_RULES, schools: { topper: 'always' } },
    });
    expect(always.layers.parts.topper.choice.id).toBe('soluble-film');
    expect(
      (
        await shop.post('/api/plan', {
          ticket: exampleA(),
          houseRules: { ...DEFAULT_HOUSE_RULES, schools: { topper: 'maybe' } },
        })
      ).status,
    ).toBe(400);
    expect((await shop.post('/api/plan', { ticketId: 'no-such-ticket' })).status).toBe(404);
  });
});

describe('the shelf', () => {
  const [hoop] = SAMPLE_SHELF.hoops;
  if (!hoop) throw new Error('the sample shelf has hoops');

  it('keeps what is put on it, changes it, takes it off and has it back', async () => {
    expect((await shop.putItem('hoops', hoop)).status).toBe(200);
    await shop.putItem('hoops', { ...hoop, name: 'renamed' });
    expect((await (await shop.get('/api/shelf')).json()).hoops).toEqual([{ ...hoop, name: 'renamed' }]);
    await shop.takeOff('hoops', hoop.id);
    expect((await (await shop.get('/api/shelf')).json()).hoops).toEqual([]);
    await shop.putItem('hoops', hoop);
    expect((await (await shop.get('/api/shelf')).json()).hoops).toEqual([hoop]);
  });

  it.each<[ShelfNoun, object, string]>([
    ['hoops', { ...hoop, fieldWidthMm: -1 }, 'fieldWidthMm'],
    ['hoops', { ...hoop, bracket: 'above' }, 'bracket'],
    ['machines', { id: hoop.id, name: '' }, 'name'],
    ['threads', { id: hoop.id, name: 'red', hex: 'red' }, 'hex'],
  ])('refuses %s that cannot be: %#', async (noun, item, field) => {
    const answer = await shop.putItem(noun, item);
    expect(answer.status).toBe(400);
    expect((await answer.json()).issues.map((i: { path: string }) => i.path)).toContain(
      `put.0.item.${field}`,
    );
  });
});

describe('house rules', () => {
  it('are the defaults until they are saved', async () => {
    expect(await (await shop.get('/api/rules')).json()).toEqual(DEFAULT_HOUSE_RULES);
    const own = { ...DEFAULT_HOUSE_RULES, units: { system: 'mm' }, numbers: { leastClearanceMm: 12 } };
    await shop.put('/api/rules', { rules: own });
    expect(await (await shop.get('/api/rules')).json()).toEqual(own);
    expect((await shop.put('/api/rules', { rules: { ...own, units: { system: 'ells' } } })).status).toBe(400);
  });
});

describe('the logbook', () => {
  it('keeps an entry with its frozen plan, filters it, and takes it back', async () => {
    for (const hoop of SAMPLE_SHELF.hoops) await shop.putItem('hoops', hoop);
    await saveTicket(exampleA());
    await saveTicket(exampleB());
    const spoilt = { ...exampleB(), log: { ...exampleB().log, faults: { puckering: 3 } } };
    const added = await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'));
    expect(added.status).toBe(201);
    await shop.post('/api/logbook', entryOf(spoilt, 'entry-number-2'));
    const ids = async (query: string) =>
      (await (await shop.get(`/api/logbook${query}`)).json()).entries.map((e: { id: string }) => e.id);
    expect(await ids('')).toEqual(['entry-number-2', 'entry-number-1']);
    expect(await ids('?kind=t-shirt')).toEqual(['entry-number-1']);
    expect(await ids('?outcome=spoilt')).toEqual(['entry-number-2']);
    expect(await ids('?method=floated&fabricId=terry-towel')).toEqual(['entry-number-2']);
    expect(await ids('?method=floated&kind=t-shirt')).toEqual([]);
    expect((await shop.get('/api/logbook?kind=hat')).status).toBe(400);

    const entry = await (await shop.get('/api/logbook/entry-number-1')).json();
    expect(entry.ticket).toEqual(exampleA());
    expect(entry.plan.place.depthMm).toBeCloseTo(193.4, 1);
    const a = await (await shop.get(`/api/tickets/${exampleA().id}`)).json();
    expect(a.loggedAs).toBe('entry-number-1');
    await shop.remove('/api/logbook/entry-number-1');
    expect(await ids('')).toEqual(['entry-number-2']);
    expect((await shop.get('/api/logbook/entry-number-1')).status).toBe(404);
  });

  it('takes the same entry twice as once', async () => {
    await saveTicket(exampleA());
    await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'));
    expect((await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'))).status).toBe(201);
    expect(await shop.logged()).toHaveLength(1);
  });

  it('logs nothing for a ticket that was not saved', async () => {
    const answer = await shop.post('/api/logbook', entryOf(exampleA(), 'entry-number-1'));
    expect([answer.status, (await answer.json()).message]).toEqual([
      404,
      'Save the ticket before logging it: nothing was logged.',
    ]);
  });
});

describe('the interface’s own description', () => {
  it('names every route and the schema of a ticket', async () => {
    const document = await (await shop.get('/api/openapi.json')).json();
    expect(Object.keys(document.paths).sort()).toEqual(
      [
        '/api/backups',
        '/api/backups/{name}/restore',
        '/api/cutter',
        '/api/cutter/press',
        '/api/cutter/{run}',
        '/api/devices',
        '/api/devices/code',
        '/api/devices/me',
        '/api/devices/network',
        '/api/devices/pair',
        '/api/devices/{id}',
        '/api/customers',
        '/api/customers/{id}',
        '/api/customers/{id}/erase',
        '/api/drawings/{id}',
        '/api/drills',
        '/api/drills/{key}',
        '/api/export',
        '/api/export/schema',
        '/api/export/csv/{table}',
        '/api/history/{id}',
        '/api/history/{noun}/{id}',
        '/api/logbook',
        '/api/logbook/advice',
        '/api/logbook/pictures',
        '/api/logbook/{id}',
        '/api/logbook/{id}/entry.pdf',
        '/api/day',
        '/api/day/cutting.pdf',
        '/api/day/shopping.csv',
        '/api/orders',
        '/api/orders/{id}',
        '/api/orders/{id}/cost',
        '/api/orders/{id}/quote.pdf',
        '/api/orders/{id}/receipt.pdf',
        '/api/orders/{id}/restore',
        '/api/weeks',
        '/api/weeks/weeks.csv',
        '/api/searches',
        '/api/searches/{id}',
        '/api/paper/{id}/card.pdf',
        '/api/paper/{id}/label.pdf',
        '/api/paper/{id}/pattern.pdf',
        '/api/paper/{id}/preview.png',
        '/api/paper/{id}/ruler.pdf',
        '/api/paper/{id}/sheet.png',
        '/api/paper/{id}/sheet.svg',
        '/api/paper/{id}/template.pdf',
        '/api/paper/{id}/template.svg',
        '/api/paper/{id}/trace.svg',
        '/api/photos/{id}',
        '/api/plan',
        '/api/practice',
        '/api/practice/press',
        '/api/practice/{run}',
        '/api/set-aside',
        '/api/set-aside/{place}/{id}',
        '/api/set-aside/{place}/{id}/mend',
        '/api/set-aside/{place}/{id}/restore',
        '/api/rules',
        '/api/shelf',
        '/api/shelf/{id}/movements',
        '/api/tickets',
        '/api/tickets/{id}',
        '/api/tickets/{id}/restore',
      ].sort(),
    );
    expect(JSON.stringify(document.paths['/api/plan'])).toContain('fabricId');
  });

  it('answers an unknown address in words', async () => {
    const answer = await shop.get('/api/nowhere');
    expect([answer.status, (await answer.json()).code]).toEqual([404, 'not-found']);
  });
});

describe('the web app', () => {
  it('is served, and its own addresses lead to it', async () => {
    writeFileSync(join(shop.folder, 'index.html'), '<title>Bench</title>');
    writeFileSync(join(shop.folder, 'a.js'), 'let a;');
    expect(await (await shop.get('/a.js')).text()).toBe('let a;');
    expect(await (await shop.get('/ticket/some-ticket/place')).text()).toBe('<title>Bench</title>');
  });
});

describe('the demo', () => {
  it('is large enough, valid, and seeded once', async () => {
    await seedDemo(shop.context);
    await seedDemo(shop.context);
    const tickets = await shop.bench();
    expect(tickets.length).toBeGreaterThanOrEqual(8);
    for (const { ticket } of tickets) expect(TicketSchema.safeParse(ticket).error).toBeUndefined();
    expect(await shop.logged()).toHaveLength(20);
    const shelf = await (await shop.get('/api/shelf')).json();
    expect([shelf.hoops.length, shelf.machines.length, shelf.materials.length, shelf.threads.length]).toEqual(
      [10, 2, 12, 40],
    );
  });

  it('shows different stages, and trouble as well as peace', async () => {
    await openDrawings();
    const tickets = demoTickets(DEFAULT_HOUSE_RULES, new Date('2026-05-04'));
    const stages = new Set(tickets.map((t) => t.settled.length));
    expect(stages.size).toBeGreaterThanOrEqual(5);
    const worst = tickets.map(
      (t) => planTicket(t, DEMO_SHELF, DEFAULT_HOUSE_RULES).findings[0]?.severity ?? 'none',
    );
    expect(new Set(worst)).toEqual(new Set(['none', 'note', 'warn', 'next', 'stop']));
  });
});

describe('the configuration', () => {
  it('has defaults, takes a libSQL address, and names what it cannot read', () => {
    expect(readConfig({ ZT_DATA: 'libsql://shop.invalid' }).databaseUrl).toBe('libsql://shop.invalid');
    expect(readConfig({ ZT_DATA: `${shop.folder}/a/b.db`, PORT: '4600', ZT_DEMO: '1' })).toMatchObject({
      port: 4600,
      demo: true,
      databaseUrl: `file:${shop.folder}/a/b.db`,
    });
    expect(() => readConfig({ PORT: 'many' })).toThrow(/PORT/);
  });
});
