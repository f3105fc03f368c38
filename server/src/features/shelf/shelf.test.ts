import type { Ticket } from '@zt/core/model/ticket';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { shelfItems } from '../../db/schema/shelfItems';
import { tickets } from '../../db/schema/tickets';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

describe('what the shop keeps for the next time', () => {
  it('holds blanks, placements and cloths of its own beside what it owns', async () => {
    const { piece } = exampleA();
    const { kind, fabricId, fabricChanges, colour, readings } = piece;
    const blank = { id: 'blank-our-tee', name: 'our tee', kind, fabricId, fabricChanges, colour, readings };
    expect((await shop.putItem('blanks', blank)).status).toBe(200);
    const own = {
      id: 'place-club',
      name: 'Our club chest',
      base: 'left-chest',
      offset: { x: 5, y: 0 },
      turnDeg: 0,
      atWidthMm: 520,
      school: null,
    };
    expect((await shop.putItem('placements', own)).status).toBe(200);
    const shelf = await (await shop.get('/api/shelf')).json();
    expect(shelf.blanks).toEqual([blank]);
    expect(shelf.placements).toEqual([own]);
    const wrong = await shop.putItem('placements', { ...own, atWidthMm: 0 });
    expect([wrong.status, (await wrong.json()).issues[0].path]).toEqual([400, 'put.0.item.atWidthMm']);
  });

  it('a placement of the shop’s own grows with the width it was made at', async () => {
    const own = {
      id: 'place-club',
      name: 'Our club chest',
      base: 'left-chest',
      offset: { x: 20, y: 10 },
      turnDeg: 0,
      atWidthMm: 520.7 / 2,
      school: null,
    };
    const ask = (placement: string) => ({
      ticket: { ...exampleA(), place: { ...exampleA().place, placement } },
      shelf: { ...SAMPLE_SHELF, placements: [own] },
    });
    const at = async (placement: string) =>
      (await (await shop.post('/api/plan', ask(placement))).json()).place;
    const [rule, ours] = [await at('left-chest'), await at('place-club')];
    expect(ours.centre.x - rule.centre.x).toBeCloseTo(40, 6);
    expect(ours.centre.y - rule.centre.y).toBeCloseTo(20, 6);
    expect(ours.placement.name).toBe('Our club chest');
  });

  it('a ticket kept before a field was thought of is read with its usual value', async () => {
    const { repeat: _r, scatter: _s, edgeGapMm: _e, ...place } = exampleA().place;
    const { sizes: _z, sewing: _w, opened: _o, ...piece } = exampleA().piece;
    const older = { ...exampleA(), id: 'ticket-of-yesterday', place, piece } as unknown as Ticket;
    const row = { id: older.id, ticket: older, rev: 1, updatedAt: shop.context.now(), deletedAt: null };
    await shop.store.write((tx) => tx.insert(tickets).values(row));
    const read = await (await shop.get(`/api/tickets/${older.id}`)).json();
    expect(read.ticket).toEqual({ ...exampleA(), id: older.id });
    expect((await shop.post('/api/plan', { ticket: older })).status).toBe(200);
  });

  it('reads a hoop and a machine kept before they had all their fields', async () => {
    const {
      wallMm: _,
      closesOnMm: __,
      mayTurn: ___,
      positions: ____,
      ...oldHoop
    } = SAMPLE_SHELF.hoops[0] ?? {};
    const { mirrors: _m, resize: _r, knowsHoops: _k, ...oldMachine } = SAMPLE_SHELF.machines[0] ?? {};
    await shop.store.db.insert(shelfItems).values([
      { id: 'hoop-60x40', noun: 'hoops', item: oldHoop },
      { id: 'machine-flat', noun: 'machines', item: oldMachine },
    ] as never);
    const shelf = await (await shop.get('/api/shelf')).json();
    expect(shelf.hoops[0]).toMatchObject({ wallMm: 6, closesOnMm: null, mayTurn: true });
    expect(shelf.hoops[0].positions).toEqual({ count: 1, stepMm: 0 });
    expect(shelf.machines[0]).toMatchObject({ mirrors: true, knowsHoops: true });
    expect(shelf.machines[0].resize).toEqual({ leastPercent: 80, mostPercent: 120 });
  });
});
