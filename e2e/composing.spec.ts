import type { Page } from '@playwright/test';
import type { KeptTicket } from '@zt/core/model/api';
import { USUAL_LETTERING } from '@zt/core/model/ticket/lettering';
import { EMPTY_PART, type Part } from '@zt/core/model/ticket/part';
import { planTicket } from '@zt/core/planner/plan';
import { areLettersSet } from '@zt/core/stages/design/lettering/lettersKey';
import { setLetters } from '@zt/core/stages/design/lettering/setLetters';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { faceInNode } from '@zt/core/testing/facesInNode';
import { measuredTicket, SAMPLE_RULES, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { toolsInNode } from '@zt/core/testing/toolsInNode';
import { expect, test } from './support/test';
import { fillIn, freshTicket, onTicket, putTicket, unfold } from './support/ticket';

/** A name set outside the browser, as a part. */
async function setInNode(text: string): Promise<Part> {
  const letters = { ...USUAL_LETTERING, text };
  const { clip } = await toolsInNode();
  const set = setLetters(letters, {
    face: await faceInNode(letters.face),
    clip,
    figures: stitchFigures(SAMPLE_RULES),
  });
  if (!set.ok) throw new Error('assertion failed: a name can be set');
  const { widthMm, heightMm, stitches, artwork } = set;
  return { ...EMPTY_PART, letters, widthMm, heightMm, stitches, artwork };
}

const svg = (name: string, width: number, height: number, body: string) => ({
  name,
  mimeType: 'image/svg+xml',
  buffer: Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">${body}</svg>`,
  ),
});
const SPRIG = svg(
  'sprig.svg',
  14,
  30,
  '<path d="M6 30C6 18 6 10 8 0C9 10 8 18 8 30Z" fill="#4C7550"/><ellipse cx="11" cy="10" rx="3" ry="6" fill="#4C7550"/>',
);

const opened = async (page: Page) => {
  const id = /ticket\/([\w-]+)/.exec(page.url())?.[1];
  return ((await (await page.request.get(`/api/tickets/${id}`)).json()) as KeptTicket).ticket;
};
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: true });
const part = (page: Page, name: RegExp) =>
  page.getByRole('radiogroup', { name: 'Parts' }).getByRole('radio', { name });
const textbox = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });

async function startedAtDesign(page: Page, kind: string, readings: Record<string, number>) {
  const at = await putTicket(page, freshTicket(kind, readings));
  await page.goto(`${at}/design`);
  await page.getByRole('radio', { name: 'millimetres' }).click();
  return onTicket(page);
}

/** Puts the chosen part so far to a side and down, by its figures. */
async function putAt(page: Page, [x, left]: [string, 'left' | 'right'], y: string) {
  await unfold(button(page, 'Where it lies, in figures'));
  await fillIn(textbox(page, 'across'), x);
  await page
    .getByRole('radiogroup', { name: 'across, which way' })
    .getByRole('radio', { name: left })
    .click();
  await fillIn(textbox(page, 'up or down'), y);
}

test('a name with two mirrored sprigs comes closer to fit 100 × 100, its letters kept together', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Hand towel', {
    'side to side': 480,
    'border band, height': 45,
    'hem to far edge of the band': 70,
  });
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(SPRIG);
  await ticket.reads('From sprig.svg: outline, colours and stitches were worked out from it.');
  await putAt(page, ['50', 'left'], '0');
  await button(page, 'Add letters').click();
  await fillIn(textbox(page, 'letters'), 'Rosa');
  await page.getByRole('radio', { name: 'script' }).click();
  await ticket.reads('Parts, the lowest first: 2');
  await putAt(page, ['0', 'right'], '0');
  await part(page, /^1 sprig/).click();
  await button(page, 'Put a mirrored copy on the other side').click();
  await ticket.reads('Parts, the lowest first: 3');
  await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(8);
  await ticket.saved();
  const before = await opened(page);
  const [left, name, right] = before.design.parts;
  expect([left?.at, right?.at, right?.mirrored]).toEqual([{ x: -50, y: 0 }, { x: 50, y: 0 }, true]);
  expect(name?.artwork?.letters.map(({ letter }) => letter)).toEqual(['R', 'o', 's', 'a']);

  await ticket.stage('Hoop');
  await page.getByRole('radio', { name: /^100 × 100 screw/ }).click();
  await button(page, /^Move its elements closer together: fits 100 × 100 screw/)
    .first()
    .click();
  await button(page, /^Do it: /).click();
  await ticket.saved();
  const { design } = await opened(page);
  const [nearer, same, mirror] = design.parts;
  // Three parts came closer as wholes: no drawing was pulled apart, and the letters are what they were.
  expect(design.parts.map(({ elementMoves }) => elementMoves)).toEqual([[], [], []]);
  expect(same?.artwork).toEqual(name?.artwork);
  expect(nearer?.at.x).toBeGreaterThan(-50);
  expect(mirror?.at.x).toBeCloseTo(-(nearer?.at.x ?? 0), 6);
  await ticket.stage('Design');
  await expect(page.getByTestId('sheet')).toHaveAttribute(
    'aria-label',
    /3 parts\. 100 × 100 screw lies on it/,
  );
});

