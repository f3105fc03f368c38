import { toEnd } from '../../base/inSteps';
import { say } from '../../base/units/phrase';
import { applyMend } from '../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../model/houseRules';
import { applyChange, type Ticket } from '../../model/ticket';
import { EMPTY_PART, type Part } from '../../model/ticket/part';
import { answerStitches } from '../../stages/design/stitches/answer';
import { stitchesAsked } from '../../stages/design/stitches/asked';
import { stitchFigures } from '../../stages/design/stitchFigures';
import { type ReadSvg, readSvg } from '../../stages/design/svg/readSvg';
import type { DrawingTools } from '../../stages/design/svg/tools';
import { exampleA, SAMPLE_SHELF } from '../../testing/samples';
import { toolsInNode } from '../../testing/toolsInNode';
import { planTicket } from '../plan';

const MM = { system: 'mm' } as const;
const RULES = { ...DEFAULT_HOUSE_RULES, units: MM };
let tools: DrawingTools;
beforeAll(async () => {
  tools = await toolsInNode();
});

function read(body: string): ReadSvg {
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="60mm" viewBox="0 0 60 60">${body}</svg>`;
  const found = readSvg(text, 'shape.svg', {
    figures: stitchFigures(RULES),
    tools,
    cloth: '#ffffff',
    widthMm: null,
  });
  if (!found.ok) throw new Error('message' in found ? String(found.message) : 'not read');
  return found;
}

const partOf = (id: string, body: string, more: Partial<Part> = {}): Part => {
  const { widthMm, heightMm, stitches, colours, artwork } = read(body);
  return { ...EMPTY_PART, id, widthMm, heightMm, stitches, colours, artwork, ...more };
};
const idOf = (n: number) => `part-number-${n}`;

const withParts = (...parts: Part[]): Ticket =>
  applyChange(exampleA(), { stage: 'design', set: { parts, order: null, made: null } });

/** The ticket with its stitches made, as the app makes them. */
function made(ticket: Ticket): Ticket {
  const { fabric } = planTicket(ticket, SAMPLE_SHELF, RULES).piece;
  const question = stitchesAsked(ticket.design, { fabric, rules: RULES });
  if (!question) throw new Error('nothing to stitch');
  const { made: stitches } = toEnd(answerStitches(question, tools.clip));
  return applyChange(ticket, { stage: 'design', set: { made: stitches } });
}

const hot = (ticket: Ticket) =>
  planTicket(ticket, SAMPLE_SHELF, RULES).findings.find(
    ({ code }) => code === 'stitch-hot-spot' || code === 'stitch-board',
  );

const SQUARE = '<rect x="10" y="10" width="30" height="30" fill="#1F3A5F"/>';
const bars = (deg: number): string =>
  `<rect x="5" y="28" width="50" height="3" fill="#A93F36" transform="rotate(${deg} 30 29.5)"/>`;

it('six full layers of parts come to one: what lies under fills is not stitched', () => {
  const ticket = made(withParts(...[0, 1, 2, 3, 4, 5].map((n) => partOf(idOf(n), SQUARE))));
  const { facts } = planTicket(ticket, SAMPLE_SHELF, RULES).design;
  expect(facts?.made?.mostCover).toBeLessThan(7);
  const one = made(withParts(partOf(idOf(0), SQUARE)));
  const alone = planTicket(one, SAMPLE_SHELF, RULES).design.facts?.stitches ?? 0;
  // The lap by which each reaches under the next is all that is left of it.
  expect(facts?.stitches).toBeLessThan(alone * 2.5);
});

it('three columns that cross are a hot spot at their crossing, and each offered mend mends', () => {
  const ticket = made(withParts(...[0, 60, 120].map((deg, n) => partOf(idOf(n), bars(deg)))));
  const found = hot(ticket);
  expect(say(found?.text ?? [], MM)).toMatch(
    /^3 layers lie on each other here: 1\d(\.\d+)? mm of thread on a mm², more than the 7 that .* takes\. It is a board/,
  );
  expect(found?.severity).toBe('stop');
  const { place } = planTicket(ticket, SAMPLE_SHELF, RULES);
  expect(
    Math.hypot(
      (found?.at?.x ?? 0) - (place?.centre.x ?? 9e9),
      (found?.at?.y ?? 0) - (place?.centre.y ?? 9e9),
    ),
  ).toBeLessThan(2);
  expect(found?.mends.map(({ label }) => say(label, MM))).toContain(
    'Remove what is hidden, and rows 0.5 mm apart',
  );
  for (const mend of found?.mends ?? []) expect(hot(made(applyMend(ticket, mend)))).toBeUndefined();
});

it('columns that cross over a fill come thinner in another order: the fill on top covers them', () => {
  const over = [0, 90].map((deg, n) => partOf(idOf(n + 1), bars(deg)));
  const ticket = made(withParts(partOf(idOf(0), SQUARE), ...over));
  const found = hot(ticket);
  const mend = found?.mends.find(({ label }) => say(label, MM).startsWith('Another order'));
  expect(mend && [say(mend.label, MM), say(mend.cost ?? [], MM)]).toEqual([
    'Another order: “shape” on top',
    'it covers what it lay under',
  ]);
  const mended = mend && applyMend(ticket, mend);
  expect(mended?.design.parts.map(({ id }) => id)).toEqual([idOf(1), idOf(2), idOf(0)]);
  expect(mended && hot(made(mended))).toBeUndefined();
});

it('nothing is said of a design of one layer, nor of one whose stitches are not made', () => {
  expect(hot(made(withParts(partOf(idOf(0), SQUARE))))).toBeUndefined();
  expect(hot(withParts(...[0, 60, 120].map((deg, n) => partOf(idOf(n), bars(deg)))))).toBeUndefined();
});

it('a size off a machine keeps its arithmetic', () => {
  const ticket = exampleA();
  const { facts } = planTicket(ticket, SAMPLE_SHELF, RULES).design;
  expect(facts?.made).toBeNull();
  expect(facts?.stops.reduce((sum, { threadMm }) => sum + threadMm, 0)).toBe(3 * (facts?.stitches ?? 0));
});

it('a count that was typed stays, and thread follows it', () => {
  const part = partOf(idOf(0), SQUARE);
  const artwork = part.artwork && { ...part.artwork };
  const plain = made(withParts({ ...part, artwork }));
  const typed = made(
    withParts({
      ...part,
      artwork,
      stitches: Math.round((part.stitches ?? 0) * 1.5),
      colours: part.colours.map((c) => ({ ...c, stitches: Math.round((c.stitches ?? 0) * 1.5) })),
    }),
  );
  const [a, b] = [plain, typed].map((ticket) => planTicket(ticket, SAMPLE_SHELF, RULES).design.facts);
  expect(b?.stitches).toBe(Math.round((part.stitches ?? 0) * 1.5));
  expect((b?.stops[0]?.threadMm ?? 0) / (a?.stops[0]?.threadMm ?? 1)).toBeCloseTo(
    (b?.stitches ?? 0) / (a?.stitches ?? 1),
    2,
  );
});

it('both at once is offered only where either alone leaves it thicker', () => {
  const ticket = made(withParts(...[0, 60, 120].map((deg, n) => partOf(idOf(n), bars(deg)))));
  const { made: was } = ticket.design;
  const labels = (thinned: Record<string, number>) =>
    hot(
      applyChange(ticket, { stage: 'design', set: { made: was && { ...was, thinned, onTop: null } } }),
    )?.mends.map(({ label }) => say(label, MM));
  expect(labels({ rows: 6.2, cutAndRows: 6.2 })).toEqual(['Rows 0.5 mm apart']);
  expect(labels({ cut: 6.5, rows: 6.2, cutAndRows: 5.9 })).toHaveLength(3);
  expect(labels({ cutAndRows: 6.2 })).toHaveLength(1);
});
