import { existsSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { photoIdOf } from '@zt/core/model/photoId';
import { lookAtPhoto, saysMore, whyNotKept } from '@zt/core/records/photos/look';
import { asTaken, drawn } from '@zt/core/testing/pictures';
import { photoFolder, photoServer } from '../../photos/photoStore';
import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const put = (id: string, bytes: Uint8Array) => shop.sendBytes(`/api/photos/${id}`, bytes, 'image/jpeg');

describe('what a file says of itself', () => {
  const why = (bytes: Uint8Array): string => {
    const look = lookAtPhoto(bytes);
    return look.ok ? 'taken' : look.why;
  };
  const jpeg = drawn(300, 200, 'jpeg');

  it('is read of every type, and of every way it is turned', () => {
    for (const type of ['jpeg', 'png', 'webp'] as const)
      expect(lookAtPhoto(drawn(300, 200, type))).toEqual({
        ok: true,
        is: { type, widthPx: 300, heightPx: 200, orientation: 1 },
      });
    for (let orientation = 1; orientation <= 8; orientation += 1)
      expect(lookAtPhoto(asTaken(jpeg, orientation))).toMatchObject({ ok: true, is: { orientation } });
  });

  it('wherever it breaks off, it is refused in words', () => {
    for (const type of ['jpeg', 'png', 'webp'] as const) {
      const whole = drawn(120, 90, type);
      for (let cut = 12; cut < whole.length - 8; cut += Math.ceil(whole.length / 40))
        expect(why(whole.subarray(0, cut))).toMatch(/breaks off|no picture/);
    }
  });

  it('text named .jpg, a moving picture and one that is too large are refused', () => {
    expect(why(new TextEncoder().encode('This is a note, not a photo.'))).toMatch(
      /no picture, whatever it is called/,
    );
    expect(why(new Uint8Array())).toMatch(/no picture/);
    const gif = new Uint8Array([...new TextEncoder().encode('GIF89a'), 10, 0, 10, 0, 0, 0, 0, 0x3b]);
    expect(why(gif)).toMatch(/moving picture/);
    const png = drawn(20, 20, 'png');
    const moving = [0, 0, 0, 8, ...new TextEncoder().encode('acTL'), 0, 0, 0, 2, 0, 0, 0, 0, 0, 0, 0, 0];
    expect(why(new Uint8Array([...png.subarray(0, 33), ...moving, ...png.subarray(33)]))).toMatch(
      /moving picture/,
    );
    const huge = drawn(20, 20, 'png');
    new DataView(huge.buffer).setUint32(16, 40_000);
    new DataView(huge.buffer).setUint32(20, 40_000);
    expect(why(huge)).toMatch(/million points/);
  });

  it('where it was taken, and with what, is seen, and not kept', () => {
    expect(saysMore(jpeg)).toBe(false);
    expect(saysMore(asTaken(jpeg, 6))).toBe(true);
    expect(whyNotKept(jpeg)).toBeNull();
    expect(whyNotKept(asTaken(jpeg, 1))).toMatch(/where or with what/);
    expect(whyNotKept(drawn(2000, 20, 'jpeg'))).toMatch(/too large/);
    expect(whyNotKept(drawn(20, 20, 'png'))).toMatch(/as JPEG/);
  });
});

it('a photo is kept once under what it is, and served as what it is', async () => {
  const bytes = drawn(300, 200, 'jpeg');
  const id = photoIdOf(bytes);
  expect((await put(id, bytes)).status).toBe(200);
  expect((await put(id, bytes)).status).toBe(200);
  const answer = await shop.raw(`/api/photos/${id}`);
  expect(answer.headers.get('content-type')).toBe('image/jpeg');
  expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
  expect(answer.headers.get('cache-control')).toContain('immutable');
  expect(photoIdOf(new Uint8Array(await answer.arrayBuffer()))).toBe(id);
  expect(await shop.context.photos.held()).toEqual({ photos: 1, bytes: bytes.length });
});

it('what is no photo is refused in words: another name, more than it shows, text', async () => {
  const bytes = drawn(300, 200, 'jpeg');
  const refused = async (id: string, of: Uint8Array) => {
    const answer = await put(id, of);
    return [answer.status, (await answer.json()).message];
  };
  expect(await refused('0'.repeat(64), bytes)).toEqual([
    400,
    'This is not the photo of that name. Nothing was kept.',
  ]);
  const taken = asTaken(bytes, 6);
  expect((await refused(photoIdOf(taken), taken))[1]).toMatch(/where or with what.*Nothing was kept/);
  const text = new TextEncoder().encode('<script>alert(1)</script>');
  expect((await refused(photoIdOf(text), text))[0]).toBe(400);
  expect((await shop.get(`/api/photos/${'1'.repeat(64)}`)).status).toBe(404);
  expect((await shop.get('/api/photos/..%2F..%2Fshop.db')).status).toBe(400);
  expect(await shop.context.photos.held()).toEqual({ photos: 0, bytes: 0 });
});

it('a folder and a store of objects keep alike', async () => {
  const objects = new Map<string, Buffer>();
  const server = createServer((request, response) => {
    if (request.headers.authorization !== 'Bearer token-of-tests') return response.writeHead(401).end();
    const key = request.url ?? '';
    if (request.method === 'GET') {
      const found = objects.get(key);
      return found ? response.writeHead(200).end(found) : response.writeHead(404).end();
    }
    const parts: Buffer[] = [];
    request
      .on('data', (part: Buffer) => parts.push(part))
      .on('end', () => {
        objects.set(key, Buffer.concat(parts));
        response.writeHead(201).end();
      });
    return undefined;
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.address() as AddressInfo;
  const bytes = drawn(60, 40, 'jpeg');
  const id = photoIdOf(bytes);
  const stores = [
    photoFolder(join(shop.folder, 'elsewhere')),
    photoServer(`http://127.0.0.1:${port}/photos/`, 'token-of-tests'),
  ];
  for (const store of stores) {
    expect(await store.get(id)).toBeNull();
    await store.put(id, bytes);
    expect(photoIdOf((await store.get(id)) ?? new Uint8Array())).toBe(id);
  }
  await expect(photoServer(`http://127.0.0.1:${port}`, undefined).put(id, bytes)).rejects.toThrow(
    'answers 401',
  );
  await new Promise((closed) => server.close(closed));
});

it('one that is lost beside the data is there again from its copy beside the backups, which counts it', async () => {
  const bytes = drawn(90, 60, 'jpeg');
  const id = photoIdOf(bytes);
  await put(id, bytes);
  rmSync(join(shop.folder, 'photos'), { recursive: true });
  expect((await shop.get(`/api/photos/${id}`)).status).toBe(200);
  expect(existsSync(join(shop.folder, 'photos', id.slice(0, 2), `${id}.jpg`))).toBe(true);
  expect((await (await shop.get('/api/backups')).json()).photos).toEqual({ photos: 1, bytes: bytes.length });
});
