import { expect, test } from './support/test';
import { fillIn, onTicket } from './support/ticket';

test('a depth of one’s own is measured from a landmark, and the tape reads it', { tag: '@wide' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/place');
  await page.getByRole('button', { name: 'Set the depth yourself' }).click();
  await page.getByRole('radiogroup', { name: 'To' }).getByRole('radio', { name: 'its top' }).click();
  const depth = page.getByRole('textbox', { name: /^its top, below / });
  await fillIn(depth, '6');
  await depth.blur();
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads(/6 in/);
  await expect(page.getByRole('button', { name: 'back to the rule’s own depth' })).toBeVisible();
  await page.getByRole('button', { name: 'back to the rule’s own depth' }).click();
  await expect(page.getByRole('button', { name: 'back to the rule’s own depth' })).toHaveCount(0);
  await ticket.saved();
});

test('a design is moved by a tape’s mark and by typed lengths, and rests where it is let go', {
  tag: '@wide',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/place');
  await page.getByRole('button', { name: 'Move it by typed lengths' }).click();
  await page.getByRole('button', { name: 'Nudge right 1/16 in' }).click();
  await page.getByRole('button', { name: 'Nudge down 1/16 in' }).click();
  await expect(page.getByTestId('offset')).toHaveText('Off the rule: 1/16 in to your right, 1/16 in lower');
  await ticket.fill('off the rule, across', '2 1/2');
  await expect(page.getByTestId('offset')).toHaveText('Off the rule: 2 1/2 in to your right, 1/16 in lower');
  await page.getByRole('radio', { name: 'where I let go' }).click();
  await expect(page.getByRole('radio', { name: 'where I let go' })).toBeChecked();
  await page.getByRole('button', { name: 'back to the rule', exact: true }).click();
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await page.getByRole('radio', { name: 'on the rule and whole marks' }).click();
  await ticket.saved();
});

test('drawings of several tickets opened one after the other keep their own hatching', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/');
  for (const name of ['Crew tee, crossed oars', 'Bath towel, monogram']) {
    await page
      .getByRole('link', { name: new RegExp(`^${name}`) })
      .first()
      .click();
    await ticket.stage('Layers');
    await expect(ticket.sheet()).toBeVisible();
    const ids = await page.evaluate(() => Array.from(document.querySelectorAll('[id]')).map((e) => e.id));
    expect(ids.length).toBe(new Set(ids).size);
    const missing = await page.evaluate(() =>
      Array.from(document.querySelectorAll('[fill^="url(#"], [clip-path^="url(#"]'))
        .flatMap((e) => [e.getAttribute('fill'), e.getAttribute('clip-path')])
        .map((value) => /^url\("?#([^)"]+)/.exec(value ?? '')?.[1])
        .filter((id): id is string => id !== undefined)
        .filter((id) => !document.getElementById(id)),
    );
    expect(missing).toEqual([]);
    await page.getByRole('button', { name: 'Back to the bench' }).filter({ visible: true }).click();
    await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  }
});

test('a ticket that waits for its measures says what is next, and nothing on it is a stop', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  for (const kind of ['T-shirt', 'Bath towel']) {
    await ticket.startByHand(kind);
    for (const stage of ['Piece', 'Design', 'Place', 'Hoop', 'Layers', 'Mount', 'Stitch', 'Finish']) {
      await ticket.stage(stage);
      await expect(page.getByText('Stop', { exact: true }).filter({ visible: true })).toHaveCount(0);
    }
    await ticket.stage('Hoop');
    await ticket.reads('Hoop waits for Piece');
    const piece = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /^1 Piece/ });
    await expect(piece).toHaveAccessibleName('1 Piece: still to do');
  }
  await ticket.saved();
});

test('each of four corners has its own keys on Mount', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-12/mount');
  await page.getByRole('button', { name: 'Keys of no. 2 to 4' }).click();
  for (const number of [2, 3, 4]) await ticket.reads(new RegExp(`^Keys of no\\. ${number}, hooping \\d`));
  await ticket.saved();
});
