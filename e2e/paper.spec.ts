import { readFile } from 'node:fs/promises';
import { codeOn, measurePage } from './support/measurePdf';
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './support/test';
import { onTicket } from './support/ticket';

const MM_PER_INCH = 25.4;
const PROVED_TO_MM = 0.2;

test('a template is downloaded, and its proving rulers measure right at 100 %', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/place');
  await page.getByRole('button', { name: /^Print: template/ }).click();
  await page.getByRole('radio', { name: 'template' }).click();
  await ticket.reads(/Print at 100 %, then lay a ruler on the proving ruler/);
  await expect(page.getByRole('radio', { name: 'A4', exact: true })).toBeChecked();
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save the template as PDF' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('template.pdf');
  const printed = await measurePage(new Uint8Array(await readFile(await download.path())));
  expect(Math.abs(printed.widthMm - 210)).toBeLessThan(0.1);
  const [left = 0, right = 0, inchLeft = 0, inchRight = 0] = printed.endStrokesMm;
  expect(printed.endStrokesMm).toHaveLength(4);
  expect(Math.abs(right - left - 100)).toBeLessThan(PROVED_TO_MM);
  expect(Math.abs(inchRight - inchLeft - MM_PER_INCH)).toBeLessThan(PROVED_TO_MM);
});

test('every sheet of a tiled template and of the ruler proves itself, on Letter too', async ({
  request,
  baseURL,
}) => {
  const files = ['demo-ticket-06/template.pdf?paper=letter', 'demo-ticket-01/ruler.pdf?paper=letter'];
  for (const file of files) {
    const answer = await request.get(`${baseURL}/api/paper/${file}`);
    const printed = await measurePage(new Uint8Array(await answer.body()));
    expect(Math.abs(printed.widthMm - 215.9)).toBeLessThan(0.1);
    const [left = 0, right = 0] = printed.endStrokesMm;
    expect(Math.abs(right - left - 100)).toBeLessThan(PROVED_TO_MM);
  }
});

test('the sheet comes as SVG in millimetres and as a picture', { tag: '@deep' }, async ({ page }) => {
  await page.goto('/ticket/demo-ticket-02/print');
  for (const [role, name, file] of [
    ['button', 'Sheet as SVG', 'sheet.svg'],
    ['button', 'Template as SVG', 'template.svg'],
    ['link', 'Sheet as picture', 'sheet.png'],
  ] as const) {
    const waiting = page.waitForEvent('download');
    await page.getByRole(role, { name }).click();
    expect((await waiting).suggestedFilename()).toBe(file);
  }
});

test('the job card is seen before it is printed, and the code on the printed page opens the ticket', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  await page.goto('/ticket/demo-ticket-02/print');
  const preview = page.getByRole('img', { name: 'job card, as it will be printed' });
  await expect.poll(() => preview.evaluate((e) => (e as HTMLImageElement).naturalWidth)).toBeGreaterThan(600);
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
  for (const [paper, widthMm] of [
    ['A5', 148],
    ['A4', 210],
    ['Letter', 215.9],
  ] as const) {
    await page.getByRole('radio', { name: paper, exact: true }).click();
    const waiting = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Save the job card as PDF' }).click();
    const printed = await codeOn(new Uint8Array(await readFile(await (await waiting).path())));
    expect(Math.abs(printed.widthMm - widthMm)).toBeLessThan(0.1);
    expect(printed.text).toContain('/ticket/demo-ticket-02/piece');
    await page.goto(printed.text ?? '');
    await expect(page.getByRole('heading', { name: 'Bath towel, monogram' })).toBeVisible();
    await page.goto('/ticket/demo-ticket-02/print');
  }
  await page.getByRole('radio', { name: 'swing label' }).click();
  await expect(page.getByRole('img', { name: 'swing label, as it will be printed' })).toBeVisible();
});
