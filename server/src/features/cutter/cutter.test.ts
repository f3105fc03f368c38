import { openTestApp, type TestApp } from '../../testing/testApp';

let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

const FILE =
  '<svg width="200mm" height="100mm"><path data-name="a" d="M0 0L60 0L60 60Z"/><path data-name="b" d="M100 0L130 0L130 30Z"/></svg>';

it('lays a file, cuts piece after piece, and tells how it stands', async () => {
  const laid = await (await shop.put('/api/cutter', { file: FILE })).json();
  expect(laid.job.pieces.map(({ name }: { name: string }) => name)).toEqual(['a', 'b']);
  expect(laid.message).toMatch(/^2 pieces on 200 mm × 100 mm: \d+ seconds to cut\.$/);
  const one = await (await shop.post('/api/cutter/press', { run: laid.run, press: 'cut', pieces: 1 })).json();
  expect([one.state.cut, one.message]).toEqual([1, expect.stringMatching(/^1 of 2 pieces cut/)]);
  await shop.post('/api/cutter/press', { run: laid.run, press: 'cut' });
  const stands = await (await shop.get(`/api/cutter/${laid.run}`)).json();
  expect([stands.state.cut, stands.message]).toEqual([2, expect.stringMatching(/^All 2 pieces are cut, in/)]);
});

it('refuses in words what cannot be cut, and runs it does not know', async () => {
  const large = await shop.put('/api/cutter', { file: FILE.replace('200mm', '700mm') });
  expect([large.status, (await large.json()).message]).toEqual([
    400,
    expect.stringContaining('the mat takes 600 mm'),
  ]);
  const broken = await shop.put('/api/cutter', { file: FILE.replace('L130 30', 'L130') });
  expect((await broken.json()).message).toBe('Path 2 (b): only closed lines of straight pieces can be cut.');
  const nobody = crypto.randomUUID();
  expect((await shop.get(`/api/cutter/${nobody}`)).status).toBe(404);
  expect((await shop.post('/api/cutter/press', { run: nobody, press: 'cut' })).status).toBe(404);
});
