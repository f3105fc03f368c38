import { createCanvas } from '@napi-rs/canvas';
import type { APIRequestContext } from '@playwright/test';
import type { PieceKindId } from '@zt/core/model/pieceKindIds';
import type { Shelf } from '@zt/core/model/shelf';
import type { StabilizerId } from '@zt/core/model/ticket/layers';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { oneDesign } from '@zt/core/testing/designed';
import { measuredTicket } from '@zt/core/testing/samples';
import { openShop } from './support/shop';
import { expect, expectNoSidewaysScroll, test } from './support/test';
import { onTicket } from './support/ticket';

test('overruling cut-away with wash-away on a knit under a dense design: the warning, and what it risks', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-04/layers');
  const puckering = page.getByRole('button', { name: /^puckering: / });
  const points = async () =>
    Number(/(\d+) of 100/.exec((await puckering.getAttribute('aria-label')) ?? '')?.[1]);
  const before = await points();
  await puckering.click();
  await ticket.reads(/A sheet that stays holds the cloth for good/);
  await page.getByRole('button', { name: 'change the support' }).click();
  await page.getByRole('radio', { name: 'Wash-away cloth' }).click();
  await ticket.reads(/Wash-away alone under a dense design on a knit/);
  await expect.poll(points).toBeGreaterThan(before);
  await ticket.reads(/A sheet that leaves holds it while it is stitched/);
  await page.getByRole('button', { name: /^Back to the proposal/ }).click();
  await expect.poll(points).toBe(before);
  await ticket.saved();
});

test('switching “always two” says at once which tickets change, and the rules can be searched', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/rules');
  await page.getByRole('radio', { name: 'always two' }).click();
  await expect(page.getByTestId('changed')).toHaveText(/^\d+ tickets change:$/);
  await ticket.reads(
    /Crew tee, crossed oars: Cut-away, medium, in the ring, sprayed \+ Tear-away, medium, in the ring instead of/,
  );
  await page.getByRole('radio', { name: 'by weight of the design' }).click();
  await ticket.reads(/Crew tee, crossed oars: Cut-away, medium, in the ring, sprayed instead of/);
  await page.getByRole('radio', { name: 'at the end' }).click();
  await ticket.reads(/Crew tee, crossed oars: now “.*jump/i);
  await page.getByRole('button', { name: /^Layers, needle and thread: \d+ rules/ }).click();
  await ticket.fill('Find a rule', 'pile iron support');
  await expect(page.getByTestId('rules-found')).toHaveText(/^[1-5] of \d+\./);
  await ticket.reads('support: pile, takes an iron');
  await ticket.reads(/^Decides: .*Bath towel, monogram/);
  await ticket.saved();
});

/** Offcuts that other tests left are put away. */
async function putOffcutsAway(request: APIRequestContext, stabilizer: StabilizerId): Promise<void> {
  const { materials } = (await (await request.get('/api/shelf')).json()) as Shelf;
  const put = materials
    .filter(({ type }) => type === stabilizer)
    .map((roll) => ({ noun: 'materials', item: { ...roll, loose: [] } }));
  await request.post('/api/shelf', { data: { put } });
}

test('a missing stabilizer has its substitute with what it costs in risk, and stands on the shopping list', {
  tag: '@deep',
}, async ({ page, request }) => {
  const ticket = onTicket(page);
  await putOffcutsAway(request, 'cut-away');
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^Cut-away, medium, 75 g\/m²: / }).click();
  await ticket.fill('metres left', '0');
  await ticket.saved();
  const line = page.getByTestId('to-buy').filter({ hasText: 'Cut-away, medium' });
  await expect(line).toContainText('none here; the bench needs');
  await expect(line).toContainText('Crew tee, crossed oars');
  await page.goto('/ticket/demo-ticket-01/layers');
  await ticket.reads('Cut-away, medium is not on your shelf: it is on the shopping list.');
  await page.getByRole('button', { name: /^Use .* instead: on your shelf; .*(more|less|no risk)/ }).click();
  await ticket.reads('Because: Cut-away, medium is not on the shelf');
  await expect(page.getByText('Cut-away, medium is not on your shelf')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.saved();
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^Cut-away, medium, 75 g\/m²: / }).click();
  await ticket.fill('metres left', '9');
  await ticket.saved();
});

