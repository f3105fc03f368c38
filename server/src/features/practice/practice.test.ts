import { applyChange } from '@zt/core/model/ticket';
import { appliqued } from '@zt/core/testing/appliqued';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
  for (const noun of ['machines', 'hoops'] as const)
    for (const item of SAMPLE_SHELF[noun]) await shop.putItem(noun, item);
});
afterEach(() => shop.close());

const upright = () => applyChange(exampleA(), { stage: 'hoop', set: { turnDeg: 0 } });
let run = '';
const lay = async (body: object) => {
  const laid = await (await shop.put('/api/practice', body)).json();
  run = laid.run;
  return laid;
};
const press = async (command: object) =>
  (await shop.post('/api/practice/press', { run, ...command })).json() as Promise<{
    ok: boolean;
    code: string | null;
    message: string;
    state: { halt: string; stop: number; bobbinChanges: number; running: boolean };
  }>;

describe('the practice machine over its own interface', () => {
  it('has nothing on it at first, and says so; a press that names no run is told to', async () => {
    const nobody = crypto.randomUUID();
    expect((await shop.get(`/api/practice/${nobody}`)).status).toBe(404);
    expect((await shop.post('/api/practice/press', { run: nobody, press: 'trace' })).status).toBe(404);
    const unnamed = await shop.post('/api/practice/press', { press: 'trace' });
    expect([unnamed.status, (await unnamed.json()).issues[0].path]).toEqual([400, 'run']);
  });

  it('has a bed of its own for each run: two windows do not spoil each other', async () => {
    const first = await lay({ ticket: upright() });
    await press({ press: 'put-on', hoopId: 'hoop-100x100' });
    const second = await lay({ ticket: upright() });
    expect(second.state.onId).toBeNull();
    await press({ press: 'turn', deg: 90 });
    const kept = await (await shop.get(`/api/practice/${first.run}`)).json();
    expect([kept.state.onId, kept.state.turnDeg]).toEqual(['hoop-100x100', 0]);
  });

  it('stitches a drawing stitch by stitch, and one that is more than a hooping along its shapes', async () => {
    const drawn = (scalePercent: number) => ({
      ...upright(),
      design: { ...upright().design, parts: [{ ...appliqued(), scalePercent }] },
    });
    const small = await lay({ ticket: drawn(70) });
    expect(small.job.stops.map(({ handsAfter }: { handsAfter: string | null }) => handsAfter)).toEqual([
      'lay the cotton on its line',
      null,
      null,
      null,
    ]);
    const [first] = small.job.stops;
    expect(first.path).toHaveLength(first.stitches);
    expect(first.cutBefore.length).toBeGreaterThan(0);
    const inParts = await lay({
      ticket: {
        ...drawn(180),
        hoop: { ...upright().hoop, hoopId: 'hoop-100x100', method: 'floated', split: true },
      },
    });
    const [part] = inParts.job.stops;
    expect(part.path).toHaveLength(part.stitches);
    expect(part.cutBefore).not.toBeNull();
    const large = await lay({ ticket: drawn(1000) });
    expect(large.job?.stops?.[0]?.cutBefore ?? null).toBeNull();
  });

  it('plays a whole run with a bobbin change, driven by a script', async () => {
    const ticket = applyChange(upright(), { stage: 'stitch', set: { bobbinLeftM: 2 } });
    const laid = await lay({ ticket });
    expect([laid.job.hoopId, laid.state.onId]).toEqual(['hoop-100x100', null]);
    expect((await press({ press: 'start' })).code).toBe('wrong-thread');
    await press({ press: 'thread', stop: 0 });
    expect((await press({ press: 'start' })).code).toBe('no-hoop');
    await press({ press: 'put-on', hoopId: 'hoop-100x100' });
    expect((await press({ press: 'start' })).code).toBe('not-latched');
    await press({ press: 'latch' });
    expect((await press({ press: 'trace' })).message).toBe('Traced: the foot clears everything.');
    const halts: string[] = [];
    for (let guard = 0; guard < 20 && halts.at(-1) !== 'finished'; guard++) {
      await press({ press: 'start' });
      const { state } = await press({ press: 'sew', seconds: 3600 });
      halts.push(state.halt);
      if (state.halt === 'bobbin-out') await press({ press: 'new-bobbin' });
      if (state.halt === 'colour-change') await press({ press: 'thread', stop: state.stop });
    }
    expect(halts).toEqual(['bobbin-out', 'colour-change', 'finished']);
    const end = await (await shop.get(`/api/practice/${run}`)).json();
    expect(end.state).toMatchObject({ halt: 'finished', bobbinChanges: 1, running: false });
  });

  it('lays a kept ticket by its id, hooped crooked, its marks where they then are', async () => {
    const ticket = upright();
    await shop.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
    const lie = { turnDeg: 3, shift: { x: 2, y: 0 } };
    const straight = await (await shop.put('/api/practice', { ticketId: ticket.id })).json();
    const crooked = await (await shop.put('/api/practice', { ticketId: ticket.id, lie })).json();
    expect(straight.job.wanted.turnDeg).toBe(0);
    expect(crooked.job.wanted.turnDeg).toBe(3);
    expect(crooked.job.marks.centre.x - straight.job.marks.centre.x).toBeCloseTo(2, 6);
    expect((await shop.put('/api/practice', { ticketId: 'no-such-ticket' })).status).toBe(404);
  });

  it('takes no ticket that is not planned, and no press it does not know', async () => {
    const bare = { ...upright(), piece: { ...upright().piece, readings: {} } };
    const refused = await shop.put('/api/practice', { ticket: bare });
    expect([refused.status, (await refused.json()).code]).toEqual([400, 'not-planned']);
    await lay({ ticket: upright() });
    const unknown = await shop.post('/api/practice/press', { run, press: 'dance' });
    expect([unknown.status, (await unknown.json()).issues[0].path]).toEqual([400, 'press']);
    const unread = await shop.post('/api/practice/press', { run, press: 'move', x: 'far', y: 0 });
    expect((await unread.json()).issues[0].path).toBe('x');
  });
});
