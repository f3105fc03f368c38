import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FABRICS } from '@zt/core/catalogue/fabrics';
import { RISKS } from '@zt/core/catalogue/riskWeights';
import { DEFAULT_HOUSE_RULES } from '@zt/core/model/houseRules';
import type { LogSummary } from '@zt/core/model/logEntry';
import { OUTCOMES } from '@zt/core/model/ticket/log';
import { planTicket } from '@zt/core/planner/plan';
import { conditionsOf } from '@zt/core/records/evidence/advice';
import { differencesOf, distanceOf, likePieces, tableOf } from '@zt/core/records/evidence/likeness';
import type { PieceRecord } from '@zt/core/records/evidence/pieceRecord';
import { stackWord } from '@zt/core/records/evidence/stackWords';
import { FACTS_VERSION } from '@zt/core/records/find/entryFacts';
import { plausibleShop } from '@zt/core/testing/plausiblePieces';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { createContext } from '../src/context';
import { createApp } from '../src/create-app';
import { openStore } from '../src/db/client';
import { changeShelf } from '../src/features/shelf/writer';

/**
 * A logbook of 1 000 and of 100 000 pieces of a seeded shop, asked at the interface: words, facets, and what past pieces say,
 * each beside a plain scan of all that is kept. Tickets and plans of the entries are left empty: nothing asked here reads them.
 */
const SIZES = [1000, 100_000];
const TIMES = 60;
const FIRST = [
  'Crew',
  'Library',
  'Regatta',
  'Guest',
  'Market',
  'Allotment',
  'Lantern',
  'Harbour',
  'Slipway',
  'Pool',
];
const THINGS = ['tee', 'towel', 'bib', 'apron', 'napkin', 'cushion', 'hoodie', 'bag'];
const CUSTOMERS = [
  'Pennyscar Rowing Club',
  'Lantern House guesthouse',
  'Pennyscar Library',
  'Slipway Allotment Society',
  '',
];
const at = <T>(list: readonly T[], n: number): T => list[n % list.length] as T;
const p95 = (times: number[]): number =>
  times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? Number.NaN;

async function timed(work: () => unknown): Promise<number> {
  const begun = performance.now();
  await work();
  return performance.now() - begun;
}
async function p95Of(times: number, work: (turn: number) => unknown): Promise<number> {
  const took: number[] = [];
  for (let turn = 0; turn < times; turn += 1) took.push(await timed(() => work(turn)));
  return p95(took);
}

const figures: Record<string, number[]> = {};
const note = (name: string, ms: number) => {
  figures[name] = [...(figures[name] ?? []), ms];
};

for (const size of SIZES) {
  const folder = mkdtempSync(join(tmpdir(), 'thimble-logbook-'));
  const url = `file:${join(folder, 'shop.db')}`;
  const store = await openStore(url);
  const { app } = await filled(size);
  const ask = async (path: string) => {
    const answer = await app.request(path);
    if (answer.status !== 200) throw new Error(`${path} answers ${answer.status}`);
    await answer.text();
  };
  const advise = async (ticketId: string) => {
    const answer = await app.request('/api/logbook/advice', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ticketId }),
    });
    if (answer.status !== 200) throw new Error(`advice answers ${answer.status}`);
    await answer.text();
  };
  note('read into memory, once', await timed(() => ask('/api/logbook')));
  note('learned from, once', await timed(() => advise('bench-ticket')));
  note('search', await p95Of(TIMES, (i) => ask(`/api/logbook?q=${at(FIRST, i)}%20${at(THINGS, i)}`)));
  note('search of one word', await p95Of(TIMES, (i) => ask(`/api/logbook?q=${at(THINGS, i)}`)));
  note(
    'facets',
    await p95Of(TIMES, (i) =>
      ask(
        `/api/logbook?outcome=plain&outcome=spoilt&fabricId=${at(['linen', 'terry-towel', 'jersey-tee'], i)}&method=floated`,
      ),
    ),
  );
  note(
    'search and facets',
    await p95Of(TIMES, (i) => ask(`/api/logbook?q=${at(FIRST, i)}&outcome=good&density=medium`)),
  );
  note('what past pieces say', await p95Of(TIMES, () => advise('bench-ticket')));
  note(
    'search, plain scan',
    await p95Of(8, (i) =>
      store.db.$client.execute({
        sql: "SELECT summary FROM log_entries WHERE json_extract(summary, '$.name') LIKE ? OR json_extract(summary, '$.note') LIKE ?",
        args: [`%${at(THINGS, i)}%`, `%${at(THINGS, i)}%`],
      }),
    ),
  );
  note(
    'facets, plain scans',
    await p95Of(8, async () => {
      for (const column of [
        'kind',
        'fabric_id',
        'method',
        'outcome',
        'customer',
        'who',
        'rank',
        'stack',
        'needle',
        'name',
      ])
        await store.db.$client.execute(
          `SELECT ${column}, count(*) FROM log_facts WHERE outcome IN ('plain', 'spoilt') AND method = 'floated' GROUP BY ${column}`,
        );
    }),
  );
  const records = recordsFor(size);
  const conditions = conditionsOf(exampleA(), planTicket(exampleA(), SAMPLE_SHELF, DEFAULT_HOUSE_RULES));
  if (!conditions) throw new Error('the example has layers');
  const table = tableOf(records);
  note(
    'nearest',
    await p95Of(20, () => likePieces(conditions, table, { rules: DEFAULT_HOUSE_RULES, most: 60 })),
  );
  note(
    'nearest, plain scan',
    await p95Of(5, () =>
      records
        .map((record) => ({ record, distance: distanceOf(conditions, record, DEFAULT_HOUSE_RULES) }))
        .filter(({ distance }) => distance <= 0.2)
        .sort((a, b) => a.distance - b.distance)
        .slice(0, 60)
        .map(({ record }) => differencesOf(conditions, record, DEFAULT_HOUSE_RULES)),
    ),
  );
  await store.close();
  rmSync(folder, { recursive: true, force: true });

  async function filled(n: number) {
    const context = await createContext(
      {
        port: 0,
        host: '127.0.0.1',
        databaseUrl: url,
        access: {},
        photos: { at: folder },
        webRoot: folder,
        demo: false,
      },
      { store, remote: () => '127.0.0.1' },
    );
    const now = '2026-11-28T08:00:00.000Z';
    const put = Object.entries(SAMPLE_SHELF).flatMap(([noun, items]) =>
      items.map((item) => ({ noun, item })),
    );
    await store.write((tx) => changeShelf(tx, { put: put as never }, now));
    const app = createApp(context);
    const saved = await app.request('/api/tickets/bench-ticket', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ticket: { ...exampleA(), id: 'bench-ticket' }, rev: 0 }),
    });
    if (saved.status !== 200) throw new Error('the ticket was not saved');
    const all = recordsFor(n);
    for (let from = 0; from < n; from += 2000)
      await store.db.$client.batch(
        all.slice(from, from + 2000).flatMap((record, i) => rowsOf(record, from + i)),
        'write',
      );
    return { app };
  }
}

