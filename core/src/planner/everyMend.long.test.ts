import { say } from '../base/units/phrase';
import { HOOP_PRESETS, hoopOf } from '../catalogue/presets';
import { applyMend, type Finding } from '../model/finding';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { PIECE_KIND_IDS } from '../model/pieceKindIds';
import type { Shelf } from '../model/shelf';
import { applyChange, type Ticket, TicketSchema } from '../model/ticket';
import { PIECE_KINDS } from '../stages/piece/kinds';
import { casesOf, someOf } from '../testing/cases';
import { designed } from '../testing/designed';
import { report } from '../testing/report';
import { measuredTicket, SAMPLE_SHELF } from '../testing/samples';
import { planTicket } from './plan';

const MM = { system: 'mm' } as const;
const RULES = DEFAULT_HOUSE_RULES;
const HOOPS = HOOP_PRESETS.map((preset, i) => hoopOf(preset, `hoop-preset-${i}`, ['machine-flat']));
const SHELF: Shelf = { ...SAMPLE_SHELF, hoops: HOOPS };
const SIZES: readonly [number, number][] = [
  [40, 30],
  [90, 70],
  [150, 100],
  [230, 170],
];

/** Every kind at every place, in each hoop of a well-filled shelf and as proposed, in sizes and densities by turns. */
const EVERY: Ticket[] = PIECE_KIND_IDS.flatMap((kind, k) =>
  PIECE_KINDS[kind].placements.flatMap((p, n) =>
    [null, ...HOOPS].flatMap((hoop, h) => {
      if ((k + 2 * n + h) % 4 !== 0) return [];
      const size = SIZES[(k + n + h) % SIZES.length] ?? [40, 30];
      const ticket = measuredTicket(kind, p.id, size);
      const dense = designed(ticket, {
        densityClass: h % 3 === 0 ? 'heavy' : 'light',
        hasUp: true,
        looks: h % 2 === 0 ? 'left' : null,
      });
      const hooped = applyChange(dense, {
        stage: 'hoop',
        set: { hoopId: hoop?.id ?? null, method: ([null, 'hooped', 'floated'] as const)[h % 3] ?? null },
      });
      return h % 4 === 1
        ? [applyChange(hooped, { stage: 'place', set: { offset: { x: 35, y: 20 } } })]
        : [hooped];
    }),
  ),
);

const TICKETS = someOf(EVERY, 5);

const planOf = (ticket: Ticket) => planTicket(ticket, SHELF, RULES);
const stands = (findings: readonly Finding[], one: Finding) =>
  findings.some((f) => f.code === one.code && f.stage === one.stage);

it(`every mend that is offered removes what offered it, over ${TICKETS.length} tickets`, () => {
  const wrong = new Map<string, string>();
  const applied = new Map<string, number>();
  for (const ticket of TICKETS)
    for (const finding of planOf(ticket).findings)
      for (const mend of finding.mends) {
        applied.set(finding.code, (applied.get(finding.code) ?? 0) + 1);
        const mended = applyMend(ticket, mend);
        const label = say(mend.label, MM);
        const key = `${finding.code}: ${label.replace(/[\d.]+/g, '#')}`;
        if (!TicketSchema.safeParse(mended).success) wrong.set(`${key} (unsavable)`, ticket.id);
        if (stands(planOf(mended).findings, finding))
          wrong.set(
            key,
            `${ticket.id} ${ticket.place.placement} ${ticket.hoop.hoopId} ${ticket.design.parts[0]?.widthMm} ${label}`,
          );
      }
  const total = [...applied.values()].reduce((a, b) => a + b, 0);
  report(`mends applied: ${total} (${[...applied].map(([code, n]) => `${code} ${n}`).join(', ')})`);
  expect([...wrong]).toEqual([]);
  expect(total).toBeGreaterThan(casesOf(400, 80));
});
