import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { openTestApp, type TestApp } from '../testing/testApp';
import { namesOf } from './guard';

let app: TestApp;
beforeEach(async () => {
  app = await openTestApp();
});
afterEach(() => app.close());

const asked = async (address: string, headers: Record<string, string> = {}) => {
  const answer = await app.raw(address, headers);
  return { status: answer.status, code: answer.ok ? null : JSON.parse(await answer.text()).code };
};

describe('who is answered', () => {
  it.each(['http://localhost:4000/api/rules', 'http://127.0.0.1:4000/api/rules', 'http://[::1]/api/rules'])(
    'a page of this computer, at %s',
    async (address) => {
      expect(await asked(address)).toEqual({ status: 200, code: null });
    },
  );

  it.each([
    ['a name that was given this address', 'http://shop.invalid/api/rules', {}, 'wrong-host'],
    ['another computer’s address', 'http://192.0.2.7/api/rules', {}, 'wrong-host'],
    [
      'a page of another origin',
      'http://localhost/api/rules',
      { origin: 'http://page.invalid' },
      'wrong-origin',
    ],
    [
      'a page at another port',
      'http://localhost:80/api/rules',
      { origin: 'http://localhost:81' },
      'wrong-origin',
    ],
    ['a page without an origin', 'http://localhost/api/rules', { origin: 'null' }, 'wrong-origin'],
    [
      'a picture on another page',
      'http://localhost/api/rules',
      { 'sec-fetch-site': 'cross-site' },
      'wrong-origin',
    ],
  ])('not %s', async (_, address, headers, code) => {
    expect(await asked(address, headers as Record<string, string>)).toEqual({ status: 403, code });
  });

  it('a page of its own origin, which may also write', async () => {
    expect(await asked('http://localhost:80/api/rules', { origin: 'http://localhost' })).toEqual({
      status: 200,
      code: null,
    });
  });

  it('under every address of this computer once it is open to the network, and under no other', () => {
    expect([...namesOf('0.0.0.0')]).toEqual(expect.arrayContaining(['localhost', '127.0.0.1']));
    expect(namesOf('0.0.0.0').has('0.0.0.0')).toBe(false);
    expect([...namesOf('127.0.0.1')].sort()).toEqual(['127.0.0.1', '[::1]', 'localhost']);
  });
});

it('every answer says what a page may load, and that it is in nobody’s frame', async () => {
  writeFileSync(join(app.folder, 'index.html'), '<main>The app</main>');
  for (const path of ['/', '/api/rules', '/api/none', '/none.js']) {
    const { headers } = await app.raw(path);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self';");
    expect(policy).toContain("frame-ancestors 'none'");
    expect(policy).not.toContain('unsafe-eval');
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('referrer-policy')).toBe('no-referrer');
  }
});

it('compiled code may run in the workers that read drawings and make stitches, and nowhere else', async () => {
  const policyOf = async (path: string) => (await app.raw(path)).headers.get('content-security-policy') ?? '';
  const hash = '2KQ7ABCD';
  for (const name of ['design', 'stitch', 'cut'])
    expect(await policyOf(`/workers/${name}-${hash}.js`)).toContain("'wasm-unsafe-eval'");
  const others = [
    `workers/day-${hash}.js`,
    `workers/design-${hash}.html`,
    'workers/redesign-x.js',
    `design-${hash}.js`,
  ];
  for (const name of others) expect(await policyOf(`/${name}`)).not.toContain('unsafe-eval');
});
