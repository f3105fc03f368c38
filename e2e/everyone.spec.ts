import { createCanvas, loadImage } from '@napi-rs/canvas';
import type { Locator, Page } from '@playwright/test';
import { someOf } from '@zt/core/testing/cases';
import { expect, expectNoSidewaysScroll, test } from './support/test';
import { copyOf, onTicket } from './support/ticket';

/** What has the focus, by its role and name. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const element = document.activeElement;
    return `${element?.getAttribute('role') ?? element?.tagName.toLowerCase()} ${element?.getAttribute('aria-label') ?? ''}`;
  });

test('keys act where they belong: on a choice they choose, on a tick they tick, and nothing else moves', {
  tag: '@wide',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto(`${await copyOf(page, 'demo-ticket-01')}/hoop`);
  const hooped = page.getByRole('radio', { name: 'Hooped', exact: true });
  const floated = page.getByRole('radio', { name: 'Floated', exact: true });
  await expect(hooped).toBeChecked();
  await hooped.focus();
  await page.keyboard.press('ArrowRight');
  await expect(floated).toBeChecked();
  await expect(floated).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await expect(hooped).toBeChecked();
  // A digit or a letter on a button is none of the sheet's.
  await page.getByRole('button', { name: 'Undo' }).focus();
  await page.keyboard.press('3');
  await page.keyboard.press('u');
  await expect(page).toHaveURL(/\/hoop$/);
  await expect(page.getByRole('radio', { name: 'inches' })).toBeChecked();
  await ticket.stage('Place');
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await ticket.stage('Mount');
  const tick = page.getByRole('checkbox', { name: /^Carriage free/ });
  await tick.focus();
  await page.keyboard.press(' ');
  await expect(tick).toBeChecked();
  await page.keyboard.press(' ');
  await expect(tick).not.toBeChecked();
  await ticket.saved();
});

test('letters that act by themselves can be turned off on a device', { tag: '@deep' }, async ({ page }) => {
  await page.goto('/rules');
  await page.getByRole('link', { name: 'Keys of the keyboard' }).click();
  await page.getByRole('checkbox', { name: 'Letters do something by themselves on this device' }).click();
  await page.getByRole('button', { name: 'Back' }).click();
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page).toHaveURL(/\/$/);
  await page.keyboard.press('?');
  await expect(page).toHaveURL(/\/$/);
});

test('the focus stays near: at the panel that was gone to, by the button that can be pressed no more', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.startByHand('Bath towel');
  await page.getByRole('button', { name: 'On to Design' }).focus();
  await page.keyboard.press('Enter');
  await expect.poll(() => focused(page)).toMatch(/^region Design: /);
  await page.goBack();
  await ticket.startByHand('Bath towel');
  await ticket.fill('Name of the ticket', 'Focus');
  const undo = page.getByRole('button', { name: 'Undo' });
  await undo.focus();
  for (let i = 0; i < 6 && (await undo.isEnabled()); i += 1) await page.keyboard.press('Enter');
  await expect.poll(() => focused(page)).not.toMatch(/^body/);
  await expect(page).toHaveTitle(/^Piece, .* · Zealous Thimble$/);
  await page.goto('/logbook');
  await expect(page).toHaveTitle('Logbook · Zealous Thimble');
});

test('what was found, moved and mended is said to those who listen; an error is tied to its field', async ({
  page,
}) => {
  const ticket = onTicket(page);
  const announced = page.getByTestId('announced');
  await page.goto(`${await copyOf(page, 'demo-ticket-04')}/place`);
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.sheet().focus();
  await page.keyboard.press('ArrowRight');
  await expect(announced).toHaveText('Moved 1 mm right.');
  await page.keyboard.press('Control+z');
  for (let i = 0; i < 60; i += 1) await page.keyboard.press('Shift+ArrowUp');
  await expect(announced).toHaveText(/^(?!Moved)/);
  await page.goto(`${await copyOf(page, 'demo-ticket-02')}/piece`);
  await expect(page.getByRole('heading', { name: /^Measure/ })).toBeVisible();
  await ticket.fill('side to side', 'a hand wide');
  const field = page.getByRole('textbox', { name: 'side to side' });
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await expect(field).toHaveAccessibleDescription(/does not read as a length/);
});

test('the hoop is laid elsewhere without dragging it', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto(`${await copyOf(page, 'demo-ticket-01')}/hoop`);
  const room = page.getByTestId('room');
  const before = await room.textContent();
  await page.getByRole('button', { name: 'Hoop 5 mm left' }).click();
  await expect(room).not.toHaveText(before ?? '');
  await expect(page.getByTestId('announced')).toHaveText('Hoop 5 mm left.');
  await page.getByRole('button', { name: 'lay the hoop where it is proposed' }).click();
  await expect(room).toHaveText(before ?? '');
  await ticket.saved();
});

type Pixel = [number, number, number];
const luminance = (rgb: Pixel): number => {
  const [r, g, b] = rgb.map((v) =>
    v / 255 <= 0.03928 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4,
  );
  return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
};
const contrast = (a: Pixel, b: Pixel): number => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
};

/** The strongest step from one pixel to the next on the way from outside of something to its edge. */
async function ringContrast(page: Page, on: Locator): Promise<number> {
  const box = await on.boundingBox();
  if (!box) throw new Error('it is not drawn');
  const image = await loadImage(await page.screenshot());
  const canvas = createCanvas(image.width, image.height);
  const pen = canvas.getContext('2d');
  pen.drawImage(image, 0, 0);
  const y = Math.round(box.y + box.height / 2);
  const line = Array.from({ length: 14 }, (_, i): Pixel => {
    const [r = 0, g = 0, b = 0] = pen.getImageData(Math.max(0, Math.round(box.x) - 11 + i), y, 1, 1).data;
    return [r, g, b];
  });
  return Math.max(...line.slice(1).map((pixel, i) => contrast(pixel, line[i] ?? pixel)));
}

