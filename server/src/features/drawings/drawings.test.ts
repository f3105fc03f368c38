import { drawingIdOf } from '@zt/core/model/drawingId';
import { openTestApp, type TestApp } from '../../testing/testApp';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="10mm" height="10mm"><rect width="5" height="5"/></svg>';
const ID = drawingIdOf(SVG);
let shop: TestApp;
beforeEach(async () => {
  shop = await openTestApp();
});
afterEach(() => shop.close());

it('a drawing is kept once, and is there as its file has it', async () => {
  expect((await shop.get(`/api/drawings/${ID}`)).status).toBe(404);
  for (let times = 0; times < 2; times++)
    expect((await shop.put(`/api/drawings/${ID}`, { text: SVG })).status).toBe(200);
  expect(await (await shop.get(`/api/drawings/${ID}`)).json()).toEqual({ id: ID, text: SVG });
});

it('what is not the drawing of its id is refused, and nothing is kept', async () => {
  const refused = await shop.put(`/api/drawings/${ID}`, { text: `${SVG} ` });
  expect([refused.status, (await refused.json()).code]).toEqual([400, 'not-the-drawing']);
  expect((await shop.get(`/api/drawings/${ID}`)).status).toBe(404);
  expect((await shop.put('/api/drawings/no-such-id', { text: SVG })).status).toBe(400);
});

it('goes with all data of the shop, and one that was changed on the way is named', async () => {
  await shop.put(`/api/drawings/${ID}`, { text: SVG });
  const text = await (await shop.get('/api/export')).text();
  const { lines: _marks, ...all } = { ...JSON.parse(text), format: 1 };
  expect(all.drawings).toEqual([{ id: ID, text: SVG }]);
  const to = await openTestApp();
  const bad = { ...all, drawings: [{ id: ID, text: 'something else' }] };
  const refused = await to.post('/api/export', bad);
  expect([refused.status, (await refused.json()).issues[0]]).toEqual([
    400,
    { path: 'line 1', message: 'drawings.0: This is not the drawing of that id.' },
  ]);
  expect((await to.post('/api/export', text)).status).toBe(200);
  expect((await (await to.get(`/api/drawings/${ID}`)).json()).text).toBe(SVG);
  // A document of before drawings were kept is taken as it is.
  const { drawings: _, ...before } = all;
  expect((await to.post('/api/export', before)).status).toBe(200);
  await to.close();
});
