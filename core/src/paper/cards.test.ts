import { say } from '../base/units/phrase';
import { DEFAULT_HOUSE_RULES } from '../model/houseRules';
import { newTicket } from '../planner/newTicket';
import { planTicket } from '../planner/plan';
import { named, plainSetting } from '../testing/named';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '../testing/samples';
import { variedJob } from '../testing/variedTickets';
import { CARDS, type CardName } from './cards';
import type { PaperMark } from './drawing';
import { brokenWords, setInColumns } from './flow';
import type { CardSetting } from './jobCard';
import { type Printed, templatesOf } from './papers';
import { CARD_PAPER_IDS, CARD_PAPERS } from './tiles';

/** A typeface of which every letter is as wide. */
const measure = (words: string, sizeMm: number) => words.length * sizeMm * 0.55;
const squares = Array.from({ length: 25 }, (_, y) =>
  Array.from({ length: 25 }, (__, x) => (x * y) % 3 === 0),
);
const settingOf = (paper: CardSetting['paper']): CardSetting => ({ paper, measure, squares });

const printedOf = ({ ticket, shelf, rules }: Pick<Printed, 'ticket' | 'shelf' | 'rules'>): Printed => ({
  ticket,
  shelf,
  rules,
  plan: planTicket(ticket, shelf, rules),
});
const A = printedOf({ ticket: exampleA(), shelf: SAMPLE_SHELF, rules: DEFAULT_HOUSE_RULES });

const textsOf = (marks: readonly PaperMark[]) => marks.flatMap((m) => (m.kind === 'text' ? [m] : []));
const edgesOf = ({ at, text, sizeMm, anchor }: ReturnType<typeof textsOf>[number]) => {
  const width = measure(text, sizeMm);
  const left = at.x - { start: 0, middle: width / 2, end: width }[anchor];
  return { left, right: left + width, top: at.y - sizeMm, foot: at.y };
};

const JOBS = Array.from({ length: 60 }, (_, i) => printedOf(variedJob(i * 7)));
const CASES = (['card', 'label'] as CardName[]).flatMap((name) =>
  CARD_PAPER_IDS.map((paper) => [name, paper] as const),
);

it.each(CASES)('%s on %s: all words and lines of 60 varied jobs lie on the page', (name, paper) => {
  const { widthMm, heightMm } = CARD_PAPERS[paper];
  for (const printed of JOBS)
    for (const { box, marks } of CARDS[name](printed, settingOf(paper))) {
      expect([box.right, box.bottom]).toEqual([widthMm, heightMm]);
      const words = textsOf(marks).map((mark) => ({ text: mark.text, ...edgesOf(mark) }));
      const out = words.filter(
        ({ left, right, top, foot }) => left < 3 || right > widthMm - 3 || top < 0 || foot > heightMm,
      );
      expect(out).toEqual([]);
      const points = marks.flatMap((mark) => (mark.kind === 'line' ? mark.points : []));
      expect(points.filter(({ x, y }) => x < -1 || x > widthMm + 1 || y < -1 || y > heightMm + 1)).toEqual(
        [],
      );
    }
});

it.each(CARD_PAPER_IDS)(
  'the card on %s says every reading, mark, layer, thread and step, and lies nowhere over itself',
  (paper) => {
    const pages = CARDS.card(A, settingOf(paper));
    const said = pages
      .map(({ marks }) =>
        textsOf(marks)
          .map(({ text }) => text)
          .join(' '),
      )
      .join(' ');
    const flat = said.replace(/\s+/g, ' ');
    const { place, layers, stitch, finish, mount } = A.plan;
    const words = [
      ...(place?.marks ?? []).map(({ text }) => say(text, A.rules.units)),
      ...(finish?.steps ?? []).map(({ text }) => say(text, A.rules.units)),
      ...(mount?.checklist ?? []).map(({ text }) => say(text, A.rules.units)),
      ...(layers?.stack ?? []).map(({ name }) => name),
      ...(stitch?.stops ?? []).map((stop) => stop.called),
      '20 1/2 in',
      'Rowing club crest',
    ];
    expect(words.length).toBeGreaterThan(20);
    for (const one of words) expect(flat).toContain(one.replace(/\s+/g, ' ').trim());
    for (const { marks } of pages) {
      const texts = textsOf(marks)
        .filter(({ text }) => text !== '')
        .map(edgesOf);
      texts.forEach((a, i) => {
        for (const b of texts.slice(i + 1)) {
          const apart =
            a.right <= b.left || b.right <= a.left || a.foot <= b.top + 0.5 || b.foot <= a.top + 0.5;
          expect(apart).toBe(true);
        }
      });
    }
  },
);

it('a ticket of which nothing is known is a card too, with rooms to write readings in', () => {
  const bare = printedOf({
    ticket: newTicket('bare', 't-shirt'),
    shelf: SAMPLE_SHELF,
    rules: DEFAULT_HOUSE_RULES,
  });
  const [page] = CARDS.card(bare, { ...settingOf('a5'), squares: null });
  const texts = textsOf(page?.marks ?? []).map(({ text }) => text);
  expect(texts).toContain('_______');
  expect(texts).not.toContain('opens the ticket');
});