for (const colorScheme of ['light', 'dark'] as const)
  test.describe(`by ${colorScheme}`, () => {
    test.use({ colorScheme });
    test('the ring round what has the focus shows, in pixels', async ({ page }) => {
      await page.goto(`${await copyOf(page, 'demo-ticket-02')}/place`);
      for (const name of ['At the table', 'On to Hoop']) {
        const button = page.getByRole('button', { name });
        await button.focus();
        await page.keyboard.press('Shift+Tab');
        await page.keyboard.press('Tab');
        await expect(button).toBeFocused();
        await expect.poll(() => ringContrast(page, button)).toBeGreaterThan(3);
      }
    });
  });

/** Letters twice as large, as a browser draws them for whoever asks for larger text only. */
const withLargeLetters = (page: Page) =>
  page.evaluate(() => {
    const enlarge = (style: CSSStyleDeclaration) => {
      for (const name of ['font-size', 'line-height']) {
        const px = /^([\d.]+)px$/.exec(style.getPropertyValue(name))?.[1];
        if (px) style.setProperty(name, `${2 * Number(px)}px`);
      }
    };
    const within = (rules: CSSRuleList) => {
      for (const rule of Array.from(rules)) {
        if ('style' in rule) enlarge(rule.style as CSSStyleDeclaration);
        if ('cssRules' in rule) within(rule.cssRules as CSSRuleList);
      }
    };
    for (const sheet of Array.from(document.styleSheets)) within(sheet.cssRules);
    for (const e of Array.from(document.querySelectorAll<HTMLElement>('[style]'))) enlarge(e.style);
  });

/** What can be pressed and lies past the side of the page. */
const cutOff = (page: Page) =>
  page.evaluate(() =>
    Array.from(document.querySelectorAll('[role=button], button'))
      .filter((e) => e.closest('[role=navigation]') === null && e.getClientRects().length > 0)
      .filter((e) => e.getBoundingClientRect().right > window.innerWidth + 1)
      .map((e) => e.getAttribute('aria-label')),
  );

const SMALL = [
  { width: 320, height: 640 },
  { width: 320, height: 256 },
  { width: 844, height: 390 },
  // 1280 × 800 drawn at 200 %.
  { width: 640, height: 400 },
];
const PAGES = [
  '/',
  '/new',
  '/first',
  '/ticket/demo-ticket-01/place',
  '/ticket/demo-ticket-02/mount',
  '/ticket/demo-ticket-01/log',
  '/ticket/demo-ticket-01/print',
  '/rules',
  '/ticket/demo-ticket-01/card/place',
];
for (const path of someOf(PAGES, 3))
  test(`${path} is whole on small pages: nothing cut off at the side, room to read`, {
    tag: '@long',
  }, async ({ page }) => {
    // What is fetched later brings headings of its own.
    await page.goto(path, { waitUntil: 'networkidle' });
    await expect(page.getByRole('heading').last()).toBeVisible();
    for (const size of SMALL) {
      await page.setViewportSize(size);
      await expect.poll(() => page.evaluate(() => window.innerWidth)).toBe(size.width);
      await expectNoSidewaysScroll(page);
      expect(await cutOff(page)).toEqual([]);
      const panel = page.getByRole('region').filter({ visible: true }).first();
      if (path.endsWith('place') && path.startsWith('/ticket') && !path.includes('card')) {
        const box = await panel.boundingBox();
        expect(box?.height ?? 0).toBeGreaterThanOrEqual(160);
      }
    }
    await page.setViewportSize({ width: 390, height: 844 });
    const lettersPx = () =>
      page
        .getByRole('heading')
        .last()
        .evaluate((e) => Number.parseFloat(getComputedStyle(e).fontSize));
    // A heading that is built anew just then has no size: the one that was found is kept.
    let usual = 0;
    await expect.poll(async () => (usual = await lettersPx())).toBeGreaterThan(0);
    await withLargeLetters(page);
    await expect.poll(lettersPx).toBe(2 * usual);
    await expectNoSidewaysScroll(page);
    await expect.poll(() => cutOff(page)).toEqual([]);
  });

test.describe('with colours of the person’s own', () => {
  test.use({ contextOptions: { forcedColors: 'active', reducedMotion: 'reduce' } });
  test('what is chosen is told by a line', async ({ page }) => {
    await page.goto(`${await copyOf(page, 'demo-ticket-01')}/hoop`);
    const width = (locator: Locator) => locator.evaluate((e) => getComputedStyle(e).outlineWidth);
    const style = (locator: Locator) => locator.evaluate((e) => getComputedStyle(e).outlineStyle);
    const hooped = page.getByRole('radio', { name: 'Hooped', exact: true });
    await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' });
    expect(await width(hooped)).toBe('3px');
    expect(await style(page.getByRole('radio', { name: 'Floated', exact: true }))).toBe('none');
  });
});
