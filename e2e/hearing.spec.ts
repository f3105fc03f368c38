import { exampleA } from '@zt/core/testing/samples';
import { expect, test } from './support/test';

test('all pages of a browser hear what is changed by one connection, and the next hears once that page is closed', {
  tag: '@deep',
}, async ({ context, request, shop }) => {
  let connections = 0;
  context.on('request', (one) => {
    if (one.url().endsWith('/api/changes')) connections += 1;
  });
  const pages = [];
  // More than the six connections that plain http gives a browser.
  for (let i = 0; i < 7; i += 1) {
    const page = await context.newPage();
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
    pages.push(page);
  }
  expect(connections).toBe(1);
  const put = async (id: string, name: string) =>
    request.put(`${shop.url}/api/tickets/${id}`, { data: { ticket: { ...exampleA(), id, name }, rev: 0 } });
  await put('heard-one', 'Heard by all');
  for (const page of pages) await expect(page.getByRole('link', { name: /^Heard by all/ })).toBeVisible();
  const [first, ...others] = pages;
  await first?.close();
  await expect.poll(() => connections).toBe(2);
  await put('heard-two', 'Heard by the rest');
  for (const page of others)
    await expect(page.getByRole('link', { name: /^Heard by the rest/ })).toBeVisible();
});
