import type { Locator, Page } from '@playwright/test';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

/** A job as it comes to a shop, and what it took before there was a table to work at (measured by this driver). */
interface Job {
  kind: keyof typeof PIECE_KINDS;
  widthMm: number;
  heightMm: number;
  density: 'light' | 'medium' | 'heavy';
  before: { taps: number; swipes: number };
}

const JOBS: readonly Job[] = [
  { kind: 't-shirt', widthMm: 88, heightMm: 51, density: 'medium', before: { taps: 31, swipes: 17 } },
  { kind: 'sweatshirt', widthMm: 90, heightMm: 60, density: 'medium', before: { taps: 31, swipes: 17 } },
  { kind: 'hand-towel', widthMm: 70, heightMm: 50, density: 'light', before: { taps: 35, swipes: 19 } },
  { kind: 'bath-towel', widthMm: 95, heightMm: 95, density: 'heavy', before: { taps: 35, swipes: 19 } },
  { kind: 'handkerchief', widthMm: 40, heightMm: 30, density: 'light', before: { taps: 31, swipes: 15 } },
  { kind: 'napkin', widthMm: 50, heightMm: 40, density: 'light', before: { taps: 36, swipes: 20 } },
  { kind: 'tote', widthMm: 90, heightMm: 80, density: 'medium', before: { taps: 30, swipes: 15 } },
  { kind: 'bodysuit', widthMm: 60, heightMm: 45, density: 'light', before: { taps: 33, swipes: 16 } },
];

/** A hand on a phone: it taps what it sees and swipes until it sees it. */
function hand(page: Page) {
  const count = { taps: 0, swipes: 0 };
  /** How far what is looked for lies out of the sight of what it is scrolled in; 0 when all of it is seen. */
  const outOf = (target: Locator) =>
    target.evaluate((e) => {
      let box = e.parentElement;
      while (
        box &&
        !(/auto|scroll/.test(getComputedStyle(box).overflowY) && box.scrollHeight > box.clientHeight + 1)
      )
        box = box.parentElement;
      const sight = box?.getBoundingClientRect() ?? new DOMRect(0, 0, innerWidth, innerHeight);
      const at = e.getBoundingClientRect();
      const below = Math.min(at.bottom - sight.bottom, at.top - sight.top);
      return {
        off: below > 1 ? below : at.top < sight.top - 1 ? at.top - sight.top : 0,
        x: sight.left + sight.width / 2,
        y: sight.top + sight.height / 2,
        page: sight.height,
        scrolled: box?.scrollTop ?? 0,
      };
    });
  const see = async (target: Locator) => {
    await expect(target).toBeVisible();
    for (let i = 0; i < 20; i++) {
      const { off, x, y, page: height, scrolled } = await outOf(target);
      if (off === 0) return;
      count.swipes++;
      await page.mouse.move(x, y);
      await page.mouse.wheel(0, Math.sign(off) * 0.8 * height);
      await expect.poll(async () => (await outOf(target)).scrolled).not.toBe(scrolled);
    }
  };
  const tap = async (target: Locator) => {
    await see(target);
    count.taps++;
    await target.click();
  };
  const press = (name: string | RegExp) =>
    tap(page.getByRole('button', { name, exact: true }).filter({ visible: true }).first());
  /** Goes to a field, unless it is there already, types, and Enter. */
  const read = async (label: string, value: string) => {
    const field = page.getByRole('textbox', { name: label, exact: true });
    const line = page.getByRole('button', { name: new RegExp(`^${label}: `) });
    await expect(field.or(line).first()).toBeVisible();
    if ((await field.count()) === 0) await tap(line.first());
    await see(field);
    if (!(await field.evaluate((e) => e === document.activeElement))) await tap(field);
    await field.fill(value);
    await field.press('Enter');
  };
  return { count, see, tap, press, read };
}

/** What must be seen of each stage before a hand goes on, wherever it stands. */
const ANSWERS: readonly [string, RegExp][] = [
  ['Hoop', /, (hooped|floated)/],
  ['Layers', /^Support: /],
  ['Mount', /Before the first stitch/],
  ['Stitch', /min in all/],
  ['Finish', /^Finish: /],
];

