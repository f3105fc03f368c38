import { say } from '../../../base/units/phrase';
import { applyMend } from '../../../model/finding';
import { DEFAULT_HOUSE_RULES } from '../../../model/houseRules';
import { type Ticket, TicketSchema } from '../../../model/ticket';
import { type Lettering, USUAL_LETTERING } from '../../../model/ticket/lettering';
import { type Names, NamesSchema } from '../../../model/ticket/names';
import { FIRST_PART } from '../../../model/ticket/part';
import { pieceOnTable, withRowOnTable } from '../../../planner/onTable';
import { planTicket } from '../../../planner/plan';
import { askedOf, named, plainSetting, withNamesOfList } from '../../../testing/named';
import { rowOfName } from '../../../testing/rowOfName';
import { measuredTicket, SAMPLE_SHELF } from '../../../testing/samples';
import type { LettersSetting } from '../lettering/placedLetters';
import { keptParts, partsOnTable, rowOnTable } from './onTable';
import { nextName, withName } from './rows';
import { type NameAnswer, setName } from './setName';

const MM = { system: 'mm' } as const;
const RULES = DEFAULT_HOUSE_RULES;
let setting: LettersSetting;

beforeAll(async () => {
  setting = await plainSetting();
});

const lettersOf = (more: Partial<Lettering> = {}): Lettering => ({ ...USUAL_LETTERING, ...more });
function made(answer: NameAnswer) {
  if (!answer.ok) throw new Error(say(answer.message, MM));
  return answer;
}
const widthOf = (letters: Lettering): number => made(setName(askedOf(letters, null), setting)).widthMm;

describe('a name held against a width', () => {
  it('needs no help where it fits', () => {
    expect(made(setName(askedOf(lettersOf({ text: 'Alma' }), 80), setting)).narrower).toBeNull();
    expect(made(setName(askedOf(lettersOf({ text: 'Maximiliane' }), null), setting)).narrower).toBeNull();
  });

  it.each([
    ['Maximiliane', 0.98],
    ['Maximiliane', 0.8],
    ['Anna Katharina', 0.95],
    ['Anna Katharina von Wiesen', 0.6],
    ['Eva-Maria', 0.7],
  ])('each way out of “%s” in %d of its width was measured: it fits', (text, share) => {
    const letters = lettersOf({ text });
    const withinMm = Math.round(widthOf(letters) * share * 100) / 100;
    const narrower = made(setName(askedOf(letters, withinMm), setting)).narrower;
    expect(narrower?.capPercent ?? 0).toBeGreaterThan(0);
    const fits = (more: Partial<Lettering>) =>
      expect(widthOf({ ...letters, ...more })).toBeLessThanOrEqual(withinMm);
    fits({ capMm: Math.floor(letters.capMm * (narrower?.capPercent ?? 100)) / 100 });
    if (narrower?.spacingMm != null) fits({ spacingMm: narrower.spacingMm });
    if (narrower?.text != null) fits({ text: narrower.text });
    expect(narrower?.text != null).toBe(/[ -]/.test(text));
    if (share > 0.96) expect(narrower?.spacingMm ?? 0).toBeLessThan(0);
  });

  it('letters are not drawn together until they touch, nor made too low to be stitched', () => {
    const letters = lettersOf({ text: 'Maximiliane' });
    const half = made(setName(askedOf(letters, widthOf(letters) / 2), setting)).narrower;
    expect(half?.spacingMm).toBeNull();
    const tiny = made(setName(askedOf(letters, widthOf(letters) / 6), setting)).narrower;
    expect(tiny).toEqual({ spacingMm: null, capPercent: null, text: null });
  });

  it('what cannot be set is said as of any letters', () => {
    const answer = setName(askedOf(lettersOf({ text: 'Ali 😀' }), 50), setting);
    expect(answer.ok ? '' : say(answer.message, MM)).toBe('This typeface has no “😀”.');
  });
});