test('what to cut is said with its roll', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-02/layers');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await expect(page.getByTestId('cut')).toHaveCount(3);
  await expect(page.getByTestId('cut').first()).toHaveText(
    /^Tear-away, light, fusible: \d+ mm × \d+ mm0\.\d+ m off a roll with [\d.]+ m left; leaves \d+ mm × \d+ mm$/,
  );
});

interface Case {
  kind: PieceKindId;
  placement: string;
  cloth: string;
  colour: string;
  thread: string;
  perCm2: number;
  reads: RegExp[];
}

const CASES: Record<string, Case> = {
  'a thin white bodysuit with a dense little motif': {
    kind: 'bodysuit',
    placement: 'centre-chest',
    cloth: 'thin-jersey',
    colour: '#FFFFFF',
    thread: '#1F3A5F',
    perCm2: 170,
    reads: [
      /Light mesh cut-away, fusible, in the ring, fused to the cloth \+ Tear-away, medium/,
      /Soft fusible cover sheet/,
      /75\/11 ballpoint/,
    ],
  },
  'a dark waffle towel with a pale figure': {
    kind: 'waffle-towel',
    placement: PIECE_KINDS['waffle-towel'].placements[0].id,
    cloth: 'waffle-towel',
    colour: '#1F2B3A',
    thread: '#FAFAF7',
    perCm2: 100,
    reads: [
      /Tear-away, self-adhesive, in the ring, stuck to the cloth/,
      /Permanent film in the thread's colour/,
      /differ by \d+ in lightness/,
    ],
  },
  'linen with an open vintage design': {
    kind: 'napkin',
    placement: PIECE_KINDS.napkin.placements[0].id,
    cloth: 'linen',
    colour: '#E8DCC0',
    thread: '#8A5A2B',
    perCm2: 25,
    reads: [/Dissolving tear-away, self-adhesive, in the ring, stuck to the cloth/, /Water-soluble film/],
  },
  'a canvas jacket': {
    kind: 'work-jacket',
    placement: PIECE_KINDS['work-jacket'].placements[0].id,
    cloth: 'canvas',
    colour: '#B98A22',
    thread: '#1F2B3A',
    perCm2: 70,
    reads: [/Nothing underneath/, /90\/14/, /Canvas carries the stitches by itself/],
  },
};

for (const [name, c] of Object.entries(CASES))
  test(`${name}: the whole stack, with its reasons`, async ({ page, request, baseURL }) => {
    const ticket = onTicket(page);
    const id = `case-${c.cloth}`;
    const measured = measuredTicket(c.kind, c.placement, [50, 40]);
    const made = {
      ...measured,
      id,
      name,
      piece: { ...measured.piece, fabricId: c.cloth, colour: c.colour },
      design: oneDesign(measured.design, {
        densityClass: null,
        stitches: c.perCm2 * 20,
        colours: [{ hex: c.thread, name: 'thread', stitches: null }],
      }),
    };
    const put = await request.put(`${baseURL}/api/tickets/${id}`, { data: { ticket: made, rev: 0 } });
    expect(put.ok()).toBe(true);
    await page.goto(`/ticket/${id}/layers`);
    await page.getByRole('button', { name: 'why this support?' }).click();
    for (const words of c.reads) await ticket.reads(words);
    await request.delete(`${baseURL}/api/tickets/${id}`);
  });

