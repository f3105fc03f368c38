import { expect, test } from './support/test';

/** Scripts, fonts and answers on the wire, kB: a whole set of icons or a font that is not cut would not pass. */
const MOST_FIRST_KB = 750;
const MOST_AGAIN_KB = 40;

test('the first visit of a ticket is light, and the next fetches next to nothing', async ({ browser, shop }, {
  project,
}) => {
  // A browser that was never here.
  const { viewport = null } = project.use;
  const context = await browser.newContext({ baseURL: shop.url, viewport, serviceWorkers: 'block' });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  let bytes = 0;
  session.on('Network.loadingFinished', ({ encodedDataLength }) => {
    bytes += encodedDataLength;
  });
  const visit = async (): Promise<number> => {
    bytes = 0;
    await page.goto('/ticket/demo-ticket-02/place', { waitUntil: 'networkidle' });
    await expect(page.getByTestId('sheet')).toBeVisible();
    return bytes / 1000;
  };
  const first = await visit();
  expect(first).toBeGreaterThan(100);
  expect(first).toBeLessThan(MOST_FIRST_KB);
  expect(await visit()).toBeLessThan(MOST_AGAIN_KB);
  await context.close();
});
