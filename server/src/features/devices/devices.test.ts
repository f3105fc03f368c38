import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { createApp } from '../../create-app';
import { RATES } from '../../http/rates';
import { openTestApp, type TestApp } from '../../testing/testApp';
import { MOST_TRIES, MOST_WRONG, Pairing } from './pairing';

const PHONE = '192.168.7.20';
let shop: TestApp;
let from: string | null;
let app: ReturnType<typeof createApp>;
let nowMs: number;

beforeEach(async () => {
  from = '127.0.0.1';
  nowMs = Date.parse('2026-11-28T08:00:00Z');
  shop = await openTestApp({ remote: () => from, now: () => new Date(nowMs).toISOString() });
  app = createApp(shop.context);
});
afterEach(() => shop.close());

interface Asking {
  method?: string;
  body?: unknown;
  cookie?: string;
}
async function ask(path: string, { method = 'GET', body, cookie }: Asking = {}) {
  const headers = {
    'content-type': 'application/json',
    ...(cookie ? { cookie } : {}),
  };
  const answer = await app.request(path, {
    method,
    headers,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  const json = text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : null;
  return { status: answer.status, json, cookie: answer.headers.get('set-cookie') ?? '' };
}
const onThisComputer = () => {
  from = '127.0.0.1';
};
const onThePhone = () => {
  from = PHONE;
};

async function paired(role: 'owner' | 'helper', name = 'phone at the table') {
  onThisComputer();
  const { json } = await ask('/api/devices/code', { method: 'POST', body: { role } });
  onThePhone();
  return ask('/api/devices/pair', { method: 'POST', body: { code: json.code, name } });
}
const shown = (setCookie: string) => setCookie.split(';')[0] ?? '';

describe('a device in the network', () => {
  it('that is not paired is told so, and nothing else, on every route of the interface', async () => {
    onThePhone();
    const { paths } = app.getOpenAPI31Document({ openapi: '3.1.0', info: { title: '', version: '' } });
    const open: string[] = [];
    let phones = 0;
    for (const [path, methods] of Object.entries(paths ?? {}))
      for (const method of Object.keys(methods)) {
        const asked = path
          .replace('{noun}', 'shelf')
          .replace('{place}', 'shelf')
          .replace(/\{\w+\}/, 'something');
        // Each from a phone of its own: one that asks so often is told nothing else any more.
        phones += 1;
        from = `192.168.77.${phones}`;
        const answer = await ask(asked, {
          method: method.toUpperCase(),
          ...(method === 'get' ? {} : { body: {} }),
        });
        if (answer.status !== 401) open.push(`${method} ${path}`);
      }
    expect(open.sort()).toEqual(['get /api/devices/me', 'post /api/devices/pair']);
    onThePhone();
    expect((await ask('/api/changes')).json.code).toBe('not-paired');
    expect((await ask('/api/devices/me')).json).toEqual({
      role: null,
      isShopsComputer: false,
      securePort: null,
    });
  });

  it('is paired once by a code, and shows from then on a cookie that no script reads', async () => {
    const { status, cookie } = await paired('owner');
    expect(status).toBe(200);
    expect(cookie).toMatch(/^device=[\w-]{43};/);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    const me = await ask('/api/devices/me', { cookie: shown(cookie) });
    expect(me.json).toEqual({ role: 'owner', isShopsComputer: false, securePort: null });
    expect((await ask('/api/tickets', { cookie: shown(cookie) })).status).toBe(200);
    const kept = await shop.store.db.run('SELECT token_hash FROM devices');
    expect(JSON.stringify(kept.rows)).not.toContain(shown(cookie).slice('device='.length));
  });

  it('is listed by name, and once revoked it is answered no more, nor told of changes', async () => {
    const { cookie } = await paired('owner');
    const stream = await app.request('/api/changes', { headers: { cookie: shown(cookie) } });
    const reader = stream.body?.getReader();
    await reader?.read();
    onThisComputer();
    const { json } = await ask('/api/devices');
    expect(json).toMatchObject([{ name: 'phone at the table', role: 'owner' }]);
    await ask(`/api/devices/${json[0].id}`, { method: 'DELETE' });
    expect((await reader?.read())?.done).toBe(true);
    onThePhone();
    expect((await ask('/api/tickets', { cookie: shown(cookie) })).status).toBe(401);
    onThisComputer();
    expect((await ask('/api/devices')).json).toEqual([]);
  });

  it('stays paired, and a revoked one revoked, when the shop goes back to a backup', async () => {
    const early = await paired('owner', 'lost phone');
    onThisComputer();
    await ask('/api/backups', { method: 'POST' });
    const [{ id }] = (await ask('/api/devices')).json;
    await ask(`/api/devices/${id}`, { method: 'DELETE' });
    const later = await paired('owner', 'new phone');
    onThisComputer();
    const { name } = (await ask('/api/backups')).json.kept[0];
    expect((await ask(`/api/backups/${name}/restore`, { method: 'POST' })).status).toBe(200);
    onThePhone();
    expect((await ask('/api/tickets', { cookie: shown(early.cookie) })).status).toBe(401);
    expect((await ask('/api/tickets', { cookie: shown(later.cookie) })).status).toBe(200);
  });
});

it('a helper works on pieces, and neither goes back, takes away, takes along nor pairs', async () => {
  const { cookie } = await paired('helper');
  const as = { cookie: shown(cookie) };
  const ticket = exampleA();
  const [thread] = SAMPLE_SHELF.threads;
  const allowed = [
    await ask(`/api/tickets/${ticket.id}`, { ...as, method: 'PUT', body: { ticket, rev: 0 } }),
    await ask('/api/shelf', { ...as, method: 'POST', body: { put: [{ noun: 'threads', item: thread }] } }),
    await ask('/api/rules', as),
  ];
  expect(allowed.map(({ status }) => status)).toEqual([200, 200, 200]);
  const refused = [
    await ask('/api/backups', { ...as, method: 'POST' }),
    await ask('/api/backups/some-backup/restore', { ...as, method: 'POST' }),
    await ask('/api/backups/some-backup', as),
    await ask('/api/export', as),
    await ask('/api/export', { ...as, method: 'POST', body: {} }),
    await ask('/api/devices', as),
    await ask('/api/devices/code', { ...as, method: 'POST', body: { role: 'owner' } }),
    await ask(`/api/tickets/${ticket.id}`, { ...as, method: 'DELETE' }),
    await ask('/api/set-aside/shelf/some-row', { ...as, method: 'DELETE' }),
    await ask('/api/shelf', {
      ...as,
      method: 'POST',
      body: { remove: [{ noun: 'threads', id: thread?.id }] },
    }),
  ];
  expect(refused.map(({ status, json }) => [status, json.code])).toEqual(
    refused.map(() => [403, 'owners-only']),
  );
});

describe('one that asks without end', () => {
  const asking = async (cookie: string, times: number, path = '/api/devices/me') => {
    const answers = [];
    for (let i = 0; i < times; i += 1) answers.push(await ask(path, { cookie: shown(cookie) }));
    return answers;
  };

  it('is told to wait, and the others have their turn', async () => {
    const wild = await paired('owner', 'wild phone');
    const calm = await paired('owner', 'calm phone');
    const answers = await asking(wild.cookie, RATES.any.points + 1);
    expect(answers.slice(0, -1).every(({ status }) => status === 200)).toBe(true);
    expect(answers.at(-1)).toMatchObject({ status: 429, json: { code: 'too-often' } });
    expect((await asking(calm.cookie, 1))[0]?.status).toBe(200);
  });

  it('is told so sooner where the work is long, a run of the practice machine too', async () => {
    const calm = await paired('owner', 'calm phone');
    const long = await asking(calm.cookie, RATES.long.points + 1, '/api/backups');
    expect(long.at(-1)?.status).toBe(429);
    const busy = await paired('owner', 'busy phone');
    const laid = [];
    for (let i = 0; i <= RATES.long.points; i += 1)
      laid.push(await ask('/api/practice', { method: 'PUT', body: {}, cookie: shown(busy.cookie) }));
    expect(laid.map(({ status }) => status)).toEqual([...Array(RATES.long.points).fill(400), 429]);
  });

  it('is told so soonest where nobody knows it', async () => {
    from = '192.168.7.21';
    const unknown = await asking('', RATES.unpaired.points + 1);
    expect(unknown.map(({ status }) => status)).toEqual([...Array(RATES.unpaired.points).fill(200), 429]);
  });

  it('is never told so on the shop’s computer itself', async () => {
    onThisComputer();
    expect((await asking('', RATES.any.points + 50)).every(({ status }) => status === 200)).toBe(true);
  });
});

it('the network is switched on the shop’s computer only', async () => {
  const { cookie } = await paired('owner');
  const put = { method: 'PUT', body: { isOpen: true } };
  expect((await ask('/api/devices/network', { cookie: shown(cookie) })).json).toEqual({
    isOpen: false,
    maySwitch: false,
  });
  expect(await ask('/api/devices/network', { ...put, cookie: shown(cookie) })).toMatchObject({
    status: 403,
    json: { code: 'not-here' },
  });
});

describe('a code', () => {
  it('counts once, for five minutes, and until the next is asked for', () => {
    const pairing = new Pairing();
    const { code } = pairing.ask('owner', 0);
    const next = pairing.ask('helper', 0);
    if (code !== next.code) expect(pairing.enter(code, PHONE, 1)).toEqual({ ok: false, why: 'wrong' });
    expect(pairing.enter(next.code, PHONE, 2)).toEqual({ ok: true, role: 'helper' });
    expect(pairing.enter(next.code, PHONE, 3)).toEqual({ ok: false, why: 'wrong' });
    const late = pairing.ask('owner', 0);
    expect(pairing.enter(late.code, PHONE, 300_001)).toEqual({ ok: false, why: 'wrong' });
  });

  it('counts no more after so many wrong ones, from wherever they come', () => {
    const pairing = new Pairing();
    const { code } = pairing.ask('owner', 0);
    const wrong = code === '000000' ? '000001' : '000000';
    for (let i = 0; i < MOST_WRONG; i += 1) pairing.enter(wrong, `192.168.7.${i}`, 1);
    expect(pairing.enter(code, PHONE, 2)).toEqual({ ok: false, why: 'wrong' });
  });

  it('cannot be tried on and on from one address', async () => {
    onThePhone();
    const tries = [];
    for (let i = 0; i <= MOST_TRIES; i += 1)
      tries.push(
        await ask('/api/devices/pair', { method: 'POST', body: { code: '123456', name: 'a phone' } }),
      );
    expect(tries.map(({ status }) => status)).toEqual([...Array(MOST_TRIES).fill(403), 429]);
    nowMs += 11 * 60_000;
    const again = await ask('/api/devices/pair', {
      method: 'POST',
      body: { code: '123456', name: 'a phone' },
    });
    expect(again.status).toBe(403);
  });

  it('comes as squares for a camera where the computer answers others, and as figures where it does not', async () => {
    onThisComputer();
    expect((await ask('/api/devices/code', { method: 'POST', body: { role: 'owner' } })).json).toMatchObject({
      code: expect.stringMatching(/^\d{6}$/),
      pages: [],
      squares: null,
    });
    const lan = createApp({ ...shop.context, reach: { ...shop.context.reach, host: '0.0.0.0' } });
    const answer = await lan.request('http://localhost:4600/api/devices/code', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ role: 'owner' }),
    });
    const { code, pages, squares } = JSON.parse(await answer.text());
    for (const page of pages) expect(page).toMatch(new RegExp(`^http://[\\d.]+:4600/pair\\?code=${code}$`));
    if (pages.length > 0) expect(squares.length).toBe(squares[0].length);
  });
});
