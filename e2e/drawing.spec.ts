import type { KeptTicket } from '@zt/core/model/api';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import { EMPTY_DESIGN } from '@zt/core/model/ticket/design';
import { EMPTY_PART } from '@zt/core/model/ticket/part';
import { answerStitches } from '@zt/core/stages/design/stitches/answer';
import { stitchesAsked } from '@zt/core/stages/design/stitches/asked';
import { stitchFigures } from '@zt/core/stages/design/stitchFigures';
import { readSvg } from '@zt/core/stages/design/svg/readSvg';
import { fabricOf } from '@zt/core/stages/piece/planPiece';
import { toolsInNode } from '@zt/core/testing/toolsInNode';
import { expect, test } from './support/test';
import { fillIn, onTicket } from './support/ticket';

const svg = (attributes: string, body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`;
const file = (name: string, text: string) => ({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) });

const BADGE = svg(
  'width="3in" height="2in" viewBox="0 0 300 200"',
  '<g transform="translate(50 50) scale(2)"><rect width="100" height="50" fill="#1F3A5F"/></g><circle cx="150" cy="100" r="30" fill="#E9B93A"/><path d="M60 60 L240 60" stroke="#C8322B" stroke-width="6" fill="none"/>',
);

test('an SVG drawing is read at its true size: outline, colours in order, stitches', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('T-shirt');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.stage('Design');
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file('badge.svg', BADGE));
  await ticket.reads('From badge.svg: outline, colours and stitches were worked out from it.');
  await expect(page.getByRole('textbox', { name: 'design width' })).toHaveValue('50.8 mm');
  await expect(page.getByRole('textbox', { name: 'design height' })).toHaveValue('25.4 mm');
  // Another width makes all of it so much larger.
  await fillIn(page.getByRole('textbox', { name: 'design width' }), '60');
  await expect(page.getByRole('textbox', { name: 'design height' })).toHaveValue('30 mm');
  await ticket.reads('Colours in the order they are stitched: 3');
  await expect(page.getByRole('button', { name: /^colour 1 navy/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^colour 2 yellow/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^colour 3 red/ })).toBeVisible();
  await expect(page.locator('[data-testid="sheet"] path[fill="#1f3a5f" i]')).toHaveCount(1);
});

const REFUSED: [string, string, RegExp][] = [
  ['letter.svg', 'Dear customer, here is my logo.', /not an SVG drawing, or it is damaged/],
  [
    'script.svg',
    svg('width="10mm" height="10mm"', '<script>window.hurt = true</script><rect width="5" height="5"/>'),
    /carries a script/,
  ],
  [
    'event.svg',
    svg('width="10mm" height="10mm"', '<rect width="5" height="5" onload="window.hurt = true"/>'),
    /carries a script/,
  ],
  [
    'outside.svg',
    svg('width="10mm" height="10mm"', '<image href="picture.png" width="5" height="5"/>'),
    /points to something outside itself/,
  ],
  [
    'entity.svg',
    `<!DOCTYPE svg [<!ENTITY a "b">]>${svg('width="10mm" height="10mm"', '<rect width="5" height="5"/>')}`,
    /defines entities of its own/,
  ],
  ['empty.svg', svg('width="10mm" height="10mm"', '<g/>'), /Nothing in this drawing can be stitched/],
  [
    'huge.svg',
    svg('width="10mm" height="10mm"', `<!--${'x'.repeat(5.2 * 1024 * 1024)}--><rect width="5" height="5"/>`),
    /over 5 MB/,
  ],
];

test('a drawing that cannot be used is refused in words, runs nothing and loses nothing', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/design');
  // Its stitches are made once it is looked at.
  const isMade = async () => {
    const kept = (await (await page.request.get('/api/tickets/demo-ticket-01')).json()) as KeptTicket;
    return kept.ticket.design.made !== null;
  };
  await expect.poll(isMade).toBe(true);
  const count = page
    .getByText(/^\d+ stitches, [a-z ]+$/)
    .filter({ visible: true })
    .first();
  const before = (await count.textContent()) ?? '';
  for (const [name, text, words] of REFUSED) {
    await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file(name, text));
    await expect(page.getByRole('alert')).toContainText(words);
    await expect(page.getByRole('alert')).toContainText('your ticket is as it was');
  }
  await ticket.reads(before);
  expect(await page.evaluate(() => 'hurt' in window)).toBe(false);
});

test('a drawing that says nothing of its size is asked about, with what the hoops hold', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Napkin');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '240');
  await ticket.fill('hem to hem', '240');
  await ticket.fill('hem, depth', '8');
  await ticket.stage('Design');
  const icon = `<?xml version="1.0"?><!DOCTYPE svg PUBLIC "-//W3C//DTD SVG 1.1//EN" "http://www.w3.org/Graphics/SVG/1.1/DTD/svg11.dtd">${svg(
    'viewBox="0 0 24 24"',
    '<style>.a{fill:none;stroke:#1F3A5F;stroke-linecap:round}</style><circle class="a" cx="12" cy="12" r="9"/><path class="a" d="M12 7v5l3 3"/>',
  )}`;
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file('clock.svg', icon));
  const question = page.getByRole('group', { name: 'How wide is it to be?' });
  await expect(question).toContainText('clock.svg does not say how large it is.');
  await expect(question.getByRole('radio', { name: '98 mm × 98 mm, fills 100 × 100 screw' })).toBeVisible();
  // The corner of so small a napkin takes less than most hoops do.
  await expect(question.getByRole('radio', { name: /the most that fits this place$/ })).toBeVisible();
  await expect(question.getByRole('radio', { name: /fills 240 × 360/ })).toHaveCount(0);
  // It can be left: the ticket is as it was.
  await question.getByRole('button', { name: 'Leave it' }).click();
  await expect(question).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'design width' })).toHaveValue('');
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file('clock.svg', icon));
  await fillIn(question.getByRole('textbox', { name: 'another width' }), '38');
  await expect(page.getByRole('textbox', { name: 'design width' })).toHaveValue('38 mm');
  await expect(page.getByRole('textbox', { name: 'design height' })).toHaveValue('38 mm');
  await expect(page.getByRole('textbox', { name: 'Name of the design' })).toHaveValue('clock');
  await ticket.reads('Colours in the order they are stitched: 1');
  // Another drawing brings its own name; its answer may come with one tap.
  await page.getByLabel('Another SVG drawing', { exact: true }).setInputFiles(file('moon.svg', icon));
  await question.getByRole('radio', { name: '38 mm × 38 mm, as wide as the design now' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the design' })).toHaveValue('moon');
  await ticket.saved();
});

test('a drawing that changes its colour nineteen times is stitched in two', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Napkin');
  await ticket.stage('Design');
  const leaves = Array.from(
    { length: 19 },
    (_, i) => `<circle cx="${5 + 5 * i}" cy="10" r="2" fill="${i % 2 === 0 ? '#1F3A5F' : '#E9B93A'}"/>`,
  ).join('');
  const border = svg('width="100mm" height="20mm" viewBox="0 0 100 20"', leaves);
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file('border.svg', border));
  await ticket.reads('Colours in the order they are stitched: 2');
  await ticket.reads(/19 colour stops became 2/);
});

/** A column that is satin as it comes, and a line of running stitches at a third of its size. */
const COLUMN = svg(
  'width="60mm" height="30mm" viewBox="0 0 60 30"',
  '<rect x="5" y="5" width="50" height="12" fill="#1F3A5F"/><rect x="5" y="20" width="50" height="2" fill="#C8322B"/>',
);

test('a drawing at another size has the stitches of that size, whoever opens it, and keeps the threads chosen', {
  tag: '@deep',
}, async ({ page, request }) => {
  const ticket = onTicket(page);
  const rules = await (await request.get('/api/rules')).json();
  await ticket.start('T-shirt');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.stage('Design');
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file('column.svg', COLUMN));
  await ticket.reads('From column.svg: outline, colours and stitches were worked out from it.');
  const heading = page.getByText(/^\d+ stitches, /).filter({ visible: true });
  const stitches = async () => Number.parseInt((await heading.first().textContent()) ?? '', 10);
  const tools = await toolsInNode();
  const asMade = (widthMm: number, numbers = {}): number => {
    const by = { ...DEFAULT_HOUSE_RULES, numbers };
    const figures = stitchFigures(by);
    const read = readSvg(COLUMN, 'column.svg', { tools, figures, cloth: '#FFFFFF', widthMm });
    if (!read.ok) return Number.NaN;
    const { heightMm, colours, artwork, stitches: count } = read;
    const part = { ...EMPTY_PART, widthMm: read.widthMm, heightMm, stitches: count, colours, artwork };
    const fabric = fabricOf({ fabricId: 'jersey-tee', fabricChanges: {} });
    const question = stitchesAsked({ ...EMPTY_DESIGN, parts: [part] }, { fabric, rules: by });
    if (!question) return Number.NaN;
    const work = answerStitches(question, tools.clip);
    let step = work.next();
    while (!step.done) step = work.next();
    return step.value.made.stops.reduce((sum, { fill, satin, other }) => sum + fill + satin + other, 0);
  };
  await expect.poll(stitches).toBe(asMade(50));
  await page.getByRole('button', { name: /^colour 2 red/ }).click();
  await page.getByRole('textbox', { name: 'name of colour 2' }).fill('rowan');
  await page.getByRole('textbox', { name: 'name of colour 2' }).blur();
  await ticket.fill('design width', '15');
  // A third as wide: the thin column is a line of running stitches now, of which by area there would be a tenth.
  await expect.poll(stitches).toBe(asMade(15));
  await expect(page.getByRole('button', { name: /^colour 2 rowan/ })).toBeVisible();
  await ticket.saved();

  // From the shop's computer, by another page.
  await page.reload();
  await ticket.fill('design width', '100');
  await expect.poll(stitches).toBe(asMade(100));
  await ticket.saved();
  // Of another shop's figures.
  const numbers = { ...rules.numbers, fillRowMm: 0.3 };
  await request.put('/api/rules', { data: { rules: { ...rules, numbers } } });
  await page.reload();
  await expect.poll(stitches).toBe(asMade(100, { fillRowMm: 0.3 }));
  await request.put('/api/rules', { data: { rules } });
});

test('any width that a design may have is taken, and none beyond', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('T-shirt');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.stage('Design');
  await page.getByLabel('SVG drawing', { exact: true }).setInputFiles(file('column.svg', COLUMN));
  await ticket.reads('From column.svg: outline, colours and stitches were worked out from it.');
  const [width, height] = ['design width', 'design height'].map((name) =>
    page.getByRole('textbox', { name }),
  );
  if (!width || !height) throw new Error('assertion failed: two sides');
  await fillIn(width, '900');
  await expect(height).toHaveValue('306 mm');
  await fillIn(width, '45');
  await expect(height).toHaveValue('15.3 mm');
  await fillIn(width, '2100');
  await ticket.reads('“2100” was not taken: a length from 0 mm to 2000 mm.');
  await expect(width).toHaveValue('2100');
  await expect(height).toHaveValue('15.3 mm');
});
