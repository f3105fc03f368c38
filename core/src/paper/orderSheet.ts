import { formatMoney } from '../base/units/money';
import { GRAPHITE, line, type PaperDrawing, type PaperMark, text } from './drawing';
import { type MeasureWords, type PaperBlock, setInColumns } from './flow';
import { CARD_PAPERS, type CardPaperId } from './tiles';

/** What of an order is printed. */
export interface PrintedOrder {
  kind: 'quote' | 'receipt';
  /** The shop's own heading, a line each; empty where it has none. */
  heading: string;
  name: string;
  customer: string;
  /** Days as they are written; null where none is set. */
  day: string;
  due: string | null;
  items: readonly { name: string; pieces: number; sizes: string }[];
  brought: string;
  promisedMinor: number;
  currency: string;
}

const TITLES = { quote: 'Quote', receipt: 'Receipt' } as const;
const MARGIN = 16;
const TYPE_MM = 3.8;

function headOf(order: PrintedOrder, widthMm: number): { marks: PaperMark[]; below: number } {
  const lines = order.heading.split('\n').filter((words) => words.trim() !== '');
  const marks: PaperMark[] = lines.map((words, i) =>
    text(
      { x: MARGIN, y: MARGIN + 5 + i * 5.2 },
      words,
      i === 0 ? { sizeMm: 5, bold: true } : { sizeMm: 3.6 },
    ),
  );
  const y = MARGIN + 8 + lines.length * 5.2;
  const said = [order.customer, order.day].filter(Boolean).join(' · ');
  return {
    marks: [
      ...marks,
      line([
        { x: MARGIN, y },
        { x: widthMm - MARGIN, y },
      ]),
      text({ x: MARGIN, y: y + 11 }, `${TITLES[order.kind]}: ${order.name}`, { sizeMm: 6.4, bold: true }),
      text({ x: MARGIN, y: y + 18 }, said, { sizeMm: 3.6, colour: GRAPHITE }),
    ],
    below: y + 24,
  };
}

function blocksOf(order: PrintedOrder): PaperBlock[] {
  const { kind, items, due, brought, promisedMinor, currency } = order;
  const pieces = items.reduce((sum, item) => sum + item.pieces, 0);
  return [
    {
      heading: 'What it is',
      rows: items.map((item) => ({
        words: `${item.name}${item.sizes ? `: ${item.sizes}` : ''}`,
        figure: item.pieces > 0 ? String(item.pieces) : '',
      })),
    },
    {
      heading: kind === 'quote' ? 'What it comes to' : 'What was paid',
      rows: [
        {
          words: `${pieces} ${pieces === 1 ? 'piece' : 'pieces'}, all of it`,
          bold: true,
          figure: formatMoney(promisedMinor, currency),
        },
        ...(kind === 'quote' && due ? [{ words: `Ready on ${due}.` }] : []),
        ...(brought ? [{ words: `Brought by you: ${brought}.` }] : []),
      ],
    },
  ];
}

/** An order on paper under the shop's own heading: a quote, or a receipt. Of taxes it says nothing. */
export function orderSheet(
  order: PrintedOrder,
  { paper, measure }: { paper: CardPaperId; measure: MeasureWords },
): PaperDrawing[] {
  const { widthMm, heightMm } = CARD_PAPERS[paper];
  const head = headOf(order, widthMm);
  const set = setInColumns(
    blocksOf(order),
    (page) => ({
      at: [{ left: MARGIN, top: page === 0 ? head.below : MARGIN }],
      widthMm: widthMm - 2 * MARGIN,
      footMm: heightMm - MARGIN,
    }),
    { sizeMm: TYPE_MM, measure },
  );
  const box = { left: 0, top: 0, right: widthMm, bottom: heightMm };
  return set.map((marks, page) => ({ box, marks: page === 0 ? [...head.marks, ...marks] : marks }));
}
