import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { expect, test } from './support/test';

test('the plan interface answers the worked examples over HTTP', async ({ request, baseURL }) => {
  const plan = async (ticket: unknown) =>
    (await request.post(`${baseURL}/api/plan`, { data: { ticket, shelf: SAMPLE_SHELF } })).json();
  const a = await plan(exampleA());
  expect(a.place.acrossMm).toBeCloseTo(102, 1);
  expect(a.place.depthMm).toBeCloseTo(193.4, 1);
  expect(a.hoop.laid.verdict.hoop.id).toBe('hoop-100x100');
  const b = await plan(exampleB());
  expect(b.place.centre).toEqual({ x: 0, y: -182.5 });
  expect(b.hoop.method).toBe('floated');
});
