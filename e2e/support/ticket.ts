import { expect, type Locator, type Page } from '@playwright/test';
import type { KeptTicket } from '@zt/core/model/api';
import type { PieceKindId } from '@zt/core/model/pieceKindIds';
import type { Ticket } from '@zt/core/model/ticket';
import { again } from '@zt/core/planner/again';
import { newTicket } from '@zt/core/planner/newTicket';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';

/** Types into a field and leaves it, as a maker does: only then is it taken. */
export async function fillIn(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.blur();
}

/** Opens what a word opens, unless it is open already. */
export async function unfold(word: Locator): Promise<void> {
  await expect(word).toBeVisible();
  if ((await word.getAttribute('aria-expanded')) === 'false') await word.click();
  await expect(word).toHaveAttribute('aria-expanded', 'true');
}

/** A ticket on the bench, as another device would put it there. Returns its address. */
export async function putTicket(page: Page, ticket: Ticket): Promise<string> {
  const answer = await page.request.put(`/api/tickets/${ticket.id}`, { data: { ticket, rev: 0 } });
  expect(answer.ok()).toBe(true);
  return `/ticket/${ticket.id}`;
}

/** A kind by the name that people read. */
function kindCalled(name: string): PieceKindId {
  const found = Object.entries(PIECE_KINDS).find(([, kind]) => kind.name === name);
  if (!found) throw new Error(`assertion failed: a kind is called ${name}`);
  return found[0] as PieceKindId;
}

/** A new ticket of a kind, with readings in mm by the names that people read. */
export function freshTicket(kindName: string, readings: Record<string, number> = {}): Ticket {
  const kind = kindCalled(kindName);
  const ticket = newTicket(crypto.randomUUID(), kind);
  const taken = Object.entries(readings).map(([name, mm]) => {
    const reading = PIECE_KINDS[kind].readings.find((one) => one.name === name);
    if (!reading) throw new Error(`assertion failed: a ${kindName} has the reading ${name}`);
    return [reading.id, mm];
  });
  return { ...ticket, piece: { ...ticket.piece, readings: Object.fromEntries(taken) } };
}

/** What a person does on a ticket, by the words on the screen. */
export function onTicket(page: Page) {
  const panelText = (text: string | RegExp) => page.getByText(text).filter({ visible: true }).first();
  return {
    /** A ticket of a kind that is to be measured. */
    start: async (kind: string) => {
      await page.goto(`${await putTicket(page, freshTicket(kind))}/piece`);
      await expect(page.getByRole('heading', { name: `Measure the ${kind}` })).toBeVisible();
    },
    /** The same, by what a person presses for it. */
    startByHand: async (kind: string) => {
      await page.goto('/new');
      await page.getByRole('button', { name: kind, exact: true }).click();
      await expect(page.getByRole('heading', { name: `Measure the ${kind}` })).toBeVisible();
    },
    /** Fills a field; a reading that stands as a line is opened first, as a maker would tap it. */
    fill: async (label: string, value: string) => {
      const field = page.getByRole('textbox', { name: label, exact: true });
      const line = page.getByRole('button', { name: new RegExp(`^${label}: `) });
      await field.or(line).first().waitFor({ state: 'attached' });
      if ((await field.count()) === 0) await line.first().click();
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
      // What was done last is drawn: before that the word is of what was saved before it.
      await page.evaluate(
        () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
      );
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
  return putTicket(page, ticket);
}