test('colours come from the threads owned: nearest, a ladder of one tone, a shuffle; each with its name', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-12/design');
  const names = async () =>
    (await page.getByRole('button', { name: /^colour \d / }).allTextContents()).map((t) => t.trim());
  await page.getByRole('button', { name: 'Colours from the shelf' }).click();
  const before = await names();
  expect(before).toHaveLength(3);
  await page.getByRole('button', { name: 'Nearest threads I own' }).click();
  await ticket.reads('Trial, nothing changed yet: Nearest threads I own');
  expect(await names()).toEqual(before);
  await page.getByRole('button', { name: 'Do it: Nearest threads I own' }).click();
  await expect.poll(async () => (await names()).join()).toContain('carrot');
  const nearest = await names();
  const tried = page.getByRole('group', { name: /^Tried out: Shuffle/ });
  await page.getByRole('button', { name: 'Shuffle the threads I own' }).click();
  const first = (await tried.textContent()) ?? '';
  await page.getByRole('button', { name: 'Shuffle the threads I own' }).click();
  await expect(tried).not.toHaveText(first);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(tried).toHaveCount(0);
  expect(await names()).toEqual(nearest);
  await page.getByRole('button', { name: 'Shuffle the threads I own' }).click();
  await page.getByRole('button', { name: /^Do it: Shuffle/ }).click();
  await expect.poll(names).not.toEqual(nearest);
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(names).toEqual(before);
  await ticket.reads(/Tone on tone with colour 1, dark to light|No other thread of the tone/);
  await ticket.saved();
});

test('colours like a picture: its own colours, as the nearest threads owned', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-12/design');
  await page.getByRole('button', { name: 'Colours from the shelf' }).click();
  const picture = createCanvas(90, 30);
  const draw = picture.getContext('2d');
  ['#C8322B', '#2D6A99', '#4C7550'].forEach((hex, i) => {
    draw.fillStyle = hex;
    draw.fillRect(i * 30, 0, 30, 30);
  });
  const input = page.getByLabel('Picture to take colours from');
  await input.setInputFiles({
    name: 'print.png',
    mimeType: 'image/png',
    buffer: picture.toBuffer('image/png'),
  });
  await expect(page.getByTestId('picture-word')).toHaveText(/^Like print\.png: 3\d %, 3\d %, 3\d % of it\.$/);
  await page.getByRole('button', { name: 'Do it: Like the picture' }).click();
  const names = (await page.getByRole('button', { name: /^colour \d / }).allTextContents()).join();
  for (const thread of ['signal red', 'chalk blue', 'moss']) expect(names).toContain(thread);
  await input.setInputFiles({ name: 'note.txt', mimeType: 'text/plain', buffer: Buffer.from('no picture') });
  await expect(page.getByTestId('picture-word')).toHaveText(/The colours are as they were\.$/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.saved();
});

test('the needle’s hours are told, a new one counts from nothing, and that can be undone', async ({
  page,
}) => {
  await page.goto('/ticket/demo-ticket-03/stitch');
  const hours = page.getByTestId('needle-hours');
  await expect(hours).toHaveText(/^Needle of .*: [\d.]+ of 8 hours\.$/);
  const before = (await hours.textContent()) ?? '';
  await page.getByRole('button', { name: 'Changing the needle' }).click();
  await expect(page.getByText(/^1\. Power off, or locked as its manual says/)).toBeVisible();
  await expect(page.getByTestId('needle-type')).toHaveText(
    /^In it is 75\/11 embroidery; this ticket wants [^;]+\.$/,
  );
  await page.getByRole('button', { name: 'A new needle is in' }).click();
  await expect(hours).toHaveText(/: 0 of 8 hours\.$/);
  await expect(page.getByTestId('needle-type')).toHaveCount(0);
  await expect(page.getByText(/^Needle counts from 0\. \d needles? left of it\.$/)).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(hours).toHaveText(before);
});

test('each needle of a many-needle machine has its hours and the thread on it', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-10/mount');
  const arm = page.getByRole('radio', { name: 'Six-needle, free arm' });
  await arm.click();
  await ticket.stage('Stitch');
  const rack = page.getByRole('radiogroup', { name: 'Needles of this machine' });
  await expect(rack.getByRole('radio')).toHaveCount(6);
  await expect(rack.getByRole('radio').nth(1)).toHaveAccessibleName(
    /^Needle 2, 75\/11 embroidery, 2\.4 of 8 hours, .+ on it$/,
  );
  await rack.getByRole('radio').nth(1).click();
  await expect(page.getByTestId('needle-hours')).toHaveText(
    'Needle 2 of Six-needle, free arm: 2.4 of 8 hours.',
  );
  await ticket.reads(/^needle 2 · \d+ stitches/);
  await ticket.stage('Mount');
  await page.getByRole('radio', { name: 'Single-needle, flat bed' }).click();
  await ticket.saved();
});

