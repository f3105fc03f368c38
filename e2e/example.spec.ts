import { expect, expectAccessible, expectNoSidewaysScroll, onEmptyShop } from './support/test';
import { onTicket } from './support/ticket';

onEmptyShop(
  'a guided example leads through the real screens of an empty shop, and nothing of it is kept',
  { tag: '@deep' },
  async ({ page }) => {
    const sent: string[] = [];
    page.on('request', (request) => {
      if (request.method() !== 'GET') sent.push(`${request.method()} ${request.url()}`);
    });
    const guide = page.getByTestId('guide').filter({ visible: true });
    const ticket = onTicket(page);
    const press = (name: string) => page.getByRole('button', { name, exact: true }).click();
    await page.goto('/');
    await press('Show me with an example');
    await expect(guide).toContainText('type 20 1/2');
    await expect(page.getByTestId('save-state')).toContainText('kept nowhere');
    await expectAccessible(page);
    await expectNoSidewaysScroll(page);
    await ticket.fill('underarm to underarm', '20 1/2');
    await expect(guide).toContainText('Say how large the design is');
    await press('Guide: go to Design');
    await ticket.fill('design width', '2 3/4');
    await ticket.fill('design height', '2');
    await expect(guide).toContainText('The rule found the place');
    await press('Guide: go to Place');
    await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
    await press('On to Hoop');
    await expect(guide).toContainText('The smallest hoop that fits');
    await expect(page.getByRole('heading', { name: /100 × 100.*, hooped/ })).toBeVisible();
    await press('On to Layers');
    await expect(guide).toContainText('What goes under it');
    await press('On to Mount');
    await press('At the table');
    await press('Next step');
    await press('Stop here');
    await expect(guide).toContainText('What you went through is ticked');
    await press('On to Stitch');
    await expect(guide).toContainText('That is all');
    await ticket.stage('Log');
    await expect(page.getByRole('button', { name: 'Came out well' })).toBeDisabled();
    await press('End the example');

    await expect(page.getByText('Nothing on the bench.').filter({ visible: true })).toBeVisible();
    const { tickets } = (await (await page.request.get('/api/tickets')).json()) as { tickets: unknown[] };
    expect(tickets).toEqual([]);
    const { hoops } = (await (await page.request.get('/api/shelf')).json()) as { hoops: unknown[] };
    expect(hoops).toEqual([]);
    expect(sent).toEqual([]);
  },
);
