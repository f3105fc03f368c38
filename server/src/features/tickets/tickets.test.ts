import type { Ticket } from '@zt/core/model/ticket';
import { newTicket } from '@zt/core/planner/newTicket';
import { designed } from '@zt/core/testing/designed';
import { openTestApp, type TestApp } from '../../testing/testApp';

let app: TestApp;
beforeEach(async () => {
  app = await openTestApp();
});
afterEach(() => app.close());

const FIRST = newTicket('ticket-1', 't-shirt');
const save = (body: object) => app.put('/api/tickets/ticket-1', body);
const sending = (device: string, id: string) => ({ device: `device-${device}`, id, name: `the ${device}` });
const read = async (): Promise<Ticket> => (await (await app.get('/api/tickets/ticket-1')).json()).ticket;
const wide = (ticket: Ticket, widthMm: number): Ticket => designed(ticket, { widthMm });
const widthOf = ({ design }: Ticket) => design.parts[0]?.widthMm;

describe('two devices on one ticket', () => {
  beforeEach(() => save({ ticket: FIRST, rev: 0 }));

  it('has both when they changed different fields', async () => {
    await save({ ticket: wide(FIRST, 80), rev: 1 });
    const other = { ...FIRST, name: 'Oars' };
    const answer = await save({ ticket: other, rev: 1, base: FIRST });
    expect(answer.status).toBe(200);
    expect(await answer.json()).toMatchObject({
      rev: 3,
      ticket: { name: 'Oars', design: { parts: [{ widthMm: 80 }] }, offers: {} },
    });
    expect(await read()).toMatchObject({ name: 'Oars', design: { parts: [{ widthMm: 80 }] } });
  });

  it('offers one value beside the other when they changed one field, with who and when', async () => {
    await save({ ticket: wide(FIRST, 80), rev: 1 });
    await save({ ticket: wide(FIRST, 90), rev: 1, base: FIRST, sending: sending('phone', 'sending-1') });
    const kept = await read();
    expect(widthOf(kept)).toBe(80);
    expect(Object.values(kept.offers)).toEqual([
      {
        at: 'design.parts.first-part.widthMm',
        value: 90,
        by: 'the phone',
        when: expect.stringMatching(/^2026-05-04T10:/),
      },
    ]);
  });

  it('refuses a late save that does not say what it was made from, and overwrites nothing', async () => {
    await save({ ticket: wide(FIRST, 80), rev: 1 });
    expect((await save({ ticket: wide(FIRST, 90), rev: 1 })).status).toBe(409);
    expect(widthOf(await read())).toBe(80);
  });

  it('takes a late save of just what is kept for what it is, and saves one whose ticket is gone', async () => {
    await save({ ticket: wide(FIRST, 80), rev: 1 });
    expect(await (await save({ ticket: wide(FIRST, 80), rev: 1 })).json()).toMatchObject({ rev: 2 });
    const lost = newTicket('ticket-lost', 't-shirt');
    const put = (body: object) => app.put('/api/tickets/ticket-lost', body);
    expect((await put({ ticket: lost, rev: 4 })).status).toBe(409);
    expect(await (await put({ ticket: lost, rev: 4, base: lost })).json()).toMatchObject({ rev: 1 });
    expect((await app.get('/api/tickets/ticket-lost')).status).toBe(200);
  });

  it('takes a sending once, however often it comes', async () => {
    const sent = { ticket: wide(FIRST, 80), rev: 1, sending: sending('phone', 'sending-1') };
    expect(await (await save(sent)).json()).toEqual({ rev: 2, onBench: true });
    await save({ ticket: wide(FIRST, 70), rev: 2 });
    expect(await (await save(sent)).json()).toMatchObject({
      rev: 3,
      ticket: { design: { parts: [{ widthMm: 70 }] } },
    });
    expect((await read()).offers).toEqual({});
  });

  it('tells open pages which ticket was changed, and by which device', async () => {
    const told: unknown[] = [];
    const end = app.context.changes.listen((change) => told.push(change));
    await save({ ticket: wide(FIRST, 80), rev: 1, sending: sending('phone', 'sending-1') });
    await app.remove('/api/shelf/threads/none');
    end();
    await app.post('/api/tickets/ticket-1/restore');
    expect(told).toEqual([{ noun: 'ticket', id: 'ticket-1', rev: 2, device: 'device-phone' }]);
  });
});

it('what changes is told as it happens, and a page that left is told no more', async () => {
  const left = new AbortController();
  const response = await app.raw('/api/changes', {}, left.signal);
  const reader = (response.body as ReadableStream<Uint8Array>).getReader();
  const next = async () => new TextDecoder().decode((await reader.read()).value);
  expect(await next()).toContain('event: listening');
  await app.put('/api/tickets/ticket-1', { ticket: FIRST, rev: 0 });
  expect(await next()).toContain('{"noun":"ticket","id":"ticket-1","rev":1,"device":null}');
  await reader.cancel();
  expect(app.context.changes.listeners).toBe(0);
});