test('supplies: one that is used up is on the shopping list, and the ticket has the nearest instead', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/layers');
  await ticket.reads('75/11 ballpoint');
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^75\/11 ballpoint needle: / }).click();
  await ticket.fill('needles left', '0');
  const line = page.getByTestId('to-buy').filter({ hasText: '75/11 ballpoint needle' });
  await expect(line).toContainText('none here; the bench needs');
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-01/layers');
  await ticket.reads('75/11 ballpoint needle: none left. It is on the shopping list.');
  await page
    .getByRole('button', { name: /^Use 75\/11 embroidery instead: on your shelf; it may catch/ })
    .click();
  await expect(page.getByText(/ballpoint needle: none left/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^75\/11 ballpoint needle: / }).click();
  await ticket.fill('needles left', '4');
  await expect(line).toHaveCount(0);
  await ticket.saved();
});

test('a supply is added for one machine, and what is in each needle is set on the shelf', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Add a supply' }).click();
  await page.getByRole('radio', { name: '90 wt bobbin thread, wound' }).click();
  await ticket.fill('bobbins left', '1');
  await page.getByRole('radio', { name: 'Six-needle, free arm' }).click();
  const bobbins = page.getByRole('button', { name: /^90 wt bobbin thread, wound: 1 bobbin left$/ });
  await expect(bobbins).toBeVisible();
  await expect(page.getByTestId('to-buy').filter({ hasText: '90 wt bobbin thread' })).toContainText(
    '1 bobbin left: nearly gone',
  );
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(bobbins).toHaveCount(0);
  await page.getByRole('button', { name: /^Six-needle, free arm: / }).click();
  const third = page.getByRole('radio', { name: /^Needle 3, / });
  await expect(third).toHaveAccessibleName('Needle 3, 75/11 embroidery, 2.4 of 8 hours');
  await third.click();
  await page.getByRole('button', { name: 'which needle is in needle 3' }).click();
  await page.getByRole('radio', { name: '90/14', exact: true }).click();
  await expect(third).toHaveAccessibleName('Needle 3, 90/14, 2.4 of 8 hours');
  await page.getByRole('radio', { name: '75/11 embroidery', exact: true }).click();
  await ticket.saved();
});

