import { networkInterfaces } from 'node:os';
import { openShop, type Shop } from './support/shop';
import { expect, expectNoSidewaysScroll, test } from './support/test';

/** This computer's address in the network, by which a phone would ask. */
const address = Object.values(networkInterfaces())
  .flat()
  .find((one) => one && !one.internal && one.family === 'IPv4')?.address;

let shop: Shop;
test.beforeEach(async () => {
  shop = await openShop();
});
test.afterEach(() => shop.stop());

test(
  'a phone is paired by the code that the shop’s computer shows, works, and is revoked',
  { tag: '@deep' },
  async ({ browser }, { project }) => {
    if (!address) throw new Error('This test needs an address in a network.');
    const owner = await browser.newPage();
    await owner.goto(`${shop.url}/rules`);
    await owner.getByRole('button', { name: 'Devices' }).click();
    // Nobody else is answered before that is switched on.
    await expect(owner.getByRole('button', { name: 'Ask for a code' })).toHaveCount(0);
    await owner.getByRole('checkbox', { name: /^Answer other devices in this network/ }).click();
    await owner.getByRole('radio', { name: 'a helper’s' }).click();
    await owner.getByRole('button', { name: 'Ask for a code' }).click();
    const code = ((await owner.getByTestId('pairing-code').textContent()) ?? '').replace(' ', '');
    await expect(owner.getByRole('img', { name: 'The page to open, for a camera' })).toBeVisible();

    const { viewport = null, hasTouch = false } = project.use;
    const phones = await browser.newContext({ viewport, hasTouch, serviceWorkers: 'block' });
    const phone = await phones.newPage();
    await phone.goto(`http://${address}:${new URL(shop.url).port}/pair?code=000000`);
    await expect(phone.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
    await expectNoSidewaysScroll(phone);
    await phone.getByRole('textbox', { name: 'What this device is called' }).fill('Phone at the table');
    await phone.getByRole('button', { name: 'Pair it' }).click();
    if (code !== '000000') await expect(phone.getByText(/^This is not the code that/)).toBeVisible();
    await phone.getByRole('textbox', { name: 'The six digits' }).fill(code);
    await phone.getByRole('button', { name: 'Pair it' }).click();
    await expect(phone.getByRole('heading', { name: 'Bench' })).toBeVisible();
    await expect(phone.getByRole('link', { name: /^Crew tee/ })).toBeVisible();
    await phone.getByRole('link', { name: 'House rules' }).click();
    await expect(phone.getByRole('heading', { name: 'House rules' })).toBeVisible();
    // It speaks plain http so far: how it comes to be secure is said, and the certificate is there.
    await phone.getByRole('button', { name: 'Keep the screen awake and the app at hand' }).click();
    const download = phone.waitForEvent('download');
    await phone.getByRole('link', { name: 'Fetch the certificate' }).click();
    expect((await download).suggestedFilename()).toBe('shop.crt');
    // A helper's device leaves the shop itself alone.
    await expect(phone.getByRole('button', { name: 'Devices' })).toHaveCount(0);
    await expect(phone.getByRole('button', { name: 'Backups' })).toHaveCount(0);

    await owner.reload();
    await owner.getByRole('button', { name: 'Devices' }).click();
    await owner.getByRole('button', { name: 'Revoke Phone at the table' }).click();
    await expect(owner.getByText('No other device is paired.')).toBeVisible();
    await phone.reload();
    await expect(phone.getByRole('heading', { name: 'Pair this device' })).toBeVisible();
    await phones.close();
    await owner.close();
  },
);