const TEXTS = ['Alma', 'Bo', 'Maximiliane', 'Anna Katharina'];
const napkins = (more: Partial<Names> = {}): Ticket =>
  named(measuredTicket('napkin', 'corner', [50, 12]), TEXTS, { allowedMm: 70, ...more, setting });
const setAll = (ticket: Ticket): Ticket => withNamesOfList(ticket, setting);
const planOf = (ticket: Ticket) => planTicket(ticket, SAMPLE_SHELF, RULES);
const said = (ticket: Ticket) => planOf(ticket).findings.filter(({ code }) => code.startsWith('design-name'));

describe('names of an order', () => {
  it('go onto a ticket, each with its own letters, and every stage has the one on the table', () => {
    const ticket = napkins();
    expect(TicketSchema.safeParse(ticket).success).toBe(true);
    const names = NamesSchema.parse(ticket.design.names);
    const widths = names.rows.map((row) => planOf(withRowOnTable(ticket, row)).design.facts?.widthMm ?? 0);
    for (const [i, row] of names.rows.entries())
      expect(widths[i]).toBeCloseTo(ticket.design.nameSets[row.id]?.widthMm ?? Number.NaN, 1);
    expect(new Set(widths).size).toBe(TEXTS.length);
    expect(planOf(ticket).piece.pieces).toBe(4);
  });

  it('one that is too wide is told with what helps, and every mend ends what offered it', () => {
    const ticket = napkins();
    const wide = said(ticket).filter(({ code }) => code === 'design-name-wide');
    expect(wide.map(({ text }) => say(text, MM))).toEqual([
      expect.stringMatching(/^“Maximiliane” is [\d.]+ mm wide, [\d.]+ mm more than the 70 mm allowed\.$/),
      expect.stringMatching(/^“Anna Katharina” is /),
    ]);
    for (const finding of wide)
      for (const mend of finding.mends) {
        const mended = setAll(applyMend(ticket, mend));
        expect(said(mended).map(({ text }) => say(text, MM).split(' is ')[0])).not.toContain(
          say(finding.text, MM).split(' is ')[0],
        );
      }
    const together = said(ticket).find(({ code }) => code === 'design-names-wide');
    expect(say(together?.text ?? [], MM)).toBe('2 of 4 names are wider than the 70 mm allowed.');
    const mend = together?.mends[0];
    if (!mend) throw new Error('no mend');
    expect(said(setAll(applyMend(ticket, mend)))).toEqual([]);
  });

  it('what is entered anew makes names wait until they are set so', () => {
    const ticket = napkins();
    const { names } = ticket.design;
    if (!names) throw new Error('no names');
    const next = {
      ...ticket,
      design: { ...ticket.design, names: withName(names, 'row-of-name-1', { text: 'Bob' }) },
    };
    expect(said(next).map(({ text }) => say(text, MM))).toContain('Name still to be set: “Bob”.');
    expect(said(setAll(next)).map(({ code }) => code)).not.toContain('design-names-unset');
    const narrower = { ...ticket, design: { ...ticket.design, names: { ...names, allowedMm: 20 } } };
    expect(said(narrower).map(({ text }) => say(text, MM))).toContain(
      '4 of 4 names are still to be set, “Alma” first.',
    );
  });

  it('a machine that resizes holds names against the width as it is stitched', () => {
    const ticket = napkins({ allowedMm: 40 });
    const half = setAll({ ...ticket, design: { ...ticket.design, scalePercent: 50 } });
    const before = said(ticket).filter(({ code }) => code === 'design-name-wide');
    const after = said(half).filter(({ code }) => code === 'design-name-wide');
    expect(before.length).toBeGreaterThan(after.length);
  });

  it('parts that were moved on the table keep the letters of their names apart', () => {
    const { design } = napkins();
    const row = rowOnTable(design);
    const shown = partsOnTable(design);
    expect(shown[0]?.letters?.text).toBe(row?.text);
    const moved = shown.map((part) => ({ ...part, at: { x: 5, y: 1 } }));
    const kept = keptParts(design, moved);
    expect(kept[0]?.at).toEqual({ x: 5, y: 1 });
    expect(kept[0]?.letters?.text).toBe('any name');
    expect(keptParts({ ...design, names: null }, moved)).toEqual(moved);
  });

  it('all stitches are counted, of long names and of short ones', () => {
    const ticket = napkins();
    const sum = Object.values(ticket.design.nameSets).reduce((n, { stitches }) => n + stitches, 0);
    for (const row of ticket.design.names?.rows ?? []) {
      const { stitch, design } = planOf(withRowOnTable(ticket, row));
      expect((design.facts?.stitches ?? 0) * (stitch?.stitchings ?? 0)).toBeCloseTo(sum, 3);
    }
  });

  it('a name on another size has its piece, and as many are made as there are names', () => {
    const ticket = measuredTicket('t-shirt', 'left-chest', [90, 60]);
    const width = ticket.piece.readings.chestWidth ?? 0;
    const sizes = [
      { name: 'L', count: 1, readings: { chestWidth: width + 80 } },
      { name: 'XL', count: 1, readings: { chestWidth: width + 140 } },
    ];
    const { design } = napkins();
    const rows = TEXTS.map(rowOfName).map((row, i) => ({ ...row, size: ['', 'L', 'L', ''][i] ?? '' }));
    const names = { part: FIRST_PART, allowedMm: null, onTable: 'row-of-name-1', rows };
    const on = { piece: { ...ticket.piece, sizes }, design: { ...design, names } };
    const piece = pieceOnTable(on);
    expect(piece.readings.chestWidth).toBe(width + 80);
    expect([piece.quantity, ...piece.sizes.map(({ count }) => count)]).toEqual([2, 2, 0]);
    const own = pieceOnTable({ ...on, design: { ...design, names: { ...names, onTable: 'row-of-name-0' } } });
    expect(own.readings.chestWidth).toBe(width);
  });

  it('a size that the order does not have is told, and every mend ends it', () => {
    const ticket = napkins({ allowedMm: null });
    const { names } = ticket.design;
    const sizes = [{ name: 'L', count: 1, readings: {} }];
    const lost = {
      ...ticket,
      piece: { ...ticket.piece, sizes },
      design: { ...ticket.design, names: names && withName(names, 'row-of-name-1', { size: 'XL' }) },
    };
    const [only, ...others] = said(lost);
    expect(others).toEqual([]);
    expect(only && say(only.text, MM)).toBe('“Bo” goes on size XL, which the order does not have.');
    expect(only?.mends.map(({ label }) => say(label, MM))).toEqual(['On this piece', 'On L']);
    for (const mend of only?.mends ?? []) expect(said(applyMend(lost, mend))).toEqual([]);
  });

  it('the next name is the next that is not done, from the one on the table and round', () => {
    const rows = TEXTS.map(rowOfName).map((row, i) => ({ ...row, done: i === 2 }));
    const names = { part: FIRST_PART, allowedMm: null, onTable: 'row-of-name-1', rows };
    expect(nextName(names)?.text).toBe('Anna Katharina');
    expect(nextName({ ...names, onTable: 'row-of-name-3' })?.text).toBe('Alma');
    expect(nextName({ ...names, rows: rows.map((row) => ({ ...row, done: true })) })).toBeNull();
  });

  it('without letters to set them in, they say so, and can be taken off', () => {
    const ticket = napkins({ part: 'a-part-not-there', allowedMm: null });
    const [only] = said(ticket);
    expect(only && say(only.text, MM)).toContain('The 4 names have no letters to be set in');
    expect(only?.mends.map(({ label }) => say(label, MM))).toEqual([
      'Set them in place of “any name”',
      'Take the names off the ticket',
    ]);
    for (const mend of only?.mends ?? [])
      expect(said(setAll(applyMend(ticket, mend))).map(({ code }) => code)).not.toContain(only?.code);
  });

  it('a design without names is planned as it was, by the very same parts', () => {
    const { design } = measuredTicket('napkin', 'corner', [50, 40]);
    expect(partsOnTable(design)).toBe(design.parts);
    expect(rowOnTable(design)).toBeNull();
  });
});
