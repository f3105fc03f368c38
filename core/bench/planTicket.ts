import { cpus } from 'node:os';
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../src/model/houseRules';
import type { Ticket } from '../src/model/ticket';
import { makePlanner, planTicket } from '../src/planner/plan';
import { exampleA, exampleB, SAMPLE_SHELF } from '../src/testing/samples';

/** Time of planTicket over varied tickets, and its ratio to copying the ticket, the plainest thing to do with one. */
const COUNT = 10_000;
const WARM_UP = 1_000;

function varied(base: Ticket, i: number): Ticket {
  const stretch = 0.8 + ((i * 7919) % 400) / 1000;
  const readings = Object.fromEntries(
    Object.entries(base.piece.readings).map(([id, mm]) => [id, mm * stretch]),
  );
  const offset = { x: (i % 41) - 20, y: (i % 29) - 14 };
  const widthMm = 40 + (i % 90);
  return {
    ...base,
    piece: { ...base.piece, readings },
    place: { ...base.place, offset },
    design: { ...base.design, widthMm, heightMm: widthMm * 0.7 },
  };
}

function timed(name: string, tickets: readonly Ticket[], work: (ticket: Ticket) => unknown): number {
  const times = tickets.map((ticket) => {
    const start = performance.now();
    work(ticket);
    return performance.now() - start;
  });
  const sorted = times.slice(WARM_UP).sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.floor(sorted.length * share)] ?? 0;
  console.log(
    `${name.padEnd(34)} median ${at(0.5).toFixed(4)} ms   p95 ${at(0.95).toFixed(4)} ms   worst ${(sorted.at(-1) ?? 0).toFixed(2)} ms`,
  );
  return at(0.5);
}

const rules: HouseRules = DEFAULT_HOUSE_RULES;
console.log(
  `${COUNT} varied tickets, ${SAMPLE_SHELF.hoops.length} hoops, ${cpus()[0]?.model ?? 'unknown processor'}`,
);
for (const [name, base] of [
  ['T-shirt, left chest', exampleA()],
  ['bath towel, above the border', exampleB()],
] as const) {
  const tickets = Array.from({ length: COUNT + WARM_UP }, (_, i) => varied(base, i));
  const plan = timed(`planTicket: ${name}`, tickets, (ticket) => planTicket(ticket, SAMPLE_SHELF, rules));
  const copy = timed('baseline: structuredClone', tickets, (ticket) => structuredClone(ticket));
  const again = makePlanner();
  const moved = tickets.map((t, i) => ({ ...base, name: `${i}`, place: i % 2 ? t.place : base.place }));
  const remembered = timed('  a move, by one that remembers', moved, (t) => again(t, SAMPLE_SHELF, rules));
  const anew = timed('  the same move, planned anew', moved, (t) => planTicket(t, SAMPLE_SHELF, rules));
  console.log(`${'ratio of medians'.padEnd(34)} ${(remembered / anew).toFixed(2)} of planning anew`);
  console.log(`${'ratio of medians'.padEnd(34)} ${(plan / copy).toFixed(1)} times a copy of the ticket\n`);
}
