import type { Page } from '@playwright/test';
import { expect, test } from './support/test';

/** A way to work the app without a pointer. */
interface Way {
  /** Presses what has this role and name. */
  press: (role: 'button' | 'radio' | 'checkbox' | 'link', name: RegExp) => Promise<void>;
  /** Types into the line of text of this name. */
  type: (name: RegExp, text: string) => Promise<void>;
}

/** No page is so long that it takes more presses of Tab. */
const MOST_TABS = 160;

const focused = (page: Page) =>
  page.evaluate(() => {
    const e = document.activeElement;
    return {
      role:
        e?.getAttribute('role') ?? (e?.tagName === 'INPUT' ? 'textbox' : e?.tagName === 'A' ? 'link' : ''),
      name: e?.getAttribute('aria-label') ?? e?.textContent ?? '',
      // Of a group of answers Tab comes to one; arrows go on from there.
      others: Array.from(e?.closest('[role=radiogroup]')?.querySelectorAll('[role=radio]') ?? []).map(
        (other) => other.getAttribute('aria-label') ?? other.textContent ?? '',
      ),
    };
  });

/** By the keys alone: Tab until the focus is there. `tabs` counts them. */
function byKeys(page: Page, count: { tabs: number }): Way {
  const to = async (role: string, name: RegExp) => {
    for (let i = 0; i <= MOST_TABS; i++) {
      const at = await focused(page);
      if (at.role === role && name.test(at.name)) return;
      if (at.role === role && at.others.some((other) => name.test(other))) {
        await page.keyboard.press('ArrowRight');
        continue;
      }
      await page.keyboard.press('Tab');
      count.tabs++;
    }
    throw new Error(`Tab does not come to ${role} ${name}`);
  };
  return {
    press: async (role, name) => {
      // What comes next is not there before the page has drawn it.
      await expect(page.getByRole(role, { name }).filter({ visible: true }).first()).toBeVisible();
      await to(role, name);
      await page.keyboard.press(role === 'button' || role === 'link' ? 'Enter' : ' ');
    },
    type: async (name, text) => {
      await expect(page.getByRole('textbox', { name })).toBeVisible();
      await to('textbox', name);
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type(text);
      await page.keyboard.press('Enter');
    },
  };
}

/** By what a screen reader knows: role and name, and the element's own action, wherever it lies on the page. */
function byNames(page: Page): Way {
  return {
    press: async (role, name) => {
      const one = page.getByRole(role, { name }).filter({ visible: true });
      await expect(one).toHaveCount(1);
      await one.evaluate((e) => (e as HTMLElement).click());
    },
    type: async (name, text) => {
      const line = page.getByRole('textbox', { name });
      await expect(line).toHaveCount(1);
      await line.focus();
      await line.fill(text);
      await line.press('Enter');
    },
  };
}

/** A handkerchief, from the bench to the logbook. */
async function wholePiece(page: Page, { press, type }: Way): Promise<void> {
  const panel = (name: RegExp) => page.getByRole('region', { name }).filter({ visible: true });
  await press('button', /^Start a piece$/);
  await press('button', /^Handkerchief$/);
  await expect(panel(/^Piece/)).toBeVisible();
  await press('radio', /^millimetres$/);
  await press('button', /^usual size/);
  await press('button', /^On to Design$/);
  await type(/^design width$/, '40');
  await type(/^design height$/, '30');
  await press('radio', /^light$/);
  for (const stage of ['Place', 'Hoop', 'Layers', 'Mount', 'Stitch', 'Finish', 'Log']) {
    await press('button', new RegExp(`^On to ${stage}$`));
    await expect(panel(new RegExp(`^${stage}`))).toBeVisible();
  }
  await press('button', /^Came out well$/);
  await expect(page.getByRole('button', { name: /^Take it back/ })).toBeVisible();
  // What was done is said.
  await expect(page.getByTestId('announced')).toHaveText(/logbook/);
  // What it took is read before it is taken back; other tests count what is on the shelf.
  await expect(page.getByText('Taken off the shelf').filter({ visible: true }).first()).toBeVisible();
  await press('button', /^Take it back/);
  await expect(page.getByRole('button', { name: /^Came out well$/ })).toBeVisible();
  await expect(page.getByTestId('save-state').filter({ visible: true })).toContainText('saved');
}

test('a whole piece by the keyboard alone', { tag: ['@wide', '@deep'] }, async ({ page }) => {
  const count = { tabs: 0 };
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await wholePiece(page, byKeys(page, count));
  console.log(`  a whole piece takes ${count.tabs} presses of Tab`);
});

test('a whole piece by roles and names alone, as a screen reader works it', { tag: '@deep' }, async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await wholePiece(page, byNames(page));
});

test('the first press of Tab offers ways past the top of the page', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-02/log');
  await expect(page.getByRole('region', { name: /^Log/ })).toBeVisible();
  await page.keyboard.press('Tab');
  const work = page.getByRole('link', { name: 'Skip to the work' });
  await expect(work).toBeFocused();
  const box = await work.boundingBox();
  expect(box?.height ?? 0).toBeGreaterThan(40);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: /^Log/ })).toBeFocused();
  await page.reload();
  await expect(page.getByRole('region', { name: /^Log/ })).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Came out well' })).toBeFocused();
});

test('the colours of a device are chosen in House rules, and stay', async ({ page }) => {
  await page.goto('/rules');
  const ground = () =>
    page.evaluate(() => {
      const main = Array.from(document.querySelectorAll('[role=main]')).at(-1);
      return main ? getComputedStyle(main).backgroundColor : '';
    });
  const day = await ground();
  await page.getByRole('radio', { name: 'high contrast' }).click();
  await expect.poll(ground).not.toBe(day);
  const contrast = await ground();
  await page.getByRole('radio', { name: 'by evening' }).click();
  await expect.poll(ground).not.toBe(contrast);
  await page.getByRole('radio', { name: 'high contrast' }).click();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'high contrast' })).toBeChecked();
  await expect.poll(ground).toBe(contrast);
});
