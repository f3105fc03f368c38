import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { exampleA } from '@zt/core/testing/samples';
import { createApp } from './create-app';
import { openTestApp, type TestApp } from './testing/testApp';

const HASH = '0123456789abcdef0123456789abcdef';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

describe('answers of the shop’s computer', () => {
  it('bear a mark by which the same is not sent twice, and another is', async () => {
    const first = await shop.raw('/api/tickets');
    const mark = first.headers.get('etag') ?? '';
    expect([first.headers.get('cache-control'), mark]).toEqual(['no-cache', expect.stringMatching(/"/)]);
    const again = () => shop.raw('/api/tickets', { 'if-none-match': mark });
    expect((await again()).status).toBe(304);
    await shop.put(`/api/tickets/${exampleA().id}`, { ticket: exampleA(), rev: 0 });
    expect((await again()).status).toBe(200);
  });
});

describe('files of the app', () => {
  const root = mkdtempSync(join(tmpdir(), 'web-'));
  const script = `console.log('${'long '.repeat(400)}')`;
  beforeAll(() => {
    mkdirSync(join(root, 'js'));
    writeFileSync(join(root, 'index.html'), '<title>The bench</title>');
    writeFileSync(join(root, `js/entry-${HASH}.js`), script);
    writeFileSync(join(root, `js/entry-${HASH}.js.br`), brotliCompressSync(script));
  });
  afterAll(() => rmSync(root, { recursive: true, force: true }));
  const fetched = (path: string, headers = {}) =>
    createApp({ ...shop.context, config: { ...shop.context.config, webRoot: root } }).request(path, {
      headers,
    });

  it('are kept for good where their name bears the hash of what they hold, and sent packed', async () => {
    const answer = await fetched(`/js/entry-${HASH}.js`, { 'accept-encoding': 'br' });
    expect(answer.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
    expect(answer.headers.get('content-encoding')).toBe('br');
    expect(answer.headers.get('content-type')).toContain('javascript');
    expect(brotliDecompressSync(Buffer.from(await answer.arrayBuffer())).toString()).toBe(script);
    expect(await (await fetched(`/js/entry-${HASH}.js`)).text()).toBe(script);
  });

  it('are asked for anew where they are pages, and never kept where they are missing', async () => {
    for (const path of ['/', '/shelf', '/ticket/demo-ticket-01/place']) {
      const page = await fetched(path);
      expect([page.headers.get('cache-control'), await page.text()]).toEqual([
        'no-cache',
        '<title>The bench</title>',
      ]);
    }
    const missing = await fetched(`/js/other-${HASH}.js`);
    expect([missing.status, missing.headers.get('cache-control')]).toEqual([404, 'no-cache']);
  });
});
