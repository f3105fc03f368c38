import { expect, type Locator, type Page } from '@playwright/test';
import type { KeptTicket, Ticket } from '@zt/core';
import { again } from '@zt/core/planner/again';

/** Types into a field and leaves it, as a maker does: only then is it taken. */
export async function fillIn(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.blur();
}

/** What a person does on a ticket, by the words on the screen. */
export function onTicket(page: Page) {
  const panelText = (text: string | RegExp) => page.getByText(text).filter({ visible: true }).first();
  return {
    start: async (kind: string) => {
      await page.goto('/');
      await page.getByRole('button', { name: 'Start a piece' }).click();
      await page.getByRole('button', { name: kind, exact: true }).click();
      await expect(page.getByRole('heading', { name: `Measure the ${kind}` })).toBeVisible();
    },
    /** Fills a field; a reading that stands as a line is opened first, as a maker would tap it. */
    fill: async (label: string, value: string) => {
      const field = page.getByRole('textbox', { name: label, exact: true });
      const line = page.getByRole('button', { name: new RegExp(`^${label}: `) });
      if ((await field.count()) === 0 && (await line.count()) > 0) await line.first().click();
      await fillIn(field, value);
    },
    stage: async (name: string) => {
      await page
        .getByRole('navigation', { name: 'Stages' })
        .getByRole('link', { name: new RegExp(` ${name}`) })
        .click();
    },
    onTo: async (name: string) => {
      await page.getByRole('button', { name: `On to ${name}` }).click();
    },
    reads: async (text: string | RegExp) => {
      await expect(panelText(text)).toBeVisible();
    },
    saved: async () => {
      const word = page.getByTestId('save-state').filter({ visible: true });
      await expect(word).toContainText('saved');
      await expect(word).not.toContainText('not saved');
    },
    sheet: () => page.getByTestId('sheet'),
  };
}

/**
 * A copy of a ticket of the demo, with nothing of it done: what other tests did to theirs is nothing to it. Returns its
 * address.
 */
export async function copyOf(
  page: Page,
  id: string,
  changed: (ticket: Ticket) => Ticket = (ticket) => ticket,
): Promise<string> {
  const copyId = `copy-of-${id}-${crypto.randomUUID()}`;
  const kept = (await (await page.request.get(`/api/tickets/${id}`)).json()) as KeptTicket;
  const ticket = changed({ ...again(kept.ticket, copyId), name: `${kept.ticket.name}, a copy` });
  const answer = await page.request.put(`/api/tickets/${copyId}`, { data: { ticket, rev: 0 } });
  expect(answer.ok()).toBe(true);
  return `/ticket/${copyId}`;
}
