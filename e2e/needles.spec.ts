import { oneDesign } from '@zt/core/testing/designed';
import { measuredTicket } from '@zt/core/testing/samples';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

test('needles are threaded for the whole bench: what is on already is not put on again', async ({
  page,
  request,
}) => {
  const shelf = (await (await request.get('/api/shelf')).json()) as {
    machines: { id: string; needles: number }[];
    hoops: { id: string; machineIds: string[]; fieldWidthMm: number }[];
  };
  const machineId = shelf.machines.find(({ needles }) => needles > 1)?.id ?? '';
  const hoopId = shelf.hoops.find(
    ({ machineIds, fieldWidthMm }) => machineIds.includes(machineId) && fieldWidthMm >= 100,
  )?.id;
  const threads = ['#1F3A5F', '#E0B33A', '#A93F36'];
  const ids = threads.map((_, i) => `bench-needles-${i}`);
  for (const [i, id] of ids.entries()) {
    const made = measuredTicket('napkin', 'corner', [50, 40]);
    const colours = [threads[0], threads[i]].map((hex) => ({
      hex: hex ?? '',
      name: `thread ${hex}`,
      stitches: null,
    }));
    const ticket = {
      ...made,
      id,
      name: `Needles ${i}`,
      due: `2020-01-0${i + 1}`,
      design: oneDesign(made.design, { colours: i === 0 ? colours.slice(0, 1) : colours }),
      hoop: { ...made.hoop, hoopId },
      mount: { ...made.mount, machineId },
    };
    expect((await request.put(`/api/tickets/${id}`, { data: { ticket, rev: 0 } })).ok()).toBe(true);
  }
  await page.goto(`/ticket/${ids[0]}/stitch`);
  await page.getByRole('button', { name: 'Needles for the whole bench' }).click();
  await onTicket(page).reads(
    /^\d+ threads put on for \d+ tickets, in the order they are promised; beginning anew/,
  );
  for (const i of ids.keys()) await onTicket(page).reads(`Needles ${i}`);
  for (const id of ids) await request.delete(`/api/tickets/${id}`);
});
