import { type Exported, ExportedSchema } from '@zt/core/model/exported';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import type { Shelf } from '@zt/core/model/shelf';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import Papa from 'papaparse';
import { openTestApp, type TestApp } from '../../testing/testApp';

let from: TestApp;
let to: TestApp;
beforeEach(async () => {
  [from, to] = [await openTestApp(), await openTestApp()];
  for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
    for (const item of SAMPLE_SHELF[noun]) await from.putItem(noun, item);
  for (const ticket of [exampleA(), exampleB()])
    await from.put(`/api/tickets/${ticket.id}`, { ticket, rev: 0 });
  await from.post('/api/logbook', { id: 'entry-number-1', ticket: exampleA() });
  await from.put('/api/rules', { rules: { ...DEFAULT_HOUSE_RULES, units: { system: 'mm' } } });
});
afterEach(async () => {
  await from.close();
  await to.close();
});

const textOf = async (shop: TestApp): Promise<string> => (await shop.get('/api/export')).text();
const all = async (shop: TestApp) => JSON.parse(await textOf(shop)) as Exported;
const bring = (text: string) => to.post('/api/export', text);

it('all of a shop, taken to an empty one, is all there: tickets, shelf with its ledger, rules, logbook', async () => {
  await from.put('/api/searches/search-of-tests', {
    id: 'search-of-tests',
    name: 'Tees',
    filter: { kind: 't-shirt' },
  });
  const text = await textOf(from);
  const document = await all(from);
  expect({ ...ExportedSchema.parse(document), lines: [] }).toEqual({ ...document, lines: [] });
  const brought = await (await bring(text)).json();
  const items = Object.values(document.shelf).reduce((sum, list) => sum + list.length, 0);
  expect(brought).toEqual({ tickets: 2, items, entries: 1, rules: true, known: 0 });
  // Byte for byte.
  expect(await textOf(to)).toBe(text);
});

it('what is here stays as it is, and bringing it in twice brings nothing', async () => {
  const [navy] = SAMPLE_SHELF.threads;
  await to.putItem('threads', { ...navy, name: 'of this shop' });
  const document = await textOf(from);
  await bring(document);
  const once = await all(to);
  expect((once.shelf as Shelf).threads.map(({ name }) => name)).toContain('of this shop');
  const again = await (await bring(document)).json();
  expect([again.tickets, again.items, again.entries, again.rules]).toEqual([0, 0, 0, false]);
  expect(await all(to)).toEqual(once);
  // A backup stands before each of them.
  const { kept } = await (await to.get('/api/backups')).json();
  expect(kept).toHaveLength(2);
});

describe('a document that is not as it was written', () => {
  /** What is refused, and at which lines. */
  async function refusal(text: string): Promise<string[]> {
    const answer = await bring(text);
    expect(answer.status).toBe(400);
    const { issues } = await answer.json();
    expect((await all(to)).tickets).toEqual([]);
    return issues.map(({ path, message }: { path: string; message: string }) => `${path}: ${message}`);
  }

  it('is refused whole, with its line: changed, lost, put in, broken off', async () => {
    const text = await textOf(from);
    const lines = text.split('\n');
    const at = lines.findIndex((line) => line.includes('"customer"'));
    const changed = lines.map((line, i) => (i === at ? line.replace('"customer":"', '"customer":"x') : line));
    expect(await refusal(changed.join('\n'))).toEqual([`line ${at + 1}: this line is not as it was written`]);
    const lost = lines.filter((_, i) => i !== at);
    expect(await refusal(lost.join('\n'))).toEqual([`line ${at + 1}: this line is not as it was written`]);
    expect((await refusal(text.slice(0, Math.floor(text.length / 2))))[0]).toMatch(/^line \d+: .*not whole$/);
    expect((await refusal(lines.slice(0, -2).join('\n')))[0]).toMatch(/^line \d+: .*not whole$/);
  });

  it('something else is refused: no JSON, another format, another program’s', async () => {
    expect(await refusal('Pennyscar,12\nLantern House,3')).toEqual([
      expect.stringMatching(/^line 1: this is no JSON/),
    ]);
    expect(await refusal('{"format":7,"tickets":[]}')).toEqual([
      'line 1: its format is 7; this program reads 1 and 2',
    ]);
    expect(await refusal('{"patterns":[]}')).toEqual(['line 1: this is no document of a shop']);
    expect((await refusal(''))[0]).toMatch(/^line 1: /);
  });

  it('of the first format is taken, and what cannot be read of it is named with its line', async () => {
    const { lines: _, ...document } = (await all(from)) as Exported & { lines: string[] };
    const [first, ...others] = document.tickets;
    const wrong = {
      ...document,
      format: 1,
      tickets: [...others, { ...first, ticket: { ...first?.ticket, due: 'soon' } }],
    };
    const text = JSON.stringify(wrong, null, 1);
    const due = text.split('\n').findIndex((line) => line.includes('"soon"'));
    expect(await refusal(text)).toEqual([
      expect.stringMatching(new RegExp(`^line ${due + 1}: tickets.1.ticket.due: `)),
    ]);
    expect((await bring(JSON.stringify({ ...document, format: 1 }))).status).toBe(200);
  });
});

it('tells each table as CSV, a line a record, and no cell that a spreadsheet would run', async () => {
  await from.put('/api/tickets/ticket-of-formula', {
    ticket: { ...exampleA(), id: 'ticket-of-formula', name: '=SUM(A1)' },
    rev: 0,
  });
  const rowsOf = async (table: string) => {
    const text = await (await from.get(`/api/export/csv/${table}`)).text();
    return Papa.parse<Record<string, string>>(text.trim(), { header: true }).data;
  };
  const [entry] = await rowsOf('logbook');
  expect(entry).toMatchObject({
    entry: 'entry-number-1',
    cloth: 'Jersey tee',
    method: 'hooped',
    'fault puckering': '0',
  });
  expect((await rowsOf('tickets')).map(({ name }) => name)).toContain("'=SUM(A1)");
  const shelf = await all(from);
  expect(await rowsOf('shelf')).toHaveLength(
    Object.values(shelf.shelf).reduce((n, list) => n + list.length, 0),
  );
  expect((await rowsOf('rules')).find(({ rule }) => rule === 'priorPieces')).toMatchObject({
    value: '8',
    usual: '8',
  });
  expect((await from.get('/api/export/csv/weather')).status).toBe(400);
});

it('publishes the schema of the document', async () => {
  const schema = await (await from.get('/api/export/schema')).json();
  expect(Object.keys(schema.properties).sort()).toEqual(Object.keys(await all(from)).sort());
});
