import { cornersOf } from '../base/geometry/box';
import { namesOf } from '../planner/onTable';
import { titleOf } from '../planner/titleOf';
import { calledName } from '../stages/design/names/onTable';
import { GRAPHITE, line, type PaperDrawing, type PaperMark, text } from './drawing';
import { brokenWords } from './flow';
import { type CardSetting, codeMarks } from './jobCard';
import type { Printed } from './papers';
import { CARD_PAPERS } from './tiles';

/** A label that swings from a piece, with a hole for its string, mm. */
const LABEL = { widthMm: 54, heightMm: 88, holeMm: 2, codeMm: 26 };
const MARGIN_MM = 8;
const SIZE_MM = 3;
/** No order is printed with more labels at once. */
const MOST_LABELS = 240;

/** How the cloth is looked after, in the words of a label; defers to the label sewn in. */
function careOf({ plan: { piece } }: Printed): string[] {
  const { iron, mayGetWet } = piece.fabric;
  return [
    mayGetWet ? 'Wash inside out' : 'Do not wash',
    iron === 'no'
      ? 'Do not iron'
      : iron === 'low'
        ? 'Iron low, from the wrong side'
        : 'Iron from the wrong side',
    'The label sewn in goes first',
  ];
}

/** A round as short straight lines. */
const roundAt = (x: number, y: number, r: number): PaperMark =>
  line(
    Array.from({ length: 24 }, (_, i) => ({
      x: x + r * Math.cos((i * Math.PI) / 12),
      y: y + r * Math.sin((i * Math.PI) / 12),
    })),
    { closed: true },
  );

function labelAt(
  { x, y }: { x: number; y: number },
  number: number,
  printed: Printed,
  { squares, measure }: CardSetting,
): PaperMark[] {
  const { ticket, plan } = printed;
  const { pieces, fabric } = plan.piece;
  const name = namesOf(ticket)[number - 1];
  const { widthMm, heightMm, holeMm, codeMm } = LABEL;
  const middle = x + widthMm / 2;
  const room = widthMm - 8;
  const lines = (words: string, sizeMm: number, bold: boolean, most: number) =>
    brokenWords(words, room, { sizeMm, bold, measure })
      .slice(0, most)
      .map((one) => ({ words: one, sizeMm, bold }));
  const words = [
    ...lines(titleOf(ticket), SIZE_MM * 1.5, true, 2),
    ...lines(ticket.customer, SIZE_MM, false, 2),
    ...lines(fabric.name, SIZE_MM, false, 1),
    ...(name ? lines(calledName(name), SIZE_MM * 1.25, true, 2) : []),
    ...(pieces > 1 ? lines(`No. ${number} of ${pieces}`, SIZE_MM, true, 1) : []),
    ...careOf(printed).flatMap((care) => lines(care, SIZE_MM * 0.85, false, 1)),
  ];
  let down = y + 14;
  const set = words.map(({ words: one, sizeMm, bold }) => {
    down += sizeMm * 1.35;
    return text({ x: middle, y: down }, one, { sizeMm, bold, anchor: 'middle' });
  });
  const box = { left: x, right: x + widthMm, top: y, bottom: y + heightMm };
  return [
    line(cornersOf(box), { closed: true, dashMm: [2, 1.5], colour: GRAPHITE }),
    roundAt(middle, y + 7, holeMm),
    ...set,
    ...(squares
      ? codeMarks(squares, {
          at: { x: middle - codeMm / 2, y: y + heightMm - codeMm - 2 },
          sizeMm: codeMm,
        })
      : []),
  ];
}

/** A label for each piece of the order, to cut along the dashed lines. One drawing a page, mm from its top left. */
export function swingLabels(printed: Printed, setting: CardSetting): PaperDrawing[] {
  const { widthMm: width, heightMm: height } = CARD_PAPERS[setting.paper];
  const across = Math.floor((width - 2 * MARGIN_MM) / LABEL.widthMm);
  const down = Math.floor((height - 2 * MARGIN_MM) / LABEL.heightMm);
  const count = Math.min(MOST_LABELS, printed.plan.piece.pieces);
  const left = (width - across * LABEL.widthMm) / 2;
  const onPage = across * down;
  return Array.from({ length: Math.ceil(count / onPage) }, (_, page) => ({
    box: { left: 0, top: 0, right: width, bottom: height },
    marks: Array.from({ length: Math.min(onPage, count - page * onPage) }, (__, i) =>
      labelAt(
        {
          x: left + (i % across) * LABEL.widthMm,
          y: MARGIN_MM + Math.floor(i / across) * LABEL.heightMm,
        },
        page * onPage + i + 1,
        printed,
        setting,
      ),
    ).flat(),
  }));
}