test('an offcut on the shelf serves before the roll', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  const roll = page.getByRole('button', { name: /^Cut-away, medium, 75 g\/m²: / });
  await roll.click();
  await page.getByRole('button', { name: 'Add sheets of one size' }).click();
  await ticket.fill('sheet, width', '340 mm');
  await ticket.fill('sheet, height', '300 mm');
  await expect(page.getByRole('button', { name: '1 of 340 mm × 300 mm' })).toBeVisible();
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-01/layers');
  const cut = page.getByTestId('cut').filter({ hasText: 'Cut-away, medium' });
  await expect(cut).toContainText(/from a sheet or offcut of 340 mm × 300 mm; leaves \d+ mm × \d+ mm/);
  await page.goto('/shelf');
  await roll.click();
  await page.getByRole('button', { name: '1 of 340 mm × 300 mm' }).click();
  await page.getByRole('button', { name: 'These are used up' }).click();
  await expect(page.getByRole('button', { name: '1 of 340 mm × 300 mm' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.getByRole('button', { name: '1 of 340 mm × 300 mm' }).click();
  await page.getByRole('button', { name: 'These are used up' }).click();
  await ticket.saved();
});

test('what a logged piece took is off the shelf, its offcut is in the drawer, and taking it back undoes both', {
  tag: '@deep',
}, async ({ page, request }) => {
  const ticket = onTicket(page);
  await putOffcutsAway(request, 'tear-away-light-fusible');
  const roll = page.getByRole('button', { name: /^Tear-away, light, fusible: / });
  await page.goto('/shelf');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await expect(roll).toHaveAccessibleName(/: [\d.]+ m left, 400 mm wide$/);
  const before = (await roll.getAttribute('aria-label')) ?? '';
  await page.goto('/ticket/demo-ticket-02/layers');
  await expect(page.getByTestId('cut').first()).toContainText('leaves 250 mm × ');
  await ticket.stage('Log');
  await page.getByRole('button', { name: 'Came out well' }).click();
  await expect(page.getByRole('button', { name: 'Take it back out of the logbook' })).toBeVisible();
  await page.goto('/shelf');
  await expect(roll).toHaveAccessibleName(/: [\d.]+ m left, 400 mm wide; 1 sheet or offcut$/);
  await page.goto('/ticket/demo-ticket-02/log');
  await ticket.reads('Taken off the shelf');
  // A page that is left before its answer sends it again, and the browser writes down that it is gone by then.
  const taken = page.waitForResponse((answer) => answer.request().method() === 'DELETE');
  await page.getByRole('button', { name: 'Take it back out of the logbook' }).click();
  await expect(page.getByRole('button', { name: 'Came out well' })).toBeVisible();
  await taken;
  await page.goto('/shelf');
  await expect(roll).toHaveAccessibleName(before);
});

test('why this support names the rules that spoke and gave way', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/layers');
  await page.getByRole('button', { name: 'why needle?' }).click();
  await ticket.reads('Also spoke, and gave way:');
  await ticket.reads('any cloth: 75/11 embroidery; gives way to the rule for knit');
  await page.getByRole('button', { name: 'why this support?' }).click();
  await ticket.reads(/^Jersey tee is a knit/);
  await expectNoSidewaysScroll(page);
});

test('threads come from a list and go out as one; a list that cannot be read says so', async ({
  page,
  request,
}) => {
  const ticket = onTicket(page);
  // One that is on the shelf whatever other tests made of it.
  const { threads } = (await (await request.get('/api/shelf')).json()) as Shelf;
  const owned = threads.find(({ weight, fibre }) => weight === 40 && fibre === 'polyester');
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { name: /^Threads: / })).toBeVisible();
  const before = Number(
    /\d+/.exec((await page.getByRole('heading', { name: /^Threads: / }).textContent()) ?? '')?.[0],
  );
  const list = page.getByLabel('Thread list', { exact: true });
  const file = (text: string) => ({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await list.setInputFiles(file('Dear shop, here are my colours'));
  await ticket.reads(/No colours were found: .* The shelf is as it was\./);
  await list.setInputFiles(file(`name,hex\nfog,#B7BCC0\n${owned?.name},${owned?.hex}`));
  await ticket.reads('1 thread brought in, 1 were here already.');
  await expect(page.getByRole('heading', { name: `Threads: ${before + 1}` })).toBeVisible();
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As palette text' }).click();
  expect((await waiting).suggestedFilename()).toBe('threads.txt');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { name: `Threads: ${before}` })).toBeVisible();
});

test('what is to be bought counts the whole bench, however long it is', { tag: '@deep' }, async ({
  page,
}) => {
  const shop = await openShop();
  for (let i = 0; i < 45; i++) {
    const isLast = i === 44;
    const ticket = {
      ...(isLast
        ? measuredTicket('t-shirt', 'left-chest', [90, 60])
        : measuredTicket('napkin', 'corner', [50, 40])),
      id: `long-bench-${i}`,
      name: isLast ? 'The last of the bench' : `Napkin ${i}`,
      due: isLast ? '2099-12-31' : '2020-01-01',
    };
    const answer = await page.request.put(`${shop.url}/api/tickets/${ticket.id}`, {
      data: { ticket, rev: 0 },
    });
    expect(answer.ok()).toBe(true);
  }
  await page.goto(`${shop.url}/shelf`);
  await page.getByRole('button', { name: /^75\/11 ballpoint needle: / }).click();
  await onTicket(page).fill('needles left', '0');
  const line = page.getByTestId('to-buy').filter({ hasText: '75/11 ballpoint needle' });
  await expect(line).toContainText('none here; the bench needs');
  await expect(line).toContainText('The last of the bench');
  // What is heard from a shop that goes away is an error of the page: it is left first.
  await page.goto('about:blank');
  await shop.stop();
});