test('a monogram of three letters in a ring goes onto a towel', { tag: '@deep' }, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Hand towel', {
    'side to side': 480,
    'border band, height': 45,
    'hem to far edge of the band': 70,
  });
  await button(page, 'Add a monogram').click();
  await fillIn(textbox(page, 'letters of the monogram'), 'PSL');
  await fillIn(textbox(page, 'height of a capital'), '34');
  // The ring and three letters, in one thread.
  await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(4);
  await ticket.reads('Colours in the order they are stitched: 1');
  await page.getByRole('radiogroup', { name: 'Round it' }).getByRole('radio', { name: 'a lozenge' }).click();
  await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(4);
  const isSet = async () => {
    const [made] = (await opened(page)).design.parts;
    return made?.letters?.monogram?.frame === 'lozenge' && areLettersSet(made, SAMPLE_RULES);
  };
  await expect.poll(isSet).toBe(true);
  const kept = await opened(page);
  expect(kept.design.parts[0]?.letters).toMatchObject({
    text: 'PSL',
    capMm: 34,
    monogram: { frame: 'lozenge' },
  });
  await ticket.onTo('Place');
  await ticket.reads(/above the/);
  const planned = planTicket(kept, SAMPLE_SHELF, SAMPLE_RULES);
  expect(planned.design.facts?.lettering).toBe(true);
  expect(planned.design.findings.filter(({ severity }) => severity === 'next')).toEqual([]);
});

test('a wreath of leaves goes round a monogram, as many as have room', { tag: '@deep' }, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Hand towel', {
    'side to side': 480,
    'border band, height': 45,
    'hem to far edge of the band': 70,
  });
  await button(page, 'Add a monogram').click();
  await fillIn(textbox(page, 'letters of the monogram'), 'R');
  await ticket.reads('Add a drawing, a leaf perhaps, and it can go round it as a wreath.');
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(SPRIG);
  await ticket.reads('From sprig.svg: outline, colours and stitches were worked out from it.');
  await page.getByRole('radio', { name: /^1 R/ }).click();
  await button(page, 'A wreath of “sprig”').click();
  await ticket.reads(/^Parts, the lowest first: ([4-9]|\d\d+)$/);
  await ticket.saved();
  const { design } = await opened(page);
  const [middle, ...leaves] = design.parts;
  expect(leaves.length).toBeGreaterThanOrEqual(3);
  const far = leaves.map(({ at }) => Math.hypot(at.x - (middle?.at.x ?? 0), at.y - (middle?.at.y ?? 0)));
  for (const one of far) expect(Math.abs(one - (far[0] ?? 0))).toBeLessThan(0.5);
});

test('what cannot be set is said in words, with the typefaces that could; nothing typed is lost', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Napkin', {});
  await button(page, 'Add letters').click();
  const letters = textbox(page, 'letters');
  await fillIn(letters, 'Mia');
  await ticket.reads(/^\d+ stitches, /);
  await fillIn(letters, 'Mia 🧁');
  await expect(page.getByRole('alert')).toContainText('This typeface has no “🧁”.');
  await expect(letters).toHaveValue('Mia 🧁');
  await fillIn(letters, 'שלום');
  const alert = page.getByRole('alert');
  await expect(alert).toContainText('This typeface has no “ש”, “ל”, “ו”, “ם”.');
  await alert.getByRole('button', { name: 'Set in plump' }).click();
  await expect(alert).toHaveCount(0);
  await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(4);
  // Over 200 letters stay as they were typed, and are not used.
  await fillIn(letters, 'x'.repeat(201));
  await ticket.reads(/at most 200 letters; 201 are typed\. They stay here, and are not used\./);
  await expect(letters).toHaveValue('x'.repeat(201));
  await fillIn(letters, 'Mia');
  await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(4);
  // Letters on a circle that is too small ask for a larger one.
  await page
    .getByRole('radiogroup', { name: 'Standing on' })
    .getByRole('radio', { name: 'a circle' })
    .click();
  await fillIn(textbox(page, 'radius'), '5');
  await fillIn(letters, 'Pennyscar Rowing Club');
  await expect(alert).toContainText(/^The letters go round more than once: they need a radius of \d+ mm/);
  await fillIn(textbox(page, 'radius'), '60');
  await expect(alert).toHaveCount(0);
  await ticket.saved();
});