async function wholeJob(page: Page, job: Job): Promise<{ taps: number; swipes: number }> {
  const { count, see, tap, press, read } = hand(page);
  const kind = PIECE_KINDS[job.kind];
  await page.goto('/');
  await press('Start a piece');
  await press(kind.name);
  for (const { name, typicalMm, optional, needed } of kind.readings)
    if (!optional && !needed) await read(name, `${typicalMm} mm`);
  await press('On to Design');
  await read('design width', `${job.widthMm} mm`);
  await read('design height', `${job.heightMm} mm`);
  await tap(page.getByRole('radio', { name: job.density, exact: true }));
  await press('On to Place');
  await see(
    page
      .getByText(/axis ends/)
      .filter({ visible: true })
      .first(),
  );
  const ticks = async () => {
    const boxes = page.getByRole('listitem').getByRole('checkbox').filter({ visible: true });
    for (const box of await boxes.all()) await see(box);
    const all = page.getByRole('button', { name: /^All \d+ that are left are done/ });
    if ((await all.count()) > 0) await tap(all);
    else for (const box of await boxes.all()) await tap(box);
    for (const box of await boxes.all()) await expect(box).toBeChecked();
  };
  for (const [stage, answer] of ANSWERS) {
    await press(`On to ${stage}`);
    await see(page.getByText(answer).filter({ visible: true }).first());
    if (stage === 'Mount') await see(page.getByText(/^(\d\. )?Move$/).first());
    if (stage === 'Stitch') await tap(page.getByRole('checkbox', { name: /^Colour / }).last());
    if (stage === 'Mount' || stage === 'Finish') await ticks();
  }
  await press('On to Log');
  await press(/^(Came out well|Put it in the logbook)$/);
  await expect(page.getByRole('button', { name: /^Open the entry/ })).toBeVisible();
  // What it took is read before it is taken back; other tests count what is on the shelf.
  await expect(page.getByText('Taken off the shelf').filter({ visible: true }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Take it back/ }).click();
  await onTicket(page).saved();
  return count;
}

for (const job of JOBS)
  test(`a ${PIECE_KINDS[job.kind].name} from end to end, in taps and swipes`, { tag: '@deep' }, async ({
    page,
  }) => {
    const { taps, swipes } = await wholeJob(page, job);
    expect(taps).toBeLessThanOrEqual((job.before.taps * 2) / 3);
    expect(swipes).toBeLessThanOrEqual((job.before.swipes * 2) / 3);
    console.log(
      `  ${job.kind}: ${taps} taps, ${swipes} swipes (${job.before.taps}, ${job.before.swipes} before)`,
    );
  });

/** How long each stage's panel was in screens of its own height, which was 353 px (measured by this test). */
const SCREENS_BEFORE = {
  piece: 3.6,
  design: 4.1,
  place: 4.6,
  hoop: 2.6,
  layers: 3.7,
  mount: 4.7,
  stitch: 2.1,
  finish: 1.8,
  log: 3.7,
};

test('what a stage says fits more of it into sight', { tag: '@deep' }, async ({ page }) => {
  const printed: string[] = [];
  let [now, then] = [0, 0];
  for (const [stage, before] of Object.entries(SCREENS_BEFORE)) {
    await page.goto(`/ticket/demo-ticket-01/${stage}`);
    await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
    // Once it is read, the sheet gives way.
    await page.mouse.move(195, 650);
    await page.mouse.wheel(0, 330);
    await page.waitForFunction(() => !document.getAnimations().some((a) => a.playState === 'running'));
    // What is fetched late counts.
    await page.waitForLoadState('networkidle');
    const measured = () =>
      page.evaluate(() => {
        const panels = Array.from(document.querySelectorAll('*')).filter(
          (e) =>
            /auto|scroll/.test(getComputedStyle(e).overflowY) && e.clientHeight > 100 && e.clientWidth > 300,
        );
        const panel = panels.sort((a, b) => b.scrollHeight - a.scrollHeight)[0];
        return {
          screens: (panel?.scrollHeight ?? 0) / (panel?.clientHeight ?? 1),
          px: panel?.clientHeight ?? 0,
        };
      });
    // The sheet has given way once it is so.
    await expect.poll(async () => (await measured()).screens).toBeLessThan(before);
    const { screens, px } = await measured();
    now += screens;
    then += before;
    printed.push(`${stage} ${screens.toFixed(1)} of ${px} px (${before})`);
  }
  console.log(`  panels in screens: ${printed.join(', ')}, in all ${now.toFixed(1)}`);
  expect(now).toBeLessThanOrEqual((then * 2) / 3);
});