function recordsFor(n: number): PieceRecord[] {
  return plausibleShop(0.37).pieces(n);
}

function rowsOf(record: PieceRecord, n: number) {
  const severity = Math.max(0, ...Object.values(record.faults));
  const outcome = OUTCOMES[severity] ?? 'good';
  const [name, customer] = [`${at(FIRST, n)} ${at(THINGS, n * 7 + 3)}, no. ${n}`, at(CUSTOMERS, n)];
  const summary: LogSummary = {
    id: record.id,
    ticketId: 'bench-ticket',
    loggedAt: record.loggedAt,
    name,
    customer,
    kind: record.structure === 'pile' ? 'bath-towel' : 't-shirt',
    fabricId: record.fabricId,
    method: record.method,
    outcome,
    misplacementMm: null,
    note: '',
    pieces: 1,
    clean: severity === 0 ? 1 : 0,
    swatch: false,
  };
  const learned = {
    structure: record.structure,
    stretchPercent: record.stretchPercent,
    pileMm: record.pileMm,
    sizeMm: record.sizeMm,
    risks: RISKS.map((risk) => Math.round(record.risks[risk])),
    results: [{ pieces: 1, faults: record.faults }],
  };
  const cloth = FABRICS.find(({ id }) => id === record.fabricId)?.name ?? '';
  return [
    {
      sql: "INSERT INTO log_entries (id, ticket_id, logged_at, kind, fabric_id, method, outcome, summary, ticket, plan, log) VALUES (?, 'bench-ticket', ?, ?, ?, ?, ?, ?, '{}', '{}', '{}')",
      args: [
        record.id,
        record.loggedAt,
        summary.kind,
        record.fabricId,
        record.method,
        outcome,
        JSON.stringify(summary),
      ],
    },
    {
      sql: 'INSERT INTO log_facts (seq, entry_id, version, logged_at, name, customer, kind, fabric_id, method, outcome, who, rank, stack, needle, learned) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
      args: [
        n + 1,
        record.id,
        FACTS_VERSION,
        record.loggedAt,
        name,
        customer,
        summary.kind,
        record.fabricId,
        record.method,
        outcome,
        record.who,
        record.rank,
        stackWord(record.stack),
        'ballpoint-75-11',
        JSON.stringify(learned),
      ],
    },
    {
      sql: 'INSERT INTO log_words (rowid, words) VALUES (?, ?)',
      args: [n + 1, `${name}\n${customer}\n${cloth}`],
    },
  ];
}

console.log(
  `Logbook at the interface, ms at p95 of ${SIZES[0]} and of ${SIZES[1]} pieces, and how much longer it takes:`,
);
for (const [name, [few = 0, many = 0]] of Object.entries(figures))
  console.log(`  ${name}: ${few.toFixed(1)}, ${many.toFixed(1)} (${(many / few).toFixed(1)} ×)`);