test('small letters are judged one by one, and a larger height is offered that mends them', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Napkin', {});
  await button(page, 'Add letters').click();
  await fillIn(textbox(page, 'letters'), 'Hannah');
  await fillIn(textbox(page, 'height of a capital'), '7');
  await ticket.reads(
    /Of “Hannah”, “a”, “n”: [\d.]+ mm high needs 60 wt thread and a 65\/9 needle; 6 mm holds in 40 wt\.$/,
  );
  const note = page.getByRole('note').filter({ hasText: 'needs 60 wt thread' });
  await note.getByRole('button', { name: /^Set capitals / }).click();
  await button(page, /^Do it: /).click();
  await expect(note).toHaveCount(0);
  await expect(textbox(page, 'height of a capital')).not.toHaveValue('7 mm');
  await ticket.saved();
});

test(
  'parts are taken on the sheet: dragged, turned by their handle, nudged by keys; each is one step to undo',
  { tag: '@wide-deep' },
  async ({ page }, { project }) => {
    const ticket = await startedAtDesign(page, 'Napkin', {});
    await button(page, 'Add letters').click();
    await fillIn(textbox(page, 'letters'), 'Anna');
    await button(page, 'Add letters').click();
    await fillIn(textbox(page, 'letters'), 'Ben');
    await ticket.reads('Parts, the lowest first: 2');
    await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(7);
    await ticket.saved();
    const sheet = page.getByTestId('sheet');
    await sheet.scrollIntoViewIfNeeded();
    const before = (await opened(page)).design.parts;
    const handles = page.getByTestId('handles');
    if (project.name === 'phone') {
      // The sheet comes back when it is touched.
      await sheet.click({ position: { x: 4, y: 4 } });
      await part(page, /^2 Ben/).click();
      await sheet.click({ position: { x: 4, y: 4 } });
    }
    // By the keys, what is chosen.
    await part(page, /^2 Ben/).click();
    await sheet.focus();
    await page.keyboard.press('Shift+ArrowRight');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press(']');
    await ticket.saved();
    const nudged = (await opened(page)).design.parts[1];
    expect([nudged?.at.x, nudged?.at.y, nudged?.turnDeg]).toEqual([
      (before[1]?.at.x ?? 0) + 5,
      (before[1]?.at.y ?? 0) + 1,
      1,
    ]);
    // By its handle.
    const circle = await handles.locator('circle').first().boundingBox();
    const at = {
      x: (circle?.x ?? 0) + (circle?.width ?? 0) / 2,
      y: (circle?.y ?? 0) + (circle?.height ?? 0) / 2,
    };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.mouse.move(at.x, at.y + 30, { steps: 4 });
    await page.mouse.move(at.x, at.y + 60, { steps: 4 });
    await page.mouse.up();
    await ticket.saved();
    await expect.poll(async () => (await opened(page)).design.parts[1]?.turnDeg).toBeGreaterThan(10);
    const turned = (await opened(page)).design.parts[1]?.turnDeg;
    await button(page, 'Undo').click();
    await ticket.saved();
    await expect.poll(async () => (await opened(page)).design.parts[1]?.turnDeg).toBe(1);
    expect(turned).not.toBe(1);
    // Taken by itself.
    const letter = await page
      .locator('[data-testid="sheet"] path[fill-rule="evenodd"]')
      .first()
      .boundingBox();
    const on = {
      x: (letter?.x ?? 0) + (letter?.width ?? 0) / 2,
      y: (letter?.y ?? 0) + (letter?.height ?? 0) / 2,
    };
    await page.mouse.move(on.x, on.y);
    await page.mouse.down();
    await page.mouse.move(on.x - 20, on.y, { steps: 4 });
    await page.mouse.move(on.x - 40, on.y, { steps: 4 });
    await page.mouse.up();
    await ticket.saved();
    await expect
      .poll(async () => (await opened(page)).design.parts[0]?.at.x)
      .toBeLessThan(before[0]?.at.x ?? 0);
    await expect(part(page, /^1 Anna/)).toBeChecked();
    // Taken away and back.
    await button(page, 'Take away what is chosen').click();
    await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(3);
    await button(page, 'Undo').click();
    await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(7);
  },
);