it('the keys of every copy stand on the card', () => {
  const corners = printedOf({
    ticket: measuredTicket('bread-cloth', 'four-corners', [60, 40]),
    shelf: SAMPLE_SHELF,
    rules: DEFAULT_HOUSE_RULES,
  });
  const texts = CARDS.card(corners, settingOf('a4')).flatMap(({ marks }) =>
    textsOf(marks).map(({ text }) => text),
  );
  for (const { number, hooping } of corners.plan.mount?.copies ?? [])
    expect(texts.some((text) => text.startsWith(`Keys of no. ${number}, hooping ${hooping}`))).toBe(true);
  expect(corners.plan.mount?.copies).toHaveLength(3);
});

it('what is wrong stands first on the card, and each caution by its step', () => {
  const { ticket } = A;
  const usual = printedOf({
    ...A,
    ticket: { ...ticket, piece: { ...ticket.piece, assumed: ['chestWidth'] } },
  });
  const said = CARDS.card(usual, settingOf('a4'))
    .flatMap(({ marks }) => textsOf(marks).map(({ text }) => text))
    .join(' ');
  expect(said).toContain('Mind');
  expect(said.indexOf('Taken as usual, not read on this piece')).toBeGreaterThan(0);
  expect(said.indexOf('Taken as usual, not read on this piece')).toBeLessThan(said.indexOf('Readings:'));
  const cautions = [...(usual.plan.mount?.checklist ?? []), ...(usual.plan.finish?.steps ?? [])].flatMap(
    ({ caution }) => caution ?? [],
  );
  expect(cautions.length).toBeGreaterThan(0);
  for (const { caution } of usual.plan.mount?.checklist ?? [])
    if (caution) expect(said.replace(/\s+/g, ' ')).toContain(say(caution, usual.rules.units).trim());
});

it('there is a label for each piece, numbered', () => {
  const many = printedOf({ ...A, ticket: { ...A.ticket, piece: { ...A.ticket.piece, quantity: 21 } } });
  const pages = CARDS.label(many, settingOf('a4'));
  const numbers = pages.flatMap(({ marks }) =>
    textsOf(marks).flatMap(({ text }) => /^No\. (\d+) of 21$/.exec(text)?.[1] ?? []),
  );
  expect(numbers.map(Number)).toEqual(Array.from({ length: 21 }, (_, i) => i + 1));
});

describe('words in lines', () => {
  const setting = { sizeMm: 1, bold: false, measure: (words: string) => words.length };
  it('are broken between words, and within one that is wider than the line', () => {
    expect(brokenWords('a tee with oars', 6, setting)).toEqual(['a tee', 'with', 'oars']);
    expect(brokenWords('waffletowel x', 6, setting)).toEqual(['waffle', 'towel', 'x']);
    expect(brokenWords('   ', 6, setting)).toEqual([]);
    expect(brokenWords('', 6, setting)).toEqual([]);
  });

  it('a heading goes to the next column with what stands under it', () => {
    const blocks = [
      { heading: 'First', rows: [{ words: 'a' }, { words: 'b' }] },
      { heading: 'Second', rows: [{ words: 'c' }] },
      { heading: 'None', rows: [] },
    ];
    const pageOf = () => ({ at: [{ left: 0, top: 0 }], widthMm: 50, footMm: 6 });
    const pages = setInColumns(blocks, pageOf, { sizeMm: 1, measure: (words) => words.length });
    const said = pages.map((marks) => textsOf(marks).map(({ text }) => text));
    expect(said).toEqual([
      ['First', 'a', 'b'],
      ['Second', 'c'],
    ]);
  });
});

describe('an order of names on paper', () => {
  const NAMES = ['Alma', 'Bo', 'Maximiliane'];
  let printed: Printed;
  beforeAll(async () => {
    const setting = await plainSetting();
    const ticket = named(measuredTicket('napkin', 'corner', [50, 12]), NAMES, { setting });
    printed = printedOf({ ticket, shelf: SAMPLE_SHELF, rules: DEFAULT_HOUSE_RULES });
  });
  const wordsOn = (name: CardName) =>
    CARDS[name](printed, settingOf('a4')).flatMap(({ marks }) => textsOf(marks).map(({ text }) => text));

  it('the card lists them with boxes, and each piece has a label with its name', () => {
    expect(wordsOn('card')).toEqual(expect.arrayContaining(['Names', ...NAMES, 'Readings: Napkin, Linen']));
    const labels = wordsOn('label');
    expect(labels).toEqual(expect.arrayContaining([...NAMES, 'No. 3 of 3']));
    expect(labels.filter((words) => words === 'Bo')).toHaveLength(1);
  });

  it('each name has a template of its own size', () => {
    const made = templatesOf(printed);
    expect(made.map(({ title }) => title.split(',')[0])).toEqual(NAMES);
    const widths = made.map((paper) => (paper.ok ? paper.drawing.box.right - paper.drawing.box.left : 0));
    expect(new Set(widths).size).toBe(3);
    expect(made.map((paper) => paper.ok && textsOf(paper.drawing.marks)[0]?.text)).toEqual(
      NAMES.map((name) => expect.stringContaining(name)),
    );
  });
});