test('several parts are lined up, spread, put in a ring; one thread is one stop, and may be stitched sooner', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Napkin', {
    'side to side': 450,
    'hem to hem': 450,
    'hem, depth': 8,
  });
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(SPRIG);
  await ticket.reads('From sprig.svg: outline, colours and stitches were worked out from it.');
  // Once it is kept nothing moves any more under the finger.
  await ticket.saved();
  await button(page, 'Put it in a ring').click();
  await page
    .getByRole('radiogroup', { name: 'How many in the ring' })
    .getByRole('radio', { name: '6' })
    .click();
  await button(page, 'Make a ring of 6').click();
  await ticket.reads('Parts, the lowest first: 6');
  // Six sprigs of one green are one stop.
  await ticket.reads('Colours in the order they are stitched: 1');
  await button(page, 'Add letters').click();
  await fillIn(textbox(page, 'letters'), 'B');
  await button(page, 'Line it up with the rest').click();
  await button(page, 'Line up centres').click();
  await button(page, 'Line up middles').click();
  // The seventh part is of the same thread: still one stop. In a thread of its own there are two, in the order it likes.
  await ticket.reads('Colours in the order they are stitched: 1');
  await button(page, 'thread 1 of this part').click();
  await button(page, 'Thread 1 of this part: navy').click();
  await ticket.reads('Colours in the order they are stitched: 2');
  await button(page, /^colour 2 navy/).click();
  await button(page, 'Stitch it sooner').click();
  await expect(button(page, /^colour 1 navy/)).toBeVisible();
  // What a person holds to is stitched so.
  await ticket.saved();
  const address = page.url();
  await page.goto(address.replace('/design', '/card/stitch'));
  const words = page.getByTestId('card-text');
  await expect(words).toHaveText(/^Colour 1: navy/i);
  await button(page, 'Next step').click();
  await expect(words).toHaveText(/^Colour 2: /);
  await page.goto(address);
  await button(page, 'Back to the order of fewest thread changes').click();
  await expect(button(page, /^colour 2 navy/)).toBeVisible();
  await ticket.saved();
  const { design } = await opened(page);
  const last = design.parts.at(-1);
  expect(design.parts).toHaveLength(7);
  expect(Math.abs((last?.at.x ?? 9) - 0)).toBeLessThan(1);
});

test('of thirty parts one is dragged, and no other moves', { tag: ['@wide', '@deep'] }, async ({ page }) => {
  const id = `thirty-parts-${crypto.randomUUID()}`;
  const letters = await setInNode('Pennyscar');
  const parts = Array.from({ length: 30 }, (_, i) => ({
    ...letters,
    id: `part-number-${i}`,
    at: { x: (i % 5) * 100 - 200, y: Math.floor(i / 5) * 18 - 45 },
    colours: [{ hex: i % 2 === 0 ? '#1F3A5F' : '#A93F36', name: 'thread', stitches: null }],
  }));
  const measured = measuredTicket('panel', 'middle', [50, 40]);
  const ticket = { ...measured, id, name: 'Thirty names', design: { ...measured.design, parts } };
  const put = await page.request.put(`/api/tickets/${id}`, { data: { ticket, rev: 0 } });
  expect(put.ok()).toBe(true);
  await page.goto(`/ticket/${id}/design`);
  await onTicket(page).reads('Parts, the lowest first: 30');
  await expect(page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]')).toHaveCount(270);
  const letter = page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]').nth(12 * 9 + 4);
  const box = await letter.boundingBox();
  const on = { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  await page.mouse.move(on.x, on.y);
  await page.mouse.down();
  await page.mouse.move(on.x + 30, on.y + 18, { steps: 12 });
  await page.mouse.up();
  await expect
    .poll(async () => (await opened(page)).design.parts[12]?.at.x)
    .toBeGreaterThan(parts[12]?.at.x ?? 0);
  expect((await opened(page)).design.parts.filter(({ at }, i) => at.x !== parts[i]?.at.x)).toHaveLength(1);
  await page.request.delete(`/api/tickets/${id}`);
});

test('a size off the machine has its stitches by colour: they are counted together', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = await startedAtDesign(page, 'Napkin', {});
  await fillIn(textbox(page, 'design width'), '60');
  await fillIn(textbox(page, 'design height'), '40');
  await ticket.reads(/Still to enter: the stitch count, or how dense it is\./);
  await button(page, 'Add a colour').click();
  await button(page, /^colour 1 /).click();
  await fillIn(textbox(page, 'stitches of colour 1'), '3000');
  await button(page, /^colour 2 /).click();
  await fillIn(textbox(page, 'stitches of colour 2'), '1000');
  await ticket.reads('4000 stitches, heavy');
  await ticket.saved();
});
